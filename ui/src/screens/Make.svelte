<script lang="ts">
  import { Tabs } from 'bits-ui';
  import { api, ask, type Schemas } from '../api/client';
  import AsBuilt from '../make/AsBuilt.svelte';
  import AtHand from '../make/AtHand.svelte';
  import CutBars from '../make/CutBars.svelte';
  import HoleTable from '../make/HoleTable.svelte';
  import Outdated from '../make/Outdated.svelte';
  import PartTable from '../make/PartTable.svelte';
  import PrintMenu from '../make/PrintMenu.svelte';
  import ReadingField from '../make/ReadingField.svelte';
  import { savePiece } from '../make/save';
  import SawAndOffcuts from '../make/SawAndOffcuts.svelte';
  import SaveTemplate from '../make/SaveTemplate.svelte';
  import StepList from '../make/StepList.svelte';
  import TemplateDrawing from '../make/TemplateDrawing.svelte';
  import TimeLine from '../make/TimeLine.svelte';
  import { clock, localTime, spell, stamp } from '../make/words';
  import { capital, fill, quantity } from '../parts/quantity';
  import TabRow from '../parts/TabRow.svelte';
  import { verdictRest, verdictWord } from '../parts/verdict';
  import JointSection from '../rig/JointSection.svelte';
  import TakenNote from '../rig/TakenNote.svelte';
  import { Late } from '../state/late.svelte';
  import { getSession } from '../state/session.svelte';

  const session = getSession();
  const late = new Late<Schemas['MakeReport']>('The plan could not be made.');
  const views = ['Steps', 'Parts', 'Cuts', 'Holes', 'Templates'] as const;
  /** Where one step is shown at a time: whether the list of all is unfolded. */
  let listed = $state(false);
  let view = $state<(typeof views)[number]>('Steps');
  let chosen = $state('');
  let now = $state.raw(new Date());
  let note = $state<HTMLInputElement>();

  // What cures by itself goes on while nobody types.
  $effect(() => {
    const timer = setInterval(() => (now = new Date()), 30_000);
    return () => clearInterval(timer);
  });
  $effect(() => {
    const [body, at] = [session.doc, stamp(now)];
    const query = { now: at, offset: -now.getTimezoneOffset() };
    return late.ask(body, 60, (signal) => ask(api.POST('/api/make', { body, params: { query }, signal })), 0);
  });

  let report = $derived(late.value);
  let verdict = $derived(session.report!.verdict);
  let steps = $derived(report?.steps ?? []);
  let next = $derived(steps.find((s) => !s.isDone));
  let step = $derived(steps.find((s) => s.id === chosen) ?? next ?? steps.at(-1));
  let done = $derived(steps.filter((s) => s.isDone).length);
  let made = $derived(
    step
      ? (session.doc.made?.[step.id] ?? (step.isOutdated ? session.doc.made?.[step.earlier] : undefined))
      : undefined,
  );
  let joints = $derived(session.report!.joints.filter((j) => step?.joints.includes(j.id)));
  let holes = $derived(
    step && (step.work === 'drill' || step.work === 'tap')
      ? report!.holes.filter((h) => step!.joints.includes(h.joint) && (step!.work === 'drill' || h.sort === 'tapped'))
      : [],
  );
  /** Flat pieces that this step is about. */
  let flat = $derived(
    step && ['cut', 'drill', 'tap', 'bend'].includes(step.work)
      ? report!.templates.filter(
          (t) =>
            step!.parts.includes(t.part) ||
            (step!.work === 'bend' && t.station === step!.station && t.bends.length > 0) ||
            t.holes.some((h) => h.joint && step!.joints.includes(h.joint)),
        )
      : [],
  );
  let notes = $derived(
    steps.flatMap((s) => {
      const note = (session.doc.made?.[s.id] ?? session.doc.made?.[s.earlier])?.note;
      return note ? [{ id: s.id, title: s.title, note }] : [];
    }),
  );
  let curing = $derived(step?.isDone && step.wait > 0 && step.done > 0);

  function say(said: { at?: string | undefined; note?: string; as?: Record<string, number> }) {
    if (!step) return;
    const entry = { at: made?.at, note: made?.note ?? '', as: made?.as, ...said };
    const rest = Object.fromEntries(
      Object.entries(session.doc.made ?? {}).filter(([id]) => id !== step!.id && id !== step!.earlier),
    );
    const all = entry.at || entry.note ? { ...rest, [step.id]: entry } : rest;
    session.change('made ' + step.id, { ...session.doc, made: Object.keys(all).length ? all : undefined });
  }
  function finish() {
    if (!step || step.isDone || step.heldBy) return;
    now = new Date();
    const text = note?.value.trim();
    const at = steps.indexOf(step);
    say({ at: stamp(now), as: drawn(step), ...(text === undefined ? {} : { note: text }) });
    // The next that is open, after this one first.
    chosen =
      (steps.slice(at + 1).find((s) => !s.isDone) ?? steps.find((s) => !s.isDone && s.id !== step!.id))?.id ?? step.id;
  }
  /** What a step works to now, by the plan's name of each measure. */
  const drawn = (s: Schemas['PlanStep']) => Object.fromEntries(s.madeAs.map((m) => [m.id, m.drawn]));
  const pick = (id: string) => ([chosen, view] = [id, 'Steps']);
