<script lang="ts">
  import { proved } from '../state/proved.svelte';
  import { api, ApiError, ask, type Film, type RigDocument, type RigSummary, type Schemas } from '../api/client';
  import { onDestroy } from 'svelte';
  import Bin from './Bin.svelte';
  import Recipes from './Recipes.svelte';
  import Header from '../parts/Header.svelte';
  import FilmSection from '../yard/FilmSection.svelte';
  import type { Binned } from '../yard/binned';
  import { dueOf, finds } from '../yard/search';
  import { verdictWord } from '../parts/verdict';
  import { sharpWords } from '../shake/words';
  import { catalogue } from '../state/catalogue.svelte';
  import { read, write } from '../state/kept';
  import { focusOn } from '../state/focus';
  import { settings } from '../state/settings.svelte';

  let films = $state.raw<Film[] | null>(null);
  let recipes = $state.raw<{ recipe: Schemas['Recipe']; card: Schemas['RigCard'] | null }[]>([]);
  let problem = $state('');
  let binned = $state.raw<Binned | null>(null);
  let bin = $state(false);
  let starting = $state(false);
  let filmName = $state('');
  /** What is looked for among the cards. */
  let sought = $state('');
  let search = $state<HTMLInputElement>();
  let folded = $state.raw(new Set(foldedBefore()));
  /** True after the demo film was taken away, until something else is done. */
  let taken = $state(false);

  /** Films that were folded in this browser; none where what is kept is no list. */
  function foldedBefore(): string[] {
    try {
      const kept: unknown = JSON.parse(read('ochema.folded') ?? '[]');
      return Array.isArray(kept) ? kept.map(String) : [];
    } catch {
      return [];
    }
  }

  function fold(id: string) {
    folded = new Set(folded.has(id) ? [...folded].filter((f) => f !== id) : [...folded, id]);
    write('ochema.folded', JSON.stringify([...folded]));
  }

  const shown = (film: Film) => (rig: RigSummary) =>
    finds(sought, {
      name: rig.name,
      film: film.name,
      host: catalogue.name(rig.card?.host ?? '')?.name ?? '',
      site: rig.card?.site ?? '',
      verdict: rig.card ? verdictWord(rig.card.verdict) : '',
      picture: rig.card ? sharpWords[rig.card.sharpness.word].word : '',
      next: dueOf(rig),
    });
  let found = $derived(films?.reduce((n, f) => n + f.rigs.filter(shown(f)).length, 0) ?? 0);
  let into = $state('');

  async function guard(work: () => Promise<void>) {
    try {
      problem = '';
      await work();
    } catch (e) {
      problem = e instanceof ApiError ? e.message : 'That did not work.';
    }
  }

  let again: ReturnType<typeof setTimeout> | undefined;
  onDestroy(() => clearTimeout(again));

  /** Cards that are still being worked out are asked for again until all are there. */
  const load = (): Promise<void> =>
    guard(async () => {
      films = await ask(api.GET('/api/films'));
      void proved.list();
      clearTimeout(again);
      if (films.some((f) => f.rigs.some((r) => !r.card))) again = setTimeout(load, 150);
    });
  void load();

  /** The group of recipes that is looked at. */
  let group = $state('');
  /** Answers to recipes are on their way. */
  let asking = false;

  function openRecipes(film = '') {
    [starting, into] = [true, film];
    void guard(async () => {
      if (!recipes.length) recipes = (await ask(api.GET('/api/recipes'))).map((recipe) => ({ recipe, card: null }));
      await answer();
    });
  }

  /** Asks for what the recipes hold to, those that are looked at first, and for none when nobody looks any more. */
  async function answer() {
    if (asking) return;
    asking = true;
    try {
      for (;;) {
        const open = recipes.filter((r) => !r.card);
        const next = open.find((r) => r.recipe.group === group) ?? open[0];
        if (!starting || !next) return;
        const card = await ask(api.GET('/api/recipes/{id}/card', { params: { path: { id: next.recipe.id } } }));
        recipes = recipes.map((r) => (r.recipe === next.recipe ? { ...r, card } : r));
      }
    } finally {
      asking = false;
    }
  }
  onDestroy(() => (starting = false));

  const create = (document: RigDocument) =>
    guard(async () => {
      const rig = await ask(api.POST('/api/rigs', { body: { filmId: into || undefined, document } }));
      location.hash = `#/rig/${rig.id}`;
      focusOn('#answer');
    });

  const on = (version: number) => ({ 'If-Match': `"${version}"` });

  const remove = (rig: Omit<Binned, 'index'>, index: number) =>
    guard(async () => {
      await ask(api.DELETE('/api/rigs/{id}', { params: { path: { id: rig.id } }, headers: on(rig.version) }));
      // The list first: the note that stands in the card's place is not drawn twice, and keeps the focus.
      await load();
      binned = { ...rig, index };
    });

  const bringBack = () =>
    guard(async () => {
      const { id, version } = binned!;
      await ask(api.POST('/api/rigs/{id}/undelete', { params: { path: { id } }, headers: on(version) }));
      binned = null;
      await load();
      document.querySelector<HTMLElement>(`[data-rig="${id}"]`)?.focus();
    });

  const duplicate = (id: string) =>
    guard(async () => {
      const copy = await ask(api.POST('/api/rigs/{id}/duplicate', { params: { path: { id } } }));
      await load();
      focusOn(`[data-rig="${copy.id}"]`);
    });

  const newFilm = () =>
    guard(async () => {
      const film = await ask(api.POST('/api/films', { body: { name: filmName } }));
      filmName = '';
      await load();
      focusOn(`[data-add="${film.id}"]`);
    });

  const takeDemo = () =>
    guard(async () => {
      await ask(api.DELETE('/api/films/demo'));
      await load();
      taken = true;
    });

  const openDemo = () =>
    guard(async () => {
      taken = false;
      await ask(api.POST('/api/films/demo'));
      await load();
      const demo = films?.find((f) => f.demo);
      if (demo) focusOn(`[data-add="${demo.id}"]`);
    });

  async function importFile(e: Event & { currentTarget: HTMLInputElement }) {
    const input = e.currentTarget;
    const file = input.files?.[0];
    if (!file) return;
    const text = await file.text();
    input.value = '';
    let rig: RigDocument;
    try {
      rig = JSON.parse(text) as RigDocument;
    } catch {
      problem = `${file.name} is no rig document: it is not JSON.`;
      return;
    }
    await create(rig);
  }
