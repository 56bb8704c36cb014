<script lang="ts">
  import type { Schemas } from '../api/client';
  import { quantity } from '../parts/quantity';

  /** A soft mount on the bench, to scale: how far it sags of the travel it has, or how an arm stands against level. */
  let { soft }: { soft: Schemas['SoftState'] } = $props();

  const [W, H] = [286, 150];
  let arm = $derived(soft.angle != null);
  /** Arms: pixels a metre so that the link fills the picture. */
  let scale = $derived(arm ? Math.min(170 / soft.link!, 110 / Math.max(soft.link! * 0.7, soft.above!)) : 0);
  let tip = $derived({
    x: 50 + (arm ? soft.link! * Math.cos(soft.angle!) * scale : 0),
    y: 86 - (arm ? soft.link! * Math.sin(soft.angle!) * scale : 0),
  });
  let hook = $derived({
    x: 50 + (arm ? soft.along! * Math.cos(soft.angle!) * scale : 0),
    y: 86 - (arm ? soft.along! * Math.sin(soft.angle!) * scale : 0),
  });
  /** Others: sag as a share of the travel. */
  let sag = $derived(Math.min(1.15, soft.travel > 0 ? soft.sag / soft.travel : 0));
  const coil = (x1: number, y1: number, x2: number, y2: number, turns = 9) => {
    const [dx, dy] = [(x2 - x1) / turns, (y2 - y1) / turns];
    const n = Math.hypot(dx, dy) || 1;
    const [nx, ny] = [(-dy / n) * 5, (dx / n) * 5];
    return (
      `M${x1} ${y1}` +
      Array.from({ length: turns }, (_, i) => {
        const side = i % 2 ? -1 : 1;
        return `L${x1 + dx * (i + 0.5) + nx * side} ${y1 + dy * (i + 0.5) + ny * side}`;
      }).join('') +
      `L${x2} ${y2}`
    );
  };
</script>

<svg
  width={W}
  height={H}
  class="bg-base-200 block rounded-sm"
  role="img"
  aria-label="The soft mount with this load, to scale"
>
  {#if arm}
    <path d="M50 86H{W - 10}" stroke="currentColor" stroke-dasharray="3 4" opacity="0.6" />
    <text x={W - 12} y="80" text-anchor="end" font-size="10.5" fill="var(--quiet)">level</text>
    <path d="M50 {86 - soft.above! * scale - 8}V118" stroke="currentColor" stroke-width="5" />
    <path d="M50 86L{tip.x} {tip.y}M50 108L{tip.x} {tip.y + 22}" stroke="currentColor" stroke-width="3.5" />
    <path d="M{tip.x} {tip.y - 6}v34" stroke="currentColor" stroke-width="4" />
    <path
      d={coil(50, 86 - soft.above! * scale, hook.x, hook.y, 15)}
      fill="none"
      stroke="var(--color-accent)"
      stroke-width="1.6"
    />
    <rect x={tip.x + 5} y={tip.y - 10} width="34" height="24" fill="var(--color-base-content)" />
    <text x="62" y="140" font-size="11" fill="currentColor"
      >{Math.abs((soft.angle! * 180) / Math.PI).toFixed(1)}° {soft.angle! < 0 ? 'below' : 'above'} level</text
    >
  {:else}
    <path d="M40 128H{W - 60}" stroke="currentColor" stroke-width="3" />
    {#each [80, 190] as x (x)}
      <path d={coil(x, 126, x, 62 + sag * 40)} fill="none" stroke="var(--color-accent)" stroke-width="2" />
    {/each}
    <rect x="56" y={52 + sag * 40} width="158" height="9" fill="var(--color-neutral)" stroke="currentColor" />
    <rect x="112" y={24 + sag * 40} width="46" height="28" fill="var(--color-base-content)" />
    <path d="M232 62h14M232 102h14M239 62v40" stroke="currentColor" />
    <text x="250" y="66" font-size="10.5" fill="currentColor">free</text>
    <text x="250" y="106" font-size="10.5" fill="currentColor">stop</text>
    <path d="M228 {62 + sag * 40}h22" stroke={sag > 1 ? 'var(--lets-go)' : 'var(--holds)'} stroke-width="3" />
  {/if}
</svg>
<dl class="mt-1 grid grid-cols-[1fr_auto] gap-x-3 text-sm">
  <dt>On it</dt>
  <dd class="text-right">{quantity(soft.load, 'mass')}</dd>
  {#if arm}
    <dt>It carries level</dt>
    <dd class="text-right">{quantity(soft.levelLoad!, 'mass')}</dd>
    <dt>Spring rate, wanted</dt>
    <dd class="text-right">{quantity(soft.rate!, 'stiffness')}, {quantity(soft.levelRate!, 'stiffness')}</dd>
    <dt>Damper beside the spring</dt>
    <dd class="text-right">{quantity(soft.damper!, 'damping-rate')}</dd>
  {:else}
    <dt>Sags, of its travel</dt>
    <dd class="text-right">{quantity(soft.sag, 'length')}, {quantity(soft.travel, 'length')}</dd>
  {/if}
  <dt>Floats at</dt>
  <dd class="text-right font-semibold">{quantity(soft.frequency, 'frequency')}</dd>
</dl>
