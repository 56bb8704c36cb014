<script lang="ts">
  import type { Field, Kind, Schemas } from '../api/client';
  import ChoiceField from '../parts/ChoiceField.svelte';
  import QuantityField from '../parts/QuantityField.svelte';
  import Sketch from '../parts/Sketch.svelte';
  import { catalogue } from '../state/catalogue.svelte';
  import { valueAt } from '../state/document';
  import { notices } from '../state/notices.svelte';
  import { getSession } from '../state/session.svelte';
  import OwnRowDialog from '../shelf/OwnRowDialog.svelte';
  import TakenNote from './TakenNote.svelte';
  import Self from './Fields.svelte';

  /** Draws the fields of a kind or record from what the server publishes about it. */
  interface Props {
    kind: Kind | undefined;
    /** The record's value. */
    value: Record<string, unknown>;
    /** Where it stands in the document; empty for the document itself. */
    path: string;
    /** Form of the site: fields for other forms are left out. */
    form?: string;
    /** Takes the changes instead of the document's path. */
    onset?: (path: string, value: unknown) => void;
    /** Choices may be left to the catalogue. */
    optionalChoices?: boolean;
    /** How many letters the sketches above have used. */
    first?: number;
  }
  const session = getSession();
  let { kind, value, path, form, onset, optionalChoices = false, first = 0 }: Props = $props();

  const ALL = 'ABCDEFGHIJKLMNOPQRSTUVWXYZ';
  const at = (name: string) => (path ? `${path}.${name}` : name);
  const part = (name: string) => value[name] as Record<string, unknown> & { kind?: string };
  /** The record as it stands here now: whoever writes later has it still, though the drawer may show something else by then. */
  const here = () => ({ kind, path, value, onset });
  type Here = ReturnType<typeof here>;

  function setAt({ onset }: Here, where: string, v: unknown) {
    if (onset) onset(where, v);
    else session.setPath(where, v);
  }

  /** The record's values as they are by now. */
  const values = (r: Here) =>
    ((r.path && !r.onset && valueAt(session.doc, r.path)) || r.value) as Record<string, unknown>;
  /** What was measured of the value that stands under a name, and says nothing of another. */
  const measuredOf = (r: Here, name: string) =>
    (r.kind?.fields ?? []).filter((f) => f.of?.includes(name) && values(r)[f.name] != null);

  /** Sets a choice. What was measured of the one before falls away, and a neighbour that does not fit it gives way to one that does. */
  function set(name: string, v: unknown, record = here()) {
    const fields = record.kind?.fields ?? [];
    const [now, lost] = [values(record), measuredOf(record, name)];
    const misfit = fields.filter(
      (f) =>
        f.beside === name && f.choices?.some((c) => c.with && c.id === now[f.name] && !c.with.includes(v as string)),
    );
    const where = record.path ? `${record.path}.${name}` : name;
    if (record.onset || lost.length + misfit.length === 0) return setAt(record, where, v);
    const next: Record<string, unknown> = { ...now, [name]: v };
    for (const f of misfit) {
      const fits = f.choices!.find((c) => c.with?.includes(v as string))!;
      next[f.name] = fits.id;
      for (const of of fields.filter((x) => x.of?.includes(f.name))) delete next[of.name];
    }
    for (const f of lost) delete next[f.name];
    session.setPath(record.path, next);
    notices.say(
      [
        ...lost.map((f) => `${f.label} was measured of the one before: measure again.`),
        ...misfit.map((f) => `${f.label}: the first that fits.`),
      ].join(' '),
    );
  }

  /** What takes a typed measurement, of the record as it stands here at the typing; what was measured together with the old one falls away. */
  function taker(f: Field) {
    const record = here();
    return (v: number | undefined, where: string) => {
      if (f.dated && !record.onset && !measuredOf(record, f.name).length) session.measure(where, v);
      else set(f.name, v, record);
    };
  }
  /** When and with what the present value was measured. */
  const taken = (name: string) => {
    const known = session.doc.measured?.[at(name)];
    return known && known.value === value[name] ? known : null;
  };
  /** Choices of a list with the row that the rig brings along, where this shelf has it not. */
  function rows(f: Field): Schemas['ChoiceDescriptor'][] {
    const own = ((session.doc.stock ?? {}) as Record<string, { id: string; name: string }[]>)[f.list ?? ''] ?? [];
    const brought = own.filter((r) => r.id === value[f.name] && !f.choices?.some((c) => c.id === r.id));
    return [...(f.choices ?? []), ...brought.map((r) => ({ id: r.id, label: `${r.name}, came with this rig` }))];
  }
  let making = $state<{ list: string; from: string; name: string } | null>(null);
  let hostKind = $derived(catalogue.host(session.doc.host)?.kind ?? '');
  /** Fields that say nothing with what is chosen beside them. */
  let hidden = $derived(
    (kind?.fields ?? []).flatMap((f) => f.choices?.find((c) => c.id === value[f.name])?.hides ?? []),
  );
  let fields = $derived(
    (kind?.fields ?? []).filter(
      (f) =>
        !hidden.includes(f.name) &&
        (!f.forms || !form || f.forms.includes(form)) &&
        (!f.hosts || f.hosts.includes(hostKind)),
    ),
  );
  /** Letters of the sketch's dimensions, in the order of the fields. */
  let letters = $derived.by(() => {
    const drawn = new Set([...(kind?.sketch ?? '').matchAll(/dim (\w+)/g)].map((m) => m[1]!));
    return Object.fromEntries(fields.filter((f) => drawn.has(f.name)).map((f, i) => [f.name, ALL[first + i]!]));
  });
  const choices = (list: readonly { id: string; label: string }[], none?: string | null) =>
    optionalChoices || none ? [{ id: '', label: none ?? 'the usual' }, ...list] : list;
