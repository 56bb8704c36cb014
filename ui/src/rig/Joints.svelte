<script lang="ts">
  import type { Schemas } from '../api/client';
  import { capital, fill, quantity } from '../parts/quantity';
  import { catalogue } from '../state/catalogue.svelte';
  import { getSession } from '../state/session.svelte';
  import Fields from './Fields.svelte';
  import JointLayers from './JointLayers.svelte';
  import JointSection from './JointSection.svelte';

  /** The screwed joints of the selected station: section to scale, what to buy, what is wrong, the user's own choices. */
  const session = getSession();
  let joints = $derived(session.report!.joints.filter((j) => j.station === session.selected));
  /** Neighbours that are joined by something else than a screw. */
  let others = $derived(session.report!.joins.filter((j) => j.station === session.selected && j.sort !== 'screwed'));
  let open = $state('');

  const own = (id: string) => (session.doc.joints ?? {})[id] as unknown as Record<string, unknown> | undefined;

  /** What can be said of a joint: a head is sunk where there is one, a plug kept where there is one. */
  const kind = (j: Schemas['JointReport']) => {
    const all = catalogue.kind('joint', 'joint');
    const moot = [...(j.plugged ? [] : ['plug']), ...(j.headHeight > 0 ? [] : ['head'])];
    return all && { ...all, fields: all.fields.filter((f) => !moot.includes(f.name)) };
  };

  /** Writes one choice; a joint without any is taken out of the document. */
  function change(id: string, path: string, value: unknown) {
    const name = path.split('.').at(-1)!;
    const next: Record<string, unknown> = { ...own(id) };
    if (value === undefined || value === '') delete next[name];
    else next[name] = value;
    const all = { ...session.doc.joints } as Record<string, unknown>;
    if (Object.keys(next).length) all[id] = next;
    else delete all[id];
    session.setPath('joints', all, 'joint:' + id + name);
  }
</script>

{#each others as o (o.says)}
  <p class="mt-4 text-sm"><b class="block">How it is joined</b>{o.says}.</p>
{/each}
{#each joints as j (j.id)}
  <section class="mt-4" aria-label="Joint: {j.title}" data-joint={j.id}>
    <h3 class="leading-tight">{capital(j.title)}</h3>
    <p class="text-quiet text-xs">{j.thread}, section to scale</p>
    <JointSection joint={j} />
    {#each j.findings as f (f.text)}
      <p class="border-l-3 pl-2 text-sm {f.blocks ? 'border-lets-go word-lets-go font-semibold' : 'border-tight'}">
        {capital(fill(f.text))}.
      </p>
    {:else}
      <p class="border-holds word-holds border-l-3 pl-2 text-sm font-semibold">The stack is right.</p>
    {/each}
    <dl class="mt-1 grid grid-cols-[1fr_auto] gap-x-3 text-sm">
      <dt>{j.screw ? `${j.screw} to buy` : 'Thread, comes with the part'}</dt>
      <dd class="text-right font-semibold">
        {#if !j.screw}{quantity(j.length, 'length')}{:else}{j.buy == null
            ? 'threaded rod'
            : quantity(j.buy, 'length')}{#if j.cutOff > 0.0001}, cut off {quantity(j.cutOff, 'length')}{/if}{/if}
      </dd>
      <dt>Grip</dt>
      <dd class="text-right">{quantity(j.grip, 'length')}</dd>
      <dt>Thread engaged, wanted</dt>
      <dd class="text-right">{quantity(j.engagement, 'length')}, {quantity(j.wanted, 'length')}</dd>
      <dt>Drill: clearance{j.tapDrill > 0 ? ', tap' : ''}</dt>
      <dd class="text-right">
        {quantity(j.clearance, 'drill')}{#if j.tapDrill > 0}, {quantity(j.tapDrill, 'drill')}{/if}
      </dd>
      <dt>Preload it keeps</dt>
      <dd class="text-right">{quantity(j.preload, 'force')}</dd>
    </dl>
    <p class="mt-1 text-xs"><b>Loosening, grade {j.looseningGrade} of 3.</b> {capital(j.looseningSays)}.</p>
    {#each j.notes as n (n)}<p class="text-quiet text-xs">{n}</p>{/each}
    <button
      class="btn btn-xs border-rule mt-1"
      aria-expanded={open === j.id}
      onclick={() => (open = open === j.id ? '' : j.id)}
      >{open === j.id ? 'Close' : own(j.id) ? 'Your choices for it' : 'As you built it'}</button
    >
    {#if open === j.id}
      <Fields
        kind={kind(j)}
        value={own(j.id) ?? {}}
        path="joints.{j.id}"
        onset={(path, value) => change(j.id, path, value)}
        optionalChoices
      />
      <JointLayers
        joint={j}
        choice={session.doc.joints?.[j.id]}
        onchange={(name, value) => change(j.id, name, value)}
      />
    {/if}
  </section>
{/each}