</script>

<svelte:window
  onkeydown={(e) => {
    if (e.key !== '/' || !settings.keys || (e.target as Element).closest('input, textarea, select, dialog')) return;
    search?.focus();
    e.preventDefault();
  }}
/>

<div class="grid min-h-full grid-rows-[minmax(46px,auto)_1fr]">
  <Header>
    {#snippet title()}<span class="font-bold">Yard</span>{/snippet}
  </Header>

  <main class="mx-auto w-full max-w-6xl px-6 py-5">
    <div class="mb-5 flex flex-wrap items-center gap-2">
      <h1 class="mr-auto text-2xl">Your films and their rigs</h1>
      <label class="input input-sm border-rule bg-base-100 w-56">
        <span class="sr-only">Find a rig by name, host, verdict or what is due</span>
        <input
          type="search"
          placeholder="Find: name, host, verdict, due"
          bind:this={search}
          bind:value={sought}
          data-search
        />
        {#if settings.keys}<span class="key">/</span>{/if}
      </label>
      <button class="btn btn-sm btn-primary" onclick={() => openRecipes()}>Start a rig from a recipe</button>
      <label class="btn btn-sm border-rule focus-within:outline-2">
        Open a file
        <input class="sr-only" type="file" accept=".json,application/json" onchange={importFile} />
      </label>
      <form class="flex gap-1" onsubmit={(e) => (e.preventDefault(), void newFilm())}>
        <input
          class="input input-sm border-rule bg-base-100 w-36"
          placeholder="New film"
          aria-label="Name of the new film"
          maxlength="120"
          bind:value={filmName}
        />
        <button class="btn btn-sm border-rule" disabled={!filmName.trim()}>Add film</button>
      </form>
      <a class="btn btn-sm btn-ghost" href="#/shelf">Shelf</a>
      <button class="btn btn-sm btn-ghost" onclick={() => (bin = true)}>Bin</button>
    </div>

    {#if problem}
      <div class="border-lets-go bg-base-100 mb-4 rounded-md border-2 p-3" role="alert">
        {problem} <button class="btn btn-xs ml-2" onclick={load}>Try again</button>
      </div>
    {/if}
    {#if !films}
      {#if !problem}<p class="text-quiet" aria-busy="true">Opening the yard …</p>{/if}
    {:else if films.length === 0}
      <section class="border-rule bg-base-100 mx-auto mt-16 max-w-xl rounded-md border p-6 text-center">
        <h2 class="text-lg">An empty yard</h2>
        <p class="text-quiet mt-1">
          Start a rig from a recipe and measure it, or look round in the made-up demo film first.
        </p>
        <p class="mt-4 flex justify-center gap-2">
          <button class="btn btn-sm btn-primary" onclick={() => openRecipes()}>Start a rig</button>
          <button class="btn btn-sm border-rule" onclick={openDemo}>Open the demo film</button>
        </p>
      </section>
    {:else}
      <p class="text-quiet mb-3 text-sm" role="status">
        {#if taken}The demo film is away; what you changed of it is in the bin.
          <button class="btn btn-xs border-rule" onclick={openDemo}>Bring it back</button>{/if}
        {#if sought}{found === 0 ? 'No rig says that.' : found === 1 ? 'One rig.' : `${found} rigs.`}{/if}
      </p>
      {#each films.filter((f) => !sought || f.rigs.some(shown(f))) as film (film.id)}
        <FilmSection
          {film}
          folded={!sought && folded.has(film.id)}
          onfold={() => fold(film.id)}
          shown={shown(film)}
          ontake={film.demo ? takeDemo : undefined}
          binned={binned?.filmId === film.id ? binned : null}
          onadd={() => openRecipes(film.id)}
          onduplicate={duplicate}
          onremove={remove}
          onbringback={bringBack}
          onleave={() => (binned = null)}
        />
      {/each}
      {#if !sought && !taken && !films.some((f) => f.demo)}
        <button class="btn btn-sm border-rule" onclick={openDemo}>Open the demo film</button>
      {/if}
    {/if}
  </main>
</div>

{#if bin}<Bin onclose={() => (bin = false)} onchanged={() => ((binned = null), load())} />{/if}
{#if starting}<Recipes {recipes} bind:group onpick={create} onclose={() => (starting = false)} />{/if}
