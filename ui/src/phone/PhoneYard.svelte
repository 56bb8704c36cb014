<script lang="ts">
  import { onMount } from 'svelte';
  import Header from '../parts/Header.svelte';
  import { door } from '../state/door.svelte';
  import { offline } from './offline.svelte';
  import PhoneRigCard from './PhoneRigCard.svelte';

  let phone = $derived(door.phone!);
  // Chosen at the computer meanwhile, or taken away.
  onMount(() => void door.load().catch(() => {}));
</script>

<svelte:document onvisibilitychange={() => !document.hidden && void door.load().catch(() => {})} />

<div class="min-h-full">
  <Header>
    {#snippet title()}<h1 class="text-base font-bold">{phone.name}</h1>{/snippet}
  </Header>
  <main class="px-3.5 py-3">
    {#if phone.rigs.length}
      <ul class="grid gap-3 sm:grid-cols-2" aria-label="Rigs">
        {#each phone.rigs as rig (rig.id)}<PhoneRigCard {rig} />{/each}
      </ul>
    {:else}
      <p class="border-accent border-l-4 pl-3 text-base">
        No rig is left that this phone was paired for. Choose one at the computer, under its Run, and
        <a class="underline" href="/pair">pair again</a>.
      </p>
    {/if}
    <p class="text-quiet mt-4 text-sm" data-kept={offline.kept}>
      Proves and runs these rigs. All else is done at the computer.
      {#if offline.kept}This page opens without the network; what is entered then is sent later.{:else}What is entered
        while the network is away is kept here and sent later, as long as this page stays open: without a certificate it
        does not open again until the network is back.{/if}
    </p>
  </main>
</div>
