<script lang="ts">
  import { verdictOf } from '../parts/verdict';
  import UseBar from '../parts/UseBar.svelte';
  import { capital, fill, percent, quantity, speedText, words } from '../parts/quantity';
  import { sharpWords } from '../shake/words';
  import { getSession } from '../state/session.svelte';

  const session = getSession();

  let report = $derived(session.report!);
  let shown = $derived(session.shown!);
  let sharp = $derived(sharpWords[report.sharpness.word]);
  /** Many rows: one line each. */
  let tight = $derived(report.stations.length > 10);

  /** In a let-go case the rows show that case. */
  let rows = $derived(
    report.stations.map((s) => {
      const gone = shown.kind !== 'intact' && shown.gone.includes(s.name ?? '');
      const use = shown.kind === 'intact' ? s.use : (report.shape.uses[s.id] ?? 0);
      return { ...s, use, gone, verdict: shown.kind === 'intact' ? s.verdict : verdictOf(use) };
    }),
  );

  /** One row is in the order of Tab: the selected one, or the first. Arrows go to the others. */
  let stop = $derived(rows.some((s) => s.id === session.selected) ? session.selected : rows[0]?.id);

  /** By the keyboard it goes on in the row's fields; Escape comes back. */
  function enter(e: MouseEvent, id: string) {
    session.select(id);
    if (e.detail === 0) document.getElementById('drawer')?.focus({ preventScroll: true });
  }

  function keys(e: KeyboardEvent) {
    if (!['ArrowDown', 'ArrowUp', 'Home', 'End'].includes(e.key)) return;
    const all = [...(e.currentTarget as HTMLElement).querySelectorAll<HTMLButtonElement>('button[data-row]')];
    const at = all.indexOf(document.activeElement as HTMLButtonElement);
    const next = e.key === 'Home' ? all[0] : e.key === 'End' ? all.at(-1) : all[at + (e.key === 'ArrowDown' ? 1 : -1)];
    if (next) {
      next.focus();
      session.select(next.dataset.row!);
    }
    e.preventDefault();
    e.stopPropagation();
  }
</script>

<!-- svelte-ignore a11y_no_noninteractive_element_interactions -->
<nav
  class="border-rule bg-base-300/40 relative flex min-h-0 flex-col max-[1100px]:row-span-2 overflow-y-auto border-r px-2 pt-2 pb-1"
  aria-label="Load path"
  onkeydown={keys}
>
  <div class="text-quiet flex justify-between px-1.5 pb-1 text-xs">
    <span>Load path, camera to host</span><span>use at {speedText(session.doc.run.speed, session.doc.host)}</span>
  </div>
  <ol class="relative">
    <div class="bg-base-content absolute top-3 bottom-8 left-[0.9rem] w-0.75" aria-hidden="true"></div>
    {#each rows as s (s.id)}
      <li class="relative {s.branch ? 'pl-5' : ''}">
        <button
          data-row={s.id}
          class="relative block w-full rounded-md border py-1 pr-2 text-left {s.branch ? 'pl-5' : 'pl-8'}
            {session.selected === s.id ? 'border-base-content bg-base-100' : 'hover:bg-base-100/60 border-transparent'}"
          aria-pressed={session.selected === s.id}
          tabindex={s.id === stop ? 0 : -1}
          onclick={(e) => enter(e, s.id)}
        >
          {#if s.branch}
            <span class="bg-base-content absolute top-4 -left-2.5 h-0.75 w-4" aria-hidden="true"></span>
            <span
              class="border-base-content bg-base-100 absolute top-[0.7rem] left-1 size-3 rounded-full border-2"
              aria-hidden="true"
            ></span>
          {:else}
            <span
              class="border-base-content bg-base-100 absolute top-2 left-1.5 size-3.5 rounded-xs border-[2.5px]"
              aria-hidden="true"
            ></span>
          {/if}
          <span class="flex items-baseline justify-between gap-2">
            <span class="min-w-0 {tight ? 'truncate' : 'leading-tight'} {s.branch ? 'text-sm' : ''}">
              <span class="text-quiet text-xs {tight ? '' : 'block leading-none'}">{s.label}</span>
              <b>{fill(s.part).split(',')[0]}</b>
            </span>
            <b class="{s.gone ? 'text-quiet' : `word-${s.verdict}`} shrink-0 text-sm" data-use
              >{s.gone ? 'gone' : s.refused ? 'refused' : percent(s.use)}</b
            >
          </span>
          <UseBar use={s.gone ? 0 : s.use} verdict={s.verdict} />
          {#if s.refused && shown.kind === 'intact'}
            <span class="mt-0.5 line-clamp-3 block text-xs leading-snug">
              <b class="word-lets-go">Refused.</b>
              {fill(s.refused)}
            </span>
          {:else if s.verdict !== 'holds' && shown.kind === 'intact'}
            <span class="mt-0.5 line-clamp-2 block pr-8 text-xs leading-snug">
              <b class="word-{s.verdict}">{capital(words[s.verdict])}.</b>
              {fill(s.says)}
            </span>
          {:else if s.verdict !== 'holds' && !s.gone}
            <span class="word-{s.verdict} mt-0.5 block text-xs font-bold">{capital(words[s.verdict])}</span>
          {/if}
        </button>
        {#if s.check && !s.gone && shown.kind === 'intact'}
          <button
            class="hover:bg-base-100 absolute right-0.5 {tight
              ? '-bottom-1.5'
              : 'bottom-0.5'} h-6 rounded-sm px-1.5 text-xs underline {session.selected === s.id ||
            s.verdict !== 'holds'
              ? ''
              : 'sr-only focus:not-sr-only'}"
            data-why-row={s.id}
            tabindex={s.id === stop || s.verdict !== 'holds' ? 0 : -1}
            onclick={() => session.why(s.check)}>why<span class="sr-only">, {s.label}: {s.says}</span></button
          >
        {/if}
      </li>
    {/each}
  </ol>
  <div class="mt-auto grid grid-cols-[auto_auto_auto] gap-1 px-1 pt-2">
    {#each [['rig', 'Whole rig'], ['run', 'Conditions'], ['add', 'Add to it'], ['schools', 'Two schools'], ['versions', `Versions · v${session.saving.version}`]] as [id, label] (id)}
      <button
        class="btn btn-xs border-rule px-0.5 font-semibold whitespace-nowrap {id === 'versions'
          ? 'col-span-2'
          : ''} {session.selected === id ? 'btn-primary' : 'bg-base-100'}"
        aria-pressed={session.selected === id}
        onclick={() => session.select(id!)}>{label}</button
      >
    {/each}
  </div>
  <p class="text-quiet px-1 pt-1.5 text-xs">
    Picture <b class="word-{sharp.state}">{sharp.word.toLowerCase()}</b> · {quantity(report.mass, 'mass')} · parts {quantity(
      report.cost,
      'money',
    )}
  </p>
</nav>
