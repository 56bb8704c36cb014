<script lang="ts">
  import Header from '../parts/Header.svelte';
  import Notices from '../parts/Notices.svelte';
  import Prove from '../screens/Prove.svelte';
  import Run from '../screens/Run.svelte';
  import { setAtHand } from '../state/athand';
  import { RideAlong } from '../state/ridealong.svelte';

  let { id, name, screen }: { id: string; name: string; screen: 'prove' | 'run' } = $props();
  // Keyed by its id: another rig is another page.
  // svelte-ignore state_referenced_locally
  const ride = new RideAlong(id, name);
  setAtHand(ride);
  void ride.load();
</script>

<svelte:document onvisibilitychange={() => !document.hidden && ride.again()} />

<div class="grid h-full grid-rows-[minmax(46px,auto)_1fr_auto] compact:h-auto compact:min-h-full">
  <Header>
    {#snippet title()}<span class="truncate font-bold">{name}</span>{/snippet}
    {#snippet tools()}
      <nav class="mr-3 flex gap-0.5 compact:mr-0" aria-label="Screens of this rig">
        {#each [['prove', 'Prove'], ['run', 'Run']] as const as [s, label] (s)}
          <a
            href="#/rig/{id}/{s}"
            class="rounded-sm px-3 py-1 {screen === s ? 'bg-base-content text-base-100 font-bold' : ''}"
            aria-current={screen === s ? 'page' : undefined}>{label}</a
          >
        {/each}
      </nav>
    {/snippet}
  </Header>
  {#if ride.card}
    {#if screen === 'prove'}<Prove />{:else}<Run />{/if}
  {:else}
    <main class="row-span-2 grid place-items-center" aria-busy={!ride.problem}>
      {#if ride.problem}
        <div class="max-w-md px-4 text-center" role="alert">
          <p>{ride.problem}</p>
          <p class="mt-3">
            <button class="btn btn-primary h-12" onclick={() => ride.load()}>Try again</button>
            <a class="btn h-12" href="/pair">Pair again</a>
          </p>
        </div>
      {:else}<p class="text-quiet">Fetching the rig …</p>{/if}
    </main>
  {/if}
</div>

<Notices />
