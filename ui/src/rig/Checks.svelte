<script lang="ts">
  import { tick, untrack } from 'svelte';
  import UseBar from '../parts/UseBar.svelte';
  import CheckWorking from './CheckWorking.svelte';
  import { capital, percent, speedOf, words } from '../parts/quantity';
  import { getSession } from '../state/session.svelte';

  const session = getSession();
  let checks = $derived(session.report!.checks.filter((c) => c.station === session.selected));
  let shown = $derived(session.shown!);
  let list = $state<HTMLElement>();

  // What was asked for is brought into view, once for each asking.
  $effect(() => {
    if (!session.sought) return;
    const check = untrack(() => session.opened);
    void tick().then(() => {
      const at = list?.querySelector<HTMLElement>(`[data-check="${CSS.escape(check)}"]`);
      const drawer = at?.closest('aside');
      if (at && drawer)
        drawer.scrollTo({
          top: drawer.scrollTop + at.getBoundingClientRect().top - drawer.getBoundingClientRect().top - 8,
        });
      at?.focus({ preventScroll: true });
    });
  });
</script>

<section class="mt-3" aria-label="Checks" bind:this={list}>
  <h3 class="text-quiet flex justify-between text-xs font-normal">
    <span>{shown.kind === 'intact' ? 'Checks' : 'Checks of the whole rig'}, click for the working</span><span>use</span>
  </h3>
  {#each checks as c (c.id)}
    <div class="py-1">
      <button
        class="block w-full text-left"
        aria-expanded={session.opened === c.id}
        data-check={c.id}
        onclick={() => (session.opened = session.opened === c.id ? '' : c.id)}
      >
        <span class="flex justify-between gap-2 leading-snug">
          <span
            >{c.title}{#if c.case}<span class="text-quiet text-xs">, {c.case}</span>{/if}</span
          >
          {#if c.sort === 'tightening' && c.use <= 1}
            <span class="text-quiet shrink-0">tightened to {percent(c.use)}</span>
          {:else}<b class="word-{c.verdict} shrink-0">{percent(c.use)}</b>{/if}
        </span>
        {#if c.sort !== 'tightening' || c.use > 1}<UseBar use={c.use} verdict={c.verdict} />{/if}
        {#if c.sort === 'service' && c.use > 1}
          <span class="text-xs"><b class="word-tight">Tight</b>: it keeps its hold, but flexes, marks or stiffens.</span
          >
        {:else if c.verdict !== 'holds' || c.limitSpeed != null}
          <span class="text-xs">
            <b class="word-{c.verdict}">{capital(words[c.verdict])}</b>{#if c.limitSpeed != null}<span
                class="text-quiet"
              >
                · reaches its limit at {speedOf(c.limitSpeed, session.doc.host)}</span
              >{/if}
          </span>
        {/if}
      </button>
      {#if session.opened === c.id}<CheckWorking check={c.id} />{/if}
    </div>
  {:else}
    <p class="text-quiet text-sm">Carries no load of its own.</p>
  {/each}
</section>