</script>

{#if kind?.sketch}<Sketch text={kind.sketch} {letters} />{/if}
{#each fields as f (f.name)}
  {#if f.type === 'quantity'}
    <QuantityField
      label={f.label}
      letter={letters[f.name]}
      hint={f.howTo}
      dimension={f.dimension!}
      minimum={f.minimum!}
      maximum={f.maximum!}
      optional={f.measured}
      value={value[f.name] as number | undefined}
      where={at(f.name)}
      usualFrom={f.usualFrom}
      usualTo={f.usualTo}
      onchange={taker(f)}
    />
    {#if f.dated && !onset && value[f.name] != null}
      <TakenNote taken={taken(f.name)} onsaid={(said) => session.taken(at(f.name), said)} />
    {/if}
  {:else if f.type === 'part'}
    {@const kinds = f.kinds ?? []}
    {@const holdKind = part(f.name).kind ?? kinds[0]!}
    {#if kinds.length > 1}
      <ChoiceField
        label={f.label}
        value={holdKind}
        choices={kinds.map((k) => ({ id: k, label: catalogue.kind('hold', k)?.label ?? k }))}
        onchange={(id) => set(f.name, catalogue.kind('hold', id)?.fresh)}
      />
    {/if}
    <Self
      kind={catalogue.kind('hold', holdKind)}
      value={part(f.name)}
      path={at(f.name)}
      first={first + Object.keys(letters).length}
      onset={onset && ((p, v) => onset(p, v))}
    />
  {:else}
    {@const own = f.type === 'stock' && !onset && !optionalChoices && f.own && !f.none}
    <ChoiceField
      label={f.label}
      hint={f.howTo}
      action={own ? 'Yours differs?' : ''}
      onaction={() => (making = { list: f.list!, from: value[f.name] as string, name: f.name })}
      value={(value[f.name] as string | undefined) ??
        (optionalChoices || f.none ? '' : ((f.default as string) ?? f.choices?.[0]?.id ?? ''))}
      choices={choices(
        rows(f).filter((c) => !f.beside || !c.with || c.with.includes(value[f.beside] as string)),
        f.none,
      )}
      onchange={(id) => set(f.name, f.none ? id || undefined : id)}
    />
  {/if}
{/each}

{#if making}
  {@const { list, from, name } = making}
  <OwnRowDialog
    {list}
    {from}
    carried={session.doc.stock}
    onclose={() => (making = null)}
    onmade={(id) => set(name, id)}
  />
{/if}
