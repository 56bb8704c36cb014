<script lang="ts">
  import type { RigSession } from '../state/session.svelte';
  import Alternatives from './Alternatives.svelte';

  let { session }: { session: RigSession } = $props();

  function tether() {
    session.setPath('tether', { stock: 'wire-3', slack: 0.15, to: { anchor: 'bonnet-edge-left', t: 0.3 } });
    session.selected = 'tether';
  }
</script>

<h2 class="text-lg">Add to the rig</h2>
<p class="text-quiet mt-0.5 text-sm">Take one, then drag its foot or its end along the car.</p>
<Alternatives {session} station="braces" title="Braces" />
<Alternatives {session} station="straps" title="Straps" />
{#if !session.doc.tether}
  <h3 class="text-quiet mt-4 text-xs font-normal">Tether</h3>
  <button class="btn btn-sm border-rule mt-1" onclick={tether}>Tether the camera to the car</button>
{/if}
