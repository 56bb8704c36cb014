<script lang="ts">
  import { scaleLog } from 'd3-scale';
  import { line } from 'd3-shape';
  import type { Schemas } from '../api/client';

  /** Excitation of the host below, rotation of the camera above, over one frequency axis, with the modes and the engine's orders. */
  interface Props {
    report: Schemas['ShakeReport'];
    /** A phone's log laid over it. */
    log?: Schemas['LogReport'] | null;
    mode: number;
    onmode: (index: number) => void;
  }
  let { report, log = null, mode, onmode }: Props = $props();

  const [LEFT, RIGHT, TOP, MIDDLE, BOTTOM] = [52, 14, 34, 190, 286];
  let width = $state(640);
  const [low, high] = [0.5, 200];
  let x = $derived(scaleLog([low, high], [LEFT, width - RIGHT]));
  /** Six decades below the largest are shown. */
  const scale = (values: readonly number[], top: number, bottom: number) => {
    const ceiling = Math.pow(10, Math.ceil(Math.log10(Math.max(1e-30, ...values))));
    return scaleLog([ceiling / 1e6, ceiling], [bottom, top]).clamp(true);
  };
  type Scale = ReturnType<typeof scale>;
  /** Values over frequencies; what is nothing at all lies on the axis. */
  const curve = (frequencies: readonly number[], values: readonly number[], y: Scale) =>
    line<number>(
      (f) => x(f),
      (_, i) => y(Math.max(values[i]!, y.domain()[0]!)),
    ).digits(1)([...frequencies])!;
  let upper = $derived(scale(report.rotation, TOP, MIDDLE - 12));
  let lower = $derived(scale(report.excitation, MIDDLE + 6, BOTTOM));
  let logLine = $derived(log ? curve(log.frequencies, log.density, scale(log.density, TOP, MIDDLE - 12)) : '');
  /** One dash for each source of shaking, as in the key below. */
  const dashes = ['1 2', '5 2', '8 2 1 2', '3 3', '10 3', '2 5'];
  /** Of the ten between two powers of ten, those that have room. */
  let ticks = $derived(x.ticks().filter((t) => [1, 2, 5].includes(Number(t.toExponential()[0]))));
  /** Names above their lines, pushed apart: to the right first, and back from the right end where they would run over it. */
  let labels = $derived.by(() => {
    const shown = report.modes.map((m, i) => ({ m, i })).filter(({ m }) => m.frequency > low && m.frequency < high);
    let last = -100;
    const places = shown.map(({ m }) => (last = Math.max(x(m.frequency), last + 19)));
    let next = width - RIGHT + 10;
    for (let k = places.length - 1; k >= 0; k--) next = places[k] = Math.min(places[k]!, next - 19);
    return shown.map(({ m, i }, k) => ({ m, i, at: places[k]! }));
  });
  const [ROW, CHARACTER] = [13, 6.4];
  /** Engine and propeller orders, each name in the first row where it meets no other; what finds no row is in the list of sources alone. */
  let orders = $derived.by(() => {
    const rows: [number, number][][] = Array.from({ length: Math.floor((BOTTOM - MIDDLE - 26) / ROW) }, () => []);
    return report.steady
      .filter((s) => s.frequency > low && s.frequency < high)
      .map((s) => {
        const name = s.label.replace('engine, ', '');
        const wide = name.length * CHARACTER + 6;
        const left = s.frequency > 80;
        const from = left ? x(s.frequency) - 3 - wide : x(s.frequency) + 3;
        const row = rows.findIndex((r) => r.every(([a, b]) => from + wide < a || from > b));
        rows[row]?.push([from, from + wide]);
        return { s, name, left, row };
      });
  });
</script>

