<script lang="ts">
  import { notTried } from '../api/client';

  /** An answer that took too long says what it leaves out. */
  let { of }: { of: object | null | undefined } = $props();
  let left = $derived(notTried(of));
</script>

{#if left}
  <p class="text-quiet mt-1 text-xs" data-not-tried>
    {left} more {left === 1 ? 'was' : 'were'} not tried: this rig takes long to work out.
  </p>
{/if}
