<script lang="ts">
  import type { RigSummary } from '../api/client';
  import FigureCard from '../figure/FigureCard.svelte';
  import { capital, quantity, speedText } from '../parts/quantity';
  import { verdictRest, verdictWord } from '../parts/verdict';
  import Making from './Making.svelte';
  import { sharpWords } from '../shake/words';
  import { catalogue } from '../state/catalogue.svelte';
  import { proved } from '../state/proved.svelte';

  interface Props {
    rig: RigSummary;
    onduplicate: (id: string) => void;
    onremove: () => void;
  }
  let { rig, onduplicate, onremove }: Props = $props();
  let card = $derived(rig.card);
  let proof = $derived(proved.of(rig.id));
</script>

<li
  class="border-rule bg-base-100 hover:border-base-content group relative grid [contain-intrinsic-size:auto_19rem] [content-visibility:auto] grid-rows-[10rem_1fr] rounded-md border"
>
  <div class="bg-base-200 overflow-hidden rounded-t-md">
    {#if card}<FigureCard hostId={card.host} figure={card.figure} aspect={2.2} />{/if}
  </div>
  <div class="flex flex-col px-3 pt-2 pb-2.5">
    <h3 class="leading-tight">
      <a href="#/rig/{rig.id}" class="after:absolute after:inset-0" data-rig={rig.id}>{rig.name}</a>
    </h3>
    {#if card}
      <p class="mt-1 text-lg leading-tight font-bold">
        <span class="word-{card.verdict.word}">{capital(verdictWord(card.verdict))}</span><span class="font-semibold"
          >{verdictRest(card.verdict, card.host)}</span
        >
        <span class="pattern-{card.verdict.word} ml-1 inline-block h-2.5 w-6" aria-hidden="true"></span>
      </p>
      <p class="text-sm">
        asked for {speedText(card.speed, card.host)} · picture
        <b class="word-{sharpWords[card.sharpness.word].state}">{sharpWords[card.sharpness.word].word.toLowerCase()}</b>
      </p>
      <p class="text-quiet mt-1 text-xs">
        v{rig.version} · {quantity(card.mass, 'mass')} · {catalogue.name(card.host)?.name}, {card.site}
      </p>
      {#if card.making}<Making making={card.making} />{/if}
      {#if proof}
        <p class="mt-1 text-sm" data-proved>
          {#if proof.tried}{proof.driven ? 'Proved to ' : 'Not driven yet'}{#if proof.driven}<b
                >{speedText(proof.driven, card.host)}</b
              >{/if};
            <span class={proof.stopped ? 'word-lets-go font-semibold' : ''}>{proof.says}</span>{:else}{capital(
              proof.says,
            )}{/if}
          {#if proof.seen}<span class="text-quiet block">Last seen: {proof.seen}</span>{/if}
        </p>
      {/if}
      <p class="border-accent mt-1.5 border-l-3 pl-2 text-sm font-semibold">{card.nextThing}</p>
    {:else}
      <p class="text-quiet mt-1 text-sm" aria-busy="true">Being worked out …</p>
    {/if}
    <p class="relative z-1 mt-auto flex gap-1 pt-2">
      <button class="btn btn-xs border-rule bg-base-100" onclick={() => onduplicate(rig.id)}
        >Duplicate<span class="sr-only"> {rig.name}</span></button
      >
      <a class="btn btn-xs border-rule bg-base-100" href="/api/rigs/{rig.id}/file" download
        >Save as file<span class="sr-only">: {rig.name}</span></a
      >
      <button class="btn btn-xs btn-ghost ml-auto" onclick={onremove}
        >Bin it<span class="sr-only"> {rig.name}</span></button
      >
    </p>
  </div>
</li>
