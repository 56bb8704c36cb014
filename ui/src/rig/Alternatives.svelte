<script lang="ts">
  import { api, ApiError, ask, type Change, type RigDocument } from '../api/client';
  import type { RigSession } from '../state/session.svelte';
  import ChangeRow from './ChangeRow.svelte';

  interface Props {
    session: RigSession;
    station: string;
    title?: string;
    /** What may be used instead of something refused: only that, and first. */
    lead?: boolean;
  }
  let { session, station, title = 'Instead', lead = false }: Props = $props();
  let changes = $state.raw<Change[] | null>(null);
  let basis = $state.raw<RigDocument | null>(null);
  let problem = $state('');

  let shownFor = '';

  $effect(() => {
    const [document, at] = [session.doc, station];
    // Another station's list never stands under this one's heading.
    if (at !== shownFor) [changes, shownFor] = [null, at];
    const stop = new AbortController();
    const timer = setTimeout(async () => {
      try {
        const answer = await ask(
          api.POST('/api/alternatives', { body: { document, station: at }, signal: stop.signal }),
        );
        if (document === session.doc && at === station) [changes, basis, problem] = [answer, document, ''];
      } catch (e) {
        if (!stop.signal.aborted) problem = e instanceof ApiError ? e.message : 'These could not be computed.';
      }
    }, 350);
    return () => (clearTimeout(timer), stop.abort());
  });
</script>

<section class={lead ? 'mt-2' : 'mt-4'} aria-label={title}>
  <h3 class="text-quiet flex justify-between text-xs font-normal">
    <span>{title}, each computed; click to take it</span><span>limit speed</span>
  </h3>
  {#if problem}
    <p class="text-lets-go text-sm">{problem}</p>
  {:else if !changes}
    <p class="text-quiet text-sm" aria-busy="true">Trying the others …</p>
  {:else}
    <ul>
      {#each lead ? changes.filter((c) => c.why !== 'refused' && c.why !== 'moves') : changes as c (c.id)}<ChangeRow
          {session}
          change={c}
          stale={basis !== session.doc}
        />{:else}<li class="text-quiet text-sm">Nothing else fits here.</li>{/each}
    </ul>
  {/if}
</section>
