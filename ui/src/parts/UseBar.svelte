<script lang="ts">
  import type { Verdict } from '../api/client';

  let { use, verdict }: { use: number; verdict: Verdict } = $props();
  // 125 % is the end of the bar; the tick stands at 80 %.
  const END = 1.25;
</script>

<div class="bg-neutral relative h-1.75 overflow-hidden" aria-hidden="true">
  <div class="pattern-{verdict} h-full" style:width="{Math.min(1, use / END) * 100}%"></div>
  <div class="bg-base-content absolute top-0 h-full w-px opacity-60" style:left="{(1 / END) * 100}%"></div>
</div>
