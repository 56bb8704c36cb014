<script lang="ts">
  import { ApiError } from './api/client';
  import RigScreens from './screens/RigScreens.svelte';
  import { routeOf, shelfOf } from './screens/table';
  import Shelf from './screens/Shelf.svelte';
  import Yard from './screens/Yard.svelte';
  import PhoneScreens from './phone/PhoneScreens.svelte';
  import { catalogue } from './state/catalogue.svelte';
  import { door } from './state/door.svelte';

  let hash = $state(location.hash);
  let ready = $state(false);
  let problem = $state('');

  async function load() {
    problem = '';
    try {
      await door.load();
      await catalogue.load();
      ready = true;
    } catch (e) {
      problem = e instanceof ApiError ? e.message : 'The server sent something that cannot be read.';
      setTimeout(load, 3000);
    }
  }
  void load();

  let route = $derived(routeOf(hash));
  let onShelf = $derived(shelfOf(hash));
</script>

<svelte:window onhashchange={() => (hash = location.hash)} />

{#if ready}
  {#if door.phone}
    <PhoneScreens {hash} />
  {:else if route}
    {#key route.rig}<RigScreens id={route.rig} view={route.screen} />{/key}
  {:else if onShelf}
    <Shelf list={onShelf.list} row={onShelf.row} />
  {:else}
    <Yard />
  {/if}
{:else}
  <main class="grid h-full place-items-center">
    {#if problem}
      <div class="max-w-md text-center" role="alert">
        <h1 class="text-xl">The server does not answer</h1>
        <p class="text-quiet mt-1">Start it with <code>./ochema run</code>. This page tries again by itself.</p>
      </div>
    {:else}
      <p class="text-quiet" aria-busy="true">Opening Ochema …</p>
    {/if}
  </main>
{/if}
