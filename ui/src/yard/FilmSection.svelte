<script lang="ts">
  import type { Film } from '../api/client';
  import type { Binned } from './binned';
  import RigCard from './RigCard.svelte';
  import UnreadableCard from './UnreadableCard.svelte';

  interface Props {
    film: Film;
    binned: Binned | null;
    onadd: () => void;
    onduplicate: (id: string) => void;
    onremove: (rig: Omit<Binned, 'index'>, index: number) => void;
    onbringback: () => void;
    onleave: () => void;
  }
  let { film, binned, onadd, onduplicate, onremove, onbringback, onleave }: Props = $props();
  let back = $state<HTMLButtonElement>();

  // Whoever binned it by key has the focus where it was.
  $effect(() => back?.focus());
</script>

{#snippet gone()}
  <li class="border-rule bg-base-200 grid content-center rounded-md border border-dashed p-4 text-center" role="status">
    <p>“{binned!.name}” is in the bin.</p>
    <p class="mt-2 flex justify-center gap-1">
      <button class="btn btn-sm btn-primary" bind:this={back} onclick={onbringback}>Bring it back</button>
      <button class="btn btn-sm btn-ghost" onclick={onleave}>Leave it there</button>
    </p>
  </li>
{/snippet}

<section class="mb-8" aria-label={film.name}>
  <div class="border-base-content mb-3 flex items-baseline gap-3 border-b-2 pb-1">
    <h2 class="text-lg">{film.name}</h2>
    <span class="text-quiet text-sm">
      {film.rigs.length}
      {film.rigs.length === 1 ? 'rig' : 'rigs'}{film.demo ? ' · made up, to look round in' : ''}
    </span>
    <button class="btn btn-xs btn-ghost ml-auto" onclick={onadd}>
      Add a rig here<span class="sr-only">: {film.name}</span>
    </button>
  </div>
  <ul class="grid grid-cols-1 gap-4 sm:grid-cols-2 lg:grid-cols-3">
    {#each film.rigs as rig, i (rig.id)}
      {#if binned?.index === i}{@render gone()}{/if}
      <RigCard {rig} {onduplicate} onremove={() => onremove(rig, i)} />
    {/each}
    {#if binned && binned.index >= film.rigs.length}{@render gone()}{/if}
    {#each film.unreadable as rig (rig.id)}
      <UnreadableCard {rig} onremove={() => onremove({ ...rig, filmId: film.id }, film.rigs.length)} />
    {/each}
    {#if film.rigs.length + film.unreadable.length === 0 && !binned}
      <li class="text-quiet text-sm">No rigs in it yet.</li>
    {/if}
  </ul>
</section>
