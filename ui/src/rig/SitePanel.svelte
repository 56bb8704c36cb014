<script lang="ts">
  import ChoiceField from '../parts/ChoiceField.svelte';
  import { catalogue } from '../state/catalogue.svelte';
  import { getSession } from '../state/session.svelte';
  import Fields from './Fields.svelte';

  const session = getSession();
  let host = $derived(catalogue.host(session.doc.host)!);
  let report = $derived(session.report!);
  let fitting = $derived(report.options.filter((o) => !o.reason));
  let struck = $derived(report.options.filter((o) => o.reason));
</script>

<h2 class="text-lg">Place: {session.doc.site.name.toLowerCase()}</h2>
<p class="text-quiet mt-0.5 text-sm">
  Pick another place in the scene, or here. Measure yours; the presets are only usual.
</p>
<ChoiceField
  label="Host"
  value={session.doc.host}
  choices={catalogue.hosts.map((h) => ({ id: h.id, label: h.name }))}
  onchange={(id) => session.moveTo(id)}
/>
<h3 class="mt-3">Places on it</h3>
<ul class="text-sm">
  {#each report.places as p (p.kind)}
    <li class="border-rule border-b border-dotted">
      <button
        class="hover:bg-base-300/50 w-full py-1 text-left"
        data-place={p.kind}
        aria-pressed={p.kind === session.doc.site.id}
        onclick={() => session.moveTo(session.doc.host, p.kind)}
      >
        <span class={p.reason ? 'text-quiet line-through' : 'font-semibold'}>{p.label}</span>
        {#if p.kind === session.doc.site.id}<b class="text-accent text-xs">the rig is here</b>{/if}
        {#if p.reason}<span class="text-quiet block text-xs">not with this base: {p.reason}</span>{/if}
      </button>
    </li>
  {/each}
</ul>

<h3 class="mt-4">Survey</h3>
<p class="text-quiet text-sm">
  Answer at the place, before anything is bought. What an answer rules out is struck out below.
</p>
<Fields
  kind={catalogue.kind('survey', 'survey')}
  value={(session.doc.survey ?? {}) as unknown as Record<string, unknown>}
  path="survey"
  form={session.doc.site.form}
/>
<h3 class="mt-3">What can hold here</h3>
<ul class="text-sm" data-options>
  {#each fitting as o (o.kind)}<li class="word-holds font-semibold">{o.label}</li>{:else}
    <li class="word-lets-go font-semibold">Nothing: pick another place.</li>
  {/each}
</ul>
<details class="mt-1 text-sm">
  <summary class="text-quiet min-h-6 cursor-pointer py-0.5">Struck out, {struck.length}, with the reason</summary>
  <ul>
    {#each struck as o (o.kind)}
      <li class="py-0.5">
        <s class="text-quiet">{o.label}</s><span class="text-quiet block text-xs">{o.reason}</span>
      </li>
    {/each}
  </ul>
</details>
{#if report.figure.zones.length}
  <h3 class="mt-4">Keep clear</h3>
  <p class="text-quiet text-sm">
    Drawn dashed in the scene; the rig, its swing and its loose ends are checked against them.
  </p>
  <ul class="text-sm">
    {#each report.figure.zones as z (z.id)}<li><b>{z.name}</b>: {z.why}</li>{/each}
  </ul>
{/if}

<h3 class="mt-4">As measured</h3>
<Fields
  kind={catalogue.kind('site', 'site')}
  value={session.doc.site as unknown as Record<string, unknown>}
  path="site"
  form={session.doc.site.form}
/>
<button
  class="btn btn-xs border-rule mt-2"
  onclick={() =>
    session.setPath(
      'site',
      host.sites.find((s) => s.id === session.doc.site.id),
    )}
>
  Back to the preset's values
</button>
