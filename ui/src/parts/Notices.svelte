<script lang="ts">
  import { notices } from '../state/notices.svelte';
</script>

<!-- What is said in passing, over whatever is on the screen. -->
<p role="status" class="pointer-events-none fixed inset-x-0 bottom-4 z-10 grid place-items-center">
  {#if notices.text}<span class="bg-base-content text-base-100 max-w-2xl rounded-md px-4 py-2">{notices.text}</span
    >{/if}
</p>
