<script lang="ts">
  import NotTried from '../parts/NotTried.svelte';
  import Waiting from '../parts/Waiting.svelte';
  import { api, ask, type Schemas } from '../api/client';
  import { percent, quantity } from '../parts/quantity';
  import { Late } from '../state/late.svelte';
  import { withShelf } from '../state/shelf.svelte';
  import { getSession } from '../state/session.svelte';

  /** How high, how far, how heavy, on how few holds: worked out when asked, for the margin chosen. */
  const session = getSession();
  let open = $state(false);
  let atMost = $state(0.8);
  const late = new Late<Schemas['InverseAnswer'][]>();
  const id = $props.id();

  $effect(() => {
    if (!open) return;
    const [doc, share] = [session.doc, atMost];
    return late.ask(doc, 350, (signal) =>
      ask(api.POST('/api/inverse', { body: { document: withShelf(doc), atMost: share }, signal })),
    );
  });
</script>

<details class="mt-4" bind:open data-inverse>
  <summary class="min-h-6 cursor-pointer py-0.5 font-semibold">How much would still hold?</summary>
  <label class="mt-1 flex items-center justify-between gap-2 text-sm" for={id}>
    <span>Use at the design speed at most</span>
    <select {id} class="select select-sm border-rule bg-base-100 w-40" bind:value={atMost}>
      <option value={1}>100 %, to the limit</option>
      <option value={0.8}>80 %, it holds</option>
      <option value={0.5}>50 %, twice over</option>
      <option value={0.33}>33 %, three times</option>
    </select>
  </label>
  {#if open}
    {#if late.problem}
      <p class="text-lets-go text-sm">{late.problem}</p>
    {:else if !late.value}
      <Waiting text="Trying sizes" />
    {:else}
      <ul class="text-sm">
        {#each late.value as a (a.id)}
          <li class="border-rule border-b border-dotted">
            <button
              class="hover:bg-base-300/50 grid w-full grid-cols-[1fr_auto] items-baseline gap-x-3 py-1 text-left"
              data-answer={a.id}
              disabled={!a.document || late.of !== session.doc}
              onclick={() => a.document && session.take(a.id, a.document)}
            >
              <span class="font-semibold">{a.title}</span>
              <b class="text-right tabular-nums">{a.value == null ? 'none' : quantity(a.value, a.dimension)}</b>
              <span class="text-quiet col-span-2 text-xs">
                {#if a.value == null}even the least: {a.by}
                {:else}now {quantity(a.now, a.dimension)}; {percent(a.use)} used{a.by
                    ? `, then ${a.by.charAt(0).toLowerCase()}${a.by.slice(1)}`
                    : ', as far as it goes'}{/if}
              </span>
            </button>
          </li>
        {/each}
      </ul>
      <NotTried of={late.value} />
      <p class="text-quiet mt-0.5 text-xs">
        Of the loads alone; click to take one, then look at the picture and at what lets go.
      </p>
    {/if}
  {/if}
</details>
