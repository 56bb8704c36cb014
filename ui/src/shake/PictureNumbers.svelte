<script lang="ts">
  import type { Schemas } from '../api/client';
  import { sharpWords } from './words';

  /** The three numbers, each with its word, its range and what causes most of it. */
  let { picture, modes }: { picture: Schemas['PictureWords']; modes: Schemas['ModeReport'][] } = $props();
  /** The second limit stands at two thirds of the bar. */
  const share = (n: Schemas['PictureNumber'], pixels: number) => Math.min(100, (pixels / n.secondLimit) * 66.7);
  const digits = (v: number) => (v >= 9.95 ? v.toFixed(0) : v.toFixed(1));
</script>

<ul>
  {#each picture.numbers as n (n.id)}
    {@const w = sharpWords[n.word]}
    <li class="border-rule border-b border-dotted py-2" data-number={n.id}>
      <div class="flex items-baseline justify-between gap-2">
        <b>{n.label}</b>
        <span class="shrink-0 text-lg font-bold word-{w.state}">{digits(n.pixels)} px</span>
      </div>
      <div class="bg-neutral relative mt-1 h-2 overflow-hidden" aria-hidden="true">
        <div class="pattern-{w.state} h-full" style:width="{share(n, n.pixels)}%"></div>
        {#each [n.firstLimit, n.secondLimit] as tick (tick)}
          <div class="bg-base-content absolute top-0 h-full w-px opacity-60" style:left="{share(n, tick)}%"></div>
        {/each}
      </div>
      <p class="mt-0.5 text-xs leading-snug">
        <b class="word-{w.state}">{w.word}</b>; between {digits(n.low)} and {digits(n.high)} px, as the shaking is judged.
        <span class="block"
          >On any mount {digits(n.floor)} px, however stiff; this one adds {digits(n.mount)} px{#if Math.abs(n.without - n.pixels) > 0.05};
            without the stabiliser {digits(n.without)} px{/if}.</span
        >
        <span class="text-quiet"
          >Most from {n.mode < 0 ? 'the host itself' : `mode ${n.mode + 1}, ${modes[n.mode]?.name}`}, by the {n.shake}.</span
        >
      </p>
    </li>
  {/each}
</ul>
