<script lang="ts">
  import { api, ApiError, ask, type Schemas } from '../api/client';
  import { capital, fill, quantity, speedOf } from '../parts/quantity';
  import type { Logbook } from '../state/logbook.svelte';
  import { getAtHand } from '../state/athand';
  import { notices } from '../state/notices.svelte';
  import ReadField from './ReadField.svelte';
  import TapLog from './TapLog.svelte';

  interface Props {
    rig: string;
    host: string;
    design: string;
    rung: Schemas['Rung'];
    state: Schemas['RungState'] | undefined;
    frequency: number | null | undefined;
    book: Logbook;
    ondone: () => void;
  }
  const hand = getAtHand();
  let { rig, host, design, rung, state: stands, frequency, book, ondone }: Props = $props();
  let looked = $state<Record<string, boolean>>({});
  let note = $state('');
  let hertz = $state<number | null>(null);
  let made = $state<number | null>(null);
  let all = $derived(rung.inspect.every((i) => looked[i]));

  function write(outcome: Schemas['Outcome']) {
    book.add({ sort: 'rung', of: rung.id, outcome, value: rung.speed, design, note: note.trim() });
    note = '';
    looked = {};
    if (outcome === 'passed') ondone();
  }

  function tap() {
    if (hertz === null) return;
    book.add({ sort: 'tap', of: rung.id, value: hertz, design, simulated: hertz === made });
    hertz = made = null;
    ondone();
  }

  async function standIn() {
    try {
      const seed = (Date.now() % 100000) + 1;
      const read = await ask(
        api.POST('/api/rigs/{id}/simulate', { params: { path: { id: rig } }, body: { of: rung.id, seed } }),
      );
      hertz = made = read.value;
    } catch (e) {
      notices.say(e instanceof ApiError ? e.message : 'The stand-in reads nothing.');
    }
  }
</script>

<section class="min-h-0 overflow-y-auto px-5 py-3" aria-label="This rung" data-rung-now={rung.id}>
  <p class="text-quiet text-sm">
    {rung.speed != null ? rung.title : 'Rung'}{rung.distance
      ? ` · ${quantity(rung.distance, 'altitude')}`
      : ''}{rung.duration ? ` · ${Math.round(rung.duration / 60)} min` : ''}
  </p>
  <h2 id="answer" tabindex="-1" class="text-3xl leading-tight font-bold tracking-tight outline-none compact:text-2xl">
    {#if rung.speed != null}Up to <span class="text-accent whitespace-nowrap">{speedOf(rung.speed, host)}</span
      >{:else}{rung.title}{/if}
  </h2>
  <p class="mt-1 max-w-3xl">{fill(rung.how, host)}</p>
  {#if rung.barred}
    <p class="border-lets-go mt-3 max-w-3xl border-l-4 pl-3" role="note">
      <b>Nobody climbs this rung.</b>
      {fill(rung.barred, host)}
    </p>
  {:else if rung.sort === 'tap'}
    <p class="mt-3 text-sm">
      Predicted {frequency ? quantity(frequency, 'frequency') : 'nothing that rings'}. Phone taped to the camera, one
      push the way it is softest, and let it ring: the first peak of its log goes in here.{#if hand.whole}
        The whole log lies over the prediction under <a class="underline" href="#/rig/{rig}/shake">Shake</a>.{/if}
    </p>
    <TapLog onpeak={(f) => ((hertz = f), (made = null))} />
    <div class="mt-3 flex flex-wrap items-center gap-3">
      <ReadField label="First peak" dimension="frequency" bind:value={hertz} large oncommit={tap} />
      <button class="btn btn-ghost btn-sm px-2 font-normal underline" onclick={standIn}>stand-in phone</button>
      {#if hertz !== null && hertz === made}<span class="word-tight text-sm font-semibold">made up, not read</span>{/if}
      <button class="btn btn-primary h-12" disabled={hertz === null} onclick={tap}>Enter it</button>
    </div>
    {#if stands?.says}<p class="mt-3">{capital(fill(stands.says))}</p>{/if}
  {:else}
    <fieldset class="mt-4">
      <legend class="font-bold">Look at, before the next rung</legend>
      {#each rung.inspect as i (i)}
        <label class="border-rule flex min-h-10 items-center gap-3 border-b border-dotted py-1">
          <input type="checkbox" class="checkbox" bind:checked={looked[i]} />
          {capital(i)}
        </label>
      {/each}
    </fieldset>
    <label class="mt-3 block max-w-xl text-sm"
      >Note
      <input
        class="input border-rule bg-base-100 mt-1 w-full"
        maxlength="500"
        bind:value={note}
        placeholder="what moved, what to do otherwise"
      />
    </label>
    <div class="mt-4 flex flex-wrap gap-2">
      <button class="btn border-rule bg-base-100 h-12" onclick={() => write('repeat')}>Repeat</button>
      <button class="btn border-lets-go text-lets-go bg-base-100 h-12" onclick={() => write('stop')}
        >It moved: stop</button
      >
      <button class="btn btn-primary h-12 min-w-28" disabled={!all} data-passed onclick={() => write('passed')}
        >{all ? 'Passed' : 'Look at all of it first'}</button
      >
    </div>
    {#if stands?.at}<p class="text-quiet mt-2 text-sm">
        Last: {new Date(stands.at).toLocaleString()}. {stands.says}
      </p>{/if}
  {/if}
</section>
