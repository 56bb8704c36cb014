<script lang="ts">
  import type { Figure } from '../api/client';
  import { catalogue } from '../state/catalogue.svelte';
  import { drawFigure } from './project';

  let { hostId, figure }: { hostId: string; figure: Figure } = $props();
  let host = $derived(catalogue.host(hostId));
  let drawing = $derived(host ? drawFigure(host, figure) : null);
  const fills = {
    paint: 'var(--paint)',
    glass: 'var(--glass)',
    trim: 'var(--trim)',
    tube: 'none',
    tyre: '#26302c',
    rim: 'none',
    camera: '#222b28',
    rig: 'none',
  };
  const strokes: Partial<Record<string, string>> = {
    rig: 'var(--color-accent)',
    camera: 'var(--color-accent)',
    tube: 'var(--trim)',
    rim: '#26302c',
  };
</script>

{#if drawing}
  <svg viewBox={drawing.box.join(' ')} class="h-full w-full" aria-hidden="true">
    <ellipse
      cx={drawing.box[0] + drawing.box[2] / 2}
      cy={drawing.box[1] + drawing.box[3] - 0.42 * drawing.size}
      rx={drawing.box[2] * 0.47}
      ry={0.36 * drawing.size}
      visibility={host?.kind === 'helmet' ? 'hidden' : 'visible'}
      fill="currentColor"
      opacity="0.1"
    />
    {#each drawing.outlines as o, i (i)}
      <path
        d={o.d}
        fill={fills[o.kind]}
        stroke={strokes[o.kind] ?? 'currentColor'}
        stroke-width={o.width}
        stroke-linecap="round"
        stroke-linejoin="round"
        stroke-opacity={o.kind === 'paint' || o.kind === 'glass' ? 0.55 : 1}
      />
    {/each}
  </svg>
{/if}
