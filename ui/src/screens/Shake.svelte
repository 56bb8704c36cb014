<script lang="ts">
  import { api, ask, type Kind, type Schemas } from '../api/client';
  import { percent, quantity } from '../parts/quantity';
  import Fields from '../rig/Fields.svelte';
  import IsolatorFinder from '../shake/IsolatorFinder.svelte';
  import PictureNumbers from '../shake/PictureNumbers.svelte';
  import ShakeAdvice from '../shake/ShakeAdvice.svelte';
  import SoftBench from '../shake/SoftBench.svelte';
  import SpectrumPlot from '../shake/SpectrumPlot.svelte';
  import TapPanel from '../shake/TapPanel.svelte';
  import TestChart from '../shake/TestChart.svelte';
  import { sharpWords } from '../shake/words';
  import { catalogue } from '../state/catalogue.svelte';
  import { Late } from '../state/late.svelte';
  import { getSession } from '../state/session.svelte';

  const session = getSession();
  const late = new Late<Schemas['ShakeReport']>('The shake could not be computed.');
  let report = $derived(late.value);
  let problem = $derived(late.problem);
  let mode = $state(0);
  let rolling = $state(true);
  let log = $state.raw<Schemas['LogReport'] | null>(null);
  const scene = import('../rig/Scene.svelte');

  $effect(() => {
    const document = session.doc;
    return late.ask(document, 60, (signal) => ask(api.POST('/api/shake', { body: document, signal })));
  });

  /** Only what belongs to the picture. */
  const only = (kind: Kind | undefined, names: string[]) =>
    kind && { ...kind, fields: kind.fields.filter((f) => names.includes(f.name)), sketch: '' };
  let worst = $derived(report ? sharpWords[report.picture.word] : null);
  let shown = $derived(report?.modes[mode] ?? report?.modes[0]);
  let going = $derived(catalogue.host(session.doc.host)?.going);
  let path = $derived(session.doc.paths[0]!);
  let isolator = $derived(path.isolator as unknown as (Record<string, unknown> & { kind: string }) | undefined);
</script>