<div bind:clientWidth={width} class="min-w-0">
  <svg {width} height="322" class="block" role="group" aria-label="Shaking and response over frequency">
    {#each ticks as t (t)}
      <path d="M{x(t)} {TOP}V{BOTTOM}" stroke="var(--rule)" />
      <text x={x(t)} y={BOTTOM + 15} text-anchor="middle" font-size="12" fill="currentColor">{t}</text>
    {/each}
    <rect
      x={x(report.band.low)}
      y={TOP}
      width={x(report.band.high) - x(report.band.low)}
      height={BOTTOM - TOP}
      fill="var(--tight)"
      opacity="0.1"
    />
    <text
      x={x(Math.sqrt(report.band.low * report.band.high))}
      y={BOTTOM - 5}
      text-anchor="middle"
      font-size="12"
      fill="var(--quiet)">{report.band.label}</text
    >
    <path
      d="{curve(report.frequencies, report.rotation, upper)}L{x(high)} {MIDDLE - 12}L{x(low)} {MIDDLE - 12}Z"
      fill="var(--holds)"
      opacity="0.16"
    />
    <path d={curve(report.frequencies, report.rotation, upper)} fill="none" stroke="var(--holds)" stroke-width="2" />
    {#each report.sources as s, i (s.label)}
      <path
        d={curve(report.frequencies, s.rotation, upper)}
        fill="none"
        stroke="currentColor"
        stroke-dasharray={dashes[i % dashes.length]}
      />
    {/each}
    <path
      d={curve(report.frequencies, report.excitation, lower)}
      fill="none"
      stroke="var(--color-accent)"
      stroke-width="2"
      stroke-dasharray="7 3"
    />
    {#each orders as { s, row } (s.label)}
      {#if s.to > s.frequency}
        <rect
          x={x(s.frequency)}
          y={MIDDLE + 18 + ROW * Math.max(0, row)}
          width={x(Math.min(s.to, high)) - x(s.frequency)}
          height="2"
          fill="var(--color-accent)"
        />
      {/if}
      <path
        d="M{x(s.frequency)} {MIDDLE + 6}V{BOTTOM}"
        stroke="var(--color-accent)"
        stroke-width="2"
        stroke-dasharray="2 3"
      />
    {/each}
    {#each orders.filter((o) => o.row >= 0) as { s, name, left, row } (s.label)}
      <text
        x={x(s.frequency) + (left ? -3 : 3)}
        y={MIDDLE + 16 + ROW * row}
        text-anchor={left ? 'end' : 'start'}
        font-size="12"
        stroke="var(--color-base-200)"
        stroke-width="3"
        paint-order="stroke"
        fill="var(--color-accent)"
        data-order>{name}</text
      >
    {/each}
    {#if log}
      <path d={logLine} fill="none" stroke="currentColor" stroke-width="1.2" />
    {/if}
    <path d="M{LEFT} {MIDDLE - 12}H{width - RIGHT}M{LEFT} {BOTTOM}H{width - RIGHT}" stroke="currentColor" />
    <text x="8" y={TOP + 10} font-size="12" fill="var(--holds)" font-weight="700">camera</text>
    <text x="8" y={TOP + 24} font-size="12" fill="var(--holds)" font-weight="700">turns</text>
    <text x="8" y={MIDDLE + 18} font-size="12" fill="var(--color-accent)" font-weight="700">host</text>
    <text x="8" y={MIDDLE + 32} font-size="12" fill="var(--color-accent)" font-weight="700">shakes</text>
    {#each labels as l (l.i)}
      <g
        role="button"
        tabindex="0"
        class="cursor-pointer"
        aria-pressed={mode === l.i}
        aria-label="Mode {l.i + 1}, {l.m.frequency.toFixed(1)} Hz, {l.m.name}"
        onclick={() => onmode(l.i)}
        onkeydown={(e) => (e.key === 'Enter' || e.key === ' ') && (onmode(l.i), e.preventDefault())}
      >
        <path
          d="M{x(l.m.frequency)} {TOP}V{MIDDLE - 12}"
          stroke="currentColor"
          stroke-dasharray="1 3"
          stroke-width="1.5"
        />
        <path d="M{l.at} 22L{x(l.m.frequency)} {TOP}" stroke="currentColor" opacity="0.5" />
        <rect
          x={l.at - 8}
          y="6"
          width="16"
          height="16"
          rx="2"
          fill={mode === l.i ? 'currentColor' : 'var(--color-base-100)'}
          stroke="currentColor"
        />
        <text
          x={l.at}
          y="18"
          text-anchor="middle"
          font-size="12"
          font-weight="700"
          fill={mode === l.i ? 'var(--color-base-100)' : 'currentColor'}>{l.i + 1}</text
        >
      </g>
    {/each}
    <text x={width - RIGHT} y={BOTTOM + 30} text-anchor="end" font-size="12" fill="var(--quiet)">Hz</text>
    <text x={LEFT} y={BOTTOM + 30} font-size="12" fill="var(--quiet)"
      >six decades each; host: {report.excitationLabel}</text
    >
  </svg>
  <ul
    class="text-quiet flex flex-wrap gap-x-4 pb-1 pl-[52px] text-xs"
    aria-label="Lines of the camera's turning, by what drives it"
  >
    {#each report.sources as s, i (s.label)}
      <li class="flex items-center gap-1">
        <svg width="26" height="6" aria-hidden="true"
          ><path d="M0 3H26" stroke="currentColor" stroke-dasharray={dashes[i % dashes.length]} /></svg
        >{s.label}
      </li>
    {/each}
    {#if log}
      <li class="flex items-center gap-1">
        <svg width="26" height="6" aria-hidden="true"><path d="M0 3H26" stroke="currentColor" stroke-width="1.2" /></svg
        >thin line: the phone's log
      </li>
    {/if}
  </ul>
</div>
