<script lang="ts">
  import type { Schemas } from '../api/client';
  import { quantity } from '../parts/quantity';
  import ReadField from '../prove/ReadField.svelte';

  interface Props {
    tick: Schemas['Tick'];
    next: boolean;
    ontick: (value: number | null, note: string) => void;
    onuntick: () => void;
  }
  let { tick, next, ontick, onuntick }: Props = $props();
  let value = $state<number | null>(null);
  let note = $state('');
  let done = $derived(!!tick.at);
  let time = $derived(
    tick.at ? new Date(tick.at).toLocaleTimeString(undefined, { hour: '2-digit', minute: '2-digit' }) : '',
  );

  function press() {
    if (done) return onuntick();
    if (tick.asks === 'gauge' && value === null) return;
    ontick(value, note.trim());
    value = null;
    note = '';
  }
</script>

<li class="border-rule border-b {next ? 'bg-tight/15' : ''}" data-tick={tick.id} data-done={done}>
  <button
    class="grid min-h-16 w-full grid-cols-[2.5rem_minmax(0,1fr)_auto] items-center gap-3 px-3.5 py-2 text-left"
    aria-pressed={done}
    disabled={!done && tick.asks === 'gauge' && value === null}
    onclick={press}
  >
    <svg width="36" height="36" viewBox="0 0 36 36" aria-hidden="true">
      <rect
        x="2"
        y="2"
        width="32"
        height="32"
        rx="5"
        class={done ? 'fill-holds stroke-holds' : 'stroke-base-content fill-none'}
        stroke-width="3"
      />
      {#if done}<path d="M9 18.5l6.5 7L28 11" class="stroke-base-100 fill-none" stroke-width="4" />{/if}
    </svg>
    <span class="min-w-0">
      <span class="block text-lg leading-snug {next ? 'font-bold' : ''}">{tick.title}</span>
      {#if tick.says}<span class="text-quiet block text-sm">{tick.says}</span>{/if}
    </span>
    <span class="text-quiet text-right text-sm leading-snug whitespace-nowrap">
      {#if done}
        {time}
        {#if tick.value != null}<span class="text-base-content block font-semibold"
            >{quantity(tick.value, 'pressure')}</span
          >{/if}
      {:else}
        {tick.count > 1 ? `${tick.count} ×` : ''}
        <span class="block">{tick.takes}</span>
      {/if}
    </span>
  </button>
  {#if done && tick.note}<p class="text-quiet px-3.5 pb-2 pl-16 text-sm">{tick.note}</p>{/if}
  {#if !done && tick.asks !== 'nothing'}
    <div class="flex flex-wrap items-center gap-2 px-3.5 pb-3 pl-16">
      {#if tick.asks === 'gauge'}
        <ReadField label="gauge" dimension="pressure" bind:value large oncommit={press} />
        <button class="btn border-rule bg-base-100 h-12" disabled={value === null} onclick={press}>Note it</button>
      {:else}
        <input
          class="input border-rule bg-base-100 h-12 min-w-0 flex-1 text-base"
          maxlength="200"
          placeholder="what stands at the edge"
          aria-label="{tick.title}: note"
          bind:value={note}
        />
      {/if}
    </div>
  {/if}
</li>
