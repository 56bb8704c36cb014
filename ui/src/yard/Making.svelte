<script lang="ts">
  import type { Schemas } from '../api/client';
  import { clock } from '../make/words';
  import { fill } from '../parts/quantity';

  /** How far a rig is built, the next step of it, and what cures. */
  let { making }: { making: Schemas['CardMaking'] } = $props();
  let now = $state.raw(Date.now());
  $effect(() => {
    const timer = setInterval(() => (now = Date.now()), 60_000);
    return () => clearInterval(timer);
  });
  let curing = $derived(making.cures.filter((c) => Date.parse(c.ready) > now));
</script>

<div class="mt-1.5 text-sm" data-making>
  <p class="flex items-center gap-2">
    <progress class="progress h-1.5 w-24" value={making.done} max={making.steps} aria-label="Steps done"></progress>
    <span>{making.done} of {making.steps} steps done</span>
  </p>
  {#if making.next}<p>next: {fill(making.next)}</p>{/if}
  {#each curing as c (c.title)}
    <p class="word-tight font-semibold">{fill(c.title)}: cures until {clock(new Date(c.ready))}</p>
  {/each}
</div>
