<script lang="ts">
  import { untrack } from 'svelte';
  import type { Kind, Schemas } from '../api/client';
  import { capital, fill, uncapital } from '../parts/quantity';
  import { catalogue } from '../state/catalogue.svelte';
  import { pathOf, valueAt } from '../state/document';
  import { getSession } from '../state/session.svelte';
  import AddPanel from './AddPanel.svelte';
  import Alternatives from './Alternatives.svelte';
  import Checks from './Checks.svelte';
  import ConditionsPanel from './ConditionsPanel.svelte';
  import Fields from './Fields.svelte';
  import Joints from './Joints.svelte';
  import NewerOnShelf from './NewerOnShelf.svelte';
  import People from './People.svelte';
  import OtherCase from './OtherCase.svelte';
  import Schools from './Schools.svelte';
  import PlaceFields from './PlaceFields.svelte';
  import RigPanel from './RigPanel.svelte';
  import SitePanel from './SitePanel.svelte';
  import Tethers from './Tethers.svelte';
  import TipPlan from './TipPlan.svelte';
  import VersionsPanel from './VersionsPanel.svelte';

  const session = getSession();

  /** The selected row of the load path; null where another panel is open, or its row is not worked out yet. */
  let row = $derived(session.report!.stations.find((s) => s.id === session.selected) ?? null);

  /** What the selected row is in the document. */
  let subject = $derived.by(() => {
    // By its name, not its place in a list: another may be taken away before a typed value is understood.
    if (!row?.at) return null;
    const value = valueAt(session.doc, row.at) as (Record<string, unknown> & { kind?: string }) | undefined;
    if (!value) return null;
    return { path: row.at, value, kind: catalogue.kind(row.family, value.kind ?? row.family), family: row.family };
  });
  let second = $derived(subject ? pathOf(session.doc, subject.path) > 0 : false);

  /** What the title calls a row's family. */
  const families: Record<string, string> = { brace: 'strut', isolator: 'soft mount' };
  const named = (family: string) => families[family] ?? family;

  /** A lamp or a recorder in a camera's place. */
  let pictureless = $derived(
    subject?.kind?.fields.find((f) => f.name === 'body')?.choices?.find((c) => c.id === subject?.value.body)?.hides,
  );

  let title = $derived(
    subject?.family === 'camera'
      ? (row?.label ?? '')
      : subject
        ? `${capital(named(subject.family))}${second ? ', second' : ''}: ${uncapital(subject.kind?.label ?? '')}`
        : (row?.label ?? ''),
  );
  let swappable = $derived(
    subject && !second && ['base', 'reach', 'isolator', 'head', 'camera'].includes(subject.family),
  );

  function remove() {
    const s = session.selected;
    if (!subject) return;
    if (second) session.setPath('paths', session.doc.paths.slice(0, 1));
    else {
      const list = subject.family === 'brace' ? session.doc.braces! : session.doc.straps!;
      session.setPath(
        `${subject.family}s`,
        list.filter((x) => `${subject!.family}:${x.id}` !== s),
      );
    }
    // The drawer stays where it is, with what brings it back.
  }

  /** Why what stands here is refused. */
  let refused = $derived(session.report!.stations.find((s) => s.id === session.selected)?.refused);
  let drawer = $state<HTMLElement>();

  // What was pressed may be gone by what it did: the focus stays in the drawer then.
  $effect(() => {
    if (!drawer) return;
    let last: EventTarget | null = null;
    const seen = (e: FocusEvent) => (last = e.target);
    const watch = new MutationObserver(() => {
      if (document.activeElement === document.body && last instanceof Element && !last.isConnected)
        drawer?.focus({ preventScroll: true });
    });
    drawer.addEventListener('focusin', seen);
    watch.observe(drawer, { childList: true, subtree: true });
    return () => (watch.disconnect(), drawer?.removeEventListener('focusin', seen));
  });

  // At its top for each row; a working that was asked for scrolls itself into view.
  $effect(() => {
    void session.selected;
    if (!untrack(() => session.opened)) drawer?.scrollTo({ top: 0 });
    // Where all is one column what was tapped opens below: it comes into sight. Not at first, when nothing was.
    if (asked && matchMedia(COMPACT).matches) drawer?.scrollIntoView({ block: 'start' });
    asked = true;
  });

  /** Back to the row whose fields these are. What Escape does in a field is the field's. */
  function back(e: KeyboardEvent) {
    if (e.key !== 'Escape' || e.defaultPrevented || e.target instanceof HTMLInputElement) return;
    document.querySelector<HTMLElement>(`[data-row="${CSS.escape(session.selected)}"]`)?.focus();
  }

  let asked = false;
  /** As the style sheet has it. */
  const COMPACT = '(width < 40rem), (height < 37.5rem)';

  const describe = (k: Kind | undefined) => k?.about ?? '';
