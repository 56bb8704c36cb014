<script lang="ts">
  import { scaleLinear } from 'd3-scale';
  import type { Schemas } from '../api/client';
  import { speedOf, speedsOf } from '../parts/quantity';

  /** What is proved and what is not yet, along the speed. */
  let { report, host }: { report: Schemas['ProveReport']; host: string } = $props();
  let width = $state(320);
  let proof = $derived(report.proof);
  let holds = $derived(report.holdsTo);
  let far = $derived(Math.min(report.topSpeed, 1.15 * Math.max(report.speed, Math.min(holds, 1.6 * report.speed), 1)));
  let x = $derived(scaleLinear([0, far], [16, width - 48]).clamp(true));
  let own = $derived(speedsOf(host));
  let ticks = $derived(scaleLinear([0, own.shown(far)], [0, 1]).ticks(6));
  let next = $derived(report.ladder.find((r) => r.id === proof.next && r.speed != null));
  let marks = $derived(
    [
      { id: 'pulls', at: proof.byPulls, text: 'pulls prove' },
      { id: 'driven', at: proof.driven || null, text: 'driven' },
      { id: 'next', at: next?.speed ?? null, text: 'next rung' },
      { id: 'holds', at: holds > 0 && holds < far ? holds : null, text: 'holds to' },
    ].flatMap((m) => (m.at == null ? [] : [{ ...m, at: Math.min(m.at, far) }])),
  );
  /** Two rows, so that words beside each other do not lie on each other. */
  let rows = $derived.by(() => {
    const ends = [-1e9, -1e9, -1e9];
    return [...marks]
      .sort((a, b) => a.at - b.at)
      .map((m) => {
        const text = `${m.text} ${speedOf(m.at, host)}`;
        const wide = text.length * 6.6 + 14;
        const left = Math.min(x(m.at) + 4, width - wide);
        let row = ends.findIndex((e) => e < left);
        if (row < 0) row = 0;
        ends[row] = left + wide;
        return { ...m, text, left, row };
      });
  });
</script>

<div class="bg-base-200 border-rule w-full min-w-0 overflow-hidden border-t" bind:clientWidth={width} data-tape>
  <svg
    class="block"
    {width}
    height="112"
    role="img"
    aria-label="Proved: {rows.map((r) => r.text).join(', ') || 'nothing yet'}. Design speed {speedOf(
      report.speed,
      host,
    )}."
  >
    <defs>
      <pattern id="driven" width="6" height="6" patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
        <rect width="3" height="6" class="fill-holds" />
      </pattern>
    </defs>
    <rect
      x={x(0)}
      y="58"
      width={x(far) - x(0)}
      height="14"
      class="stroke-base-content/50 fill-none"
      stroke-dasharray="3 3"
    />
    {#if proof.byPulls}<rect
        x={x(0)}
        y="58"
        width={x(Math.min(proof.byPulls, far)) - x(0)}
        height="14"
        fill="url(#driven)"
      />{/if}
    {#if proof.driven}<rect x={x(0)} y="58" width={x(proof.driven) - x(0)} height="14" class="fill-holds" />{/if}
    {#each rows as m (m.id)}
      <line x1={x(m.at)} x2={x(m.at)} y1={14 + 15 * m.row} y2="72" class="stroke-base-content" stroke-width="1.5" />
      <text x={m.left} y={14 + 15 * m.row} class="fill-base-content text-xs {m.id === 'next' ? '' : 'font-semibold'}"
        >{m.text}</text
      >
    {/each}
    {#each ticks as t (t)}
      <text x={x(own.back(t))} y="88" text-anchor="middle" class="fill-quiet text-xs">{t}</text>
    {/each}
    <text x={width - 8} y="88" text-anchor="end" class="fill-quiet text-xs">{own.symbol}</text>
    <path d="M{x(report.speed) - 9} 50h18v8l-9 9-9-9z" class="fill-base-content" />
    <text x={x(report.speed)} y="104" text-anchor="middle" class="fill-base-content text-xs font-semibold"
      >design speed {speedOf(report.speed, host)}</text
    >
  </svg>
</div>
