<script lang="ts">
  import { fill, percent } from '../parts/quantity';
  import { INTACT } from '../state/looking.svelte';
  import { getSession } from '../state/session.svelte';

  /** Says, while the screen shows the rig with something gone, what of the drawer is of that and what stays of the whole rig. */
  const session = getSession();
  let shown = $derived(session.shown!);
  let row = $derived(session.report!.stations.find((s) => s.id === session.selected));
</script>

{#if shown.kind !== 'intact'}
  <p class="border-tight mb-2 border-l-3 pl-2 text-sm" data-other-case>
    <b>{fill(shown.title)}:</b>
    {#if !row}shown in the path, the scene and the speeds.
    {:else if shown.gone.includes(row?.name ?? '')}this is gone.
    {:else if session.report!.shape.uses[session.selected] != null}this row uses <b
        >{percent(session.report!.shape.uses[session.selected]!)}</b
      >.
    {:else}this row carries nothing.{/if}
    All else in this drawer, changes and workings too, is of the whole rig.
    <button class="min-h-6 font-semibold underline" onclick={() => (session.letGo = INTACT)}>Back to it</button>
  </p>
{/if}
