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
</script>

<section class="mt-4 max-w-[34rem]" aria-label="As it came out" data-built>
  <h3 class="text-quiet text-xs font-normal">As it came out</h3>
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
      <TakenNote taken={session.doc.measured?.[r.path] ?? null} onsaid={(said) => session.taken(r.path, said)} />
    {/if}
  {/each}
</section>
