<script lang="ts">
  import { api, ApiError, ask, type Film, type RigDocument, type Schemas } from '../api/client';
  import FigureCard from '../figure/FigureCard.svelte';
  import Bin from './Bin.svelte';
  import Recipes from './Recipes.svelte';
  import Header from '../parts/Header.svelte';
  import { capital, quantity, words } from '../parts/quantity';
  import { verdictRest } from '../parts/verdict';
  import { sharpWords } from '../shake/words';
  import { catalogue } from '../state/catalogue.svelte';

  let films = $state.raw<Film[] | null>(null);
  let recipes = $state.raw<{ recipe: Schemas['Recipe']; report: Schemas['AssessmentReport'] | null }[]>([]);
  let problem = $state('');
  let undoDelete = $state<{ id: string; name: string; version: number } | null>(null);
  let bin = $state(false);
  let starting = $state(false);
  let filmName = $state('');
  let into = $state('');

  async function guard(work: () => Promise<void>) {
    try {
      problem = '';
      await work();
    } catch (e) {
      problem = e instanceof ApiError ? e.message : 'That did not work.';
    }
  }

  const load = () => guard(async () => void (films = await ask(api.GET('/api/films'))));
  void load();

  function openRecipes(film = '') {
    [starting, into] = [true, film];
    void guard(async () => {
      if (recipes.length) return;
      const list = await ask(api.GET('/api/recipes'));
      recipes = list.map((recipe) => ({ recipe, report: null }));
      for (const r of list) {
        const report = await ask(api.POST('/api/assess', { body: r.document, params: { query: { advice: false } } }));
        recipes = recipes.map((x) => (x.recipe.id === r.id ? { recipe: r, report } : x));
      }
    });
  }

  const create = (document: RigDocument) =>
    guard(async () => {
      const rig = await ask(api.POST('/api/rigs', { body: { filmId: into || undefined, document } }));
      location.hash = `#/rig/${rig.id}`;
    });

  const on = (version: number) => ({ 'If-Match': `"${version}"` });

  const remove = (id: string, name: string, version: number) =>
    guard(async () => {
      await ask(api.DELETE('/api/rigs/{id}', { params: { path: { id } }, headers: on(version) }));
      undoDelete = { id, name, version };
      await load();
    });

  const bringBack = () =>
    guard(async () => {
      const { id, version } = undoDelete!;
      await ask(api.POST('/api/rigs/{id}/undelete', { params: { path: { id } }, headers: on(version) }));
      undoDelete = null;
      await load();
    });

  const duplicate = (id: string) =>
    guard(async () => {
      await ask(api.POST('/api/rigs/{id}/duplicate', { params: { path: { id } } }));
      await load();
    });

  const newFilm = () =>
    guard(async () => {
      await ask(api.POST('/api/films', { body: { name: filmName } }));
      filmName = '';
      await load();
    });

  const openDemo = () =>
    guard(async () => {
      await ask(api.POST('/api/films/demo'));
      await load();
    });

  async function importFile(e: Event & { currentTarget: HTMLInputElement }) {
    const input = e.currentTarget;
    const file = input.files?.[0];
    if (!file) return;
    const text = await file.text();
    input.value = '';
    let document: RigDocument;
    try {
      document = JSON.parse(text) as RigDocument;
    } catch {
      problem = `${file.name} is no rig document: it is not JSON.`;
      return;
    }
    await create(document);
  }
</script>

