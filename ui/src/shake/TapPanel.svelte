<script lang="ts">
  import { api, ApiError, ask, type Schemas } from '../api/client';
  import ChoiceField from '../parts/ChoiceField.svelte';
  import { upload } from '../api/upload';
  import { percent, quantity } from '../parts/quantity';
  import { getSession } from '../state/session.svelte';

  /** A push at the camera with a phone on it: its log, its peaks, and the site made to agree. */
  const session = getSession();
  let { log = $bindable() }: { log: Schemas['LogReport'] | null } = $props();
  let text = $state.raw<Blob>();
  /** By which the server knows the log: other units need no second sending. */
  let id = '';
  let origin = $state('');
  let problem = $state('');
  let done = $state('');
  /** Share of a log that is with the server; null while none is under way. */
  let sent = $state<number | null>(null);
  let under: AbortController | undefined;

  async function guard(work: () => Promise<void>) {
    problem = '';
    try {
      await work();
    } catch (e) {
      if (e instanceof DOMException) problem = 'Stopped: nothing was read.';
      else problem = e instanceof ApiError ? e.message : 'That did not work.';
    }
  }

  const read = (
    from: string,
    csv: Blob,
    timeUnit?: Schemas['LogTime'],
    accelerationUnit?: Schemas['LogAcceleration'],
  ) =>
    guard(async () => {
      const query = Object.entries({ timeUnit, accelerationUnit })
        .filter(([, unit]) => unit)
        .map(([name, unit]) => `${name}=${unit}`)
        .join('&');
      under = new AbortController();
      sent = 0;
      try {
        const progress = (share: number) => (sent = share);
        const read = await upload<Schemas['KeptLog']>(`/api/tap/read?${query}`, csv, { progress, stop: under.signal });
        [log, id, text, origin, done] = [read.log, read.id, csv, from, ''];
      } finally {
        sent = null;
      }
    });

  const again = (timeUnit?: Schemas['LogTime'], accelerationUnit?: Schemas['LogAcceleration']) =>
    guard(async () => {
      try {
        const call = api.GET('/api/tap/logs/{id}', { params: { path: { id }, query: { timeUnit, accelerationUnit } } });
        log = (await ask(call)).log;
      } catch (e) {
        if (!(e instanceof ApiError && e.status === 404)) throw e;
        if (text) await read(origin, text, timeUnit, accelerationUnit);
      }
    });

  const simulate = () =>
    guard(async () => {
      const made = await ask(api.POST('/api/tap/simulate', { body: session.doc }));
      await read("the simulated phone's log", new Blob([made.text]));
    });

  async function open(e: Event & { currentTarget: HTMLInputElement }) {
    const input = e.currentTarget;
    const file = input.files?.[0];
    if (!file) return;
    input.value = '';
    await read(file.name, file);
  }

  const damping = (p: Schemas['SpectrumPeak']) => p.ringDown || p.halfPower;

  const calibrate = (p: Schemas['SpectrumPeak']) =>
    guard(async () => {
      const c = await ask(
        api.POST('/api/tap/calibrate', {
          body: { document: session.doc, frequency: p.frequency, damping: damping(p) || undefined, axis: log?.axis },
        }),
      );
      session.change('tap', c.document);
      done = `The stiffness of the place is now ${c.factor.toFixed(2)} of the estimate: ${quantity(c.before, 'frequency')} became ${quantity(c.after, 'frequency')}.`;
    });
</script>

<h3>Tap test</h3>
<p class="text-quiet text-xs">
  Phone taped to the camera, log on, one push the way it is softest, let it ring. Then lay the log over the prediction.
</p>
<div class="mt-1 flex flex-wrap gap-1">
  <label class="btn btn-xs border-rule bg-base-100 focus-within:outline-2">
    Open a phone's log
    <input class="sr-only" type="file" accept=".csv,text/csv,text/plain" onchange={open} />
  </label>
  <button class="btn btn-xs border-rule bg-base-100" onclick={simulate}>Simulated phone</button>
</div>
{#if sent !== null}
  <p class="mt-1 flex items-center gap-2 text-xs" role="status" data-log-sent>
    <progress class="progress w-24" value={sent} max="1" aria-label="Log read"></progress>
    {sent < 1 ? `${percent(sent)} of the log sent` : 'reading the log'}
    <button class="btn btn-xs btn-ghost" onclick={() => under?.abort()}>Stop</button>
  </p>
{/if}
{#if problem}<p class="text-lets-go text-sm" role="alert">{problem}</p>{/if}
{#if log}
  <p class="mt-1 text-xs" data-log>
    <b>{origin}</b>: {log.duration.toFixed(1)} s, {log.rate.toFixed(0)} samples a second; {log.guess}. Confirm:
  </p>
  {#if log.pause}<p class="word-tight text-xs font-semibold">
      It has a pause of {log.pause.toFixed(1)} s: a slow peak may be no more than that.
    </p>{/if}
  <ChoiceField
    label="Time in"
    value={log.timeUnit}
    choices={[
      { id: 'seconds', label: 'seconds' },
      { id: 'milliseconds', label: 'milliseconds' },
      { id: 'microseconds', label: 'microseconds' },
      { id: 'nanoseconds', label: 'nanoseconds' },
    ]}
    onchange={(id) => again(id as Schemas['LogTime'], log?.accelerationUnit)}
  />
  <ChoiceField
    label="Acceleration in"
    value={log.accelerationUnit}
    choices={[
      { id: 'metres-per-second-squared', label: 'metres per second squared' },
      { id: 'gravity', label: 'times gravity (g)' },
    ]}
    onchange={(id) => again(log?.timeUnit, id as Schemas['LogAcceleration'])}
  />
  <ul class="mt-1 text-sm">
    {#each log.peaks as p, i (i)}
      <li class="border-rule flex items-center justify-between gap-2 border-b border-dotted py-1">
        <span>
          <b>{quantity(p.frequency, 'frequency')}</b>, damping {damping(p) ? percent(damping(p)) : 'not seen'}
        </span>
        {#if i === 0}
          <button class="btn btn-xs btn-primary" onclick={() => calibrate(p)}>Make the place agree</button>
        {/if}
      </li>
    {:else}
      <li class="text-quiet">No peak stands out: push harder, or hold the car still.</li>
    {/each}
  </ul>
{/if}
{#if done}<p class="text-holds mt-1 text-sm font-semibold" role="status">{done}</p>{/if}
