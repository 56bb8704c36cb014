<script lang="ts">
  import { words } from '../parts/quantity';
  import type { RigSession } from '../state/session.svelte';

  let { session }: { session: RigSession } = $props();
  let cases = $derived(session.report!.letGo);
  let strip: HTMLElement;

  $effect(() => {
    strip.children[session.letGo]?.scrollIntoView({ block: 'nearest', inline: 'nearest' });
  });
</script>

<div class="absolute inset-x-3 bottom-3 flex items-center gap-2">
  <span class="text-quiet shrink-0 text-xs">What if one lets go <span class="key">L</span></span>
  <div
    bind:this={strip}
    class="flex min-w-0 gap-1.5 overflow-x-auto pb-0.5"
    role="listbox"
    aria-label="Let-go cases"
    tabindex="-1"
  >
    {#each cases as c, i (c.id)}
      <button
        role="option"
        aria-selected={session.letGo === i}
        data-letgo={c.id}
        class="shrink-0 rounded-sm border px-2 py-1 text-sm whitespace-nowrap {session.letGo === i
          ? 'border-base-content bg-base-100 border-2'
          : 'border-rule bg-base-100/85'}"
        onclick={() => (session.letGo = i)}
      >
        {c.title}: <b class="word-{c.verdict}">{words[c.verdict]}</b>
        <span class="pattern-{c.verdict} ml-0.5 inline-block size-2.5 align-[-1px]" aria-hidden="true"></span>
      </button>
    {/each}
  </div>
</div>
