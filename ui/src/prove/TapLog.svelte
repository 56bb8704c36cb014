<script lang="ts">
  import { ApiError, type Schemas } from '../api/client';
  import { upload } from '../api/upload';
  import { quantity } from '../parts/quantity';
  import { canRecord, record } from '../phone/motion';

  /** The first peak out of a phone's log: opened, or written down here and now by the phone that shows this page. */
  let { onpeak }: { onpeak: (hertz: number) => void } = $props();
  /** Long enough for a push and its ringing down at 1 Hz. */
  const SECONDS = 10;
  let log = $state.raw<Schemas['LogReport'] | null>(null);
  let left = $state<number | null>(null);
  let problem = $state('');

  async function read(from: () => Promise<Blob>) {
    [problem, log] = ['', null];
    try {
      const file = await from();
      const answer = await upload<Schemas['KeptLog']>('/api/tap/read', file, {
        progress: () => {},
        stop: new AbortController().signal,
      });
      log = answer.log;
      // Over a pause a ringing reads as something slow: that is for somebody to look at.
      if (log.peaks[0] && !log.pause) onpeak(log.peaks[0].frequency);
    } catch (e) {
      problem = e instanceof ApiError || e instanceof Error ? e.message : 'That did not work.';
    } finally {
      left = null;
    }
  }

  const here = () =>
    read(() => {
      left = SECONDS;
      return record(SECONDS, (s) => (left = s));
    });

  async function open(e: Event & { currentTarget: HTMLInputElement }) {
    const input = e.currentTarget;
    const file = input.files?.[0];
    if (!file) return;
    input.value = '';
    await read(() => Promise.resolve(file));
  }
</script>

<div class="mt-3 flex flex-wrap gap-2" data-tap-log>
  {#if canRecord()}
    <button class="btn border-rule bg-base-100 h-12" disabled={left !== null} data-record onclick={here}
      >{left === null ? `Record ${SECONDS} s with this phone` : `Push once, then let it ring: ${left} s`}</button
    >
  {/if}
  <label class="btn border-rule bg-base-100 h-12 focus-within:outline-2">
    Open a phone's log
    <input class="sr-only" type="file" accept=".csv,text/csv,text/plain" onchange={open} />
  </label>
</div>
{#if problem}<p class="text-lets-go mt-2" role="alert">{problem}</p>{/if}
{#if log}
  <div class="mt-2 text-sm" role="status">
    <p>
      {log.duration.toFixed(1)} s, {log.rate.toFixed(0)} samples a second: it hears up to {quantity(
        log.rate / 2,
        'frequency',
      )}.
    </p>
    {#if log.pause}<p class="word-tight font-semibold">
        It has a pause of {log.pause.toFixed(1)} s: a slow peak may be no more than that. Record again.
      </p>{/if}
    {#if log.peaks.length}
      <p class="flex flex-wrap items-center gap-1">
        Peaks:
        {#each log.peaks as p, i (i)}
          <button class="btn btn-sm border-rule bg-base-100 min-h-10" onclick={() => onpeak(p.frequency)}
            >{quantity(p.frequency, 'frequency')}</button
          >
        {/each}
      </p>
    {:else}<p>No peak stands out: push harder, or hold the vehicle still.</p>{/if}
  </div>
{/if}
