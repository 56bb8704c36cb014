<script lang="ts">
  import NotTried from '../parts/NotTried.svelte';
  import { api, ask, type Schemas } from '../api/client';
  import { percent } from '../parts/quantity';
  import { Demand } from '../state/demand.svelte';
  import { withShelf } from '../state/shelf.svelte';
  import { getSession } from '../state/session.svelte';
  import { sharpWords } from './words';

  /** Tries the catalogue's soft mounts on this rig; those that bottom or let go are left out. */
  const session = getSession();
  const asked = new Demand<Schemas['IsolatorChoice'][]>();
  const found = $derived(asked.value);
  const digits = (v: number) => (v >= 9.95 ? v.toFixed(0) : v.toFixed(1));

  const search = () =>
    asked.ask(session.doc, (signal) => ask(api.POST('/api/shake/isolators', { body: withShelf(session.doc), signal })));
</script>

<div class="mt-1 flex gap-1">
  <button class="btn btn-xs border-rule bg-base-100" disabled={asked.busy} onclick={search}
    >{asked.busy ? 'Trying mounts and springs …' : 'Find a soft mount'}</button
  >
  {#if asked.busy}<button class="btn btn-xs btn-ghost" onclick={() => asked.stop()}>Stop</button>{/if}
</div>
{#if asked.problem}<p class="text-lets-go text-sm" role="alert">{asked.problem}</p>{/if}
{#if found}
  <ul class="mt-1 text-sm" data-isolators>
    {#each found as c (c.id)}
      <li class="border-rule border-b border-dotted">
        <button
          class="hover:bg-base-300/50 w-full py-1 text-left"
          disabled={asked.of !== session.doc}
          onclick={() => session.take('isolator', c.document)}
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
  <NotTried of={found} />
{/if}
