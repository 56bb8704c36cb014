<script lang="ts">
  import type { Figure } from '../api/client';
  import { catalogue } from '../state/catalogue.svelte';
  import { drawFigure } from './project';

  /** Aspect: width over height of the place for it. */
  let { hostId, figure, aspect }: { hostId: string; figure: Figure; aspect: number } = $props();
  let seen = $state(false);

  /** Drawn when it is about to be seen: a yard of hundreds opens at once. */
  function soonSeen(node: Element) {
    const watch = new IntersectionObserver(
      (entries) => {
        if (!entries.some((e) => e.isIntersecting)) return;
        seen = true;
        watch.disconnect();
      },
      { rootMargin: '300px' },
    );
    watch.observe(node);
    return () => watch.disconnect();
  }

  $effect(() => {
    if (seen) void catalogue.draw(hostId);
  });
  let host = $derived(catalogue.host(hostId));
  let drawing = $derived(seen && host ? drawFigure(host, figure, aspect) : null);
  const fills = {
    paint: 'var(--paint)',
    glass: 'var(--glass)',
    trim: 'var(--trim)',
    cloth: 'var(--cloth)',
    skin: 'var(--skin)',
    leaf: 'var(--leaf)',
    tube: 'none',
    sleeve: 'none',
    hand: 'none',
    limb: 'none',
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
    limb: 'var(--bark)',
    leaf: 'none',
    rim: '#26302c',
  };
</script>

<div class="h-full w-full" {@attach soonSeen}>
  {#if drawing}
    <svg viewBox={drawing.box.join(' ')} preserveAspectRatio="xMidYMid slice" class="h-full w-full" aria-hidden="true">
      {#each drawing.outlines as o, i (i)}
        <path
          d={o.d}
          fill={fills[o.kind]}
          fill-opacity={o.kind === 'leaf' ? 0.5 : 1}
          stroke={strokes[o.kind] ?? 'currentColor'}
          stroke-width={o.width}
          stroke-linecap="round"
          stroke-linejoin="round"
          stroke-opacity={o.kind === 'paint' || o.kind === 'glass' ? 0.55 : 1}
        />
      {/each}
    </svg>
  {/if}
</div>
