<script lang="ts">
  import { onDestroy } from 'svelte';
  import { ApiError } from '../api/client';
  import Header from '../parts/Header.svelte';
  import Keys from '../parts/Keys.svelte';
  import { fromUnit, inUnit, quantity } from '../parts/quantity';
  import Drawer from '../rig/Drawer.svelte';
  import LetGoStrip from '../rig/LetGoStrip.svelte';
  import SpeedTape from '../rig/SpeedTape.svelte';
  import Spine from '../rig/Spine.svelte';
  import VerdictHeadline from '../rig/VerdictHeadline.svelte';
  import Shake from './Shake.svelte';
  import { notices } from '../state/notices.svelte';
  import { RigSession } from '../state/session.svelte';
  import { settings } from '../state/settings.svelte';

  let { id, view }: { id: string; view: string } = $props();
  // The screen is made anew for each rig.
  // svelte-ignore state_referenced_locally
  const session = new RigSession(id);
  let problem = $state('');
  let help = $state(false);
  const scene = import('../rig/Scene.svelte');

  async function load() {
    problem = '';
    try {
      await session.load();
    } catch (e) {
      problem = e instanceof ApiError ? e.message : 'The rig could not be read.';
    }
  }
  void load();
  onDestroy(() => session.close());

  const saveWords = {
    saved: 'saved',
    saving: 'saving …',
    waiting: 'not saved yet',
    conflict: 'changed elsewhere',
    failing: 'not saved, tried again',
    refused: 'not saved',
  };

  function speed(by: number) {
    const next = Math.max(0, Math.round((inUnit(session.doc.run.speed, 'speed') + by) / 5) * 5);
    session.setPath('run.speed', Math.min(session.report!.topSpeed, fromUnit(next, 'speed')), 'speed');
  }

  function keys(e: KeyboardEvent) {
    if (
      e.target instanceof HTMLInputElement ||
      e.target instanceof HTMLTextAreaElement ||
      e.target instanceof HTMLSelectElement
    )
      return;
    const undo = (e.ctrlKey || e.metaKey) && e.key.toLowerCase() === 'z';
    if (undo) return (e.shiftKey ? session.redo() : session.undo(), e.preventDefault());
    if (e.ctrlKey || e.metaKey || e.altKey || !session.report || !settings.keys) return;
    if (document.querySelector('dialog[open]')) return;
    const cases = session.report.letGo.length;
    const actions: Record<string, () => void> = {
      '?': () => (help = !help),
      '[': () => speed(-5),
      ']': () => speed(5),
      l: () => (session.letGo = (session.letGo + 1) % cases),
      L: () => (session.letGo = (session.letGo + cases - 1) % cases),
      v: () => (session.lensLarge = !session.lensLarge),
      d: () => (session.deflected = !session.deflected),
      z: () => session.undo(),
      y: () => session.redo(),
      a: () => session.select('add'),
      r: () => session.select('rig'),
    };
    // What is not seen on the Shake screen does not happen there.
    const hidden = view === 'shake' && !['?', '[', ']', 'z', 'y'].includes(e.key);
    const action = hidden ? undefined : actions[e.key];
    if (action) {
      action();
      e.preventDefault();
    }
  }
</script>

<svelte:window onkeydown={keys} onfocus={() => void session.catchUp()} />
<svelte:document onvisibilitychange={() => !document.hidden && void session.catchUp()} />

<button
  class="btn btn-sm btn-primary sr-only focus:not-sr-only focus:fixed focus:top-1 focus:left-28 focus:z-20"
  onclick={() => document.getElementById('answer')?.focus()}>Skip to the answer</button
>

<div
  class="grid h-full grid-rows-[minmax(46px,auto)_1fr_auto] max-sm:h-auto max-sm:min-h-full"
  data-keys={settings.keys ? 'on' : 'off'}
