<script lang="ts">
  import ChoiceField from '../parts/ChoiceField.svelte';
  import { catalogue } from '../state/catalogue.svelte';
  import type { RigSession } from '../state/session.svelte';
  import Fields from './Fields.svelte';

  let { session }: { session: RigSession } = $props();
  let host = $derived(catalogue.host(session.doc.host)!);

  /** Moves the whole rig; feet that stood on the old panel go along. Undo brings it back. */
  function move(hostId: string, siteId: string) {
    const to = catalogue.host(hostId)!;
    const site = to.sites.find((s) => s.id === siteId)!;
    const braces = session.doc.braces?.map((b) => (b.site === session.doc.site.id ? { ...b, site: siteId } : b));
    session.change('site', { ...session.doc, host: hostId, site, at: [0, 0], braces });
  }
</script>

<h2 class="text-lg">Site: {session.doc.site.name.toLowerCase()}</h2>
<p class="text-quiet mt-0.5 text-sm">A panel gives like a spring: measure yours, the presets are only usual.</p>
<ChoiceField
  label="Car"
  value={session.doc.host}
  choices={catalogue.hosts.map((h) => ({ id: h.id, label: h.name }))}
  onchange={(id) => move(id, session.doc.site.id)}
/>
<ChoiceField
  label="Panel"
  value={session.doc.site.id}
  choices={host.sites.map((s) => ({ id: s.id, label: s.name }))}
  onchange={(id) => move(session.doc.host, id)}
/>
<Fields
  {session}
  kind={catalogue.kind('site', 'site')}
  value={session.doc.site as unknown as Record<string, unknown>}
  path="site"
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
