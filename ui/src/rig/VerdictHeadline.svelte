<script lang="ts">
  import { capital, fill, quantity, words } from '../parts/quantity';
  import type { RigSession } from '../state/session.svelte';

  let { session }: { session: RigSession } = $props();
  let report = $derived(session.report!);
  let shown = $derived(session.shown!);
  let intact = $derived(shown.kind === 'intact');
  let word = $derived(intact ? report.verdict.word : shown.verdict);
  let limit = $derived(intact ? report.verdict.limitSpeed : shown.limitSpeed);

  let why = $derived(intact ? report.verdict.why : 'loads');
  let rest = $derived.by(() => {
    if (why === 'refused') return ': not like this';
    if (why === 'missing') return word === 'lets-go' ? ': too little keeps it' : 'until it is kept';
    if (why === 'unanswered') return 'until you have answered';
    if (limit === 0) return 'standing still';
    if (word === 'lets-go') return limit == null ? '' : `above ${quantity(limit, 'speed')}`;
    return limit == null ? `at ${quantity(session.doc.run.speed, 'speed')}` : `up to ${quantity(limit, 'speed')}`;
  });
</script>

<div class="pointer-events-none absolute top-3 left-4 max-w-[calc(100%-14rem)]" aria-live="polite" data-verdict={word}>
  <p class="text-3xl leading-tight font-bold tracking-tight">
    <span class="word-{word}">{capital(words[word])}</span>{rest.startsWith(':') ? '' : ' '}{rest}
  </p>
  <p class="mt-0.5 max-w-104 text-sm leading-snug">
    {#if intact}
      {fill(report.verdict.text)}
    {:else}
      <b>{fill(shown.title)}:</b>
      {fill(shown.says)}{shown.case ? `, ${shown.case}` : ''}.
    {/if}
  </p>
</div>
