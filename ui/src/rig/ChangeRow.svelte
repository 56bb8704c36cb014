<script lang="ts">
  import type { Change } from '../api/client';
  import { capital, difference, fill, limitText, quantity } from '../parts/quantity';
  import { changeText } from '../parts/verdict';
  import { getSession } from '../state/session.svelte';

  const session = getSession();
  /** Stale: computed for a document that has changed since; it would undo that change. */
  let { change, stale = false }: { change: Change; stale?: boolean } = $props();

  const list = (sentences: string[]) => sentences.map((s) => fill(s)).join('; ');
  const gains = $derived(change.gains ?? []);
  const trades = $derived(change.trades ?? []);
</script>

<li class="border-rule border-b border-dotted">
  <button
    class="hover:bg-base-300/50 grid w-full grid-cols-[1fr_auto] items-baseline gap-x-3 py-1 text-left"
    data-change={change.id}
    disabled={stale}
    onclick={() => session.take(change.id, change.document)}
  >
    <span class="font-semibold">{fill(change.title)}</span>
    <b class="word-{change.verdict} text-right">
      {limitText(change.limitSpeed, session.doc.host)}
    </b>
    {#if change.verdict !== 'holds'}<span class="col-span-2 text-xs font-semibold word-{change.verdict}"
        >{capital(changeText(change))}</span
      >{/if}
    {#if gains.length || trades.length}
      {#if gains.length}<span class="col-span-2 text-xs" data-gains><b>+</b> {list(gains)}</span>{/if}
      {#if trades.length}<span class="text-quiet col-span-2 text-xs" data-trades><b>−</b> {list(trades)}</span>{/if}
    {:else}
      <span class="text-quiet text-xs">
        {changeText(change)}{change.firstFrequency ? ` · rocks at ${quantity(change.firstFrequency, 'frequency')}` : ''}
      </span>
      <span class="text-quiet text-right text-xs whitespace-nowrap"
        >{difference(change.mass, 'mass')} · {difference(change.cost, 'money')}</span
      >
    {/if}
    {#if change.because}<span class="text-quiet col-span-2 text-xs">{fill(change.because)}</span>{/if}
  </button>
</li>
