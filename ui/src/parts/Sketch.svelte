<script lang="ts">
  /**
   * A small drawing of where to measure. The text comes from the server, in a box of 120 × 70: `rect x y w h`, `line x1 y1 x2 y2`,
   * `circle x y r`, `dim field x1 y1 x2 y2`, `host y` (the host's surface), separated by semicolons.
   */
  let { text, letters }: { text: string; letters: Record<string, string> } = $props();

  let parts = $derived(
    text.split(';').map((p) => {
      const [kind, ...rest] = p.trim().split(/\s+/);
      const named = kind === 'dim';
      return { kind, letter: named ? letters[rest[0]!] : '', n: (named ? rest.slice(1) : rest).map(Number) };
    }),
  );
  let dims = $derived(parts.filter((p) => p.kind === 'dim'));
  const upright = (n: number[]) => Math.abs(n[0]! - n[2]!) < Math.abs(n[1]! - n[3]!);
</script>

<svg
  viewBox="0 0 120 70"
  class="bg-base-200 mt-1 block h-32 w-full rounded-sm"
  role="img"
  aria-label="Where to measure"
>
  {#each parts as p, i (i)}
    {#if p.kind === 'host'}
      <path d="M4 {p.n[0]}H116" stroke="currentColor" stroke-width="0.8" />
      {#each Array.from({ length: 14 }, (_, k) => 6 + k * 8) as x (x)}
        <path d="M{x} {p.n[0]}l-4 4" stroke="currentColor" stroke-width="0.4" />
      {/each}
    {:else if p.kind === 'rect'}
      <rect
        x={p.n[0]}
        y={p.n[1]}
        width={p.n[2]}
        height={p.n[3]}
        fill="var(--color-neutral)"
        stroke="currentColor"
        stroke-width="0.8"
      />
    {:else if p.kind === 'circle'}
      <circle cx={p.n[0]} cy={p.n[1]} r={p.n[2]} fill="var(--color-neutral)" stroke="currentColor" stroke-width="0.8" />
    {:else if p.kind === 'line'}
      <path d="M{p.n[0]} {p.n[1]}L{p.n[2]} {p.n[3]}" stroke="currentColor" stroke-width="2.2" stroke-linecap="round" />
    {/if}
  {/each}
  {#each dims as d, i (i)}
    {@const [x1, y1, x2, y2] = d.n as [number, number, number, number]}
    <g stroke="var(--color-accent)" stroke-width="0.7">
      <path d="M{x1} {y1}L{x2} {y2}" />
      {#if upright(d.n)}
        <path d="M{x1 - 2} {y1}h4M{x2 - 2} {y2}h4" />
      {:else}
        <path d="M{x1} {y1 - 2}v4M{x2} {y2 - 2}v4" />
      {/if}
    </g>
    <circle cx={(x1 + x2) / 2} cy={(y1 + y2) / 2} r="3.6" fill="var(--color-base-200)" />
    <text
      x={(x1 + x2) / 2}
      y={(y1 + y2) / 2 + 2.2}
      text-anchor="middle"
      font-size="6.2"
      font-weight="700"
      fill="var(--color-accent)">{d.letter}</text
    >
  {/each}
</svg>
