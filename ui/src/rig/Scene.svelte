<script lang="ts">
  import { verdictWord } from '../parts/verdict';
  import { onMount } from 'svelte';
  import { number, quantity } from '../parts/quantity';
  import type { DragTo } from '../scene/dragging';
  import type { Label } from '../scene/labels';
  import { SceneView } from '../scene/view';
  import { catalogue } from '../state/catalogue.svelte';
  import { getSession } from '../state/session.svelte';
  import { settings } from '../state/settings.svelte';

  interface Props {
    /** A mode shape to swing through, by node; the rig as it stands when absent. */
    movement?: Record<string, number[]>;
    /** A pull by hand, in place of what the rig is dragged by. */
    pull?: { point: number[]; direction: number[]; text: string };
  }
  const session = getSession();
  let { movement, pull }: Props = $props();

  let canvas: HTMLCanvasElement;
  let inset = $state<HTMLElement>();
  let view = $state.raw<SceneView | null>(null);
  let failed = $state(false);
  let labels = $state.raw<Label[]>([]);
  let dragText = $state('');
  let exaggeration = $state(0);
  let frame = $state.raw<{ width: number; height: number } | null>(null);
  let pins = $state.raw<{ site: string; x: number; y: number }[]>([]);

  let report = $derived(session.report!);
  // The host alone: the scene is drawn anew when an answer has come, not while one is waited for.
  let host = $derived(catalogue.host(session.doc.host));
  let lens = $derived(report.figure.lens);
  let aspect = $derived(Math.tan(lens.horizontalField / 2) / Math.tan(lens.verticalField / 2));
  let handle = $derived(report.figure.handles.find((h) => h.id === session.selected || h.station === session.selected));

  /** How often a browser is asked whether it can draw, and how long it is left between, ms: one that is short of breath cannot for a while. */
  const TRIES = 10;
  const PAUSE = 1000;

  onMount(() => {
    let again = 0;
    let undo = () => {};
    function start(left: number) {
      try {
        view = new SceneView(canvas);
      } catch {
        failed = true;
        if (left > 1) again = window.setTimeout(() => start(left - 1), PAUSE);
        return;
      }
      failed = false;
      undo = listen(view);
    }
    start(TRIES);
    return () => {
      clearTimeout(again);
      undo();
    };
  });

  /** Wires a view to the page; answers with what undoes it. */
  function listen(view: SceneView): () => void {
    view.onlabels = (l) => (labels = l);
    view.onview = () => (pins = view.placesOnPage());
    view.onselect = (s) => session.select(s);
    view.onhold = (on) => session.hold(on);
    view.ondrag = drag;
    const resize = new ResizeObserver(() => {
      view.resize(canvas.parentElement!.clientWidth, canvas.parentElement!.clientHeight);
      view.setLensRect(inset?.getBoundingClientRect() ?? null);
    });
    resize.observe(canvas.parentElement!);
    // For tests and scripts: where a handle stands on the page.
    (window as unknown as { ochemaHandle: (id: string) => unknown }).ochemaHandle = (id) => {
      const p = view.handleAt(id);
      const box = canvas.getBoundingClientRect();
      return p && { x: p.x + box.left, y: p.y + box.top };
    };
    (window as unknown as { ochemaFills: () => unknown }).ochemaFills = () => view.fills();
    (window as unknown as { ochemaPending: () => boolean }).ochemaPending = () => view.pending;
    return () => {
      resize.disconnect();
      view.dispose();
    };
  }

  $effect(() => {
    if (!view || !host || !session.shown) return;
    view.snap = settings.system === 'metric' ? 0.01 : 0.0127;
    view.show(
      {
        host,
        report: pull ? { ...report, figure: { ...report.figure, handles: [] } } : report,
        shown: session.shown,
        selected: session.selected,
        deflected: session.deflected && !pull,
        lensLarge: session.lensLarge && !movement && !pull,
        movement,
        pull,
        forceText: (n) => quantity(n, 'force'),
      },
      settings.theme,
    );
    view.setLensRect(inset?.getBoundingClientRect() ?? null);
    exaggeration = view.exaggeration;
    const box = canvas.parentElement!;
    frame = view.lensFrame(box.clientWidth, box.clientHeight);
  });

  function drag(to: DragTo) {
    const path = to.handle.path;
    if ('value' in to) {
      session.setPath(path, to.value, 'drag:' + path);
      dragText = `${to.handle.label} ${quantity(to.value, 'length')}`;
    } else if ('anchor' in to) {
      session.setPath(path, { anchor: to.anchor, t: to.t }, 'drag:' + path);
      dragText = host?.anchors.find((a) => a.id === to.anchor)?.name ?? '';
    } else {
      if (path !== 'at' && to.site !== to.handle.site)
        session.setPath(path.replace(/at$/, 'site'), to.site, 'drag:' + path);
      session.setPath(path, to.at, 'drag:' + path);
      dragText = `${to.handle.label} ${number(to.at[0], 'length')}, ${quantity(to.at[1], 'length')}`;
    }
  }

  /** Moves the selected handle by the arrow keys. */
  function keys(e: KeyboardEvent) {
    const d = { ArrowUp: [1, 0], ArrowDown: [-1, 0], ArrowLeft: [0, 1], ArrowRight: [0, -1] }[e.key];
    if (!d || !handle) return;
    const step = (e.shiftKey ? 5 : 1) * (settings.system === 'metric' ? 0.01 : 0.0127);
    if (handle.mode === 'panel' || handle.mode === 'panels')
      drag({ handle, site: handle.site, at: [handle.value[0]! + d[0]! * step, handle.value[1]! + d[1]! * step] });
    else if (handle.mode === 'anchor') {
      const anchors = host!.anchors;
      const i = anchors.findIndex((a) => a.id === handle.site);
      if (d[0])
        drag({
          handle,
          anchor: handle.site,
          t: Math.min(1, Math.max(0, handle.value[0]! - d[0] * (e.shiftKey ? 0.2 : 0.05))),
        });
      else drag({ handle, anchor: anchors[(i + d[1]! + anchors.length) % anchors.length]!.id, t: handle.value[0]! });
    } else
      drag({
        handle,
        value: Math.min(handle.maximum, Math.max(handle.minimum, handle.value[0]! + (d[0]! || d[1]!) * step)),
      });
    e.preventDefault();
    e.stopPropagation();
  }