{#if problem && !report}
  <main class="row-span-2 grid place-items-center"><p role="alert">{problem}</p></main>
{:else if !report}
  <main class="row-span-2 grid place-items-center" aria-busy="true"><p class="text-quiet">Shaking it …</p></main>
{:else}
  <main
    class="row-span-2 grid min-h-0 grid-cols-[318px_minmax(0,1fr)_320px] max-[1100px]:grid-cols-[300px_minmax(0,1fr)] max-[1100px]:grid-rows-[minmax(0,1.4fr)_minmax(0,1fr)] compact:block"
    data-shake
  >
    <h1 class="sr-only">Shake of {session.doc.name}</h1>
    <section
      class="border-rule bg-base-100 relative min-h-0 overflow-y-auto border-r px-4 py-3 max-[1100px]:row-span-2"
      aria-label="The picture"
    >
      <p
        id="answer"
        tabindex="-1"
        class="text-2xl leading-tight font-bold outline-none"
        class:stale={late.of !== session.doc}
        aria-live="polite"
        data-sharp={report.picture.word}
      >
        {#if report.picture.word === 'none'}No picture{:else}<span class="word-{worst!.state}">{worst!.word}</span> at {quantity(
            session.doc.run.speed,
            'speed',
          )}{/if}
      </p>
      <p class="mt-0.5 text-sm">
        {report.picture.text}{report.picture.word === 'none' ? '' : ' In pixels of the delivered picture.'}
      </p>
      {#if report.picture.numbers.length}
        <PictureNumbers picture={report.picture} modes={report.modes} />
        <h3 class="mt-3">What a frame does</h3>
        <TestChart picture={report.picture} {rolling} />
      {/if}
      <label class="mt-1 flex items-center gap-2 text-sm">
        <input type="checkbox" class="checkbox checkbox-sm" bind:checked={rolling} />
        with the rolling read-out
      </label>
      {#if report.members.length}
        <h3 class="mt-3">Members, by what shakes them</h3>
        <ul class="text-sm">
          {#each report.members as m, i (i)}
            <li class="flex justify-between gap-2">
              <span>{m.label}</span>
              <span class="whitespace-nowrap"
                >{quantity(m.stress, 'stress')} · {m.hours >= 1e5
                  ? 'no crack seen'
                  : `${Math.round(m.hours)} h to a crack`}</span
              >
            </li>
          {/each}
        </ul>
      {/if}
      <h3 class="mt-3">What the camera feels</h3>
      <table class="w-full text-sm tabular-nums">
        <thead class="text-quiet text-xs">
          <tr
            ><th class="text-left font-normal">axis of the host</th><th class="text-right font-normal">usual</th><th
              class="text-right font-normal">peak</th
            ></tr
          >
        </thead>
        <tbody>
          {#each report.acceleration as a (a.axis)}
            <tr>
              <th class="text-left font-normal">{a.axis}</th>
              <td class="text-right">{quantity(a.rms, 'acceleration')}</td>
              <td class="text-right">{quantity(a.peak, 'acceleration')}</td>
            </tr>
          {/each}
        </tbody>
      </table>
      <h3 class="mt-3">What shakes it, and how sure that is</h3>
      <ul class="text-quiet text-xs">
        {#each report.sources as s (s.label)}<li><b>{s.label}:</b> {s.source}.</li>{/each}
        {#each report.steady as s (s.label)}<li>
            <b>{s.label}, {quantity(s.frequency, 'frequency')}:</b>
            {s.source}.
          </li>{/each}
      </ul>
    </section>
    <div class="grid min-h-0 min-w-0 grid-cols-[minmax(0,1fr)] grid-rows-[auto_1fr]">
      <div class="border-rule bg-base-200 border-b px-2 pt-1">
        <h2 class="sr-only">Shaking and response</h2>
        <SpectrumPlot {report} {log} {mode} onmode={(i) => (mode = i)} />
      </div>
      <div class="relative min-h-0 max-[1100px]:min-h-64 compact:h-80 short:h-[max(14rem,80vh)]">
        {#await scene then module}
          <module.default movement={shown?.movement} />
        {/await}
        {#if shown}
          <p
            class="bg-base-100/90 pointer-events-none absolute top-2 left-3 max-w-[22rem] rounded-sm px-2 py-1 text-sm leading-snug"
          >
            <b>Mode {mode + 1}, {quantity(shown.frequency, 'frequency')}:</b>
            {shown.name}; damping {percent(shown.damping)}, {percent(shown.share)} of the camera's turning.
          </p>
        {/if}
      </div>
    </div>
    <aside class="border-rule bg-base-100 relative min-h-0 overflow-y-auto border-l px-4 py-3" aria-label="Settings">
      <ShakeAdvice numbers={report.picture.numbers} />
      <div class="mt-4"><TapPanel bind:log /></div>
      <h3 class="mt-4">Lens and shutter</h3>
      <Fields
        kind={only(catalogue.kind('camera', 'camera'), [
          'lens',
          'frameRate',
          'exposure',
          'subject',
          'stabiliser',
          'delivery',
        ])}
        value={path.camera as unknown as Record<string, unknown>}
        path="paths.[{path.id}].camera"
      />
      <h3 class="mt-4">{going ? `${going.label} and engine` : 'Road and engine'}</h3>
      <Fields
        kind={only(catalogue.conditions(session.doc.host), ['speed', 'road', 'rpm', 'rpmTo'])}
        value={session.doc.run as unknown as Record<string, unknown>}
        path="run"
      />
      <h3 class="mt-4">Soft mount</h3>
      {#if report.soft}<SoftBench soft={report.soft} />{/if}
      <IsolatorFinder />
      {#if isolator && isolator.kind !== 'no-isolator'}
        <Fields kind={catalogue.kind('isolator', isolator.kind)} value={isolator} path="paths.[{path.id}].isolator" />
      {/if}
    </aside>
  </main>
{/if}
