<script lang="ts">
  import { scaleLinear } from 'd3-scale';
  import { fill, speedOf, speedsOf } from '../parts/quantity';
  import { catalogue } from '../state/catalogue.svelte';
  import { proved } from '../state/proved.svelte';
  import { getSession } from '../state/session.svelte';

  const session = getSession();

  const [LEFT, PITCH, BELOW] = [34, 25, 46];
  /** Between two figures of the scale, at the least. */
  const TICK = 64;
  let width = $state(1200);
  /** On a phone the tape is low: one row of flags, the others as marks. */
  let rows = $derived(width < 640 ? 1 : 3);
  let bar = $derived(9 + PITCH * rows);
  let height = $derived(bar + BELOW);
  let report = $derived(session.report!);
  let unit = $derived(speedsOf(session.doc.host));
  let design = $derived(unit.shown(session.doc.run.speed));
  let shown = $derived(session.shown!);
  let intact = $derived(shown.kind === 'intact');
  const or = (v: number | null | undefined) => (v == null ? null : unit.shown(v));
  let limit = $derived(or(intact ? report.verdict.limitSpeed : shown.limitSpeed));
  let tight = $derived(intact ? or(report.verdict.tightSpeed) : null);
  let end = $derived.by(() => {
    const step = unit.symbol === 'mph' ? 20 : 40;
    const most = Math.max(unit.symbol === 'mph' ? 100 : 160, design * 1.25, (limit ?? 0) * 1.15);
    return Math.min(Math.ceil(most / step) * step, Math.floor(unit.shown(report.topSpeed) + 0.01));
  });
  let x = $derived(scaleLinear([0, end], [LEFT, width - LEFT]).clamp(false));
  /** As many as have room beside each other. */
  let ticks = $derived(x.ticks(Math.max(3, Math.floor(width / TICK))));

  /** Flags in order; equal wording at nearly the same speed stands as one; what has no room is a short mark. */
  let flags = $derived.by(() => {
    const merged: { title: string; speed: number; station: string; checks: string[] }[] = [];
    // With something gone only what gives first then is known.
    const of = intact
      ? report.flags
      : shown.limitSpeed
        ? [
            {
              check: '',
              station: '',
              title: shown.gives ?? report.flags[0]?.title ?? fill(shown.says),
              speed: shown.limitSpeed,
            },
          ]
        : [];
    for (const f of of) {
      const speed = unit.shown(f.speed);
      const same = merged.find((m) => Math.abs(m.speed - speed) < 1.5 && m.station === f.station);
      if (same) same.checks.push(f.check);
      else merged.push({ title: f.title, speed, station: f.station, checks: [f.check] });
    }
    const ends = Array<number>(rows).fill(-100);
    const placed: ((typeof merged)[number] & { x: number; row: number; w: number; label: string })[] = [];
    const bare: { x: number; label: string; check: string }[] = [];
    for (const m of merged.filter((f) => f.speed <= end)) {
      const label = `${Math.round(m.speed)} ${m.title.charAt(0).toLowerCase()}${m.title.slice(1)}${m.checks.length > 1 ? ` +${m.checks.length - 1}` : ''}`;
      const w = Math.min(230, label.length * 6.6 + 14);
      const at = Math.min(x(m.speed), width - w - 4);
      const row = ends.findIndex((e) => e < at - 6);
      if (row < 0) {
        bare.push({ x: x(m.speed), label, check: m.checks[0]! });
        continue;
      }
      ends[row] = at + w;
      placed.push({ ...m, x: at, row, w, label });
    }
    return { placed, bare };
  });

  /** What is proved of it as it is saved: driven, and by pulls. */
  let proof = $derived.by(() => {
    const p = session.saving.state === 'saved' ? proved.of(session.id) : undefined;
    return p?.tried && intact ? p : undefined;
  });
  let drivenTo = $derived(proof?.driven ? Math.min(end, unit.shown(proof.driven)) : 0);
  let pulledTo = $derived(proof?.byPulls ? Math.min(end, unit.shown(proof.byPulls)) : 0);
  let provedText = $derived(
    [drivenTo && `driven to ${Math.round(drivenTo)}`, pulledTo && `pulls prove ${Math.round(pulledTo)}`]
      .filter(Boolean)
      .join(', '),
  );

  /** Width of a letter, and of the unit at the right end with its gap. */
  const [LETTER, UNIT] = [6.8, 44];
  let speedName = $derived(catalogue.host(session.doc.host)?.drive.name ?? '');
  /** Under the marker, and inside the tape with all its letters. */
  let nameAt = $derived.by(() => {
    const half = (speedName.length * LETTER) / 2;
    return Math.min(Math.max(x(design), half + 4), width - UNIT - half);
  });
  /** Narrower than this the short marks are not named beside the speed's name. */
  const NARROW = 560;
  /** Beside the speed's name, at the other end where that stands at the right. */
  let moreRight = $derived(nameAt + (speedName.length * LETTER) / 2 < width - UNIT - (width < NARROW ? 50 : 150));

  /** With something gone: where that is said, before its flag or behind it. */
  const HINT = 480;
  let hintAt = $derived.by(() => {
    const flag = flags.placed[0];
    return flag && flag.x < LEFT + HINT ? flag.x + flag.w + 12 : LEFT;
  });

  const printed = (label: string) => (label.length > 36 ? label.slice(0, 35) + '…' : label);

  let dragging = false;
  let svg: SVGSVGElement;

  function to(clientX: number) {
    const box = svg.getBoundingClientRect();
    const v = Math.round(x.invert(clientX - box.left));
    session.setPath('run.speed', Math.min(report.topSpeed, unit.back(Math.max(0, Math.min(end, v)))), 'speed');
  }

  function release() {
    dragging = false;
    session.hold(false);
  }

  function keys(e: KeyboardEvent) {
    const by = { ArrowRight: 1, ArrowUp: 1, ArrowLeft: -1, ArrowDown: -1, PageUp: 10, PageDown: -10 }[e.key];
    if (!by) return;
    session.setPath(
      'run.speed',
      Math.min(report.topSpeed, unit.back(Math.max(0, Math.min(end, Math.round(design) + by)))),
      'speed',
    );
    e.preventDefault();
    e.stopPropagation();
  }
