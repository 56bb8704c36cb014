<script lang="ts">
  import NotTried from '../parts/NotTried.svelte';
  import Waiting from '../parts/Waiting.svelte';
  import { api, ask, type Schemas } from '../api/client';
  import { Late } from '../state/late.svelte';
  import { withShelf } from '../state/shelf.svelte';
  import { getSession } from '../state/session.svelte';
  import GoalSeek from '../rig/GoalSeek.svelte';
  import { sharpWords } from './words';

  /** Changes tried for the picture, with the three numbers of each. */
  const session = getSession();
  let { numbers }: { numbers: readonly Schemas['PictureNumber'][] } = $props();
  const late = new Late<Schemas['ShakeChange'][]>();
  const digits = (v: number) => (v >= 9.95 ? v.toFixed(0) : v.toFixed(1));

  $effect(() => {
    const doc = session.doc;
    return late.ask(doc, 500, (signal) => ask(api.POST('/api/shake/advice', { body: withShelf(doc), signal })));
  });
</script>

<h3>What to change for the picture</h3>
<p class="text-quiet text-xs">Each tried on this rig. Click to take it.</p>
{#if late.problem}
  <p class="text-lets-go text-sm" role="alert">{late.problem}</p>
{:else if !late.value}
  <Waiting text="Trying changes" />
{:else}
  <table class="mt-1 w-full text-sm" class:stale={late.of !== session.doc}>
    <thead>
      <tr class="text-quiet text-xs">
        <th class="text-left font-normal">Change, in pixels</th>
        {#each numbers as n (n.id)}<th class="w-13 text-right font-normal">{n.id}</th>{/each}
      </tr>
      <tr class="text-quiet text-xs">
        <th class="text-left font-normal">now</th>
        {#each numbers as n (n.id)}<th class="text-right font-semibold">{digits(n.pixels)}</th>{/each}
      </tr>
    </thead>
    <tbody>
      {#each late.value as c (c.id)}
        <tr class="border-rule border-t border-dotted align-top">
          <td class="py-1">
            <button
              class="min-h-6 text-left leading-tight font-semibold hover:underline"
              data-shake-change={c.id}
              disabled={late.of !== session.doc}
              onclick={() => session.take('shake:' + c.id, c.document)}>{c.title}</button
            >
            <span class="block text-xs word-{sharpWords[c.word].state}">{sharpWords[c.word].word.toLowerCase()}</span>
          </td>
          <td class="py-1 text-right">{digits(c.shake)}</td>
          <td class="py-1 text-right">{digits(c.smear)}</td>
          <td class="py-1 text-right">{digits(c.wobble)}</td>
        </tr>
      {:else}
        <tr><td colspan="4" class="text-quiet">No single change helps the picture.</td></tr>
      {/each}
    </tbody>
  </table>
  <NotTried of={late.value} />
  <GoalSeek />
{/if}
