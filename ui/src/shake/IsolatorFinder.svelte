<script lang="ts">
  import { api, ApiError, ask, type RigDocument, type Schemas } from '../api/client';
  import { percent } from '../parts/quantity';
  import { withShelf } from '../state/shelf.svelte';
  import { getSession } from '../state/session.svelte';
  import { sharpWords } from './words';

  /** Tries the catalogue's soft mounts on this rig; those that bottom or let go are left out. */
  const session = getSession();
  let found = $state.raw<Schemas['IsolatorChoice'][] | null>(null);
  let basis = $state.raw<RigDocument | null>(null);
  let busy = $state(false);
  let problem = $state('');
  let stop: AbortController | undefined;
  const digits = (v: number) => (v >= 9.95 ? v.toFixed(0) : v.toFixed(1));

  async function search() {
    [busy, problem] = [true, ''];
    stop = new AbortController();
    const document = session.doc;
    try {
      found = await ask(api.POST('/api/shake/isolators', { body: withShelf(document), signal: stop.signal }));
      basis = document;
    } catch (e) {
      if (!stop.signal.aborted) problem = e instanceof ApiError ? e.message : 'The search did not work.';
    }
    busy = false;
  }
</script>

<div class="mt-1 flex gap-1">
  <button class="btn btn-xs border-rule bg-base-100" disabled={busy} onclick={search}
    >{busy ? 'Trying mounts and springs …' : 'Find a soft mount'}</button
  >
  {#if busy}<button class="btn btn-xs btn-ghost" onclick={() => stop?.abort()}>Stop</button>{/if}
</div>
{#if problem}<p class="text-lets-go text-sm" role="alert">{problem}</p>{/if}
{#if found}
  <ul class="mt-1 text-sm" data-isolators>
    {#each found as c (c.id)}
      <li class="border-rule border-b border-dotted">
        <button
          class="hover:bg-base-300/50 w-full py-1 text-left"
          disabled={basis !== session.doc}
          onclick={() => session.change('isolator', c.document)}
        >
          <b>{c.title}</b>
          <span class="block text-xs">
            <b class="word-{sharpWords[c.word].state}">{sharpWords[c.word].word.toLowerCase()}</b>: {digits(c.shake)}, {digits(
              c.smear,
            )}, {digits(c.wobble)} px; {percent(c.travel)} of its travel
          </span>
        </button>
      </li>
    {:else}<li class="text-quiet">None holds this load within its travel on this road.</li>{/each}
  </ul>
{/if}
