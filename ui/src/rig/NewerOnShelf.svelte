<script lang="ts">
  import { newerOnShelf } from '../state/document';
  import { getSession } from '../state/session.svelte';
  import { shelf } from '../state/shelf.svelte';

  /** Own rows were measured again since this rig took them: nothing changes under a rig unasked. */
  const session = getSession();
  let newer = $derived(newerOnShelf(session.doc, shelf.own));
</script>

{#if newer.length}
  <p class="border-tight mb-3 border-l-3 pl-2 text-sm" data-newer>
    Your shelf has {newer.map((r) => `“${r.name}”`).join(', ')} with other numbers than this rig.
    <button class="btn btn-xs border-base-content mt-1" onclick={() => session.takeShelf()}>Take the shelf’s</button>
  </p>
{/if}
