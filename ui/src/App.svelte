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
  /** This phone is let in no more. */
  let shut = $state(false);

  async function load() {
    problem = '';
    try {
      await door.load();
      await catalogue.load();
      ready = true;
    } catch (e) {
      problem = e instanceof ApiError ? e.message : 'The server sent something that cannot be read.';
      shut = e instanceof ApiError && e.shut;
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
        {#if shut}
          <h1 class="text-xl">This phone is not let in</h1>
          <p class="text-quiet mt-1">{problem} What it has not sent yet is kept on it until then.</p>
          <p class="mt-3"><a class="btn btn-primary h-12" href="/pair">Pair it</a></p>
        {:else}
          <h1 class="text-xl">The server does not answer</h1>
          <p class="text-quiet mt-1">Start it with <code>./ochema run</code>. This page tries again by itself.</p>
        {/if}
      </div>
    {:else}
      <p class="text-quiet" aria-busy="true">Opening Ochema …</p>
    {/if}
  </main>
{/if}
