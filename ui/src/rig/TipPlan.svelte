<script lang="ts">
  import type { Schemas } from '../api/client';
  import { fill, quantity } from '../parts/quantity';

  /** What stands by its weight, seen from above with the lens looking up the page. */
  let { plan }: { plan: Schemas['TipReport'] } = $props();

  const SIZE = 288;
  const ROOM = 46;
  const id = $props.id();

  let reach = $derived(
    Math.max(
      0.02,
      ...[...plan.corners, plan.centre, ...plan.loads.map((l) => l.at)].map((p) => Math.hypot(p[0]!, p[1]!)),
    ),
  );
  /** Only so far out as the footprint and a little more: what stands beyond is drawn at the rim. */
  let edge = $derived(Math.min(reach, 1.6 * Math.max(...plan.corners.map((p) => Math.hypot(p[0]!, p[1]!)))));
  let scale = $derived((SIZE / 2 - ROOM) / edge);
  const at = (p: readonly number[]) => {
    const far = Math.max(1, Math.hypot(p[0]!, p[1]!) / edge);
    return [SIZE / 2 - (p[1]! / far) * scale, SIZE / 2 - (p[0]! / far) * scale] as const;
  };
  let outline = $derived(plan.corners.map((p) => at(p).join(' ')).join(' L '));
  let centre = $derived(at(plan.centre));
  /** A label for each push, round the rim. */
  let pushes = $derived(
    plan.pushes.map((p) => {
      const r = SIZE / 2 - 20;
      return {
        ...p,
        x: SIZE / 2 - Math.sin(p.angle) * r,
        y: SIZE / 2 - Math.cos(p.angle) * r,
        least: p.way === plan.least.way,
      };
    }),
  );
</script>

<section class="mt-3" aria-labelledby="{id}-title" data-tip-plan>
  <h3 id="{id}-title" class="text-quiet text-xs font-normal">From above: where it stands, and what tips it</h3>
  <p class="mt-0.5 text-sm leading-snug">
    <b>{fill(plan.says)}</b>
    Weight {quantity(plan.weight, 'force')}, camera {quantity(plan.height, 'length')} up; no factor on it.
  </p>
  <svg viewBox="0 0 {SIZE} {SIZE}" class="mt-1 w-full" role="img" aria-label={fill(plan.says)}>
    <defs>
      <pattern id="{id}-ground" width="6" height="6" patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
        <line x1="0" y1="0" x2="0" y2="6" class="stroke-rule" stroke-width="2" />
      </pattern>
    </defs>
    <path d="M {outline} Z" fill="url(#{id}-ground)" class="stroke-base-content" stroke-width="1.5" />
    {#each pushes as p (p.way)}
      <line
        x1={centre[0]}
        y1={centre[1]}
        x2={SIZE / 2 - Math.sin(p.angle) * (SIZE / 2 - 40)}
        y2={SIZE / 2 - Math.cos(p.angle) * (SIZE / 2 - 40)}
        class={p.least ? 'stroke-lets-go' : 'stroke-rule'}
        stroke-width={p.least ? 2 : 1}
        stroke-dasharray={p.least ? '' : '3 3'}
      />
      <text
        x={p.x}
        y={p.y + 4}
        text-anchor="middle"
        class="{p.least ? 'fill-lets-go font-bold' : 'fill-base-content'} text-[11px]"
        >{p.force >= 1e5 ? 'never' : quantity(p.force, 'force')}</text
      >
    {/each}
    {#each plan.loads as l (l.case)}
      {@const [x, y] = at(l.at)}
      <circle cx={x} cy={y} r="2" class="fill-accent"><title>{l.case}</title></circle>
    {/each}
    <path
      d="M {centre[0] - 6} {centre[1]} h 12 M {centre[0]} {centre[1] - 6} v 12"
      class="stroke-base-content"
      stroke-width="2.5"
    />
    <path
      d="M {SIZE / 2 - 9} 40 l 9 -9 l 9 9"
      class="stroke-base-content"
      stroke-width="2"
      fill="none"
      transform="translate(0 4)"
    />
  </svg>
  <ul class="text-quiet mt-1 flex flex-wrap gap-x-4 text-xs">
    <li><b class="text-base-content">+</b> its weight</li>
    <li><b class="text-accent">•</b> with wind and motion, {plan.loads.length} cases</li>
    <li><b class="text-base-content">⌃</b> the lens looks this way</li>
  </ul>
</section>
