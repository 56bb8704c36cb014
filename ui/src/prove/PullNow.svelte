<script lang="ts">
  import { api, ApiError, ask, type Schemas } from '../api/client';
  import { capital, fill, quantity } from '../parts/quantity';
  import type { Logbook } from '../state/logbook.svelte';
  import FigureCard from '../figure/FigureCard.svelte';
  import { getAtHand } from '../state/athand';
  import { notices } from '../state/notices.svelte';
  import HoldTimer from './HoldTimer.svelte';
  import ReadField from './ReadField.svelte';

  interface Props {
    rig: string;
    design: string;
    pull: Schemas['PullTest'];
    nth: number;
    of: number;
    book: Logbook;
    ondone: () => void;
  }
  const hand = getAtHand();
  let { rig, design, pull, nth, of, book, ondone }: Props = $props();
  let value = $state<number | null>(null);
  let made = $state<number | null>(null);
  // Over a phone's line the drawing comes flat: it shows the same, and moves nothing.
  const scene = hand.flat ? null : import('../rig/Scene.svelte');
  let aim = $derived(quantity(pull.enough, 'scale'));

  function write(outcome: Schemas['Outcome']) {
    if (value === null) return;
    book.add({ sort: 'pull', of: pull.id, value, outcome, design, simulated: value === made });
    value = made = null;
    if (outcome === 'passed') ondone();
  }

  async function standIn() {
    try {
      const seed = (Date.now() % 100000) + 1;
      const read = await ask(
        api.POST('/api/rigs/{id}/simulate', { params: { path: { id: rig } }, body: { of: pull.id, seed } }),
      );
      value = made = read.value;
    } catch (e) {
      notices.say(e instanceof ApiError ? e.message : 'The stand-in reads nothing.');
    }
  }
</script>

<section class="grid min-h-0 grid-rows-[auto_minmax(12rem,1fr)_auto]" aria-label="This pull" data-pull={pull.id}>
  <div class="px-5 pt-3">
    <p class="text-quiet text-sm">Pull {nth} of {of} · {pull.label}</p>
    <h2 id="answer" tabindex="-1" class="text-3xl leading-tight font-bold tracking-tight outline-none compact:text-2xl">
      {pull.title} to <span class="text-accent whitespace-nowrap">{aim}</span>,
      <span class="whitespace-nowrap">hold {pull.hold} s</span>
    </h2>
    <p class="mt-1 max-w-3xl text-sm">{capital(fill(pull.how))} {pull.look}</p>
  </div>
  <div class="relative min-h-48 compact:h-56">
    {#if scene}
      {#await scene then module}
        <module.default pull={{ point: pull.point, direction: pull.direction, text: aim }} />
      {/await}
    {:else if hand.flat}
      <div class="absolute inset-0">
        <FigureCard
          hostId={hand.host}
          figure={hand.flat}
          aspect={1.7}
          pull={{ point: pull.point, direction: pull.direction }}
        />
      </div>
    {/if}
  </div>
  <div class="border-rule bg-base-200 flex flex-wrap items-center gap-x-2 gap-y-2 border-t px-5 py-3">
    <ReadField label="I read" dimension="scale" bind:value large oncommit={() => write('passed')} />
    <HoldTimer seconds={pull.hold} />
    <button class="btn btn-ghost btn-sm px-2 font-normal underline" onclick={standIn}>stand-in</button>
    {#if value !== null && value === made}<span class="word-tight text-sm font-semibold">made up, not read</span>{/if}
    <span class="ml-auto flex gap-2 compact:ml-0 compact:w-full">
      <button
        class="btn border-rule bg-base-100 h-12 compact:flex-1"
        disabled={value === null}
        onclick={() => write('repeat')}>Repeat</button
      >
      <button
        class="btn border-lets-go text-lets-go bg-base-100 h-12 disabled:opacity-45 compact:flex-1"
        disabled={value === null}
        onclick={() => write('stop')}>It moved</button
      >
      <button
        class="btn btn-primary h-12 min-w-24 compact:flex-1"
        disabled={value === null}
        data-passed
        onclick={() => write('passed')}>Passed</button
      >
    </span>
  </div>
</section>
