<script lang="ts">
  import type { Schemas } from '../api/client';
  import { fill, price, quantity } from '../parts/quantity';

  /** Bars to scale with the pieces that are cut from them, longest first; the squared end is on the left. */
  interface Props {
    group: Schemas['CutGroup'];
    parts: readonly Schemas['PartLine'][];
    /** Pieces to be marked: those of the step that is shown. */
    marked?: readonly string[];
  }
  let { group, parts, marked = [] }: Props = $props();

  const WIDTH = 640;
  const id = $props.id();
  let longest = $derived(
    Math.max(1, ...(group.plan.bars ?? []).map((b) => group.stock.find((s) => s.id === b.stock)!.length)),
  );
  let scale = $derived(WIDTH / longest);
  const nameOf = (piece: string) => fill(parts.find((p) => p.id === piece)?.name ?? piece);
  const lengthOf = (piece: string) => group.pieces.find((p) => p.id === piece)?.length ?? 0;

  let bars = $derived(
    (group.plan.bars ?? []).map((bar) => {
      const length = group.stock.find((s) => s.id === bar.stock)?.length ?? 0;
      let at = group.squaring;
      const pieces = bar.pieces.map((p) => {
        const from = at;
        at += lengthOf(p) + group.kerf;
        return { id: p, from, length: lengthOf(p) };
      });
      return { length, pieces, offcut: bar.offcut };
    }),
  );
</script>

<figure class="min-w-0">
  <figcaption class="flex flex-wrap justify-between gap-x-4">
    <b>{fill(group.name)}</b>
    {#if group.plan.bars}
      <span class="text-quiet text-sm"
        >{bars.length === 1 ? 'one bar' : `${bars.length} bars`}, {price(group.plan.cost!)}{group.plan.optimal
          ? ': no plan costs less'
          : `; no plan costs less than ${price(group.plan.bound!)}`}</span
      >
    {/if}
  </figcaption>
  {#if group.plan.finding}
    <p class="word-lets-go font-semibold" role="alert">It cannot be cut: {fill(group.plan.finding)}</p>
  {/if}
  {#each bars as bar, n (n)}
    <svg
      viewBox="-1 0 {WIDTH + 2} 62"
      class="mt-1 block w-full max-w-[44rem]"
      role="img"
      aria-label="Bar of {quantity(bar.length, 'length')}: {bar.pieces
        .map((p) => quantity(p.length, 'length'))
        .join(', ')}; {quantity(bar.offcut, 'length')} left"
    >
      <defs>
        <pattern id="{id}-off-{n}" width="6" height="6" patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
          <line y2="6" class="stroke-rule" stroke-width="2" />
        </pattern>
      </defs>
      <rect x="0" y="6" width={bar.length * scale} height="24" fill="url(#{id}-off-{n})" class="stroke-rule" />
      {#each bar.pieces as p, i (i)}
        <rect
          x={p.from * scale}
          y="6"
          width={Math.max(1, p.length * scale)}
          height="24"
          class="stroke-base-content {marked.includes(p.id) ? 'fill-accent/40' : 'fill-base-100'}"
        />
        {#if p.length * scale > 46}
          <text x={(p.from + p.length / 2) * scale} y="22.5" text-anchor="middle" class="fill-base-content text-xs"
            >{quantity(p.length, 'length')}</text
          >
        {/if}
      {/each}
      <text x="0" y="46" class="fill-quiet text-xs"
        >{quantity(bar.length, 'length')} bar: {quantity(group.squaring, 'length')} off to square this end{bar.offcut >
        0.001
          ? `; ${quantity(bar.offcut, 'length')} left`
          : ''}</text
      >
    </svg>
  {/each}
  {#if group.plan.bars}
    <ul class="text-sm">
      {#each group.pieces as p (p.id)}
        <li class="flex max-w-[44rem] justify-between gap-3">
          <span>{p.count > 1 ? `${p.count} × ` : ''}{nameOf(p.id)}</span><b class="whitespace-nowrap"
            >{quantity(p.length, 'length')}</b
          >
        </li>
      {/each}
    </ul>
  {/if}
</figure>