</script>

<!-- Of a strut first: how long it is and where it stands is what is changed. -->
{#snippet place(of: NonNullable<typeof subject>)}
  <PlaceFields family={of.family} path={of.path} value={of.value} />
{/snippet}

<!-- svelte-ignore a11y_no_noninteractive_element_interactions -->
<aside
  bind:this={drawer}
  id="drawer"
  tabindex="-1"
  class="border-rule bg-base-100 relative min-h-0 overflow-y-auto border-l px-4 py-3 max-[1100px]:border-t compact:border-l-0 scroll-mt-2"
  aria-label="Details"
  onkeydown={back}
>
  {#if session.selected !== 'versions'}<OtherCase /><NewerOnShelf />{/if}
  {#if session.selected === 'rig'}
    <RigPanel />
  {:else if session.selected === 'run'}
    <ConditionsPanel />
  {:else if session.selected === 'add'}
    <AddPanel />
  {:else if session.selected === 'schools'}
    <Schools />
  {:else if session.selected === 'versions'}
    <VersionsPanel />
  {:else if session.selected === 'site'}
    <SitePanel />
    <Checks />
  {:else if session.selected === 'tether'}
    <Tethers />
    <Checks />
  {:else if subject}
    <h2 class="text-lg leading-tight">{title}</h2>
    {#if describe(subject.kind)}<p class="text-quiet mt-0.5 text-sm">{describe(subject.kind)}</p>{/if}
    {#if refused}
      <p class="border-lets-go mt-2 border-l-3 pl-2 text-sm" data-refused>
        <b class="word-lets-go">Refused.</b>
        {fill(refused)}
      </p>
      {#if swappable}<Alternatives station={subject.family} title="What may be used instead" lead />{/if}
    {/if}
    <h3 class="text-quiet mt-3 flex justify-between text-xs font-normal">
      <span>Measurements</span><span>how to measure</span>
    </h3>
    {#key session.selected}
      {#if subject.family === 'brace'}{@render place(subject)}{/if}
      <Fields kind={subject.kind} value={subject.value} path={subject.path} />
      {#if subject.family === 'camera' && !pictureless}
        <People path={subject.path} camera={subject.value as unknown as Schemas['CameraChoice']} />
      {/if}
      {#if subject.family !== 'brace'}{@render place(subject)}{/if}
    {/key}
    {#if subject.kind?.caution}
      <p class="border-tight mt-2 border-l-3 pl-2 text-sm">{subject.kind.caution}</p>
    {/if}
    {#if ['brace', 'strap'].includes(subject.family) || second}
      <button class="btn btn-xs border-rule mt-2" onclick={remove}
        >Take this {second ? (pictureless ? uncapital(row!.label) : 'second camera') : named(subject.family)} away</button
      >
    {/if}
    {#if subject.family === 'base' && session.report!.tip}<TipPlan plan={session.report!.tip} />{/if}
    <Joints />
    <Checks />
    {#if swappable && !refused}<Alternatives station={subject.family} />{/if}
  {:else}
    <h2 class="text-lg">{title}</h2>
    <p class="mt-1">It is not on the rig any more.</p>
    {#if session.canUndo}
      <button class="btn btn-sm btn-primary mt-2" data-bring-back onclick={() => session.undo()}>Undo</button>
    {/if}
    <p class="text-quiet mt-2 text-sm">Or pick another row of the load path.</p>
  {/if}
</aside>
