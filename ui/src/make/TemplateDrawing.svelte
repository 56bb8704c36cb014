<script lang="ts">
  import type { Schemas } from '../api/client';
  import { fill, quantity } from '../parts/quantity';

  /** A flat piece as it is marked out, to scale: outline with its sizes, bend lines, holes by what they are for. */
  interface Props {
    template: Schemas['Template'];
    /** Joints whose holes are marked: those of the step that is shown; all where there are none. */
    joints?: readonly string[];
  }
  let { template, joints = [] }: Props = $props();

  const [WIDTH, HEIGHT] = [330, 236];
  const LEFT = 76;
  const TOP = 16;
  let scale = $derived(Math.min(WIDTH / template.length, HEIGHT / template.width));
  let [long, wide] = $derived([template.length * scale, template.width * scale]);
  const x = (m: number) => LEFT + m * scale;
  const y = (m: number) => TOP + wide - m * scale;
  /** Holes of one joint and size, with the first of them for the leader and its distances from the corner. */
  let groups = $derived(
    Object.values(
      template.holes.reduce<Record<string, Schemas['TemplateHole'][]>>((all, h) => {
        (all[`${h.joint} ${h.diameter} ${h.sort}`] ??= []).push(h);
        return all;
      }, {}),
    ).map((holes) => ({ holes, first: holes.reduce((a, b) => (b.x + b.y > a.x + a.y ? b : a)), of: holes[0]! })),
  );
  const marked = (joint: string) => joints.length > 0 && joints.includes(joint);
  let labels = $derived.by(() => {
    let last = TOP - 26;
    return [...groups]
      .sort((a, b) => b.first.y - a.first.y)
      .map((g) => {
        last = Math.max(y(g.first.y) - 10, last + 44);
        return { ...g, at: last };
      });
  });
  let height = $derived(Math.max(TOP + wide + 40, (labels.at(-1)?.at ?? 0) + 40));
  /** As they are numbered, along the piece; strips of paper have no numbers and no table. */
  let numbered = $derived(template.holes.filter((h) => h.number > 0).sort((a, b) => a.number - b.number));
</script>