</script>

<div
  class="border-base-content bg-base-200 min-w-0 border-t max-sm:sticky max-sm:bottom-0 max-sm:z-10 short:static"
  bind:clientWidth={width}
  data-answers
>
  <svg
    bind:this={svg}
    {width}
    {height}
    class="block touch-none select-none"
    role="group"
    aria-label="Speed tape"
    onpointerdown={(e) => {
      if ((e.target as Element).closest('[data-flag]')) return;
      dragging = true;
      session.hold(true);
      (e.currentTarget as Element).setPointerCapture(e.pointerId);
      to(e.clientX);
    }}
    onpointermove={(e) => dragging && to(e.clientX)}
    onpointerup={release}
    onpointercancel={release}
  >
    <defs>
      <pattern id="tape-tight" width="7" height="7" patternUnits="userSpaceOnUse" patternTransform="rotate(35)">
        <rect width="7" height="7" fill="var(--tight)" opacity="0.3" /><rect width="4" height="7" fill="var(--tight)" />
      </pattern>
      <pattern id="tape-go" width="7" height="7" patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
        <rect width="7" height="7" fill="var(--lets-go)" opacity="0.3" />
        <path d="M0 0H7M0 0V7" stroke="var(--lets-go)" stroke-width="2.4" />
      </pattern>
    </defs>
    <rect x={x(0)} y={bar} width={Math.max(0, x(Math.min(end, tight ?? end)) - x(0))} height="11" fill="var(--holds)" />
    {#if tight != null && tight < end}
      <rect
        x={x(tight)}
        y={bar}
        width={x(Math.min(end, limit ?? end)) - x(tight)}
        height="11"
        fill="url(#tape-tight)"
      />
    {/if}
    {#if limit != null && limit < end}
      <rect x={x(limit)} y={bar} width={x(end) - x(limit)} height="11" fill="url(#tape-go)" />
    {/if}
    {#if provedText}
      <g data-proved>
        <title>Proved: {provedText}</title>
        {#if pulledTo}<path
            d="M{x(0)} {bar + 13.5}H{x(pulledTo)}"
            stroke="currentColor"
            stroke-width="3"
            stroke-dasharray="5 3"
          />{/if}
        {#if drivenTo}<path d="M{x(0)} {bar + 13.5}H{x(drivenTo)}" stroke="currentColor" stroke-width="5" />{/if}
        {#if nameAt - (speedName.length * LETTER) / 2 > LEFT + provedText.length * LETTER + 12 || !flags.bare.length}
          <text
            x={nameAt - (speedName.length * LETTER) / 2 > LEFT + provedText.length * LETTER + 12 ? LEFT : width - UNIT}
            y={height - 5}
            text-anchor={nameAt - (speedName.length * LETTER) / 2 > LEFT + provedText.length * LETTER + 12
              ? 'start'
              : 'end'}
            font-size="12"
            fill="currentColor">{provedText}</text
          >
        {/if}
      </g>
    {/if}
    {#each ticks as t (t)}
      <path d="M{x(t)} {bar + 11}v6" stroke="currentColor" />
      <text x={x(t)} y={bar + 29} text-anchor="middle" font-size="12" fill="currentColor">{t}</text>
    {/each}
    <text x={width - 6} y={height - 5} text-anchor="end" font-size="12" fill="var(--quiet)">{unit.symbol}</text>
    <!-- Stems first: they pass behind the flags of other rows. -->
    {#each flags.placed as f (f.checks[0])}
      <path d="M{x(f.speed)} {4 + f.row * PITCH}V{bar}" stroke="currentColor" stroke-width="1.3" />
    {/each}
    {#each flags.placed as f, i (f.checks[0])}
      <g
        data-flag
        class="cursor-pointer"
        role="button"
        tabindex="0"
        aria-label="{printed(f.label)}. Why?"
        onclick={() => f.checks[0] && session.why(f.checks[0])}
        onkeydown={(e) => {
          if (e.key !== 'Enter' && e.key !== ' ') return;
          e.preventDefault();
          if (f.checks[0]) session.why(f.checks[0]);
        }}
      >
        <rect
          x={f.x}
          y={4 + f.row * PITCH}
          width={f.w}
          height="24"
          fill={i === 0 ? 'var(--lets-go)' : 'var(--color-base-100)'}
          stroke={i === 0 ? 'var(--lets-go)' : 'currentColor'}
        />
        <text
          x={f.x + 6}
          y={20 + f.row * PITCH}
          font-size="12"
          fill={i === 0 ? 'var(--color-base-100)' : 'currentColor'}
        >
          {printed(f.label)}
        </text>
      </g>
    {/each}
    {#if !intact}
      <text x={hintAt} y="20" font-size="12" fill="var(--quiet)"
        >{fill(shown.title)}: what gives first then. The whole rig's flags come back with it.</text
      >
    {/if}
    {#each flags.bare as m (m.check)}
      <g
        data-flag-mark
        class="cursor-pointer"
        role="button"
        tabindex="0"
        aria-label="{printed(m.label)}. Why?"
        onclick={() => session.why(m.check)}
        onkeydown={(e) => {
          if (e.key !== 'Enter' && e.key !== ' ') return;
          e.preventDefault();
          session.why(m.check);
        }}
      >
        <title>{printed(m.label)}</title>
        <rect x={m.x - 5} y={bar - 9} width="10" height="20" fill="transparent" />
        <path d="M{m.x} {bar - 7}v18" stroke="currentColor" stroke-width="2.5" />
      </g>
    {/each}
    {#if flags.bare.length}
      <text
        x={moreRight ? width - UNIT : LEFT}
        y={height - 5}
        text-anchor={moreRight ? 'end' : 'start'}
        font-size="12"
        fill="var(--quiet)">{flags.bare.length} more{width < NARROW ? '' : ' at the short marks'}</text
      >
    {/if}
    {#if !flags.placed.length && intact}
      <text x={x(end / 2)} y={bar - 26} text-anchor="middle" font-size="13" fill="var(--quiet)">
        {limit != null && limit < end
          ? 'Too little keeps it from where the red begins'
          : 'Nothing gives as far as this tape goes'}
      </text>
    {/if}
    <g
      class="cursor-ew-resize"
      role="slider"
      tabindex="0"
      aria-label="Design speed"
      aria-valuemin="0"
      aria-valuemax={end}
      aria-valuenow={Math.round(design)}
      aria-valuetext={speedOf(session.doc.run.speed, session.doc.host)}
      onkeydown={keys}
    >
      <path
        d="M{x(design)} {bar - 14}l13 11v18h-26v-18z"
        fill="currentColor"
        stroke="var(--color-base-200)"
        stroke-width="1.5"
      />
      <text
        x={x(design)}
        y={bar + 11}
        text-anchor="middle"
        font-size="12"
        font-weight="700"
        fill="var(--color-base-200)"
      >
        {Math.round(design)}
      </text>
    </g>
    <text
      x={nameAt}
      y={height - 5}
      text-anchor="middle"
      font-size="12"
      font-weight="700"
      fill="currentColor"
      data-speed-name>{speedName}</text
    >
  </svg>
</div>
