<script lang="ts">
  import ChoiceField from '../parts/ChoiceField.svelte';
  import { quantity } from '../parts/quantity';
  import QuantityField from '../parts/QuantityField.svelte';
  import { catalogue } from '../state/catalogue.svelte';
  import { getSession, RIG_ENDS } from '../state/session.svelte';

  /** Where a part stands on the host: two positions on a panel, or a closed point and how far along it. */
  let { family, path, value }: { family: string; path: string; value: Record<string, unknown> } = $props();
  const session = getSession();

  let host = $derived(catalogue.host(session.doc.host)!);
  let siteId = $derived(family === 'brace' ? (value.site as string) : session.doc.site.id);
  let frame = $derived(
    siteId === session.doc.site.id ? session.report!.figure.frame : host.frames.find((f) => f.site === siteId)!,
  );
  let at = $derived((family === 'brace' ? value.at : session.doc.at) as number[]);
  let end = $derived(value.to as { anchor: string; t: number } | undefined);
  let atPath = $derived(family === 'brace' ? `${path}.at` : 'at');
  let rod = $derived(family === 'brace' ? session.report!.rods.find((r) => r.id === value.id) : undefined);
  let run = $derived(family === 'strap' ? session.report!.straps.find((s) => s.id === value.id) : undefined);
  /** A point and the rig itself have no along. */
  let along = $derived(host.anchors.some((a) => a.id === end?.anchor && a.a.some((x, i) => x !== a.b[i])));
  const upright = $derived(Math.abs(frame.normal[2]!) < 0.5);
</script>

{#if family === 'brace' || family === 'base'}
  {#if family === 'brace'}
    <ChoiceField
      label="Foot stands on"
      value={siteId}
      choices={host.sites.map((s) => ({ id: s.id, label: s.name }))}
      onchange={(id) => session.setPath(`${path}.site`, id)}
    />
  {/if}
  {#if rod}
    <QuantityField
      label="Rod cut to"
      hint="its foot moves along its line"
      dimension="length"
      minimum={rod.least}
      maximum={rod.most}
      value={rod.length}
      where={rod.id}
      onchange={(v, strut) => session.rod(strut, v!)}
    />
  {/if}
  <QuantityField
    label={upright ? 'Forward' : 'Forward of the middle'}
    hint="of the panel, along it"
    dimension="length"
    minimum={-frame.halfU}
    maximum={frame.halfU}
    value={at[0]}
    where={`${atPath}.0`}
    onchange={(v, where) => session.setPath(where, v)}
  />
  <QuantityField
    label={upright ? 'Up' : 'To the left'}
    hint="of the panel's middle"
    dimension="length"
    minimum={-frame.halfV}
    maximum={frame.halfV}
    value={at[1]}
    where={`${atPath}.1`}
    onchange={(v, where) => session.setPath(where, v)}
  />
{:else if end}
  <ChoiceField
    label="Ends at"
    hint="something closed"
    value={end.anchor}
    choices={[...host.anchors.map((a) => ({ id: a.id, label: a.name })), ...(family === 'tether' ? RIG_ENDS : [])]}
    onchange={(anchor) => session.setPath(`${path}.to`, { anchor, t: end!.t })}
  />
  {#if along}
    <QuantityField
      label="How far along it"
      hint="0 front, 100 rear"
      dimension="ratio"
      minimum={0}
      maximum={1}
      value={end.t}
      where={`${path}.to.t`}
      onchange={(t, where) => session.setPath(where, t)}
    />
  {/if}
  {#if run}
    <p class="mt-1 text-sm" data-strap-run>
      {quantity(run.length, 'length')} long, {quantity(run.angle, 'angle')} below the panel: presses with {quantity(
        run.presses,
        'force',
      )}, drags with {quantity(run.drags, 'force')}.
    </p>
  {/if}
{/if}