<figure class="min-w-0" data-template={template.part}>
  <figcaption class="font-semibold">
    {template.quantity > 1 ? `${template.quantity} × ` : ''}{fill(template.name)}
  </figcaption>
  <svg
    viewBox="0 0 {LEFT + WIDTH + 230} {height}"
    class="block w-full max-w-[40rem]"
    role="img"
    aria-label="{fill(template.name)}, laid flat, {template.holes.length} holes"
  >
    <polygon
      points={template.outline.map((p) => `${x(p[0]!)},${y(p[1]!)}`).join(' ')}
      class="fill-base-300 stroke-base-content"
      stroke-width="1.5"
    />
    {#each template.folds as b, i (i)}
      <!-- A little over the edge on both sides, so that it is seen where it ends. -->
      <line
        x1={x(b.from[0]!) - (b.along ? 6 : 0)}
        x2={x(b.to[0]!) + (b.along ? 6 : 0)}
        y1={y(b.from[1]!) + (b.along ? 0 : 6)}
        y2={y(b.to[1]!) - (b.along ? 0 : 6)}
        class="stroke-secondary"
        stroke-width="1.5"
        stroke-dasharray="7 4"
      />
    {/each}
    {#each template.lines as line, i (i)}
      <polyline
        points={line.points.map((p) => `${x(p[0]!)},${y(p[1]!)}`).join(' ')}
        class="stroke-accent fill-none"
        stroke-width={template.lines.length > 1 ? 1.5 : 2.5}
      />
    {/each}
    {#each [...new Set(template.lines.map((l) => l.label))] as label, i (label)}
      <text x={LEFT + long + 22} y={TOP + wide - 6 - 16 * i} class="fill-accent text-xs font-semibold">{label}</text>
    {/each}
    {#each template.folds.length > 1 ? template.folds : [] as b, i (i)}
      <text
        x={x(b.from[0]!) + (b.along ? 18 : 4)}
        y={b.along ? y(b.from[1]!) - 4 : y(b.to[1]!) + 22}
        class="fill-secondary text-xs font-semibold">{b.turn}</text
      >
    {/each}
    <!-- Sizes: length below, width on the left. -->
    <path
      d="M{LEFT} {TOP + wide + 8}v14 M{LEFT + long} {TOP + wide + 8}v14 M{LEFT} {TOP + wide + 15}h{long} M{LEFT -
        8} {TOP}h-14 M{LEFT - 8} {TOP + wide}h-14 M{LEFT - 15} {TOP}v{wide}"
      class="stroke-accent fill-none"
    />
    <text x={LEFT + long / 2} y={TOP + wide + 32} text-anchor="middle" class="fill-accent text-xs font-semibold"
      >{quantity(template.length, 'mark')}</text
    >
    <text x={LEFT - 20} y={TOP + wide / 2 + 4} text-anchor="end" class="fill-accent text-xs font-semibold"
      >{quantity(template.width, 'mark')}</text
    >
    {#each template.holes as h, i (i)}
      <circle
        cx={x(h.x)}
        cy={y(h.y)}
        r={Math.max(3, (h.diameter / 2) * scale)}
        class="{template.lines.length > 1 ? 'fill-none' : 'fill-base-100'} {marked(h.joint)
          ? 'stroke-accent'
          : 'stroke-base-content'}"
        stroke-width={marked(h.joint) ? 3 : 1.5}
      />
      {#if h.number > 0}<text
          x={x(h.x) + Math.max(3, (h.diameter / 2) * scale) + 2}
          y={y(h.y) - 3}
          class="fill-base-content text-xs font-semibold">{h.number}</text
        >{/if}
    {/each}
    {#if template.frontAhead}<text x={LEFT + long} y={TOP - 4} text-anchor="end" class="fill-quiet text-xs"
        >this end to the front</text
      >{/if}
    {#each labels as g (`${g.of.joint} ${g.of.diameter} ${g.of.sort}`)}
      <line x1={x(g.first.x)} y1={y(g.first.y)} x2={LEFT + long + 18} y2={g.at + 4} class="stroke-accent" />
      <text x={LEFT + long + 22} y={g.at + 8} class="fill-accent text-xs font-semibold"
        >{g.holes.length > 1 ? `${g.holes.length} × ` : ''}{quantity(g.of.diameter, 'drill')}, {g.of.for}</text
      >
      <text x={LEFT + long + 22} y={g.at + 22} class="fill-quiet text-xs">{g.of.title}</text>
    {/each}
  </svg>
  <table class="mt-1 w-full max-w-[40rem] text-sm">
    <thead class="text-quiet text-xs">
      <tr
        ><th class="text-left font-normal">from the lower left corner</th><th class="text-left font-normal">along</th
        ><th class="text-left font-normal">across</th></tr
      >
    </thead>
    <tbody>
      {#each numbered as h (h.number)}
        <tr class="border-rule border-t border-dotted" data-hole={h.number}>
          <th class="py-0.5 text-left font-normal"
            ><b class="inline-block w-6">{h.number}</b>{quantity(h.diameter, 'drill')} {h.for}, {h.title}</th
          >
          <td class="whitespace-nowrap">{quantity(h.x, 'mark')}</td>
          <td class="whitespace-nowrap">{quantity(h.y, 'mark')}</td>
        </tr>
      {/each}
      {#each template.folds as b, i (i)}
        <tr class="border-rule border-t border-dotted">
          <th class="py-0.5 text-left font-normal"
            >bend{template.folds.length > 1 ? ` ${b.turn}` : ''}
            {quantity(b.angle, 'angle')}, inside radius {quantity(b.radius, 'length')}</th
          >
          <td>{b.along ? 'along it' : quantity(b.from[0]!, 'mark')}</td>
          <td>{b.along ? quantity(b.from[1]!, 'mark') : 'across it'}</td>
        </tr>
      {/each}
    </tbody>
  </table>
  {#each template.faults as f (f)}<p class="word-lets-go font-semibold" role="alert">{f}</p>{/each}
</figure>
