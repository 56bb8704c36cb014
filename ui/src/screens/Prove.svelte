<script lang="ts">
  import { onDestroy, untrack } from 'svelte';
  import { capital, fill, quantity } from '../parts/quantity';
  import { verdictRest, verdictWord } from '../parts/verdict';
  import LadderList from '../prove/LadderList.svelte';
  import OwnTestForm from '../prove/OwnTestForm.svelte';
  import ProofTape from '../prove/ProofTape.svelte';
  import PullNow from '../prove/PullNow.svelte';
  import RungNow from '../prove/RungNow.svelte';
  import SendState from '../prove/SendState.svelte';
  import { Logbook } from '../state/logbook.svelte';
  import { getAtHand } from '../state/athand';
  import { ProofState } from '../state/proof.svelte';
  import { settings } from '../state/settings.svelte';

  const rig = getAtHand();
  const state_ = new ProofState(rig.id);
  const book = new Logbook(rig.id, () => state_.ask());
  onDestroy(() => book.close());
  let chosen = $state('');
  let pulled = $state('');

  // What is proved is what is saved.
  $effect(() => {
    void rig.version;
    if (rig.saved) untrack(() => void state_.ask());
  });

  let report = $derived(state_.report);
  let proof = $derived(report?.proof);
  let host = $derived(rig.host);
  let rung = $derived(
    report?.ladder.find((r) => r.id === chosen) ??
      report?.ladder.find((r) => r.id === proof?.stopped?.of) ??
      report?.ladder.find((r) => r.id === (proof?.next ?? (proof?.stopped ? 'pulls' : 'bench'))) ??
      report?.ladder[0],
  );
  let tests = $derived(new Map((report ? [...report.pulls, ...report.levers] : []).map((p) => [p.id, p])));
  let order = $derived((report?.order ?? []).map((id) => tests.get(id)!));
  let stateOf = (id: string) => proof?.pulls.find((p) => p.id === id);
  let pull = $derived(
    order.find((p) => p.id === pulled) ?? order.find((p) => stateOf(p.id)?.state !== 'passed') ?? order[0],
  );

  /** Goes on to the next one that is open. */
  function nextPull() {
    const at = order.findIndex((p) => p.id === pull?.id);
    pulled =
      [...order.slice(at + 1), ...order.slice(0, at)].find(
        (p) => !['passed', 'short'].includes(stateOf(p.id)?.state ?? 'open'),
      )?.id ?? '';
  }
</script>