<div class="grid min-h-full grid-rows-[46px_1fr]">
  <Header>
    {#snippet title()}<span class="font-bold">Yard</span>{/snippet}
  </Header>

  <main class="mx-auto w-full max-w-6xl px-6 py-5">
    <div class="mb-5 flex flex-wrap items-center gap-2">
      <h1 class="mr-auto text-2xl">Your films and their rigs</h1>
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
      <button class="btn btn-sm btn-ghost" onclick={() => (bin = true)}>Bin</button>
    </div>

    {#if problem}
      <div class="border-lets-go bg-base-100 mb-4 rounded-md border-2 p-3" role="alert">
        {problem} <button class="btn btn-xs ml-2" onclick={load}>Try again</button>
      </div>
    {/if}
    {#if undoDelete}
      <div class="border-rule bg-base-100 mb-4 rounded-md border p-2.5" role="status">
        “{undoDelete.name}” is in the bin.
        <button class="btn btn-xs btn-primary ml-2" onclick={bringBack}>Bring it back</button>
        <button class="btn btn-xs btn-ghost" onclick={() => (undoDelete = null)}>Leave it</button>
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
      {#each films as film (film.id)}
        <section class="mb-8" aria-label={film.name}>
          <div class="border-base-content mb-3 flex items-baseline gap-3 border-b-2 pb-1">
            <h2 class="text-lg">{film.name}</h2>
            <span class="text-quiet text-sm"
              >{film.rigs.length} rigs{film.demo ? ' · made up, to look round in' : ''}</span
            >
            <button class="btn btn-xs btn-ghost ml-auto" onclick={() => openRecipes(film.id)}>Add a rig here</button>
          </div>
          <ul class="grid grid-cols-1 gap-4 sm:grid-cols-2 lg:grid-cols-3">
            {#each film.rigs as rig (rig.id)}
              <li class="border-rule bg-base-100 hover:border-base-content group relative rounded-md border">
                <div class="bg-base-200 h-40 rounded-t-md p-2">
                  <FigureCard hostId={rig.host} figure={rig.figure} />
                </div>
                <div class="px-3 pt-2 pb-2.5">
                  <h3 class="leading-tight">
                    <a href="#/rig/{rig.id}" class="after:absolute after:inset-0" data-rig={rig.id}>{rig.name}</a>
                  </h3>
                  <p class="mt-1 text-lg leading-tight font-bold">
                    <span class="word-{rig.verdict.word}">{capital(words[rig.verdict.word])}</span><span
                      class="font-semibold">{verdictRest(rig.verdict, rig.speed, rig.host)}</span
                    >
                    <span class="pattern-{rig.verdict.word} ml-1 inline-block h-2.5 w-6" aria-hidden="true"></span>
                  </p>
                  <p class="text-sm">
                    asked for {quantity(rig.speed, 'speed')} · picture
                    <b class="word-{sharpWords[rig.sharpness.word].state}"
                      >{sharpWords[rig.sharpness.word].word.toLowerCase()}</b
                    >
                  </p>
                  <p class="text-quiet mt-1 text-xs">
                    v{rig.version} · {quantity(rig.mass, 'mass')} · {catalogue.host(rig.host)?.name}, {rig.site}
                  </p>
                  <p class="border-accent mt-1.5 border-l-3 pl-2 text-sm font-semibold">{rig.nextThing}</p>
                  <p class="relative z-1 mt-2 flex gap-1">
                    <button class="btn btn-xs border-rule bg-base-100" onclick={() => duplicate(rig.id)}
                      >Duplicate</button
                    >
                    <a class="btn btn-xs border-rule bg-base-100" href="/api/rigs/{rig.id}/file" download
                      >Save as file</a
                    >
                    <button class="btn btn-xs btn-ghost ml-auto" onclick={() => remove(rig.id, rig.name, rig.version)}
                      >Bin it<span class="sr-only"> {rig.name}</span></button
                    >
                  </p>
                </div>
              </li>
            {/each}
            {#each film.unreadable as rig (rig.id)}
              <li class="border-lets-go bg-base-100 rounded-md border-2 border-dashed p-3" data-unreadable={rig.id}>
                <h3 class="leading-tight">{rig.name}</h3>
                <p class="word-lets-go mt-1 text-lg leading-tight font-bold">Cannot be read</p>
                <p class="text-sm">
                  {rig.path ? `${rig.path}: ` : ''}{rig.reason}. Nothing of it is lost: save it as a file, mend it
                  there, and open that.
                </p>
                <p class="mt-2 flex gap-1">
                  <a class="btn btn-xs border-rule" href="/api/rigs/{rig.id}/file" download>Save as file</a>
                  <button class="btn btn-xs btn-ghost ml-auto" onclick={() => remove(rig.id, rig.name, rig.version)}
                    >Bin it<span class="sr-only"> {rig.name}</span></button
                  >
                </p>
              </li>
            {/each}
            {#if film.rigs.length + film.unreadable.length === 0}
              <li class="text-quiet text-sm">No rigs in it yet.</li>
            {/if}
          </ul>
        </section>
      {/each}
      {#if !films.some((f) => f.demo)}
        <button class="btn btn-sm border-rule" onclick={openDemo}>Open the demo film</button>
      {/if}
    {/if}
  </main>
</div>

{#if bin}<Bin onclose={() => (bin = false)} onchanged={() => ((undoDelete = null), load())} />{/if}
{#if starting}<Recipes {recipes} onpick={create} onclose={() => (starting = false)} />{/if}
