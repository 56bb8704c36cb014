<script lang="ts">
  import { onDestroy, onMount, untrack } from 'svelte';
  import { capital, fill, quantity, speedOf } from '../parts/quantity';
  import { verdictRest, verdictWord } from '../parts/verdict';
  import SendState from '../prove/SendState.svelte';
  import PhonePanel from '../run/PhonePanel.svelte';
  import DayForm from '../run/DayForm.svelte';
  import TickRow from '../run/TickRow.svelte';
  import TrackPanel from '../run/TrackPanel.svelte';
  import type { Schemas } from '../api/client';
  import { Logbook } from '../state/logbook.svelte';
  import { runningSince, RunCardState, ticked, type Conditions } from '../state/runcard.svelte';
  import { getAtHand } from '../state/athand';

  const rig = getAtHand();
  const state_ = new RunCardState(rig.id);
  const book = new Logbook(rig.id, () => state_.ask(null));
  let now = $state(Date.now());
  let day = $state(false);
  let other = $state(false);
  let note = $state('');
  let list = $state<'on' | 'off'>('on');
  onMount(() => {
    const clock = setInterval(() => (now = Date.now()), 1000);
    return () => clearInterval(clock);
  });
  onDestroy(() => {
    book.close();
    state_.close();
  });
  $effect(() => {
    void rig.version;
    // That a card came is no reason to ask again.
    if (rig.saved) untrack(() => void state_.ask(null));
  });

  let stored = $derived(state_.card);
  let card = $derived(stored?.card);
  let host = $derived(rig.host);
  let ticks = $derived((card?.on ?? []).map((t) => ticked(t, book.waiting)));
  let strikes = $derived((card?.off ?? []).map((t) => ticked(t, book.waiting)));
  let shown = $derived(list === 'on' ? ticks : strikes);
  let done = $derived(shown.filter((t) => t.at).length);
  let since = $derived(card ? runningSince(card.since, book.waiting) : null);
  let ready = $derived(ticks.every((t) => t.at));
  /** The day that it is of is over: nobody starts by it, whatever it allowed then. */
  let over = $derived(card ? !(now < Date.parse(card.until)) : false);
  $effect(() => {
    if (over) untrack(() => void state_.ask(null));
  });
  let allowed = $derived(card && !over ? card.allowed : 0);
  let look = $derived(card?.lookAgainAt ? Date.parse(card.lookAgainAt) : null);
  const clock = (t: number) => new Date(t).toLocaleTimeString(undefined, { hour: '2-digit', minute: '2-digit' });
  /** With its day where that is another one. */
  const time = (t: number) =>
    new Date(t).toDateString() === new Date(now).toDateString() ? clock(t) : new Date(t).toLocaleString();
  function span(ms: number) {
    const s = Math.max(0, Math.round(ms / 1000));
    return s >= 3600
      ? `${Math.floor(s / 3600)} h ${Math.floor((s % 3600) / 60)} min`
      : `${Math.floor(s / 60)} min ${s % 60} s`;
  }

  const design = () => card!.design;
  function tick(t: Schemas['Tick'], value: number | null, text: string) {
    book.add({
      sort: t.asks === 'gauge' ? 'gauge' : 'tick',
      of: t.id,
      value: value ?? undefined,
      note: text,
      design: design(),
    });
  }
  const start = () => book.add({ sort: 'run-start', design: design(), value: card!.allowed });
  function end() {
    book.add({ sort: 'run-end', design: design() });
    list = 'off';
  }
  const looked = () => book.add({ sort: 'look', design: design() });
  function seen(what: Schemas['Seen']) {
    book.add({ sort: 'finding', seen: what, note: note.trim(), design: design() });
    [note, other] = ['', false];
  }
  const conditions = (next: Conditions) => void state_.ask(next);
</script>

