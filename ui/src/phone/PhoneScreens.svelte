<script lang="ts">
  import { onMount } from 'svelte';
  import { routeOf } from '../screens/table';
  import { door } from '../state/door.svelte';
  import { offline } from './offline.svelte';
  import PhoneRig from './PhoneRig.svelte';
  import PhoneYard from './PhoneYard.svelte';

  onMount(() => void offline.keep());
  let { hash }: { hash: string } = $props();
  let route = $derived(routeOf(hash));
  let rig = $derived(door.phone!.rigs.find((r) => r.id === route?.rig));
</script>

{#if rig && route}
  {#key rig.id}<PhoneRig id={rig.id} name={rig.name} screen={route.screen === 'prove' ? 'prove' : 'run'} />{/key}
{:else}
  <PhoneYard />
{/if}
