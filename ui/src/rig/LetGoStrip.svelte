<script lang="ts">
  import { capital, fill, words } from '../parts/quantity';
  import { getSession } from '../state/session.svelte';

  const session = getSession();
  let cases = $derived(session.report!.letGo);

  /** Folded where there is no room for it beside the scene. */
  let open = $state(false);
  const id = $props.id();
  const order = ['holds', 'tight', 'lets-go'] as const;
  let worst = $derived(
    order[Math.max(0, ...cases.filter((c) => c.kind !== 'intact').map((c) => order.indexOf(c.verdict)))]!,
  );

  /** The heading says "lets go" already: the chip names the part only. */
  const short = (title: string) =>
    capital(
      fill(title)
        .replace(/^Without (the )?/, '')
        .replace(/ \(.*\)$/, ''),
    );

  function keys(e: KeyboardEvent) {
    const n = cases.length;
    const at = cases.findIndex((c) => c.id === session.letGo);
    const to = {
      ArrowRight: (at + 1) % n,
      ArrowDown: (at + 1) % n,
      ArrowLeft: (at + n - 1) % n,
      ArrowUp: (at + n - 1) % n,
      Home: 0,
      End: n - 1,
    }[e.key];
    if (to === undefined) return;
    session.letGo = cases[to]!.id;
    (e.currentTarget as HTMLElement).querySelectorAll<HTMLElement>('[role=radio]')[to]?.focus();
    e.preventDefault();
    e.stopPropagation();
  }
</script>

<div
  class="absolute inset-x-3 bottom-2 max-[1100px]:static max-[1100px]:px-3 max-[1100px]:py-2 compact:static compact:px-3 compact:py-2"
  data-answers
>
  <p class="text-xs leading-tight compact:hidden">
    <span class="bg-base-100/85 rounded-sm px-1">What if one lets go <span class="key">L</span></span>
  </p>
  <button
    class="border-rule bg-base-100 hidden min-h-8 w-full items-center justify-between rounded-sm border px-2 text-left text-sm compact:flex"
    aria-expanded={open}
    aria-controls={id}
    onclick={() => (open = !open)}
    data-letgo-fold
  >
    <span>What if one lets go: <b class="word-{worst}">{words[worst]}</b> at worst</span>
    <span class="text-quiet text-xs">{open ? 'fold' : `${cases.length} cases`}</span>
  </button>
  <!-- svelte-ignore a11y_interactive_supports_focus -->
  <div
    {id}
    class="mt-1 flex flex-wrap gap-1 {open ? '' : 'compact:hidden'}"
    role="radiogroup"
    aria-label="Let-go cases"
    onkeydown={keys}
  >
    {#each cases as c (c.id)}
      <button
        role="radio"
        aria-checked={session.letGo === c.id}
        tabindex={session.letGo === c.id ? 0 : -1}
        data-letgo={c.id}
        title={c.says ? fill(`${c.title}: ${c.says}`) : undefined}
        class="min-h-6 rounded-sm border px-1.5 text-xs whitespace-nowrap {session.letGo === c.id
          ? 'border-base-content bg-base-100 outline-base-content outline-1'
          : 'border-rule bg-base-100/85'}"
        onclick={() => (session.letGo = c.id)}
      >
        {short(c.title)}: <b class="word-{c.verdict}">{words[c.verdict]}</b>
        <span class="pattern-{c.verdict} ml-0.5 inline-block size-2 align-[-1px]" aria-hidden="true"></span>
      </button>
    {/each}
  </div>
</div>
