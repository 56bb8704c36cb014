<script lang="ts">
  import QuantityField from '../parts/QuantityField.svelte';
  import { catalogue } from '../state/catalogue.svelte';
  import { getSession } from '../state/session.svelte';
  import Fields from './Fields.svelte';

  const session = getSession();
  const byClass = {
    'inside-host': 'insideHost',
    'own-ground': 'ownGround',
    'public-way': 'publicWay',
    'on-people': 'onPeople',
    'deep-water': 'ownGround',
  } as const;

  function set(name: string, value: number | undefined) {
    const factors = { ...(session.doc.factors ?? {}) };
    if (value === undefined) delete factors[name];
    else factors[name] = value;
    session.setPath('factors', factors);
  }
</script>

<h2 class="text-lg">Conditions</h2>
<p class="text-quiet mt-0.5 text-sm">What the rig is judged for.</p>
<Fields
  kind={catalogue.conditions(session.doc.host)}
  value={session.doc.run as unknown as Record<string, unknown>}
  path="run"
/>
<h3 class="mt-4">Required factors</h3>
<p class="text-quiet text-sm">
  Capacity over demand. They follow from where a drop would land; set your own within floors, or empty it.
</p>
{#each catalogue.factors as f (f.name)}
  <QuantityField
    label={f.label}
    hint={(session.doc.factors ?? {})[f.name] === undefined
      ? f.reason
      : `yours; else ${f[byClass[session.doc.run.consequence ?? 'public-way']]}`}
    dimension="factor"
    minimum={f.floor}
    maximum={f.ceiling}
    optional
    value={(session.doc.factors ?? {})[f.name] ?? f[byClass[session.doc.run.consequence ?? 'public-way']]}
    onchange={(v) => set(f.name, v)}
  />
{/each}
