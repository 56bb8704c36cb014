<script lang="ts">
  import { capital, fill } from '../parts/quantity';
  import { goneRest, verdictRest, verdictWord } from '../parts/verdict';
  import { getSession } from '../state/session.svelte';

  interface Props {
    /** Through the lens: its words alone, out of the picture's way. */
    short?: boolean;
  }
  let { short = false }: Props = $props();
  const session = getSession();
  let report = $derived(session.report!);
  let shown = $derived(session.shown!);
  let intact = $derived(shown.kind === 'intact');
  let word = $derived(intact ? report.verdict.word : shown.verdict);
  let verdict = $derived(intact ? report.verdict : { word, why: 'loads' as const });
  /** The working that opens; none where no check decides. */
  let check = $derived(
    intact && ['loads', 'unanswered', 'missing'].includes(verdict.why ?? 'loads') ? report.verdict.check : null,
  );
  let rest = $derived(
    intact ? verdictRest(report.verdict, session.doc.host) : goneRest(word, shown.limitSpeed, session.doc.host),
  );
</script>

<div
  id="answer"
  tabindex="-1"
  class="over-scene pointer-events-none absolute top-3 left-4 {short
    ? 'bg-base-100/90 max-w-[calc(100%-25rem)] compact:max-w-[calc(100%-18rem)] rounded-sm px-2'
    : 'max-w-[calc(100%-14rem)] compact:max-w-[calc(100%-9rem)]'}"
  aria-live="polite"
  data-verdict={session.unanswered ? 'none' : word}
>
  {#if session.unanswered}
    <p
      class="{short ? 'text-lg compact:text-base' : 'text-3xl compact:text-2xl'} leading-tight font-bold tracking-tight"
    >
      {session.answers.problem ? 'No verdict for this yet' : 'Working it out …'}
    </p>
    <p class="mt-0.5 max-w-104 text-sm leading-snug" hidden={short}>
      What stands beside is of the rig before your last change.
    </p>
  {:else}
    <p
      class="{short ? 'text-lg compact:text-base' : 'text-3xl compact:text-2xl'} leading-tight font-bold tracking-tight"
    >
      {#if check}
        <button
          class="hover:decoration-quiet pointer-events-auto text-left decoration-2 underline-offset-4 hover:underline"
          data-why
          onclick={() => session.why(check)}
          ><span class="word-{word}">{capital(verdictWord(verdict))}</span>{rest}<span class="sr-only">. Why?</span
          ></button
        >
      {:else}<span class="word-{word}">{capital(verdictWord(verdict))}</span>{rest}{/if}
    </p>
    <p hidden={short} class="bg-base-200/75 mt-0.5 -ml-1 w-fit max-w-106 rounded-sm px-1 text-sm leading-snug">
      {#if intact}
        {fill(report.verdict.text, session.doc.host)}
      {:else}
        <b>{fill(shown.title, session.doc.host)}:</b>
        {fill(shown.says, session.doc.host)}{shown.case ? `, ${shown.case}` : ''}.
      {/if}
    </p>
  {/if}
</div>
