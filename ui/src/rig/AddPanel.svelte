<script lang="ts">
  import type { RigSession } from '../state/session.svelte';
  import Alternatives from './Alternatives.svelte';
  import OneStrap from './OneStrap.svelte';

  let { session }: { session: RigSession } = $props();

  /** A second, small camera under or beside the first, to be changed from there. */
  function second() {
    session.setPath('second', {
      reach: { kind: 'cross-bar', offset: -0.12, height: 0.02, section: 'square-al-20x2' },
      head: { kind: 'clip-head', stock: 'clip-steel' },
      camera: { body: 'action', lens: 'built-in-wide', pan: 0, tilt: 0 },
      where: 'on-top',
    });
    session.select('camera-2');
  }
</script>

<h2 class="text-lg">Add to the rig</h2>
<p class="text-quiet mt-0.5 text-sm">Take one, then drag its foot or its end along the host.</p>
<Alternatives {session} station="braces" title="Struts" />
<Alternatives {session} station="straps" title="A pair of straps" />
<OneStrap {session} />
<Alternatives {session} station="isolator" title="Something soft" />
{#if !session.doc.second}
  <h3 class="text-quiet mt-4 text-xs font-normal">Second camera</h3>
  <button class="btn btn-sm border-rule mt-1" onclick={second}>A second camera on the same base</button>
{/if}
<Alternatives {session} station="tether" title="Tethers" />
