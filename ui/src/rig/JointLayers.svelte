<script lang="ts">
  import type { Field, Schemas } from '../api/client';
  import ChoiceField from '../parts/ChoiceField.svelte';
  import QuantityField from '../parts/QuantityField.svelte';
  import { quantity } from '../parts/quantity';
  import { catalogue } from '../state/catalogue.svelte';

  /** The layers of a joint as they were built, and what was put between. */
  interface Props {
    joint: Schemas['JointReport'];
    choice: Schemas['JointChoice'] | undefined;
    onchange: (name: 'layers' | 'added', value: unknown[] | undefined) => void;
  }
  let { joint, choice, onchange }: Props = $props();

  let measures = $derived(catalogue.kind('layer', 'layer')?.fields ?? []);
  let between = $derived(catalogue.kind('added', 'added')?.fields ?? []);
  let what = $derived(between.find((f) => f.name === 'what'));
  let thickness = $derived(between.find((f) => f.name === 'thickness'));
  let layers = $derived(choice?.layers ?? []);
  let added = $derived(choice?.added ?? []);
  /** Those of the house: what was put between is changed below. */
  let own = $derived(joint.layers.filter((l) => !l.fixed && !l.id.startsWith('added-') && l.id !== 'pad-added'));
  let onto = $derived([{ id: '', label: 'the thread' }, ...own.map((l) => ({ id: l.id, label: l.name }))]);
  const said = (id: string) => layers.find((l) => l.layer === id) as Record<string, unknown> | undefined;
  const asked = (l: Schemas['LayerReport']) => measures.filter((f) => f.name === 'thickness' || l.drilled);
  const list = (l: unknown[]) => (l.length ? l : undefined);

  function measure(id: string, name: string, v: number | undefined) {
    const next: Record<string, unknown> = { ...said(id), layer: id, [name]: v };
    if (v === undefined) delete next[name];
    const others = layers.filter((l) => l.layer !== id);
    onchange('layers', list(Object.keys(next).length > 1 ? [...others, next] : others));
  }

  function put(i: number, name: string, v: unknown) {
    const next: Record<string, unknown> = { ...added[i], [name]: v };
    if (v === undefined || v === '') delete next[name];
    onchange('added', list(added.map((a, n) => (n === i ? next : a))));
  }
</script>

{#snippet measured(f: Field, value: number | undefined, take: (v: number | undefined) => void)}
  <QuantityField
    label={f.label}
    hint={f.howTo}
    dimension={f.dimension!}
    minimum={f.minimum!}
    maximum={f.maximum!}
    optional
    {value}
    onchange={take}
  />
{/snippet}

<h4 class="text-quiet mt-3 text-xs">Layer by layer, head to tip</h4>
{#each own as l (l.id)}
  <details class="border-rule border-b border-dotted" data-layer={l.id} open={!!said(l.id)}>
    <summary class="min-h-7 cursor-pointer py-1"
      >{l.name}
      <b class="float-right">{quantity(l.thickness, 'length')}{said(l.id) ? ', yours' : ''}</b></summary
    >
    <div class="pl-4">
      {#each asked(l) as f (f.name)}
        {@render measured(f, said(l.id)?.[f.name] as number | undefined, (v) => measure(l.id, f.name, v))}
      {/each}
    </div>
  </details>
{/each}
{#each added as a, i (i)}
  <div class="border-rule mt-2 border-l-2 pl-3" data-added={i}>
    {#if what}
      <ChoiceField
        label="Put between"
        value={a.what ?? 'washer'}
        choices={what.choices ?? []}
        onchange={(v) => put(i, 'what', v)}
      />
    {/if}
    <ChoiceField label="It lies on" value={a.before ?? ''} choices={onto} onchange={(v) => put(i, 'before', v)} />
    {#if thickness}
      {@render measured(thickness, a.thickness ?? undefined, (v) => put(i, 'thickness', v))}
    {/if}
    <button class="btn btn-xs btn-ghost" onclick={() => onchange('added', list(added.filter((_, n) => n !== i)))}
      >Take it out</button
    >
  </div>
{/each}
<button class="btn btn-xs border-rule mt-2" onclick={() => onchange('added', [...added, { what: 'washer' }])}
  >Put something between</button
>
