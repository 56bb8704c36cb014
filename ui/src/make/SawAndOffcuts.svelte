<script lang="ts">
  import type { Schemas } from '../api/client';
  import { fill, quantity } from '../parts/quantity';
  import QuantityField from '../parts/QuantityField.svelte';
  import { getSession } from '../state/session.svelte';
  import { say, sayAsked } from './bench';
  import ReadingField from './ReadingField.svelte';

  /** The saw that it is cut with, the hours that it is worked in, and what lies about to be cut first. */
  let { report }: { report: Schemas['MakeReport'] } = $props();
  const session = getSession();

  let offcuts = $derived(session.doc.bench?.offcuts ?? []);
  let row = $state('');
  let chosen = $derived(report.cuts.some((c) => c.row === row) ? row : (report.cuts[0]?.row ?? ''));
  const nameOf = (of: string) => fill(report.cuts.find((c) => c.row === of)?.name ?? of);
</script>

<div class="mt-6 grid max-w-[44rem] gap-x-8 sm:grid-cols-2" data-saw>
  <div>
    <h3 class="text-base">Your saw</h3>
    {#each report.saw as s (s.path)}
      <ReadingField asked={s} onchange={(v, where) => sayAsked(session, where, v)} />
    {/each}
    <h3 class="mt-3 text-base">Your hours</h3>
    {#each report.hours as h (h.path)}
      <ReadingField asked={h} onchange={(v, where) => sayAsked(session, where, v)} />
    {/each}
  </div>
  <div>
    <h3 class="text-base">What lies about</h3>
    <ul class="text-sm">
      {#each offcuts as o, i (i)}
        <li class="border-rule flex items-center justify-between gap-2 border-b border-dotted py-1" data-offcut>
          <span>{nameOf(o.row)}, <b>{quantity(o.length, 'length')}</b></span>
          <button
            class="btn btn-xs btn-ghost border-rule"
            onclick={() => say(session, 'offcuts', { offcuts: offcuts.filter((_, k) => k !== i) })}
            aria-label="Take away: {nameOf(o.row)}, {quantity(o.length, 'length')}">Take away</button
          >
        </li>
      {:else}
        <li class="text-quiet">Nothing said: bars from the shop only.</li>
      {/each}
    </ul>
    {#if report.cuts.length > 1}
      <label class="mt-2 block text-sm"
        >Section
        <select
          class="select select-sm border-rule w-full"
          value={chosen}
          onchange={(e) => (row = e.currentTarget.value)}
        >
          {#each report.cuts as c (c.row)}<option value={c.row}>{fill(c.name)}</option>{/each}
        </select></label
      >
    {/if}
    <QuantityField
      label="An offcut of"
      hint={report.cuts.length > 1
        ? 'of that section; it goes first and costs nothing'
        : `${nameOf(chosen)}; it goes first and costs nothing`}
      dimension="length"
      minimum={0.005}
      maximum={20}
      value={undefined}
      nothing="add one"
      optional
      where={chosen}
      onchange={(length, where) =>
        length && say(session, 'offcuts', { offcuts: [...offcuts, { row: where, length, count: 1 }] })}
    />
  </div>
</div>
