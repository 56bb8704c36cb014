<script lang="ts">
  import NotTried from '../parts/NotTried.svelte';
  import Waiting from '../parts/Waiting.svelte';
  import { api, ask, type Schemas } from '../api/client';
  import { fill, limitText } from '../parts/quantity';
  import { changeText } from '../parts/verdict';
  import QuantityField from '../parts/QuantityField.svelte';
  import { catalogue } from '../state/catalogue.svelte';
  import { Late } from '../state/late.svelte';
  import { getSession } from '../state/session.svelte';

  /** One strap to a closed point of the user's choice: each point with how the strap would run, or why it is of no use. */
  const session = getSession();
  let field = $derived(catalogue.kind('strap', 'strap')?.fields.find((f) => f.name === 'pretension'));
  /** What was typed; until then what a strap comes with. */
  let typed = $state<number | null>(null);
  let pretension = $derived(typed ?? (field?.default as number | undefined) ?? 0);
  const late = new Late<Schemas['StrapEnd'][]>();

  $effect(() => {
    const [document, pull] = [session.doc, pretension];
    return late.ask(document, 350, (signal) =>
      ask(api.POST('/api/straps', { body: { document, pretension: pull }, signal })),
    );
  });

  function take(end: Schemas['StrapEnd']) {
    const change = end.change!;
    session.take(change.id, change.document);
    session.select('strap:' + change.document.straps!.at(-1)!.id);
  }
</script>

<section class="mt-4" aria-label="One strap" data-one-strap>
  <h3 class="text-quiet flex justify-between text-xs font-normal">
    <span>One strap, to a point of your choice</span><span>limit speed</span>
  </h3>
  {#if field}
    <QuantityField
      label={field.label}
      hint={field.howTo}
      dimension={field.dimension!}
      minimum={field.minimum!}
      maximum={field.maximum!}
      usualTo={field.usualTo}
      value={pretension}
      onchange={(v) => (typed = v ?? null)}
    />
  {/if}
  {#if late.problem}
    <p class="text-lets-go text-sm">{late.problem}</p>
  {:else if !late.value}
    <Waiting text="Trying the closed points" />
  {:else}
    <ul>
      {#each late.value as e (e.anchor)}
        <li class="border-rule border-b border-dotted" data-anchor={e.anchor}>
          {#if e.change}
            <button
              class="hover:bg-base-300/50 grid w-full grid-cols-[1fr_auto] items-baseline gap-x-3 py-1 text-left"
              disabled={late.of !== session.doc}
              onclick={() => take(e)}
            >
              <span class="font-semibold">To {e.name.toLowerCase()}</span>
              <b class="word-{e.change.verdict} text-right">{limitText(e.change.limitSpeed, session.doc.host)}</b>
              <span class="text-quiet col-span-2 text-xs">{fill(e.says)} · {changeText(e.change)}</span>
            </button>
          {:else}
            <p class="py-1">
              <s class="text-quiet">To {e.name.toLowerCase()}</s><span class="text-quiet block text-xs"
                >{fill(e.says)}</span
              >
            </p>
          {/if}
        </li>
      {:else}
        <li class="text-quiet text-sm">This host has no closed point for a strap.</li>
      {/each}
    </ul>
    <NotTried of={late.value} />
  {/if}
</section>