</script>

{#snippet drawings(templates: readonly Schemas['Template'][])}
  <div class="grid gap-6">
    {#each templates as template (template.part)}
      <div>
        <TemplateDrawing {template} />
        <p class="mt-1 flex items-center gap-2"><SaveTemplate {template} /></p>
      </div>
    {/each}
  </div>
{/snippet}

{#if late.problem && !report}
  <main class="row-span-2 grid place-items-center"><p role="alert">{late.problem}</p></main>
{:else if !report || !step}
  <main class="row-span-2 grid place-items-center" aria-busy="true">
    <p class="text-quiet">Laying it out on the bench …</p>
  </main>
{:else}
  <main
    class="grid min-h-0 grid-cols-[290px_minmax(0,1fr)_300px] max-[1100px]:grid-cols-[260px_minmax(0,1fr)_240px] max-[900px]:row-span-2 max-[900px]:block max-[900px]:overflow-y-auto compact:row-span-2 compact:block"
    data-make
  >
    <section
      class="border-rule min-h-0 overflow-y-auto border-r px-3 py-3 max-[900px]:max-h-72 max-[900px]:border-r-0 compact:max-h-none compact:border-r-0 compact:pb-0"
      aria-label="Build plan"
    >
      <h1 class="sr-only">Make {session.doc.name}</h1>
      <p class="mb-1 px-2 text-sm font-semibold" data-make-verdict>
        <span class="word-{verdict.word}">{capital(verdictWord(verdict))}</span>{verdictRest(verdict, session.doc.host)}
      </p>
      <p class="text-quiet mb-1 flex justify-between gap-2 px-2 text-sm">
        <span>{steps.length} steps, {done} done</span>
        <span
          >{report.handsOn > 0
            ? `${spell(report.handsOn / 60)} hands on left`
            : verdict.word === 'lets-go'
              ? ''
              : 'ready to be proved'}</span
        >
      </p>
      <button
        class="btn btn-sm border-rule bg-base-100 hidden w-full justify-between compact:flex"
        aria-expanded={listed}
        aria-controls="steps"
        onclick={() => (listed = !listed)}
        data-steps-fold
      >
        <span>Step {steps.indexOf(step) + 1} of {steps.length}</span><span class="text-quiet font-normal"
          >{listed ? 'fold the list' : 'all steps'}</span
        >
      </button>
      <div id="steps" class={listed ? '' : 'compact:hidden'}>
        <StepList {steps} selected={step.id} onselect={(id) => ((listed = false), pick(id))} />
        {#if notes.length}
          <h2 class="mt-4 px-2 text-base">For next time</h2>
          <ul class="px-2 text-sm" data-notes>
            {#each notes as n (n.id)}
              <li class="mt-1">
                <button
                  class="text-quiet min-h-6 text-left text-xs underline decoration-dotted"
                  onclick={() => pick(n.id)}>{fill(n.title)}</button
                >
                <p>{n.note}</p>
              </li>
            {/each}
          </ul>
        {/if}
      </div>
    </section>
    <Tabs.Root bind:value={view} class="flex min-h-0 min-w-0 flex-col" aria-label="On the bench" role="region">
      <div class="flex gap-1 px-5 pt-3">
        <TabRow label="What is shown" names={views} open={view} />
        <PrintMenu {report} />
      </div>
      <Tabs.Content
        value={view}
        tabindex={-1}
        class="min-h-0 flex-1 overflow-y-auto px-5 py-3 max-[900px]:overflow-visible"
      >
        {#if view === 'Parts'}
          <h2 class="mb-1 text-2xl">What to buy, cut and bring</h2>
          <PartTable {report} />
        {:else if view === 'Cuts'}
          <h2 class="mb-1 text-2xl">What to cut from which bar</h2>
          {#if report.cuts.length}
            <p class="text-quiet mb-3 max-w-[44rem] text-sm">
              What lies about first, then lengths in shops: one, two and three metres. One squared end a bar and the
              saw's cut are counted.
            </p>
            <div class="grid gap-6">
              {#each report.cuts as group (group.row)}<CutBars {group} parts={report.parts} />{/each}
            </div>
            <SawAndOffcuts {report} />
          {:else}
            <p>Nothing of this rig is cut from bar or tube.</p>
          {/if}
        {:else if view === 'Holes'}
          <h2 class="mb-1 text-2xl">What to drill and tap</h2>
          {#if report.holes.length}<HoleTable holes={report.holes} />{:else}<p>Nothing of this rig is drilled.</p>{/if}
        {:else if view === 'Templates'}
          <h2 class="mb-1 text-2xl">What is marked out, true to scale</h2>
          {#if report.templates.length}
            <p class="text-quiet mb-3 max-w-[44rem] text-sm">
              Print at 100 %, then measure the bars on the print. Larger pieces come on several sheets: lay the circles
              on each other. Glue it on, punch through the crosses.
            </p>
            {@render drawings(report.templates)}
          {:else}
            <p>Nothing of this rig is cut from sheet, bent or drilled along a bar.</p>
          {/if}
          {#if report.wraps.length}
            <h3 class="mt-6 text-base">On paper, round tubes' ends and for their plugs</h3>
            <p class="text-quiet mb-2 max-w-[44rem] text-sm">
              Strips go once round and are taped; two crosses on one stand opposite each other, lines are marked and
              sawn along. The end of a plug is glued on and punched in the middle.
            </p>
            {@render drawings(report.wraps)}
          {/if}
          {#if report.plugs.length}
            <h3 class="mt-6 text-base">Plugs for tubes' ends, turned or printed</h3>
            <ul class="max-w-[44rem] text-sm">
              {#each report.plugs as p (p.part)}
                <li class="border-rule flex items-center justify-between gap-3 border-b border-dotted py-1">
                  <span
                    >{fill(p.name)}: {quantity(p.diameter, 'length')} across, {quantity(p.length, 'length')} long{p.bore
                      ? `, ${quantity(p.bore, 'drill')} hole, tapped ${p.thread}`
                      : ''}</span
                  >
                  <button
                    class="btn btn-xs border-rule"
                    onclick={() => savePiece(session.doc, p.part, 'stl')}
                    data-save-plug>STL</button
                  >
                </li>
              {/each}
            </ul>
          {/if}
        {:else}
          <p class="text-quiet text-sm">
            Step {step.number} of {steps.length} · {step.holdPoint
              ? 'hold point: nothing goes on before it is right · '
              : ''}{step.called}
          </p>
          <h2 id="answer" tabindex="-1" class="max-w-[40rem] text-3xl leading-tight outline-none" data-title>
            {fill(step.title)}
          </h2>
          <p class="mt-2 max-w-[38rem] text-lg leading-snug">{fill(step.how)}</p>
          {#if step.isOutdated}
            <Outdated
              {step}
              onanew={() => say({ at: undefined, as: undefined })}
              onkeep={(as) => say({ at: made?.at ?? undefined, as })}
            />
          {/if}
          {#if step.wait > 0}
            <p class="word-tight mt-2 font-semibold" data-cure>
              {curing
                ? `Leave it alone until ${clock(new Date(now.getTime() + 1000 * step.done))}: ${spell(step.done / 60)} to go.`
                : step.isDone
                  ? 'It has had its time.'
                  : `Then it needs ${spell(step.wait / 60)} by itself.`}
            </p>
          {/if}
          {#each flat as template (template.part)}
            <div class="mt-3">
              <TemplateDrawing {template} joints={step.joints} />
              <p class="mt-1 flex items-center gap-2"><SaveTemplate {template} /></p>
            </div>
          {:else}
            {#if holes.length}<div class="mt-4"><HoleTable {holes} /></div>{/if}
          {/each}
          {#each report.cuts.filter((c) => step!.bars.includes(c.row)) as group (group.row)}
            <div class="mt-4"><CutBars {group} parts={report.parts} marked={step.parts} /></div>
          {/each}
          {#if step.readings.length}
            <div class="mt-3 max-w-[34rem]" data-readings>
              {#each step.readings as r (r.path)}
                {@const taken = session.doc.measured?.[r.path]}
                <ReadingField asked={r} onchange={(v, where) => session.measure(where, v)} />
                {#if r.value != null}
                  <TakenNote
                    taken={taken && taken.value === r.value ? taken : null}
                    onsaid={(said) => session.taken(r.path, said)}
                  />
                {/if}
              {/each}
            </div>
          {/if}
          {#if step.built.length}<AsBuilt {step} />{/if}
          {#if joints.length && (step.work === 'fit' || step.work === 'place' || step.work === 'camera')}
            <div class="mt-4 flex flex-wrap gap-6">
              {#each joints as joint (joint.id)}
                <figure>
                  <JointSection {joint} />
                  <figcaption class="text-quiet text-xs">{joint.title}, to scale</figcaption>
                </figure>
              {/each}
            </div>
          {/if}
        {/if}
      </Tabs.Content>
      {#if view === 'Steps'}
        <form
          class="border-rule flex items-end gap-3 border-t px-5 py-3 max-sm:flex-wrap"
          onsubmit={(e) => (e.preventDefault(), finish())}
        >
          <label class="min-w-0 flex-1 text-xs max-sm:basis-full">
            <span class="text-quiet">Next time</span>
            {#key step.id}
              <input
                bind:this={note}
                class="input input-sm w-full"
                placeholder="what to do otherwise; stays with this version"
                maxlength="400"
                value={made?.note ?? ''}
                onchange={(e) => say({ note: e.currentTarget.value.trim() })}
              />
            {/key}
          </label>
          {#if step.isDone}
            <!-- Undone a moment ago, its plan may not be here yet. -->
            {#if made?.at}
              <label class="text-xs">
                <span class="text-quiet block">Done</span>
                <input
                  type="datetime-local"
                  class="input input-sm w-48"
                  data-done-at
                  max={localTime(now)}
                  value={localTime(new Date(made.at))}
                  onchange={(e) => e.currentTarget.value && say({ at: stamp(new Date(e.currentTarget.value)) })}
                />
              </label>
            {/if}
            <button type="button" class="btn border-rule" onclick={() => say({ at: undefined })}>Not done</button>
          {:else if step.heldBy}
            <button type="button" class="btn border-accent word-tight" data-held onclick={() => pick(step!.heldBy!)}
              >Hold point first</button
            >
          {:else}
            <button class="btn btn-primary px-6" data-done-next>Done, next</button>
          {/if}
        </form>
      {/if}
    </Tabs.Root>
    <AtHand {step} {report} onselect={pick} />
  </main>
  <TimeLine {report} {now} selected={step.id} onselect={pick} />
{/if}
