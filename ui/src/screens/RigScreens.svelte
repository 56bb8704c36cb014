<script lang="ts">
  import { onDestroy, untrack } from 'svelte';
  import { ApiError } from '../api/client';
  import Header from '../parts/Header.svelte';
  import Notices from '../parts/Notices.svelte';
  import Keys from '../parts/Keys.svelte';
  import { fromUnit, inUnit, quantity } from '../parts/quantity';
  import Trouble from '../rig/Trouble.svelte';
  import { rigScreens } from './table';
  import { setAtHand } from '../state/athand';
  import { proved } from '../state/proved.svelte';
  import { RigSession, setSession } from '../state/session.svelte';
  import { settings } from '../state/settings.svelte';

  let { id, view }: { id: string; view: string } = $props();
  // The screen is made anew for each rig.
  // svelte-ignore state_referenced_locally
  const session = setSession(new RigSession(id));
  setAtHand({
    get id() {
      return session.id;
    },
    get name() {
      return session.doc.name;
    },
    get host() {
      return session.doc.host;
    },
    get speed() {
      return session.doc.run.speed;
    },
    get version() {
      return session.saving.version;
    },
    get saved() {
      return session.saving.state === 'saved';
    },
    flat: null,
    whole: true,
  });
  let problem = $state('');
  let help = $state(false);
  let screen = $derived(rigScreens.find((s) => s.id === view) ?? rigScreens[0]!);

  async function load() {
    problem = '';
    try {
      await session.load();
    } catch (e) {
      problem = e instanceof ApiError ? e.message : 'The rig could not be read.';
    }
  }
  void load();
  // What is proved is what is saved; asked for once the answers are there.
  $effect(() => {
    void session.saving.version;
    if (session.report && session.saving.state === 'saved') void untrack(() => proved.one(id));
  });
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
    const actions: Record<string, () => void> = {
      '?': () => (help = !help),
      '[': () => speed(-5),
      ']': () => speed(5),
      l: () => session.nextLetGo(1),
      L: () => session.nextLetGo(-1),
      v: () => (session.lensLarge = !session.lensLarge),
      d: () => (session.deflected = !session.deflected),
      z: () => session.undo(),
      y: () => session.redo(),
      a: () => session.select('add'),
      r: () => session.select('rig'),
    };
    // What is not seen on a screen does not happen there.
    const action = screen.keys.includes(e.key) ? actions[e.key] : undefined;
    if (action) {
      action();
      e.preventDefault();
    }
  }
</script>

<svelte:window
  onkeydown={keys}
  onfocus={() => void session.catchUp()}
  onpagehide={() => session.doc && session.remember()}
/>
<svelte:document onvisibilitychange={() => !document.hidden && void session.catchUp()} />

<button
  class="btn btn-sm btn-primary sr-only focus:not-sr-only focus:fixed focus:top-1 focus:left-28 focus:z-20"
  onclick={() => document.getElementById('answer')?.focus()}>Skip to the answer</button
>

<div
  class="grid h-full grid-rows-[minmax(46px,auto)_1fr_auto] compact:h-auto compact:min-h-full"
  data-keys={settings.keys ? 'on' : 'off'}
>
  <Header>
    {#snippet title()}
      <a class="inline-block min-h-6 leading-6 hover:underline max-[900px]:hidden compact:hidden" href="#/"
        >{session.filmName || 'Yard'}</a
      >
      <span class="text-quiet max-[900px]:hidden compact:hidden">/</span>
      {#if session.doc}
        <input
          class="hover:border-rule field-sizing-content min-h-6 max-w-80 min-w-20 shrink truncate rounded-sm border border-transparent bg-transparent px-1 font-bold"
          aria-label="Name of the rig"
          maxlength="120"
          value={session.doc.name}
          onchange={(e) => e.currentTarget.value.trim() && session.setPath('name', e.currentTarget.value.trim())}
        />
        <span class="text-quiet text-sm whitespace-nowrap short:max-md:sr-only" data-save={session.saving.state}
          >v{session.saving.version} · {saveWords[session.saving.state]}{session.saving.keeps ||
          session.saving.state === 'saved'
            ? ''
            : ' · this browser keeps nothing: wait until it is saved'}</span
        >
      {/if}
    {/snippet}
    {#snippet tools()}
      <nav class="mr-3 flex gap-0.5 compact:mr-0" aria-label="Screens of this rig">
        {#each rigScreens as s (s.id)}
          <a
            href={s.path(id)}
            class="rounded-sm px-3 py-1 compact:px-1.5 compact:py-0.5 {screen === s
              ? 'bg-base-content text-base-100 font-bold'
              : 'hover:bg-base-300/60'}"
            aria-current={screen === s ? 'page' : undefined}>{s.label}</a
          >
        {/each}
      </nav>
      {#if screen.keys.includes('z')}
        <button class="btn btn-ghost btn-sm px-2 font-medium" disabled={!session.canUndo} onclick={() => session.undo()}
          >Undo <span class="key compact:hidden">Z</span></button
        >
        <button class="btn btn-ghost btn-sm px-2 font-medium" disabled={!session.canRedo} onclick={() => session.redo()}
          >Redo <span class="key compact:hidden">Y</span></button
        >
      {/if}
      <button
        class="btn btn-ghost btn-sm px-2 {screen.keys.includes('z') ? '' : 'max-sm:hidden'}"
        onclick={() => (help = true)}><span class="key">?</span><span class="sr-only"> Keys</span></button
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
      <p class="text-quiet">Working it out …{session.answers.problem ? ' ' + session.answers.problem.text : ''}</p>
    </main>
  {:else}
    {@const Screen = screen.component}
    <Screen />
    <Trouble />
  {/if}
</div>

<Notices />

{#if help}<Keys speedStep={quantity(fromUnit(5, 'speed'), 'speed')} onclose={() => (help = false)} />{/if}
