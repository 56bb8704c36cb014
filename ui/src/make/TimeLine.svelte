<script lang="ts">
  import type { Schemas } from '../api/client';
  import { fill } from '../parts/quantity';
  import { getSession } from '../state/session.svelte';
  import { clock } from './words';

  /** Hands on above, what cures by itself below; long waits are drawn short, with a break. */
  interface Props {
    report: Schemas['MakeReport'];
    now: Date;
    selected: string;
    onselect: (id: string) => void;
  }
  let { report, now, selected, onselect }: Props = $props();
  const session = getSession();
  let lets = $derived(session.report?.verdict.word === 'lets-go');

  let width = $state(1200);
  const [left, right] = [92, 168];
  let steps = $derived(report.steps.filter((s) => s.work !== 'finish'));

  /** Stretches of work and of waiting, in order; a wait counts for a tenth of its length, a whole hour of work at the most. */
  let stretches = $derived.by(() => {
    const work = [...steps].sort((a, b) => a.start - b.start);
    const list: { from: number; to: number; idle: boolean; weight: number }[] = [];
    let at = work[0]?.start ?? 0;
    for (const s of work) {
      if (s.start > at + 900) {
        list.push({ from: at, to: s.start, idle: true, weight: Math.min(3600, (s.start - at) / 10) });
        at = s.start;
      }
      const to = Math.max(at, s.end);
      const last = list.at(-1);
      if (last && !last.idle) [last.to, last.weight] = [to, last.weight + to - at];
      else list.push({ from: at, to, idle: false, weight: to - at });
      at = to;
    }
    const end = Math.max(0, ...steps.map((s) => s.done));
    if (end > at + 60) list.push({ from: at, to: end, idle: true, weight: Math.min(3600, (end - at) / 10) });
    return list;
  });
  let whole = $derived(
    Math.max(
      1,
      stretches.reduce((sum, s) => sum + s.weight, 0),
    ),
  );
  const x = (t: number) => {
    let at = left;
    for (const s of stretches) {
      const wide = (s.weight / whole) * (width - left - right);
      if (t <= s.to) return at + (wide * Math.max(0, t - s.from)) / Math.max(1, s.to - s.from);
      at += wide;
    }
    return at;
  };
  const timeOf = (t: number) => new Date(now.getTime() + 1000 * t);
  let marks = $derived(
    stretches
      .flatMap((s) => (s.idle ? [] : [s.from]))
      .map((t) => ({ t, at: x(t) }))
      .filter((m, i, all) => i === 0 || m.at - all[i - 1]!.at > 90),
  );
  const id = $props.id();
</script>

<section
  class="border-base-content bg-base-200 min-w-0 overflow-hidden border-t px-3 compact:hidden"
  aria-label="When it is done"
  data-timeline
>
  <div bind:clientWidth={width}>
    <svg {width} height="92" class="block">
      <defs>
        <pattern id="{id}-cure" width="6" height="6" patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
          <line y2="6" class="stroke-accent" stroke-width="4" />
        </pattern>
      </defs>
      <text x="0" y="21" class="fill-quiet text-xs">hands on</text>
      <text x="0" y="46" class="fill-quiet text-xs">{steps.some((s) => s.wait > 0) ? 'by itself' : ''}</text>
      <line x1={left} x2={width - right} y1="62" y2="62" class="stroke-base-content" stroke-width="1.5" />
      {#each stretches.filter((s) => s.idle) as s (s.from)}
        {@const middle = (x(s.from) + x(s.to)) / 2}
        <path d="M{middle - 4} 67 l3 -10 M{middle + 2} 67 l3 -10" class="stroke-base-content" stroke-width="1.5" />
      {/each}
      {#each steps as s (s.id)}
        <!-- The list beside it does the same from the keyboard. -->
        <!-- svelte-ignore a11y_click_events_have_key_events, a11y_no_static_element_interactions -->
        <rect
          x={x(s.start) + 0.5}
          y="10"
          width={Math.max(2, x(s.end) - x(s.start) - 1)}
          height="14"
          class="cursor-pointer {s.isDone
            ? 'fill-holds'
            : s.id === selected
              ? 'fill-primary'
              : s.holdPoint
                ? 'fill-accent/30 stroke-accent'
                : 'fill-base-100 stroke-quiet'}"
          onclick={() => onselect(s.id)}><title>{fill(s.title)}</title></rect
        >
        {#if s.wait > 0}
          <rect
            x={x(s.end)}
            y="36"
            width={Math.max(3, x(s.done) - x(s.end))}
            height="12"
            fill="url(#{id}-cure)"
            class="stroke-accent"><title>{fill(s.title)}</title></rect
          >
        {/if}
      {/each}
      {#each marks as m (m.t)}
        <line x1={m.at} x2={m.at} y1="62" y2="67" class="stroke-base-content" />
        <text x={m.at} y="80" class="fill-base-content text-xs">{clock(timeOf(m.t))}</text>
      {/each}
      <line
        x1={x(report.ready)}
        x2={x(report.ready)}
        y1="8"
        y2="67"
        class={lets ? 'stroke-lets-go' : 'stroke-holds'}
        stroke-width="2"
      />
      <rect x={x(report.ready)} y="8" width={right - 4} height="19" class={lets ? 'fill-lets-go' : 'fill-holds'} />
      <text x={x(report.ready) + 7} y="21.5" class="fill-base-100 text-xs font-semibold"
        >{lets
          ? 'it lets go: change it first'
          : report.handsOn > 0 || report.ready > 0
            ? `can be proved ${clock(timeOf(report.ready))}`
            : 'can be proved now'}</text
      >
    </svg>
  </div>
</section>
