<script lang="ts">
  import type { RigSession } from '../state/session.svelte';
  import Alternatives from './Alternatives.svelte';
  import OneStrap from './OneStrap.svelte';

  let { session }: { session: RigSession } = $props();
</script>

<h2 class="text-lg">Add to the rig</h2>
<p class="text-quiet mt-0.5 text-sm">Take one, then drag its foot or its end along the host.</p>
<Alternatives {session} station="braces" title="Struts" />
<Alternatives {session} station="straps" title="A pair of straps" />
<OneStrap {session} />
<Alternatives {session} station="isolator" title="Something soft" />
{#if !session.doc.second}
  <Alternatives {session} station="second" title="A second camera on the same base" />
{/if}
<Alternatives {session} station="tether" title="Tethers" />
