<script lang="ts">
  import { onMount } from 'svelte';
  import { api, ask, type Schemas } from '../api/client';
  import { catalogue } from '../state/catalogue.svelte';
  import { quantity } from '../parts/quantity';
  import ReadField from '../prove/ReadField.svelte';
  import type { Conditions } from '../state/runcard.svelte';

  /** The day as it is: entered, or told by what one sees. */
  let { day, host, pumps, onday }: { day: Conditions; host: string; pumps: boolean; onday: (day: Conditions) => void } =
    $props();
  let forces = $state.raw<readonly Schemas['BeaufortForce'][]>([]);
  onMount(async () => {
    forces = await ask(api.GET('/api/beaufort')).catch(() => []);
  });
  // svelte-ignore state_referenced_locally
  let wind = $state<number | null>(day.wind);
  // svelte-ignore state_referenced_locally
  let gust = $state<number | null>(day.gust);
  // svelte-ignore state_referenced_locally
  let temperature = $state<number | null>(day.temperature);
  // svelte-ignore state_referenced_locally
  let altitude = $state<number | null>(day.altitude);
  // svelte-ignore state_referenced_locally
  let hours = $state<number | null>(day.hoursSincePump == null ? null : day.hoursSincePump * 3600);
  let conditions = $derived(catalogue.conditions(host));
  const choices = (name: string) => conditions?.fields.find((f) => f.name === name)?.choices ?? [];
  let surfaces = $derived(catalogue.kind('site', 'site')?.fields.find((f) => f.name === 'surface')?.choices ?? []);

  $effect(() => {
    if (wind === null || gust === null || temperature === null || altitude === null) return;
    const next = {
      ...day,
      wind,
      gust,
      temperature,
      altitude,
      hoursSincePump: hours === null ? undefined : hours / 3600,
    };
    if (JSON.stringify(next) !== JSON.stringify(day)) onday(next);
  });

  function seen(force: string) {
    const f = forces.find((x) => `${x.force}` === force);
    if (!f) return;
    wind = f.most;
    gust = f.gust ?? null;
  }
</script>

<div class="grid grid-cols-1 gap-3 px-3.5 py-3">
  <label class="block"
    >Wind, by what you see
    <select
      class="select border-rule bg-base-100 mt-1 h-12 w-full text-base"
      onchange={(e) => seen(e.currentTarget.value)}
    >
      <option value="">as entered below</option>
      {#each forces as f (f.force)}<option value={`${f.force}`}
          >{f.force} · {f.name}: {f.sign} ({quantity(f.most, 'speed')})</option
        >{/each}
    </select>
  </label>
  <ReadField label="Wind" dimension="speed" bind:value={wind} large />
  <ReadField label="Gusts on top" dimension="speed" bind:value={gust} large />
  <ReadField label="Air" dimension="temperature" bind:value={temperature} large />
  <ReadField label="Altitude" dimension="altitude" bind:value={altitude} large />
  {#if pumps}<ReadField label="Pumped up, ago" dimension="duration" bind:value={hours} large />{/if}
  {#each [['road', conditions?.fields.find((f) => f.name === 'road')?.label ?? 'Road', choices('road'), day.road], ['sun', 'Sun on it', choices('sun'), day.sun], ['rain', 'Rain', choices('rain'), day.rain], ['surface', 'Surface', surfaces, day.surface]] as const as [name, label, list, value] (name)}
    <label class="block"
      >{label}
      <select
        class="select border-rule bg-base-100 mt-1 h-12 w-full text-base"
        {value}
        onchange={(e) => onday({ ...day, [name]: e.currentTarget.value })}
      >
        {#each list as o (o.id)}<option value={o.id}>{o.label}</option>{/each}
      </select>
    </label>
  {/each}
</div>
