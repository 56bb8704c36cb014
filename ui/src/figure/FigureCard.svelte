<script lang="ts">
  import type { Figure } from '../api/client';
  import { catalogue } from '../state/catalogue.svelte';
  import { drawFigure, type Pull } from './project';

  /** Aspect: width over height of the place for it. */
  let { hostId, figure, aspect, pull }: { hostId: string; figure: Figure; aspect: number; pull?: Pull } = $props();
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
  let drawing = $derived(seen && host ? drawFigure(host, figure, aspect, pull) : null);
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
      {#if drawing.arrow}
        {@const { from, to, head } = drawing.arrow}
        {@const turn = (Math.atan2(to[1] - from[1], to[0] - from[0]) * 180) / Math.PI}
        {@const long = Math.hypot(to[0] - from[0], to[1] - from[1])}
        <g transform="translate({from[0]} {from[1]}) rotate({turn})" class="text-accent" data-arrow>
          <path
            d="M0 0H{long - head}M{long - 2 * head} {-head}L{long} 0L{long - 2 * head} {head}"
            fill="none"
            stroke="var(--color-base-100)"
            stroke-width={head * 1.1}
            stroke-linejoin="round"
          />
          <path d="M0 0H{long - head}" stroke="currentColor" stroke-width={head * 0.55} fill="none" />
          <path d="M{long - 2 * head} {-head}L{long} 0L{long - 2 * head} {head}Z" fill="currentColor" />
          <circle r={head * 0.7} fill="currentColor" stroke="var(--color-base-100)" stroke-width={head * 0.25} />
        </g>
      {/if}
    </svg>
  {/if}
</div>
