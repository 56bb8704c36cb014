<script lang="ts">
  import { api, ask, type Schemas } from '../api/client';
  import { percent } from '../parts/quantity';
  import { verdictRest, verdictWord } from '../parts/verdict';
  import { Late } from '../state/late.svelte';
  import { getSession } from '../state/session.svelte';

  /** What it did to the verdict that things of a step came out otherwise than drawn. */
  interface Props {
    paths: string[];
    /** What came out, in words: "your 301 mm". */
    what: string;
  }
  let { paths, what }: Props = $props();
  const session = getSession();
  const late = new Late<Schemas['BuiltAnswer']>('What it did could not be computed.');
  $effect(() => {
    const [document, asked] = [session.doc, paths];
    const body = { document, paths: asked };
    return late.ask(document, 60, (signal) => ask(api.POST('/api/make/did', { body, signal })), 0);
  });
  let did = $derived(late.value?.effect);
  const said = (v: Schemas['VerdictReport']) => `${verdictWord(v)}${verdictRest(v, session.doc.host)}`;
</script>

<h3 class="text-quiet mt-3 text-xs font-normal">What {what} did</h3>
{#if late.problem}
  <p role="alert">{late.problem}</p>
{:else if !late.value}
  <p class="text-quiet" aria-busy="true">…</p>
{:else if !did}
  <p data-did>Nothing: it came out as drawn.</p>
{:else}
  {@const now = did.built}
  <div data-did>
    <p>
      <strong class="word-{now.word}">{said(now)}</strong>, {said(did.drawn) === said(now)
        ? 'as drawn'
        : `drawn: ${said(did.drawn)}`}.
    </p>
    {#if did.most}
      <p>{did.most.title}: {percent(did.most.before)} drawn, {percent(did.most.now)} now.</p>
    {:else}
      <p>Nothing to speak of moved.</p>
    {/if}
  </div>
{/if}
