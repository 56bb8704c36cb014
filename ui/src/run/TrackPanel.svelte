<script lang="ts">
  import { scaleLinear } from 'd3-scale';
  import { line } from 'd3-shape';
  import { api, ApiError, ask, type Schemas } from '../api/client';
  import { inUnit, quantity, unitOf } from '../parts/quantity';
  import type { Logbook } from '../state/logbook.svelte';

  /** A track of the run, held against what was allowed and proved. */
  interface Props {
    allowed: number;
    proved: number;
    design: string;
    book: Logbook;
  }
  let { allowed, proved, design, book }: Props = $props();
  let report = $state.raw<Schemas['TrackReport'] | null>(null);
  let made = $state(false);
  let problem = $state('');
  let width = $state(320);
  const HEIGHT = 150;

  async function read(text: string, simulated: boolean) {
    try {
      const answer = await ask(api.POST('/api/track', { body: { text, allowed, proved } }));
      [report, made, problem] = [answer, simulated, ''];
      book.add({
        sort: 'track',
        of: 'track',
        design,
        value: answer.fastest,
        before: allowed,
        note: answer.says,
        simulated,
      });
    } catch (e) {
      problem = e instanceof ApiError ? e.message : 'The track could not be read.';
    }
  }

  async function file(e: Event & { currentTarget: HTMLInputElement }) {
    const chosen = e.currentTarget.files?.[0];
    if (chosen) await read(await chosen.text(), false);
    e.currentTarget.value = '';
  }

  async function standIn() {
    const text = await ask(
      api.POST('/api/track/simulate', { body: { speed: allowed || 10, seed: (Date.now() % 9999) + 1 } }),
    ).catch(() => null);
    if (text) await read(text.text, true);
  }

  let far = $derived(report ? Math.max(...report.speeds, allowed, proved, 1) * 1.1 : 1);
  let x = $derived(scaleLinear([0, report?.duration ?? 1], [34, width - 8]));
  let y = $derived(scaleLinear([0, far], [HEIGHT - 22, 8]));
  let way = $derived(
    report
      ? (line<number>(
          (_, i) => x(report!.times[i]!),
          (s) => y(s),
        )(report.speeds) ?? '')
      : '',
  );
  let ticks = $derived(scaleLinear([0, inUnit(far, 'speed')], [0, 1]).ticks(4));
</script>

<section aria-label="Track of the run">
  <div class="flex flex-wrap items-center gap-2">
    <label class="btn border-rule bg-base-100 h-12"
      >Read a GPX track<input type="file" accept=".gpx,application/gpx+xml" class="sr-only" onchange={file} /></label
    >
    <button class="btn btn-ghost h-12 font-normal underline" data-stand-in-track onclick={standIn}>stand-in</button>
  </div>
  {#if problem}<p class="word-lets-go mt-1 text-sm" role="alert">{problem}</p>{/if}
  {#if report}
    <p class="mt-2" data-track>
      {#if made}<b class="word-tight">Made up:</b>{/if}
      {report.says} Fastest {quantity(report.fastest, 'speed')}, {quantity(report.distance, 'altitude')} in {Math.round(
        report.duration / 60,
      )} min.
    </p>
    <div class="mt-1 overflow-hidden" bind:clientWidth={width}>
      <svg
        {width}
        height={HEIGHT}
        class="block"
        role="img"
        aria-label="Speed over time, with what was allowed and proved"
      >
        {#each report.overAllowed as o (o.from)}
          <rect
            x={x(o.from)}
            width={Math.max(2, x(o.to) - x(o.from))}
            y="8"
            height={HEIGHT - 30}
            fill="var(--lets-go)"
            opacity="0.25"
          />
        {/each}
        {#each ticks as t (t)}
          <text x="30" y={y((t / inUnit(far, 'speed')) * far) + 4} text-anchor="end" class="fill-quiet text-xs"
            >{t}</text
          >
        {/each}
        <text x="4" y={HEIGHT - 6} class="fill-quiet text-xs">{unitOf('speed')?.symbol}</text>
        {#each [['allowed', allowed, '8 3'], ['proved', proved, '2 3']] as const as [name, at, dash] (name)}
          {#if at > 0}
            <line x1="34" x2={width - 8} y1={y(at)} y2={y(at)} stroke="currentColor" stroke-dasharray={dash} />
            <text
              x={name === 'allowed' ? width - 8 : 38}
              y={y(at) - 3}
              text-anchor={name === 'allowed' ? 'end' : 'start'}
              class="fill-base-content text-xs">{name}</text
            >
          {/if}
        {/each}
        <path d={way} class="stroke-secondary fill-none" stroke-width="2" />
        <text x={width - 8} y={HEIGHT - 6} text-anchor="end" class="fill-quiet text-xs"
          >{Math.round(report.duration / 60)} min</text
        >
      </svg>
    </div>
  {/if}
</section>