{#if state_.problem && !report}
  <main class="row-span-2 grid place-items-center">
    <div class="max-w-md text-center" role="alert">
      <p>{state_.problem}</p>
      <button class="btn btn-sm btn-primary mt-3" onclick={() => state_.ask()}>Try again</button>
    </div>
  </main>
{:else if !report || !rung || !proof}
  <main class="row-span-2 grid place-items-center" aria-busy="true">
    <p class="text-quiet">Working out the pulls …</p>
  </main>
{:else}
  <main
    class="row-span-2 grid min-h-0 grid-cols-[270px_minmax(0,1fr)_320px] grid-rows-[minmax(0,1fr)_auto] compact:flex compact:flex-col max-[1100px]:grid-cols-[230px_minmax(0,1fr)_260px]"
    data-prove
  >
    <h1 class="sr-only">Prove {rig.name}</h1>
    {#snippet verdict()}
      <p class="text-lg leading-tight font-bold" data-proof-verdict={report!.verdict.word}>
        <span class="word-{report!.verdict.word}">{capital(verdictWord(report!.verdict))}</span>{verdictRest(
          report!.verdict,
          host,
        )}
      </p>
      <p class="text-quiet pb-2 text-xs">
        Computed for {quantity(report!.speed, 'speed')}; to be proved by test.
        {#if !rig.saved}Of what was saved last.{/if}
      </p>
    {/snippet}
    <div class="hidden px-5 pt-3 compact:block">{@render verdict()}</div>
    <aside
      class="border-rule bg-base-200 min-h-0 overflow-y-auto border-r px-2.5 py-3 compact:order-2 compact:border-r-0"
      aria-label="Ladder"
    >
      <div class="px-2 compact:hidden">{@render verdict()}</div>
      <LadderList
        ladder={report.ladder}
        states={proof.rungs}
        next={proof.next}
        selected={rung.id}
        {host}
        onselect={(id) => (chosen = id)}
      />
      <p class="text-quiet px-2 pt-2 text-xs">A failed rung stops the ladder and says what to change.</p>
    </aside>

    <div class="grid min-h-0 min-w-0 grid-rows-[auto_minmax(0,1fr)] compact:order-1 compact:block">
      <div>
        <SendState {book} />
        {#if proof.stopped}
          <div
            class="border-lets-go bg-base-100 mx-5 mt-3 border-l-4 px-3 py-2"
            role="alert"
            data-stopped={proof.stopped.of}
          >
            <p><b>Stopped.</b> {fill(proof.stopped.says, host)}</p>
            {#if proof.stopped.changes.length}
              <p class="mt-1 text-sm">
                Would pass: {proof.stopped.changes.map((c) => fill(c, host)).join('; ')}. Try them
                {#if rig.whole}under <a class="underline" href="#/rig/{rig.id}">Rig</a>{:else}at the computer, under Rig{/if}.
              </p>
            {/if}
          </div>
        {/if}
      </div>
      {#if rung.sort === 'pulls' && pull}
        <PullNow
          rig={rig.id}
          design={report.design}
          {pull}
          nth={order.indexOf(pull) + 1}
          of={order.length}
          {book}
          ondone={nextPull}
        />
      {:else if rung.sort === 'pulls'}
        <p class="grid place-items-center p-8">Nothing of this rig is pulled with a scale: a firm hand proves it.</p>
      {:else}
        {#key rung.id}
          <RungNow
            rig={rig.id}
            {host}
            design={report.design}
            {rung}
            state={proof.rungs.find((s) => s.id === rung.id)}
            frequency={report.frequency}
            {book}
            ondone={() => (chosen = '')}
          />
        {/key}
      {/if}
    </div>

    <aside
      class="border-rule bg-base-100 min-h-0 overflow-y-auto border-l px-4 py-3 compact:order-3 compact:border-l-0"
      aria-label="What it proves"
    >
      {#if rung.sort === 'pulls' && pull}
        <h2 class="text-lg">What this pull proves</h2>
        <p class="mt-1 text-sm">
          {pull.proves >= 1.499 ? '1.5' : pull.proves.toFixed(2)} × the largest load under way:
          <b>{quantity(pull.underWay, pull.lever ? 'torque' : 'force')}</b>{pull.case
            ? `, ${fill(pull.case, host)}`
            : ''}.
        </p>
        <p class="mt-1 text-sm">
          It stands {quantity(pull.limit, 'scale')} with no factor on it{pull.gives
            ? `; then ${fill(pull.gives).toLowerCase()}`
            : ''}.
          {#if pull.reading > pull.enough * 1.05}A knock by hand as well: {quantity(pull.reading, 'scale')}.{/if}
        </p>
        <h3 class="mt-4">All pulls, weakest last</h3>
        <ul class="text-sm">
          {#each order as p (p.id)}
            {@const s = stateOf(p.id)}
            <li>
              <button
                class="hover:bg-base-300/60 flex min-h-7 w-full items-baseline justify-between gap-2 rounded-sm px-1 text-left {p.id ===
                pull.id
                  ? 'bg-base-300/60 font-semibold'
                  : ''}"
                aria-current={p.id === pull.id ? 'true' : undefined}
                data-pull-row={p.id}
                data-state={s?.state ?? 'open'}
                onclick={() => (pulled = p.id)}
              >
                <span>{p.called}</span>
                <span
                  class="whitespace-nowrap {s?.state === 'passed'
                    ? 'word-holds'
                    : s?.state === 'failed'
                      ? 'word-lets-go'
                      : s?.state === 'short'
                        ? 'word-tight'
                        : 'text-quiet'}"
                  >{s?.reading != null ? `${quantity(s.reading, 'scale')} of ` : ''}{quantity(p.enough, 'scale')}{s
                    ? `, ${s.word}`
                    : ''}</span
                >
              </button>
              {#if p.id === pull.id && s?.says}<p class="text-quiet px-1 text-xs">{fill(s.says, host)}</p>{/if}
            </li>
          {/each}
        </ul>
        {#if report.leftOut.length}
          <details class="mt-2 text-sm">
            <summary class="cursor-pointer">{report.leftOut.length} more without a scale</summary>
            <ul class="text-quiet mt-1 text-xs">
              {#each report.leftOut as l (l)}<li>{fill(l)}</li>{/each}
            </ul>
          </details>
        {/if}
      {/if}
      {#if rung.sort !== 'pulls'}
        <h2 class="text-lg">What is proved</h2>
        <dl class="mt-1 grid grid-cols-[auto_minmax(0,1fr)] gap-x-3 gap-y-1 text-sm">
          <dt class="text-quiet">By pulls</dt>
          <dd>
            {#if proof.byPulls == null && proof.passed === order.length}no speed with a factor of 1.5: what stands least
              stopped them{:else if proof.byPulls != null}1.5 × every load up to <b
                >{quantity(proof.byPulls, 'speed')}</b
              >{:else}nothing yet: {proof.passed}
              of {order.length} pulls{/if}
          </dd>
          <dt class="text-quiet">Under way</dt>
          <dd>
            {#if proof.driven}driven to <b>{quantity(proof.driven, 'speed')}</b>{:else}not yet{/if}
          </dd>
          <dt class="text-quiet">Not yet</dt>
          <dd>
            {report.ladder
              .filter((r) => !r.barred && proof.rungs.find((s) => s.id === r.id)?.state !== 'passed')
              .map((r) => r.title.toLowerCase())
              .join(', ') || 'nothing: the whole ladder is climbed'}
          </dd>
        </dl>
      {/if}
      <div class="border-accent mt-4 border-l-4 pl-3 text-sm">
        {#each report.cautions as c, i (c)}<p class={i ? 'mt-1' : 'font-bold'}>{c}</p>{/each}
      </div>
      {#if proof.simulated}
        <p class="border-tight mt-3 border-l-4 pl-3 text-sm">
          <b class="word-tight">Made-up readings.</b> They show how it goes and prove nothing of a real rig.
        </p>
      {/if}
      <p class="mt-3">
        <a
          class="btn btn-sm border-rule bg-base-100"
          href="/api/rigs/{rig.id}/sheet?units={settings.system}&paper={settings.system === 'inch' ? 'letter' : 'a4'}"
          download="sheet.pdf">Sheet to hand over, PDF</a
        >
      </p>
      <h3 class="mt-4">A test of your own</h3>
      <OwnTestForm tests={report.tests} design={report.design} {book} />
      <ul class="mt-2 text-sm">
        {#each [...proof.own].reverse() as o (o.key)}
          <li class="border-rule border-b border-dotted py-1">{fill(o.says, host)}</li>
        {/each}
      </ul>
    </aside>

    <div class="col-span-3 min-w-0 compact:order-4"><ProofTape {report} {host} /></div>
  </main>
{/if}
