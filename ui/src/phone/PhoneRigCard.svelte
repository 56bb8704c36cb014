<script lang="ts">
  import type { Schemas } from '../api/client';
  import FigureCard from '../figure/FigureCard.svelte';
  import { capital } from '../parts/quantity';
  import { verdictRest, verdictWord } from '../parts/verdict';
  import { RideAlong } from '../state/ridealong.svelte';

  let { rig }: { rig: Schemas['PhoneRig'] } = $props();
  // Keyed by its id: another rig is another card.
  // svelte-ignore state_referenced_locally
  const ride = new RideAlong(rig.id, rig.name);
  void ride.load();
</script>

<li class="border-rule bg-base-100 rounded-md border" data-phone-rig={rig.id}>
  <div class="grid grid-cols-[7.5rem_1fr]">
    <div class="bg-base-200 h-24 overflow-hidden rounded-tl-md">
      {#if ride.card}<FigureCard hostId={ride.host} figure={ride.flat} aspect={1.25} />{/if}
    </div>
    <div class="px-3 py-2">
      <h2 class="text-lg leading-tight">{rig.name}</h2>
      <p class="text-quiet text-sm">{rig.film}</p>
      {#if ride.card}
        <p class="mt-1 text-base leading-tight">
          <b class="word-{ride.card.verdict.word}">{capital(verdictWord(ride.card.verdict))}</b>{verdictRest(
            ride.card.verdict,
            ride.host,
          )}
        </p>
      {:else if ride.problem}<p class="mt-1 text-sm" role="alert">{ride.problem}</p>
      {:else}<p class="text-quiet mt-1 text-sm" aria-busy="true">Being worked out …</p>{/if}
    </div>
  </div>
  <div class="grid grid-cols-2 gap-2 p-2">
    <a class="btn border-rule bg-base-100 h-14 text-lg" href="#/rig/{rig.id}/prove"
      >Prove<span class="sr-only"> {rig.name}</span></a
    >
    <a class="btn btn-primary h-14 text-lg" href="#/rig/{rig.id}/run">Run<span class="sr-only"> {rig.name}</span></a>
  </div>
</li>
