<script lang="ts">
  import type { Schemas } from '../api/client';
  import { quantity } from '../parts/quantity';

  /** A screwed joint cut through its middle, to scale: the head on top, the tip below. */
  let { joint }: { joint: Schemas['JointReport'] } = $props();

  const WIDTH = 288;
  const id = $props.id();
  let total = $derived(joint.layers.reduce((s, l) => s + l.thickness, 0));
  let length = $derived(Math.max(joint.length, total) + (joint.countersunk ? 0 : joint.headHeight));
  let widest = $derived(Math.max(joint.headWidth, ...joint.layers.map((l) => l.width)));
  /** Pixels per metre: as large as fits, never more than 12 to a millimetre. */
  let scale = $derived(Math.min(12000, 130 / widest, 190 / length));
  let height = $derived(length * scale + 18);
  const middle = 70;
  /** A sunk head lies in the first layer. */
  let above = $derived(joint.countersunk ? 0 : joint.headHeight);
  let y = $derived((m: number) => 8 + (m + above) * scale);
  let marked = $derived(new Set(joint.findings.map((f) => f.layer)));
  /** Names stand beside their layers, pushed apart where the layers are thin. */
  let names = $derived.by(() => {
    let last = -Infinity;
    return joint.layers.map((l) => {
      last = Math.max(y(l.from + l.thickness / 2), last + 13);
      return last;
    });
  });
  let threadFrom = $derived(joint.grip);
</script>

<svg
  width={WIDTH}
  height={Math.max(height, (names.at(-1) ?? 0) + 12)}
  class="block"
  role="img"
  aria-label="Section of the joint, to scale"
>
  <defs>
    <pattern id="{id}-cut" width="5" height="5" patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
      <path d="M0 0V5" stroke="currentColor" stroke-width="0.8" opacity="0.55" />
    </pattern>
    <pattern id="{id}-soft" width="6" height="6" patternUnits="userSpaceOnUse">
      <circle cx="1.5" cy="1.5" r="0.9" fill="currentColor" /><circle cx="4.5" cy="4.5" r="0.9" fill="currentColor" />
    </pattern>
    <pattern id="{id}-keep" width="6" height="6" patternUnits="userSpaceOnUse">
      <path d="M0 0L6 6M6 0L0 6" stroke="var(--lets-go)" stroke-width="0.8" />
    </pattern>
  </defs>
  {#each joint.layers as l, i (i)}
    {@const w = l.width * scale}
    {@const bad = marked.has(i)}
    {#if l.role !== 'gap'}
      {#each [-1, 1] as side (side)}
        {@const inner = (l.hole / 2) * scale}
        <rect
          x={side < 0 ? middle - w / 2 : middle + inner}
          y={y(l.from)}
          width={Math.max(0, w / 2 - inner)}
          height={Math.max(1, l.thickness * scale)}
          fill="url(#{id}-{l.role === 'soft' ? 'soft' : l.role === 'keep-out' ? 'keep' : 'cut'})"
          stroke={bad ? 'var(--lets-go)' : 'currentColor'}
          stroke-width={bad ? 2.5 : 1}
        />
      {/each}
      {#if l.role === 'blind'}
        <path
          d="M{middle - w / 2} {y(l.from + l.thickness)}h{w}v5h{-w}z"
          fill="url(#{id}-cut)"
          stroke={bad ? 'var(--lets-go)' : 'currentColor'}
        />
      {/if}
    {/if}
    <path
      d="M{middle + Math.max(w / 2, 8) + 2} {y(l.from + l.thickness / 2)}L140 {names[i]}h4"
      fill="none"
      stroke="currentColor"
      opacity="0.5"
    />
    <text
      x="147"
      y={names[i]! + 4}
      font-size="12"
      fill={bad ? 'var(--lets-go)' : 'currentColor'}
      font-weight={bad ? 700 : 400}
      >{l.name.length > 15 ? l.name.slice(0, 14) + '…' : l.name} {quantity(l.thickness, 'length')}</text
    >
  {/each}
  <g
    fill="var(--color-base-100)"
    stroke={marked.has(-1) ? 'var(--lets-go)' : 'currentColor'}
    stroke-width={marked.has(-1) ? 2.2 : 1.2}
  >
    {#if joint.countersunk}
      <path
        d="M{middle - (joint.headWidth / 2) * scale} {y(0)}h{joint.headWidth * scale}L{middle +
          (joint.majorDiameter / 2) * scale} {y(joint.headHeight)}h{-joint.majorDiameter * scale}z"
      />
    {:else}
      <rect
        x={middle - (joint.headWidth / 2) * scale}
        y={y(-joint.headHeight)}
        width={joint.headWidth * scale}
        height={joint.headHeight * scale}
      />
    {/if}
    <rect
      x={middle - (joint.majorDiameter / 2) * scale}
      y={y(joint.countersunk ? joint.headHeight : 0)}
      width={joint.majorDiameter * scale}
      height={(joint.length - (joint.countersunk ? joint.headHeight : 0)) * scale}
    />
  </g>
  {#each Array.from({ length: Math.max(0, Math.floor(((joint.length - threadFrom) * scale) / 4)) }, (_, i) => i) as i (i)}
    <path
      d="M{middle - (joint.majorDiameter / 2) * scale} {y(threadFrom) + 2 + i * 4}l{joint.majorDiameter * scale} 2"
      stroke="currentColor"
      stroke-width="0.7"
    />
  {/each}
</svg>
