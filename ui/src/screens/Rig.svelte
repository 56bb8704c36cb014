<script lang="ts">
  import Drawer from '../rig/Drawer.svelte';
  import LetGoStrip from '../rig/LetGoStrip.svelte';
  import SpeedTape from '../rig/SpeedTape.svelte';
  import Spine from '../rig/Spine.svelte';
  import VerdictHeadline from '../rig/VerdictHeadline.svelte';
  import { getSession } from '../state/session.svelte';

  const session = getSession();
  /** Comes after the rest: it is most of the script. */
  const scene = import('../rig/Scene.svelte');
</script>

<main
  class="grid min-h-0 grid-cols-[270px_minmax(0,1fr)_320px] max-[1100px]:grid-cols-[250px_minmax(0,1fr)] max-[1100px]:grid-rows-[minmax(340px,1.3fr)_minmax(0,1fr)] compact:flex compact:flex-col"
  class:unanswered={session.unanswered}
>
  <h1 class="sr-only">{session.doc.name}</h1>
  <Spine />
  <div class="relative min-w-0 max-[1100px]:flex max-[1100px]:flex-col compact:order-first">
    <div
      class="absolute inset-0 max-[1100px]:relative max-[1100px]:min-h-0 max-[1100px]:flex-1 compact:relative compact:h-[26rem] compact:flex-none short:h-[max(15rem,80vh)]"
    >
      {#await scene}
        <p class="text-quiet absolute inset-0 grid place-items-center" aria-busy="true">Rolling it out …</p>
      {:then module}
        <module.default />
      {/await}
      <VerdictHeadline short={session.lensLarge} />
    </div>
    <LetGoStrip />
  </div>
  <Drawer />
</main>
<SpeedTape />
