<script lang="ts">
  import type { Schemas } from '../api/client';
  import { quantity } from '../parts/quantity';
  import TakenNote from '../rig/TakenNote.svelte';
  import { getSession } from '../state/session.svelte';
  import ReadingField from './ReadingField.svelte';

  /** What came out at a step, beside what was drawn. */
  interface Props {
    step: Schemas['PlanStep'];
  }
  let { step }: Props = $props();
  const session = getSession();
  let open = $derived(step.built.filter((r) => r.value == null && r.planned != null));

  /** What nobody read off otherwise came out as it was drawn. */
  async function asDrawn() {
    for (const r of open) await session.built(r.path, r.planned!);
  }
</script>

<section class="mt-4 max-w-[34rem]" aria-label="As it came out" data-built>
  <h3 class="text-quiet flex items-baseline justify-between text-xs font-normal">
    As it came out
    {#if open.length}
      <button class="btn btn-xs border-rule" onclick={asDrawn} data-as-drawn>
        {open.length === 1 ? 'As drawn' : `All ${open.length} as drawn`}
      </button>
    {/if}
  </h3>
  {#each step.built as r (r.path)}
    <ReadingField
      asked={r}
      nothing={r.planned ? `${quantity(r.planned, r.dimension)} drawn` : 'as drawn'}
      onchange={(v, where) => session.built(where, v)}
    />
    {#if r.value != null}
      <p class="text-quiet mt-1 text-xs" data-drawn>
        {quantity(r.planned ?? 0, r.dimension)} on the drawing
      </p>
      <TakenNote
        taken={session.doc.measured?.[r.place ?? r.path] ?? null}
        onsaid={(said) => session.taken(r.place ?? r.path, said)}
      />
    {/if}
  {/each}
</section>