</script>

<!-- svelte-ignore a11y_no_noninteractive_tabindex -->
<!-- svelte-ignore a11y_no_noninteractive_element_interactions -->
<div
  class="absolute inset-0 overflow-hidden"
  role="application"
  aria-label="{session.doc.name} on its host: {session.unanswered || !session.report
    ? 'being worked out'
    : verdictWord(session.report.verdict)}. Drag its feet, or select a row and use the arrow keys."
  tabindex="0"
  data-scene={view ? 'ready' : ''}
  onkeydown={keys}
  onpointerup={() => (dragText = '')}
>
  <canvas bind:this={canvas} class="absolute inset-0 h-full w-full touch-none" aria-hidden="true"></canvas>
  {#if failed}
    <p class="bg-base-100 absolute inset-x-8 top-1/2 rounded-md p-4">
      This browser cannot draw in three dimensions. All numbers and fields work; feet are moved by their two positions
      in the drawer.
    </p>
  {/if}
  {#each movement ? [] : labels as l (l.key)}
    <span
      class="bg-base-100/90 pointer-events-none absolute -translate-x-1/2 -translate-y-full rounded-sm px-1.5 whitespace-nowrap {pull
        ? 'text-accent text-2xl font-bold'
        : 'text-xs font-semibold'}"
      style:left="{l.x}px"
      style:top="{l.y}px">{l.text}</span
    >
  {/each}
  {#if session.selected === 'site' && !session.lensLarge}
    {#each report.places as place (place.kind)}
      {@const pin = pins.find((p) => p.site === place.kind)}
      {#if pin && pin.x > 0 && pin.y > 0}
        <button
          class="absolute min-h-6 -translate-x-1/2 -translate-y-1/2 rounded-sm border px-1.5 text-xs {place.kind ===
          session.doc.site.id
            ? 'border-base-content bg-base-content text-base-100'
            : 'border-base-content bg-base-100'}"
          style:left="{pin.x}px"
          style:top="{pin.y}px"
          title={place.reason ?? 'this base can go here'}
          data-pin={place.kind}
          onclick={() => session.moveTo(session.doc.host, place.kind)}
        >
          {#if place.reason}<s>{place.label}</s>{:else}{place.label}{/if}
        </button>
      {/if}
    {/each}
  {/if}
  {#if session.lensLarge && !movement && !pull && view && frame}
    <div
      class="border-base-content pointer-events-none absolute top-1/2 left-1/2 -translate-x-1/2 -translate-y-1/2 border-2"
      style:width="{frame.width}px"
      style:height="{frame.height}px"
      style:box-shadow="0 0 0 100vmax color-mix(in oklab, var(--color-base-content) 45%, transparent)"
      data-frame
    ></div>
    <p
      class="bg-base-100/90 absolute top-3 right-[12.25rem] compact:right-[8.25rem] compact:max-w-30 rounded-sm px-2 py-0.5 text-right text-xs leading-snug"
      data-through
    >
      {lens.label}
      {#each report.figure.people as who, i (i)}
        <span class="block">
          {who.name}
          {quantity(who.distance, 'length')}{who.seen ? '' : ', not in the picture'}
        </span>
      {/each}
    </p>
  {/if}
  {#if dragText}
    <output
      class="border-base-content bg-base-100 absolute bottom-16 left-4 rounded-sm border px-2 py-0.5 font-semibold"
      >{dragText}</output
    >
  {/if}
  {#if session.deflected && !pull && exaggeration}
    <p class="bg-base-100/90 absolute bottom-16 right-4 rounded-sm px-2 text-xs">
      bent shape, {Math.round(exaggeration)} × exaggerated · {session.shown?.case}
    </p>
  {/if}
  <button
    bind:this={inset}
    hidden={!!movement || !!pull}
    class="border-base-content absolute top-3 right-3 w-44 compact:w-28 overflow-hidden rounded-xs border-2"
    style:aspect-ratio={aspect}
    onclick={() => (session.lensLarge = !session.lensLarge)}
  >
    <span class="bg-base-100/90 text-base-content absolute bottom-1 left-1 rounded-xs px-1 text-xs">
      <span class="sr-only">{session.lensLarge ? 'Back to the' : 'Look through the'}</span>
      {session.lensLarge ? 'scene' : `${lens.label.split(' on')[0]} lens`} <span class="key">V</span>
    </span>
  </button>
</div>
