<script lang="ts">
  import { capital, fill, words } from '../parts/quantity';
  import type { RigSession } from '../state/session.svelte';

  let { session }: { session: RigSession } = $props();
  let cases = $derived(session.report!.letGo);

  /** The heading says "lets go" already: the chip names the part only. */
  const short = (title: string) =>
    capital(
      fill(title)
        .replace(/^Without (the )?/, '')
        .replace(/ \(.*\)$/, ''),
    );
</script>

<div class="absolute inset-x-3 bottom-2" data-answers>
  <p class="text-xs leading-tight">
    <span class="bg-base-100/85 rounded-sm px-1">What if one lets go <span class="key">L</span></span>
  </p>
  <div class="mt-1 flex flex-wrap gap-1" role="listbox" aria-label="Let-go cases" tabindex="-1">
    {#each cases as c, i (c.id)}
      <button
        role="option"
        aria-selected={session.letGo === i}
        data-letgo={c.id}
        title={c.says ? fill(`${c.title}: ${c.says}`) : undefined}
        class="rounded-sm border px-1.5 py-0.5 text-xs whitespace-nowrap {session.letGo === i
          ? 'border-base-content bg-base-100 outline-base-content outline-1'
          : 'border-rule bg-base-100/85'}"
        onclick={() => (session.letGo = i)}
      >
        {short(c.title)}: <b class="word-{c.verdict}">{words[c.verdict]}</b>
        <span class="pattern-{c.verdict} ml-0.5 inline-block size-2 align-[-1px]" aria-hidden="true"></span>
      </button>
    {/each}
  </div>
</div>
