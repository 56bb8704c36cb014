<script lang="ts">
  import type { Schemas } from '../api/client';
  import { getSession } from '../state/session.svelte';
  import { settings } from '../state/settings.svelte';
  import { savePaper } from './save';

  /** What can be printed of the plan, and on which paper. */
  let { report }: { report: Schemas['MakeReport'] } = $props();
  const session = getSession();
  let open = $state(false);
  let menu: HTMLDetailsElement;

  let papers = $derived([
    { what: 'plan', label: 'Build plan, all of it', there: true },
    { what: 'cuts', label: 'Cuts alone, for the saw', there: report.cuts.length > 0 },
    {
      what: 'templates',
      label: 'Flat pieces and strips at 1:1',
      there: report.templates.length + report.wraps.length > 0,
    },
    { what: 'sheet', label: 'Measuring sheet', there: report.steps.some((s) => s.readings.length > 0) },
  ] as const);

  // Closed by Escape, or by looking elsewhere.
  $effect(() => {
    const leave = (e: Event) => {
      const gone = e instanceof KeyboardEvent ? e.key === 'Escape' : !menu.contains(e.target as Node);
      if (gone) open = false;
    };
    const ways = ['pointerdown', 'focusin', 'keydown'] as const;
    for (const way of ways) document.addEventListener(way, leave);
    return () => ways.forEach((way) => document.removeEventListener(way, leave));
  });
</script>

<details bind:this={menu} bind:open class="relative ml-auto" data-print>
  <summary class="btn btn-sm btn-ghost border-rule list-none">Print</summary>
  <div class="border-rule bg-base-100 absolute right-0 z-20 mt-1 grid w-60 gap-1 border p-3 shadow-lg">
    {#each papers as p (p.what)}
      <button
        class="btn btn-sm border-rule justify-start"
        disabled={!p.there}
        onclick={() => savePaper(session.doc, p.what)}
        data-print-what={p.what}>{p.label}</button
      >
    {/each}
    <label class="text-quiet mt-1 flex items-center justify-between gap-2 text-sm"
      >on
      <select class="select select-sm w-28" bind:value={settings.paper} aria-label="Paper">
        <option value="a4">A4</option>
        <option value="letter">Letter</option>
      </select></label
    >
    <p class="text-quiet text-xs">PDF. At 100 %, never “fit to page”: measure the bars.</p>
  </div>
</details>
