<script lang="ts">
  import type { Kind } from '../api/client';
  import ChoiceField from '../parts/ChoiceField.svelte';
  import QuantityField from '../parts/QuantityField.svelte';
  import { catalogue } from '../state/catalogue.svelte';
  import type { RigSession } from '../state/session.svelte';
  import Self from './Fields.svelte';

  /** Draws the fields of a kind or record from what the server publishes about it. */
  interface Props {
    session: RigSession;
    kind: Kind | undefined;
    /** The record's value. */
    value: Record<string, unknown>;
    /** Where it stands in the document; empty for the document itself. */
    path: string;
  }
  let { session, kind, value, path }: Props = $props();

  const at = (name: string) => (path ? `${path}.${name}` : name);
  const part = (name: string) => value[name] as Record<string, unknown> & { kind?: string };
</script>

{#each kind?.fields ?? [] as f (f.name)}
  {#if f.type === 'quantity'}
    <QuantityField
      label={f.label}
      hint={f.howTo}
      dimension={f.dimension!}
      minimum={f.minimum!}
      maximum={f.maximum!}
      optional={f.measured}
      value={value[f.name] as number | undefined}
      onchange={(v) => session.setPath(at(f.name), v)}
    />
  {:else if f.type === 'part'}
    {@const kinds = f.kinds ?? []}
    {@const holdKind = part(f.name).kind ?? kinds[0]!}
    {#if kinds.length > 1}
      <ChoiceField
        label={f.label}
        value={holdKind}
        choices={kinds.map((k) => ({ id: k, label: catalogue.kind('hold', k)?.label ?? k }))}
        onchange={(id) => session.setPath(at(f.name), catalogue.kind('hold', id)?.fresh)}
      />
    {/if}
    <Self {session} kind={catalogue.kind('hold', holdKind)} value={part(f.name)} path={at(f.name)} />
  {:else}
    <ChoiceField
      label={f.label}
      hint={f.howTo}
      value={value[f.name] as string}
      choices={f.choices ?? []}
      onchange={(id) => session.setPath(at(f.name), id)}
    />
  {/if}
{/each}
