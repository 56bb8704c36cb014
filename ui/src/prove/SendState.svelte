<script lang="ts">
  import type { Logbook } from '../state/logbook.svelte';

  /** Lines that the server does not have yet, and those it would not take. */
  let { book }: { book: Logbook } = $props();
</script>

{#if book.offline && book.waiting.length}
  <p class="bg-tight text-base-100 px-5 py-1 text-sm font-semibold" role="status" data-waiting={book.waiting.length}>
    Offline: {book.waiting.length}
    {book.waiting.length === 1 ? 'line is' : 'lines are'} kept on this device and sent when the server answers.
  </p>
{/if}
{#if book.shut}
  <p class="bg-tight text-base-100 px-5 py-1 text-sm font-semibold" role="alert" data-waiting={book.waiting.length}>
    {book.shut}
    {book.waiting.length}
    {book.waiting.length === 1 ? 'line is' : 'lines are'} kept on this device until then.
    <a class="underline" href="/pair">Pair it</a>
  </p>
{/if}
{#each book.refused as r (r.entry.key)}
  <p class="border-lets-go mx-5 mt-2 border-l-4 pl-3 text-sm" role="alert" data-refused>
    <b>Not taken:</b>
    {r.entry.sort}
    {r.entry.of}, {new Date(r.entry.at).toLocaleTimeString()}: {r.why}
    <button class="btn btn-xs" onclick={() => book.dismiss(r.entry.key)}>Put away</button>
  </p>
{/each}
