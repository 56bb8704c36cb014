<script lang="ts">
  import { api, ask, type Schemas } from '../api/client';
  import { capital, fill, quantity, speedText, words } from '../parts/quantity';
  import { sharpWords } from '../shake/words';
  import { Demand } from '../state/demand.svelte';
  import { withShelf } from '../state/shelf.svelte';
  import { getSession } from '../state/session.svelte';

  /** Where no single change is enough: the least that reaches what is asked, or what the rig allows. Asked for, as it tries some hundred rigs. */
  const session = getSession();
  const asked = new Demand<Schemas['GoalReport']>();
  const found = $derived(asked.value);
  const stale = $derived(asked.of !== session.doc);
  const list = (sentences: readonly string[]) => sentences.map((s) => fill(s)).join('; ');

  const search = () =>
    asked.ask(session.doc, (signal) => ask(api.POST('/api/goal', { body: withShelf(session.doc), signal })));

  function take() {
    if (found?.with) session.take('goal', found.with.document);
  }

  /** What the rig allows as it stands, in a sentence. */
  function allowed(a: Schemas['GoalAllows']): string {
    const speed = a.speed == null ? '' : `it holds and is sharp up to ${speedText(a.speed, session.doc.host)}`;
    const lens =
      a.focalLength == null ? '' : `a lens of ${quantity(a.focalLength, 'length')} is sharp at the speed you ask`;
    const host = a.hostAlone
      ? " At the speed you ask its host's own turning alone is more than sharp allows: no mount takes that away. A shorter exposure, a wider lens, a calmer ride."
      : '';
    return speed || lens
      ? `As it stands ${[speed, lens].filter(Boolean).join('; ')}.${host}`
      : host || 'As it stands it is there at no speed that was looked at.';
  }
</script>

<div class="mt-2 flex items-baseline gap-1" data-goal>
  <button class="btn btn-xs border-rule bg-base-100" disabled={asked.busy} onclick={search}
    >{asked.busy ? 'Trying combinations …' : 'Find what gets it there'}</button
  >
  {#if asked.busy}<button class="btn btn-xs btn-ghost" onclick={() => asked.stop()}>Stop</button>
  {:else if !found}<span class="text-quiet text-xs">up to three changes together</span>{/if}
</div>
{#if asked.problem}<p class="text-lets-go text-sm" role="alert">{asked.problem}</p>{/if}
{#if found}
  <div class="mt-1 text-sm" class:stale aria-live="polite" data-goal-found={found.steps.length}>
    <p class="text-quiet text-xs">Asked: {fill(found.asked)}.</p>
    {#if found.reached}
      <p>It does that as it stands.</p>
    {:else if found.with}
      <ol class="list-decimal pl-5">
        {#each found.steps as s, i (i)}<li class="font-semibold">{fill(s.title)}</li>{/each}
      </ol>
      <p class="text-xs">
        <b class="word-{found.with.verdict}">{capital(words[found.with.verdict])}</b
        >{#if found.word && found.word !== 'none'}, <b class="word-{sharpWords[found.word].state}"
            >{sharpWords[found.word].word.toLowerCase()}</b
          >{/if}
      </p>
      {#if found.with.gains?.length}<p class="text-xs"><b>+</b> {list(found.with.gains)}</p>{/if}
      {#if found.with.trades?.length}<p class="text-quiet text-xs"><b>−</b> {list(found.with.trades)}</p>{/if}
      <button class="btn btn-xs btn-primary mt-1" disabled={stale} onclick={take}
        >{found.steps.length > 1 ? `Take all ${found.steps.length}` : 'Take it'}</button
      >
    {:else if found.allows}
      <p>
        {found.ended
          ? `None of ${found.tried} combinations that there was time for reaches it.`
          : `None of ${found.tried} combinations of the usual changes reaches it.`}
        {allowed(found.allows)}
      </p>
    {/if}
  </div>
{/if}
