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
  let tethers = $derived([...(session.doc.tether ? [session.doc.tether] : []), ...(session.doc.tethers ?? [])]);
  let removed = $state(false);
  const path = (i: number) => (session.doc.tether ? (i ? `tethers.${i - 1}` : 'tether') : `tethers.${i}`);

  /** What was read off the others stays theirs: they move up by one place. */
  function remeasured(measured: NonNullable<typeof session.doc.measured>, gone: number) {
    const moved = tethers.map((_, n) => [path(n), n === gone ? null : n - (n > gone ? 1 : 0)] as const);
    return Object.fromEntries(
      Object.entries(measured).flatMap(([key, taken]) => {
        const from = moved.find(([at]) => key.startsWith(`${at}.`));
        if (!from) return [[key, taken]];
        if (from[1] === null) return [];
        return [[(from[1] === 0 ? 'tether' : `tethers.${from[1] - 1}`) + key.slice(from[0].length), taken]];
      }),
    );
  }

  function remove(i: number) {
    const left = tethers.filter((_, n) => n !== i) as Schemas['Tether'][];
    const doc = { ...session.doc, tethers: left.slice(1) };
    if (doc.measured) doc.measured = remeasured(doc.measured, i);
    if (left.length) doc.tether = left[0]!;
    else delete doc.tether;
    session.change('tethers', doc);
    removed = true;
  }
</script>

<h2 class="text-lg leading-tight">{tethers.length > 1 ? `${tethers.length} tethers` : 'Tether'}</h2>
{#if kind?.about}<p class="text-quiet mt-0.5 text-sm">{kind.about}</p>{/if}
{#each tethers as t, i (i)}
  <section class="border-rule mt-2 border-t pt-1" aria-label="Tether {i + 1}" data-tether={i}>
    {#if tethers.length > 1}<h3>Tether {i + 1}</h3>{/if}
    <Fields {kind} value={t as unknown as Record<string, unknown>} path={path(i)} />
    <PlaceFields family="tether" path={path(i)} value={t as unknown as Record<string, unknown>} />
    <button class="btn btn-xs border-rule mt-2" onclick={() => remove(i)}>Take this tether away</button>
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
