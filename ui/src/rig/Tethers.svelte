<script lang="ts">
  import type { Schemas } from '../api/client';
  import { catalogue } from '../state/catalogue.svelte';
  import { getSession } from '../state/session.svelte';
  import Alternatives from './Alternatives.svelte';
  import Fields from './Fields.svelte';
  import PlaceFields from './PlaceFields.svelte';

  /** All tethers of the rig: what each is tied to, where it ends, and another one. */
  const session = getSession();
  let kind = $derived(catalogue.kind('tether', 'tether'));
  let tethers = $derived(session.doc.tethers ?? []);
  let removed = $state(false);
  const path = (t: Schemas['Tether']) => `tethers.[${t.id}]`;

  function remove(gone: Schemas['Tether']) {
    session.setPath(
      'tethers',
      tethers.filter((t) => t.id !== gone.id),
    );
    removed = true;
  }
</script>

<h2 class="text-lg leading-tight">{tethers.length > 1 ? `${tethers.length} tethers` : 'Tether'}</h2>
{#if kind?.about}<p class="text-quiet mt-0.5 text-sm">{kind.about}</p>{/if}
{#each tethers as t, i (t.id)}
  <section class="border-rule mt-2 border-t pt-1" aria-label="Tether {i + 1}" data-tether={i}>
    {#if tethers.length > 1}<h3>Tether {i + 1}</h3>{/if}
    <Fields {kind} value={t as unknown as Record<string, unknown>} path={path(t)} />
    <PlaceFields family="tether" path={path(t)} value={t as unknown as Record<string, unknown>} />
    <button class="btn btn-xs border-rule mt-2" onclick={() => remove(t)}>Take this tether away</button>
  </section>
{:else}
  <p class="text-quiet mt-2 text-sm">None. What falls, falls.</p>
{/each}
{#if removed && session.canUndo}
  <p class="mt-2">
    A tether is taken away.
    <button class="btn btn-sm btn-primary ml-1" data-bring-back onclick={() => ((removed = false), session.undo())}
      >Undo</button
    >
  </p>
{/if}
<Alternatives station="tether" title="Another tether" />
