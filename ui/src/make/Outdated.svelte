<script lang="ts">
  import type { Schemas } from '../api/client';
  import { quantity } from '../parts/quantity';
  import { getSession } from '../state/session.svelte';

  /** A step that was done to other measures than are drawn now: made anew, or kept as it is. */
  interface Props {
    step: Schemas['PlanStep'];
    onanew: () => void;
    /** Says what it was made to, by the plan's name of each measure. */
    onkeep: (as: Record<string, number>) => void;
  }
  let { step, onanew, onkeep }: Props = $props();
  const session = getSession();
  let differs = $derived(step.madeAs.filter((m) => m.differs));

  /** What can be entered as built goes into the rig, so that its verdict is of what was made. */
  async function keep() {
    const kept = differs.filter((m) => m.made != null && step.built.some((r) => r.path === m.id));
    onkeep(Object.fromEntries(step.madeAs.map((m) => [m.id, kept.includes(m) ? m.made! : m.drawn])));
    for (const m of kept) await session.built(m.id, m.made!);
  }
</script>

<section class="border-accent mt-4 max-w-[34rem] border-l-4 pl-3" aria-label="Made as something else" data-outdated>
  {#if differs.length}
    <h3 class="word-tight text-base font-semibold">Drawn otherwise since it was made</h3>
    <dl class="mt-1 grid grid-cols-[minmax(0,1fr)_auto_auto] gap-x-4 text-sm">
      <dt class="text-quiet col-start-2 text-xs">made as</dt>
      <dd class="text-quiet text-xs">drawn now</dd>
      {#each differs as m (m.id)}
        <dt>{m.label}</dt>
        <dd class="text-right tabular-nums">{quantity(m.made!, m.dimension)}</dd>
        <dd class="text-right tabular-nums font-semibold">{quantity(m.drawn, m.dimension)}</dd>
      {/each}
    </dl>
    <p class="mt-2 flex gap-2">
      <button class="btn btn-sm border-rule" onclick={onanew} data-anew>Make it anew</button>
      <button class="btn btn-sm border-rule" onclick={keep} data-keep>Keep mine</button>
    </p>
  {:else}
    <h3 class="word-tight text-base font-semibold">Done before its measures were kept</h3>
    <p class="text-sm">Nothing says what it was made to. Measure it against the drawing.</p>
    <p class="mt-2 flex gap-2">
      <button class="btn btn-sm border-rule" onclick={onanew} data-anew>Make it anew</button>
      <button class="btn btn-sm border-rule" onclick={keep} data-keep>It is as drawn</button>
    </p>
  {/if}
</section>
