<script lang="ts">
  import type { Figure } from '../api/client';
  import { catalogue } from '../state/catalogue.svelte';
  import { drawFigure } from './project';

  let { hostId, figure }: { hostId: string; figure: Figure } = $props();
  let [width, height] = $state([352, 160]);
  let host = $derived(catalogue.host(hostId));
  let drawing = $derived(host ? drawFigure(host, figure, width / height) : null);
  const fills = {
    paint: 'var(--paint)',
    glass: 'var(--glass)',
    trim: 'var(--trim)',
    cloth: 'var(--cloth)',
    skin: 'var(--skin)',
    tube: 'none',
    sleeve: 'none',
    hand: 'none',
    tyre: '#26302c',
    rim: 'none',
    camera: '#222b28',
    rig: 'none',
  };
  const strokes: Partial<Record<string, string>> = {
    rig: 'var(--color-accent)',
    camera: 'var(--color-accent)',
    tube: 'var(--trim)',
    sleeve: 'var(--cloth)',
    hand: 'var(--skin)',
    rim: '#26302c',
  };
</script>

{#if drawing}
  <div class="h-full w-full" bind:clientWidth={width} bind:clientHeight={height}>
    <svg viewBox={drawing.box.join(' ')} preserveAspectRatio="xMidYMid slice" class="h-full w-full" aria-hidden="true">
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
  </div>
{/if}
