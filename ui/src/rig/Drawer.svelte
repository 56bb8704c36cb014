<script lang="ts">
  import type { Kind } from '../api/client';
  import { capital, uncapital } from '../parts/quantity';
  import { catalogue } from '../state/catalogue.svelte';
  import type { RigSession } from '../state/session.svelte';
  import AddPanel from './AddPanel.svelte';
  import Alternatives from './Alternatives.svelte';
  import Checks from './Checks.svelte';
  import ConditionsPanel from './ConditionsPanel.svelte';
  import Fields from './Fields.svelte';
  import Joints from './Joints.svelte';
  import Schools from './Schools.svelte';
  import PlaceFields from './PlaceFields.svelte';
  import RigPanel from './RigPanel.svelte';
  import SitePanel from './SitePanel.svelte';
  import Tethers from './Tethers.svelte';
  import VersionsPanel from './VersionsPanel.svelte';

  let { session }: { session: RigSession } = $props();

  /** What the selected row is in the document. */
  let subject = $derived.by(() => {
    const doc = session.doc as unknown as Record<string, Record<string, unknown> & { kind?: string }>;
    const [family, id] = session.selected.split(':') as [string, string | undefined];
    if (family === 'brace' || family === 'strap') {
      const list = family === 'brace' ? session.doc.braces : session.doc.straps;
      const value = (list ?? []).find((x) => x.id === id) as unknown as
        (Record<string, unknown> & { kind?: string }) | undefined;
      if (!value) return null;
      // By its name, not its place in the list: another may be taken away before a typed value is understood.
      return { path: `${family}s.[${id}]`, value, kind: catalogue.kind(family, value.kind ?? 'strap'), family };
    }
    const second = /^(camera|head|reach)-2$/.exec(family);
    if (second && session.doc.second) {
      const name = second[1] as 'camera' | 'head' | 'reach';
      const value = session.doc.second[name] as unknown as Record<string, unknown> & { kind?: string };
      return { path: `second.${name}`, value, kind: catalogue.kind(name, value.kind ?? name), family };
    }
    const value = doc[family];
    if (!value) return null;
    return { path: family, value, kind: catalogue.kind(family, value.kind ?? family), family };
  });

  let title = $derived(
    subject
      ? `${capital(subject.family.replace(/-2$/, ', second'))}: ${uncapital(subject.kind?.label ?? '')}`
      : 'Nothing here any more',
  );
  let swappable = $derived(subject && ['base', 'reach', 'isolator', 'head', 'camera'].includes(subject.family));

  function remove() {
    const s = session.selected;
    if (!subject) return;
    if (subject.family.endsWith('-2')) session.setPath('second', undefined);
    else {
      const list = subject.family === 'brace' ? session.doc.braces! : session.doc.straps!;
      session.setPath(
        `${subject.family}s`,
        list.filter((x) => `${subject!.family}:${x.id}` !== s),
      );
    }
    session.selected = 'rig';
  }

  const describe = (k: Kind | undefined) => k?.about ?? '';
</script>

<aside class="border-rule bg-base-100 min-h-0 overflow-y-auto border-l px-4 py-3" aria-label="Details">
  {#if session.selected === 'rig'}
    <RigPanel {session} />
  {:else if session.selected === 'run'}
    <ConditionsPanel {session} />
  {:else if session.selected === 'add'}
    <AddPanel {session} />
  {:else if session.selected === 'schools'}
    <Schools {session} />
  {:else if session.selected === 'versions'}
    <VersionsPanel {session} />
  {:else if session.selected === 'site'}
    <SitePanel {session} />
    <Checks {session} />
  {:else if session.selected === 'tether'}
    <Tethers {session} />
    <Checks {session} />
  {:else if subject}
    <h2 class="text-lg leading-tight">{title}</h2>
    {#if describe(subject.kind)}<p class="text-quiet mt-0.5 text-sm">{describe(subject.kind)}</p>{/if}
    <h3 class="text-quiet mt-3 flex justify-between text-xs font-normal">
      <span>Measurements</span><span>how to measure</span>
    </h3>
    {#key session.selected}
      <Fields {session} kind={subject.kind} value={subject.value} path={subject.path} />
      <PlaceFields {session} family={subject.family} path={subject.path} value={subject.value} />
    {/key}
    {#if subject.kind?.caution}
      <p class="border-tight mt-2 border-l-3 pl-2 text-sm">{subject.kind.caution}</p>
    {/if}
    {#if ['brace', 'strap'].includes(subject.family) || subject.family.endsWith('-2')}
      <button class="btn btn-xs border-rule mt-2" onclick={remove}
        >Take this {subject.family.endsWith('-2') ? 'second camera' : subject.family} away</button
      >
    {/if}
    <Joints {session} />
    <Checks {session} />
    {#if swappable}<Alternatives {session} station={subject.family} />{/if}
  {:else}
    <h2 class="text-lg">{title}</h2>
    <p class="text-quiet">Pick a row of the load path.</p>
  {/if}
</aside>
