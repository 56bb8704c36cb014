<script lang="ts">
  import { ApiError, type Field, type Schemas } from '../api/client';
  import { fill, quantity } from '../parts/quantity';
  import Header from '../parts/Header.svelte';
  import { catalogue } from '../state/catalogue.svelte';
  import type { OwnRow } from '../state/document';
  import { focusOn } from '../state/focus';
  import { shelf } from '../state/shelf.svelte';
  import { RowDraft } from '../shelf/editing.svelte';
  import RowForm from '../shelf/RowForm.svelte';

  /** What there is to build with: what ships, with sources, and one's own, with what was measured. */
  let { list: listId, row: rowId }: { list: string; row: string } = $props();
  let problem = $state('');
  let draft = $state.raw<RowDraft | null>(null);
  let confirm = $state(false);

  async function load() {
    problem = '';
    try {
      await shelf.load();
    } catch (e) {
      problem = e instanceof ApiError ? e.message : 'The shelf could not be opened.';
    }
  }
  void load();

  let list = $derived(shelf.list(listId) ?? shelf.lists?.[0]);
  let own = $derived(shelf.own.filter((r) => r.list === list?.id));
  let shipped = $derived((list?.rows ?? []) as OwnRow[]);
  let mine = $derived(own.find((r) => r.id === rowId));
  let row = $derived((mine?.row as OwnRow | undefined) ?? shipped.find((r) => r.id === rowId));
  let measures = $derived((list?.fields ?? []).filter((f) => f.type === 'quantity'));
  let columns = $derived((list?.columns ?? []).flatMap((name) => measures.find((f) => f.name === name) ?? []));
  /** A lamp has no sensor. */
  const has = (r: OwnRow, f: Field) => !f.ofPictures || r.makes === 'picture';
  const count = (l: Schemas['ShelfList']) => shelf.own.filter((r) => r.list === l.id).length;
  const shown = (r: OwnRow, f: Field) =>
    has(r, f) && typeof r[f.name] === 'number' ? quantity(r[f.name] as number, f.dimension!) : '–';
  const link = (list: string, row = '') => `#/shelf/${list}${row ? `/${row}` : ''}`;

  // Another row is looked at: what was being written belongs to the one before.
  $effect(() => {
    void [listId, rowId];
    [draft, confirm] = [null, false];
  });

  async function save() {
    const id = await draft!.save();
    if (id === null) return;
    draft = null;
    location.hash = link(list!.id, id);
    focusOn(`a[href="${link(list!.id, id)}"]`);
  }

  async function remove() {
    try {
      await shelf.remove(mine!);
      await catalogue.restock();
      location.hash = link(list!.id);
    } catch (e) {
      problem = e instanceof ApiError ? e.message : 'It was not taken off the shelf.';
    }
  }
</script>

