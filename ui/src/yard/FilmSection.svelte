<script lang="ts">
  import type { Film, RigSummary } from '../api/client';
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
    /** Takes the whole film away: of the demo only. */
    ontake?: () => void;
    /** Shown folded: its rigs are not. */
    folded: boolean;
    onfold: () => void;
    /** Rigs that are looked for; all where nothing is. */
    shown: (rig: RigSummary) => boolean;
  }
  let { film, binned, onadd, onduplicate, onremove, onbringback, onleave, ontake, folded, onfold, shown }: Props =
    $props();
  const id = $props.id();
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
  <div class="border-base-content mb-3 flex flex-wrap items-baseline gap-x-3 border-b-2 pb-1">
    <h2 class="text-lg">
      <button class="min-h-6 text-left hover:underline" aria-expanded={!folded} aria-controls={id} onclick={onfold}>
        <span aria-hidden="true" class="inline-block w-4">{folded ? '+' : '–'}</span>{film.name}
      </button>
    </h2>
    <span class="text-quiet text-sm">
      {film.rigs.length}
      {film.rigs.length === 1 ? 'rig' : 'rigs'}{film.demo ? ' · made up, to look round in' : ''}
    </span>
    {#if ontake}
      <button class="btn btn-xs btn-ghost ml-auto" onclick={ontake}
        >Take it away<span class="sr-only">: {film.name}</span></button
      >
    {/if}
    <button class="btn btn-xs btn-ghost {ontake ? '' : 'ml-auto'}" data-add={film.id} onclick={onadd}>
      Add a rig here<span class="sr-only">: {film.name}</span>
    </button>
  </div>
  <ul {id} class="grid grid-cols-1 gap-4 sm:grid-cols-2 lg:grid-cols-3" hidden={folded}>
    {#each film.rigs as rig, i (rig.id)}
      {#if binned?.index === i}{@render gone()}{/if}
      {#if shown(rig)}<RigCard {rig} {onduplicate} onremove={() => onremove(rig, i)} />{/if}
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