{#if !card || !stored}
  <main class="row-span-2 grid place-items-center" aria-busy={!state_.problem}>
    {#if state_.problem}
      <div class="max-w-md px-4 text-center" role="alert">
        <p>{state_.problem}</p>
        <button class="btn btn-primary mt-3 h-12" onclick={() => state_.ask(null)}>Try again</button>
      </div>
    {:else}<p class="text-quiet">Making today's card …</p>{/if}
  </main>
{:else}
  {@const holds = card.today.verdict}
  <main
    class="relative row-span-2 min-h-0 overflow-y-auto lg:grid lg:grid-cols-[minmax(22rem,27rem)_minmax(0,1fr)] compact:overflow-visible"
    data-run
  >
    <h1 class="sr-only">Run {rig.name}</h1>
    <div class="bg-base-100 border-rule lg:sticky lg:top-0 lg:self-start lg:border-r">
      <SendState {book} />
      {#if state_.stale || over}<p class="bg-base-300 px-4 py-1 text-sm" role="status" data-stale>
          {state_.stale ? 'Offline: this' : 'This'} card is of {time(Date.parse(card.at))}{over
            ? '; its day is over, and nobody starts by it'
            : ''}.
        </p>{/if}
      <section
        class="bg-base-content text-base-100 px-4 py-4"
        aria-label="Today"
        aria-live="polite"
        data-allowed={allowed}
      >
        <p class="text-base">
          {since ? `Running since ${time(Date.parse(since))}` : over ? 'Not today' : 'Today'}{look && allowed > 0
            ? `, until ${clock(look)}`
            : ''}
        </p>
        <p id="answer" tabindex="-1" class="text-5xl leading-none font-extrabold tracking-tight outline-none">
          {allowed > 0 ? `up to ${speedOf(allowed, host)}` : over ? 'Ask anew' : 'Not yet'}
        </p>
        <p class="mt-2 text-base leading-snug">{fill(card.says, host)}</p>
        <p class="mt-1 text-sm opacity-90">
          {capital(verdictWord(holds))}{verdictRest(holds, host)}, on this day. Planning estimate.
        </p>
      </section>
      {#if look && since}
        <p
          class="flex items-center justify-between gap-3 px-4 py-2 text-base {look < now
            ? 'bg-tight text-base-100 font-bold'
            : 'bg-base-200'}"
          data-look
        >
          <span>{look < now ? 'Look at it now' : `Look again in ${span(look - now)}`}</span>
          <button class="btn h-12 border-current bg-transparent text-inherit" onclick={looked}>Looked, all well</button>
        </p>
      {/if}
      <details class="border-rule border-b" bind:open={day}>
        <summary class="min-h-12 cursor-pointer px-4 py-3 text-base">
          The day: wind {quantity(stored.conditions.wind, 'speed')}, gusts {quantity(stored.conditions.gust, 'speed')} more,
          {quantity(stored.conditions.temperature, 'temperature')}
        </summary>
        {#if day}<DayForm
            day={stored.conditions}
            {host}
            pumps={card.on.some((t) => t.asks === 'gauge')}
            onday={conditions}
          />{/if}
        {#if card.today.costs.length}
          <ul class="px-4 pb-3 text-sm">
            {#each card.today.costs as c (c.what)}<li>{c.what} {quantity(c.speed, 'speed')} off.</li>{/each}
          </ul>
        {/if}
      </details>
      {#each card.due as d (d.title)}
        <p
          class="flex items-center justify-between gap-3 border-b border-l-4 px-4 py-2 {d.now
            ? 'border-lets-go'
            : 'border-rule'}"
        >
          <span><b>{d.title}:</b> {d.says}.</span>
          <button
            class="btn border-rule bg-base-100 h-12"
            onclick={() => book.add({ sort: 'service', of: d.of, design: design() })}>Done</button
          >
        </p>
      {/each}
      <div class="hidden px-4 py-3 lg:block">
        <h2 class="text-lg">Who does what</h2>
        <ul>
          {#each card.roles as r (r)}<li class="py-0.5">{r}</li>{/each}
        </ul>
        <h2 class="mt-3 text-lg">If</h2>
        <ul>
          {#each card.ifs as i (i)}<li class="py-0.5">{i}</li>{/each}
        </ul>
        {#if rig.whole}
          <h2 class="mt-3 mb-1 text-lg">Phone beside the vehicle</h2>
          <PhonePanel rig={rig.id} />
        {/if}
        <h2 class="mt-3 text-lg">So far</h2>
        <p>{card.runs} {card.runs === 1 ? 'run' : 'runs'}, {Math.round(card.ran / 60)} min in all.</p>
        <ul>
          {#each card.findings as f (f.at + f.seen)}
            <li class="border-rule border-b border-dotted py-1">
              <b>{capital(card.seen.find((s) => s.id === f.seen)?.label ?? f.seen)}</b>, {new Date(
                f.at,
              ).toLocaleString()}{f.note ? `: ${f.note}` : ''}{f.simulated ? ' (made up)' : ''}
            </li>
          {/each}
        </ul>
        {#each card.leaks as l (l.of)}
          <p class="py-0.5">
            {capital(l.label)}: {quantity(l.vacuum, 'pressure')}{l.halfLife
              ? `, loses half in ${quantity(l.halfLife, 'duration')}`
              : ''}.
          </p>
        {/each}
      </div>
    </div>

    <div class="min-w-0 pb-52">
      <div class="bg-base-200 flex items-center gap-2 px-3.5 pt-3 pb-2" role="group" aria-label="Lists">
        {#each [['on', 'Fit, in this order'], ['off', 'Strike and stow']] as const as [id, label] (id)}
          <button
            class="btn h-12 flex-1 text-base {list === id ? 'btn-primary' : 'border-rule bg-base-100'}"
            aria-pressed={list === id}
            onclick={() => (list = id)}>{label}</button
          >
        {/each}
      </div>
      <p class="px-3.5 pb-1 text-base"><b data-done-count>{done} of {shown.length}</b></p>
      <ol class="bg-base-100 border-rule border-t">
        {#each shown as t, i (t.id)}
          <TickRow
            tick={t}
            next={!t.at && shown.slice(0, i).every((x) => x.at)}
            ontick={(value, text) => tick(t, value, text)}
            onuntick={() => book.add({ sort: 'untick', of: t.id, design: design() })}
          />
        {/each}
      </ol>
      <div class="px-4 py-3">
        <h2 class="mb-2 text-lg">After the run: its track</h2>
        <TrackPanel allowed={card.allowed} proved={card.proof.driven} design={card.design} {book} />
      </div>
      <div class="px-4 py-3 lg:hidden">
        <h2 class="text-lg">Who does what</h2>
        <ul>
          {#each card.roles as r (r)}<li class="py-0.5">{r}</li>{/each}
        </ul>
        <ul class="mt-2">
          {#each card.ifs as i (i)}<li class="py-0.5">{i}</li>{/each}
        </ul>
        <ul class="mt-2">
          {#each card.findings.slice(0, 5) as f (f.at + f.seen)}
            <li class="border-rule border-b border-dotted py-1">
              <b>{capital(card.seen.find((s) => s.id === f.seen)?.label ?? f.seen)}</b>, {new Date(
                f.at,
              ).toLocaleString()}{f.note ? `: ${f.note}` : ''}
            </li>
          {/each}
        </ul>
      </div>
    </div>
  </main>
  <div
    class="border-rule bg-base-200 fixed inset-x-0 bottom-0 z-10 border-t px-3.5 pt-2 pb-3 lg:left-[27rem]"
    role="group"
    aria-label="The run"
  >
    {#if other}
      <div class="mb-2 flex gap-2">
        <input
          class="input border-rule bg-base-100 h-12 min-w-0 flex-1 text-base"
          maxlength="500"
          placeholder="what was it?"
          aria-label="What was seen"
          bind:value={note}
        />
        <button class="btn btn-primary h-12" onclick={() => seen('other')}>Note it</button>
      </div>
    {/if}
    <div class="mb-2 grid grid-cols-3 gap-2">
      {#each card.seen.filter((x) => x.id === 'crept' || x.id === 'hummed') as x (x.id)}
        <button
          class="btn border-rule bg-base-100 h-14 text-base leading-tight"
          onclick={() => seen(x.id as Schemas['Seen'])}>{capital(x.label)}</button
        >
      {/each}
      <button
        class="btn border-rule bg-base-100 h-14 text-base leading-tight"
        aria-expanded={other}
        onclick={() => (other = !other)}>Something else</button
      >
    </div>
    {#if since}
      <button class="btn btn-primary h-16 w-full text-xl" data-end onclick={end}
        >Stop the run · {span(now - Date.parse(since))}</button
      >
    {:else}
      <button class="btn btn-primary h-16 w-full text-xl" disabled={!ready || allowed <= 0} data-start onclick={start}>
        {over
          ? 'Ask for a card of today first'
          : allowed <= 0
            ? 'Does not run yet'
            : ready
              ? 'Start the run'
              : `Fit it first: ${ticks.length - ticks.filter((t) => t.at).length} left`}
      </button>
    {/if}
    <p class="text-quiet pt-1 text-center text-sm">
      driver touches nothing · {quantity(rig.speed, 'speed')} asked for
    </p>
  </div>
{/if}
