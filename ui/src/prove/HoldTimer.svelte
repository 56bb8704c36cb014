<script lang="ts">
  import { onDestroy } from 'svelte';

  /** Counts down how long a pull is held. */
  let { seconds }: { seconds: number } = $props();
  let left = $state<number | null>(null);
  let timer: ReturnType<typeof setInterval> | undefined;

  function start() {
    clearInterval(timer);
    const end = performance.now() + seconds * 1000;
    left = seconds;
    timer = setInterval(() => {
      left = Math.max(0, Math.ceil((end - performance.now()) / 1000));
      if (left === 0) {
        clearInterval(timer);
        navigator.vibrate?.(200);
      }
    }, 200);
  }
  onDestroy(() => clearInterval(timer));
</script>

<button class="btn border-rule bg-base-100 h-12 min-w-20 font-semibold" onclick={start} data-timer>
  {#if left === null}<span class="sr-only">Start the timer: </span>{seconds} s
  {:else if left > 0}{left} s left{:else}held {seconds} s{/if}
</button>
<span class="sr-only" role="status">{left === 0 ? `Held ${seconds} seconds` : ''}</span>
