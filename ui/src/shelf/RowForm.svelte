<script lang="ts">
  import type { Field } from '../api/client';
  import ChoiceField from '../parts/ChoiceField.svelte';
  import QuantityField from '../parts/QuantityField.svelte';
  import type { OwnRow } from '../state/document';

  /** The numbers of one own row, with where they are from. */
  interface Props {
    fields: readonly Field[];
    row: OwnRow;
    /** Where there is room beside each other. */
    wide?: boolean;
    onchange: (row: OwnRow) => void;
    /** Which of its numbers was not taken as it was typed, and which is again. */
    onasks: (name: string, asks: boolean) => void;
  }
  let { fields, row, wide = false, onchange, onasks }: Props = $props();
  const id = $props.id();

  /** What stands for an answer that nobody gave; empty where none is an answer too. */
  const unsaid = (f: Field) => f.choices?.find((c) => c.id === 'unsaid')?.id ?? '';

  function set(name: string, v: unknown) {
    const next: OwnRow = { ...row, [name]: v };
    if (v === undefined || v === '') delete next[name];
    onchange(next);
  }
</script>

<div class="border-rule border-b border-dotted py-1.5">
  <label for="{id}-name">Name</label>
  <input
    id="{id}-name"
    class="input border-rule bg-base-100 mt-1 h-7 w-full px-2 font-semibold"
    maxlength="80"
    value={row.name}
    oninput={(e) => onchange({ ...row, name: e.currentTarget.value })}
  />
</div>
<div class="border-rule border-b border-dotted py-1.5">
  <label for="{id}-source"
    >Where its numbers are from <span class="text-quiet block text-xs"
      >day and with what, as “weighed, pulled off 10 mm plate with a luggage scale, 12 May”</span
    ></label
  >
  <textarea
    id="{id}-source"
    class="textarea border-rule bg-base-100 mt-1 min-h-12 w-full px-2 py-1 leading-snug"
    rows="2"
    maxlength="300"
    value={row.source}
    oninput={(e) => onchange({ ...row, source: e.currentTarget.value.replace(/\s+/g, ' ') })}></textarea>
</div>
<div class={wide ? 'grid gap-x-8 sm:grid-cols-2' : ''}>
  {#each fields as f (f.name)}
    {#if f.ofPictures && row.makes !== 'picture'}
      <!-- A lamp has no sensor. -->
    {:else if f.type === 'quantity'}
      <QuantityField
        label={f.label}
        hint={f.howTo}
        dimension={f.dimension!}
        minimum={f.minimum!}
        maximum={f.maximum!}
        optional={f.measured}
        value={row[f.name] as number | undefined}
        where={f.name}
        onchange={(v, where) => set(where, v)}
        onasks={(asks, where) => onasks(where, asks)}
      />
    {:else if f.type === 'option'}
      <ChoiceField
        label={f.label}
        hint={f.howTo}
        value={(row[f.name] as string | undefined) ?? unsaid(f)}
        choices={unsaid(f) ? (f.choices ?? []) : [{ id: '', label: 'none' }, ...(f.choices ?? [])]}
        onchange={(v) => set(f.name, v || undefined)}
      />
    {:else if f.type === 'stock'}
      <ChoiceField
        label={f.label}
        value={row[f.name] as string}
        choices={f.choices ?? []}
        onchange={(v) => set(f.name, v)}
      />
    {/if}
  {/each}
</div>