>
  <Header>
    {#snippet title()}
      <a class="hover:underline" href="#/">{session.filmName || 'Yard'}</a>
      <span class="text-quiet">/</span>
      {#if session.doc}
        <input
          class="hover:border-rule field-sizing-content min-h-6 max-w-80 min-w-20 truncate rounded-sm border border-transparent bg-transparent px-1 font-bold"
          aria-label="Name of the rig"
          maxlength="120"
          value={session.doc.name}
          onchange={(e) => e.currentTarget.value.trim() && session.setPath('name', e.currentTarget.value.trim())}
        />
        <span class="text-quiet text-sm" data-save={session.saveState}
          >v{session.version} · {saveWords[session.saveState]}{session.keeps || session.saveState === 'saved'
            ? ''
            : ' · this browser keeps nothing: wait until it is saved'}</span
        >
      {/if}
    {/snippet}
    {#snippet tools()}
      <nav class="mr-3 flex gap-0.5" aria-label="Screens of this rig">
        {#each [['rig', 'Rig', ''], ['shake', 'Shake', '/shake']] as [name, label, at] (name)}
          <a
            href="#/rig/{id}{at}"
            class="rounded-sm px-3 py-1 {view === name
              ? 'bg-base-content text-base-100 font-bold'
              : 'hover:bg-base-300/60'}"
            aria-current={view === name ? 'page' : undefined}>{label}</a
          >
        {/each}
      </nav>
      <button class="btn btn-ghost btn-sm px-2 font-medium" disabled={!session.canUndo} onclick={() => session.undo()}
        >Undo <span class="key">Z</span></button
      >
      <button class="btn btn-ghost btn-sm px-2 font-medium" disabled={!session.canRedo} onclick={() => session.redo()}
        >Redo <span class="key">Y</span></button
      >
      <button class="btn btn-ghost btn-sm px-2" onclick={() => (help = true)}
        ><span class="key">?</span><span class="sr-only"> Keys</span></button
      >
    {/snippet}
  </Header>

  {#if problem}
    <main class="row-span-2 grid place-items-center">
      <div class="max-w-md text-center">
        <h1 class="text-xl">This rig cannot be opened</h1>
        <p class="mt-1">{problem}</p>
        <p class="mt-3">
          <button class="btn btn-sm btn-primary" onclick={load}>Try again</button>
          <a class="btn btn-sm" href="#/">To the yard</a>
        </p>
      </div>
    </main>
  {:else if !session.report}
    <main class="row-span-2 grid place-items-center" aria-busy="true">
      <p class="text-quiet">Working it out …{session.problem ? ' ' + session.problem.text : ''}</p>
    </main>
  {:else}
    {#if view === 'shake'}<Shake {session} />{:else}
      <main
        class="grid min-h-0 grid-cols-[270px_minmax(0,1fr)_320px] max-[1100px]:grid-cols-[250px_minmax(0,1fr)] max-[1100px]:grid-rows-[minmax(340px,1.3fr)_minmax(0,1fr)] max-sm:flex max-sm:flex-col"
        class:unanswered={session.unanswered}
      >
        <h1 class="sr-only">{session.doc.name}</h1>
        <Spine {session} />
        <div class="relative min-w-0 max-[1100px]:flex max-[1100px]:flex-col max-sm:order-first">
          <div
            class="absolute inset-0 max-[1100px]:relative max-[1100px]:min-h-0 max-[1100px]:flex-1 max-sm:h-[26rem] max-sm:flex-none"
          >
            {#await scene}
              <p class="text-quiet absolute inset-0 grid place-items-center" aria-busy="true">Rolling it out …</p>
            {:then module}
              <module.default {session} />
            {/await}
            {#if !session.lensLarge}<VerdictHeadline {session} />{/if}
          </div>
          <LetGoStrip {session} />
          {#if session.saveState === 'conflict'}
            <div class="bg-base-100 border-lets-go absolute inset-x-8 bottom-20 rounded-md border-2 p-3" role="alert">
              <b>This rig was changed in another window.</b> Your change is still here.
              <button class="btn btn-xs btn-primary ml-2" onclick={() => session.keepMine()}
                >Save mine as the newest</button
              >
              <button class="btn btn-xs ml-1" onclick={() => session.takeTheirs()}>Take the other</button>
            </div>
          {:else if session.unsaved ?? session.problem}
            {@const trouble = (session.unsaved ?? session.problem)!}
            <div
              class="bg-base-100 absolute inset-x-8 bottom-20 rounded-md border-2 p-3 {trouble.again
                ? 'border-tight'
                : 'border-lets-go'}"
              role="alert"
            >
              <b
                >{session.unsaved
                  ? 'Your change is not saved.'
                  : trouble.again
                    ? 'No answer from the server.'
                    : 'This change cannot be used.'}</b
              >
              {trouble.text}
              {#if trouble.again}It is kept here and tried again by itself.{:else}<button
                  class="btn btn-xs ml-2"
                  onclick={() => session.undo()}>Undo it</button
                >{/if}
            </div>
          {/if}
        </div>
        <Drawer {session} />
      </main>
      <SpeedTape {session} />
    {/if}
  {/if}
</div>

<p role="status" class="pointer-events-none fixed inset-x-0 bottom-4 z-10 grid place-items-center">
  {#if notices.text}<span class="bg-base-content text-base-100 max-w-2xl rounded-md px-4 py-2">{notices.text}</span
    >{/if}
</p>

{#if help}<Keys speedStep={quantity(fromUnit(5, 'speed'), 'speed')} onclose={() => (help = false)} />{/if}