{#snippet line(r: OwnRow, yours: boolean, fault: string | null | undefined)}
  <tr class="border-rule border-b border-dotted {rowId === r.id ? 'bg-base-300' : ''}">
    <td class="py-1 pr-3">
      <a
        class="block py-1 leading-tight hover:underline {rowId === r.id ? 'font-bold' : 'font-semibold'}"
        href={link(list!.id, r.id)}
        aria-current={rowId === r.id ? 'true' : undefined}>{r.name}</a
      >
      <span class="text-quiet line-clamp-1 text-xs">
        {#if yours}<b class="text-accent">yours</b>,&nbsp;{/if}{fault
          ? `cannot be used: ${fault}`
          : fill([r.source, r.range].filter(Boolean).join('; '))}
      </span>
    </td>
    {#each columns as c, i (c.name)}
      <td class="py-1 pl-3 text-right align-top whitespace-nowrap {i > 1 ? 'max-sm:hidden' : ''}">{shown(r, c)}</td>
    {/each}
  </tr>
{/snippet}

<div class="grid h-full min-h-0 grid-rows-[46px_minmax(0,1fr)] max-md:h-auto max-md:grid-rows-[auto_auto]">
  <Header>
    {#snippet title()}<a href="#/" class="inline-block min-h-6 min-w-6 leading-6 hover:underline">Yard</a><span
        class="text-quiet">/</span
      ><span class="font-bold">Shelf</span>{/snippet}
  </Header>

  {#if problem && !list}
    <main class="grid place-items-center">
      <p role="alert">{problem} <button class="btn btn-sm ml-2" onclick={load}>Try again</button></p>
    </main>
  {:else if !list}
    <main class="grid place-items-center"><p class="text-quiet" aria-busy="true">Opening the shelf …</p></main>
  {:else}
    <main
      class="grid min-h-0 grid-cols-[200px_minmax(0,1fr)_380px] max-lg:grid-cols-[160px_minmax(0,1fr)] max-md:block"
    >
      <nav class="border-rule bg-base-200 overflow-y-auto border-r py-3" aria-label="Lists of the shelf">
        <ul class="max-md:flex max-md:flex-wrap">
          {#each shelf.lists! as l (l.id)}
            <li>
              <a
                class="flex min-h-8 items-center justify-between gap-2 px-4 py-1 {l.id === list.id
                  ? 'bg-base-100 border-accent border-l-4 font-bold'
                  : 'hover:bg-base-300/60 border-l-4 border-transparent'}"
                href={link(l.id)}
                aria-current={l.id === list.id ? 'page' : undefined}
              >
                <span>{l.label}</span>
                {#if count(l)}<span class="text-accent text-xs font-semibold">{count(l)} yours</span>{/if}
              </a>
            </li>
          {/each}
        </ul>
      </nav>

      <section class="min-h-0 overflow-y-auto px-6 py-4" aria-label={list.label}>
        <h1 class="text-2xl">{list.label}</h1>
        <p class="text-quiet mt-1 mb-3 text-sm">
          {list.own
            ? 'What ships is typical for its class. Measure yours: a value of your own beats it, in every rig that uses it.'
            : 'What ships, with where its numbers are from.'}
        </p>
        <table class="w-full text-sm">
          <thead>
            <tr class="border-base-content text-quiet border-b text-xs">
              <th class="pb-1 text-left font-normal">Name, and where its numbers are from</th>
              {#each columns as c, i (c.name)}
                <th class="pb-1 pl-3 text-right font-normal {i > 1 ? 'max-sm:hidden' : ''}">{c.label}</th>
              {/each}
            </tr>
          </thead>
          <tbody>
            {#each own as r (r.id)}{@render line(r.row as OwnRow, true, r.fault)}{/each}
            {#each shipped as r (r.id)}{@render line(r, false, null)}{/each}
          </tbody>
        </table>
      </section>

      <aside
        class="border-rule bg-base-100 min-h-0 overflow-y-auto border-l px-5 py-4 max-lg:col-span-2 max-lg:border-t"
        aria-label="The row"
      >
        {#if draft}
          <h2 class="text-lg">{draft.fresh ? `Your own ${list.one}` : draft.row.name}</h2>
          <RowForm
            fields={list.fields}
            row={draft.row}
            onchange={(r) => (draft!.row = r)}
            onasks={(name, asks) => draft!.asks(name, asks)}
          />
          {#if draft.problem}<p class="text-lets-go mt-2" role="alert">{draft.problem}</p>{/if}
          <p class="mt-4 flex gap-2">
            <button class="btn btn-sm btn-primary" disabled={draft.busy} onclick={save}>Keep it on the shelf</button>
            <button class="btn btn-sm btn-ghost" onclick={() => (draft = null)}>Leave it</button>
          </p>
        {:else if row}
          <h2 class="text-lg leading-tight">{row.name}</h2>
          <p class="text-quiet mt-1 text-sm">
            {#if mine}<b class="text-accent">Yours.</b>{/if}
            {mine?.fault ? `It cannot be used: ${mine.fault}` : `Source: ${fill(row.source)}`}
          </p>
          {#if row.range}<p class="text-quiet mt-1 text-sm">May be off: {fill(row.range)}</p>{/if}
          <dl class="mt-3 grid grid-cols-[1fr_auto] text-sm">
            {#each measures.filter((f) => has(row!, f)) as f (f.name)}
              <dt class="border-rule border-b border-dotted py-1">{f.label}</dt>
              <dd class="border-rule border-b border-dotted py-1 pl-4 text-right font-semibold">{shown(row, f)}</dd>
            {/each}
          </dl>
          {#if list.own}
            <p class="mt-4 flex flex-wrap gap-2">
              {#if mine}
                <button
                  class="btn btn-sm btn-primary"
                  onclick={() => (draft = new RowDraft(list!.id, mine!.row as OwnRow, false))}>Change it</button
                >
                {#if confirm}
                  <span class="flex flex-wrap items-center gap-2 text-sm" role="alert"
                    >Rigs made with it keep it.
                    <button class="btn btn-sm border-lets-go" onclick={remove}>Yes, off the shelf</button>
                    <button class="btn btn-sm btn-ghost" onclick={() => (confirm = false)}>Leave it there</button></span
                  >
                {:else}
                  <button class="btn btn-sm border-rule" onclick={() => (confirm = true)}>Take it off the shelf</button>
                {/if}
              {:else}
                <button class="btn btn-sm btn-primary" onclick={() => (draft = RowDraft.from(list!.id, row!))}
                  >Make one of your own from it</button
                >
              {/if}
            </p>
          {/if}
        {:else}
          <p class="text-quiet mt-8 text-center">
            Pick a row to see all of its numbers{list.own ? ', or to make one of your own from it' : ''}.
          </p>
        {/if}
      </aside>
    </main>
  {/if}
</div>
