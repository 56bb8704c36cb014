<script lang="ts">
  import NotTried from '../parts/NotTried.svelte';
  import { api, ask, type Change } from '../api/client';
  import { Late } from '../state/late.svelte';
  import { withShelf } from '../state/shelf.svelte';
  import { getSession } from '../state/session.svelte';
  import Waiting from '../parts/Waiting.svelte';
  import ChangeRow from './ChangeRow.svelte';

  interface Props {
    station: string;
    title?: string;
    /** What may be used instead of something refused: only that, and first. */
    lead?: boolean;
  }
  const session = getSession();
  let { station, title = 'Instead', lead = false }: Props = $props();
  const late = new Late<Change[]>();
  let shownFor = '';

  $effect(() => {
    const [doc, at] = [session.doc, station];
    // Another station's list never stands under this one's heading.
    if (at !== shownFor) late.clear();
    shownFor = at;
    return late.ask(doc, 350, (signal) =>
      ask(api.POST('/api/alternatives', { body: { document: withShelf(doc), station: at }, signal })),
    );
  });
</script>

<section class={lead ? 'mt-2' : 'mt-4'} aria-label={title}>
  <h3 class="text-quiet flex justify-between text-xs font-normal">
    <span>{title}, each computed; click to take it</span><span>limit speed</span>
  </h3>
  {#if late.problem}
    <p class="text-lets-go text-sm">{late.problem}</p>
  {:else if !late.value}
    <Waiting text="Trying the others" />
  {:else}
    <ul>
      {#each lead ? late.value.filter((c) => c.why !== 'refused' && c.why !== 'moves') : late.value as c (c.id)}<ChangeRow
          change={c}
          stale={late.of !== session.doc}
        />{:else}<li class="text-quiet text-sm">Nothing else fits here.</li>{/each}
    </ul>
    <NotTried of={late.value} />
  {/if}
</section>
