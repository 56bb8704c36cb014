<script lang="ts">
  import { getSession } from '../state/session.svelte';
  import Alternatives from './Alternatives.svelte';
  import OneStrap from './OneStrap.svelte';

  const session = getSession();
</script>

<h2 class="text-lg">Add to the rig</h2>
<p class="text-quiet mt-0.5 text-sm">Take one, then drag its foot or its end along the host.</p>
<Alternatives station="braces" title="Struts" />
<Alternatives station="straps" title="A pair of straps" />
<OneStrap />
<Alternatives station="isolator" title="Something soft" />
{#if session.doc.paths.length < 2}
  <Alternatives station="second" title="A second camera on the same base" />
{/if}
<Alternatives station="tether" title="Tethers" />
