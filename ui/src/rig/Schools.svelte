<script lang="ts">
  import NotTried from '../parts/NotTried.svelte';
  import Waiting from '../parts/Waiting.svelte';
  import { api, ask, type Schemas } from '../api/client';
  import { difference, limitText, quantity } from '../parts/quantity';
  import { changeText } from '../parts/verdict';
  import { Late } from '../state/late.svelte';
  import { withShelf } from '../state/shelf.svelte';
  import { getSession } from '../state/session.svelte';

  /** Where practitioners disagree: each answer computed on this rig, side by side. */
  const session = getSession();
  const late = new Late<Schemas['School'][]>();

  $effect(() => {
    const doc = session.doc;
    return late.ask(doc, 400, (signal) => ask(api.POST('/api/schools', { body: withShelf(doc), signal })));
  });
</script>

<h2 class="text-lg">Where builders disagree</h2>
<p class="text-quiet mt-0.5 text-sm">
  Each way tried on this rig, side by side. Click one to take it; undo takes it back.
</p>
{#if late.problem}
  <p class="text-lets-go text-sm" role="alert">{late.problem}</p>
{:else if !late.value}
  <Waiting text="Trying both ways" />
{:else}
  {#each late.value as s (s.id)}
    <section class="mt-4" class:stale={late.of !== session.doc} aria-label={s.question}>
      <h3>{s.question}</h3>
      <div class="mt-1 grid gap-1.5" style:grid-template-columns="repeat({s.sides.length}, minmax(0, 1fr))">
        {#each s.sides as side (side.title)}
          <button
            class="border-rule flex flex-col rounded-sm border p-1.5 text-left text-xs {side.now
              ? 'border-base-content border-2'
              : 'hover:bg-base-300/50'}"
            data-school="{s.id}.{side.title}"
            disabled={side.now || late.of !== session.doc}
            onclick={() => session.take('school:' + s.id, side.change.document)}
          >
            <b class="text-sm leading-tight">{side.title}</b>
            <span class="text-quiet mb-1 leading-tight">{side.says}</span>
            <span class="mt-auto">
              <b class="word-{side.change.verdict}">{changeText(side.change)}</b>
              <span class="block">limit {limitText(side.change.limitSpeed, session.doc.host)}</span>
              {#if side.change.firstFrequency}<span class="block"
                  >rocks at {quantity(side.change.firstFrequency, 'frequency')}</span
                >{/if}
              <span class="block">{difference(side.change.mass, 'mass')}, {difference(side.change.cost, 'money')}</span>
              {#if side.now}<span class="block font-semibold">as it is now</span>{/if}
            </span>
          </button>
        {/each}
      </div>
    </section>
  {:else}
    <p class="text-quiet mt-2 text-sm">Nothing to disagree about here.</p>
  {/each}
  <NotTried of={late.value} />
{/if}
