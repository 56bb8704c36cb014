<script lang="ts">
  import { onMount } from 'svelte';
  import { catalogue } from '../state/catalogue.svelte';

  /** What is being tried, and for how long it will at the most. */
  interface Props {
    text: string;
    /** s that the server takes at the most. */
    most?: number;
  }
  let { text, most = catalogue.limits.search }: Props = $props();
  let since = $state(0);

  onMount(() => {
    const every = setInterval(() => since++, 1000);
    return () => clearInterval(every);
  });
</script>

<p class="text-quiet text-sm" aria-busy="true">
  {text} …{#if since > 0}
    <span class="whitespace-nowrap">{most - since > 1 ? `${most - since} s more at the most` : 'nearly there'}</span
    >{/if}
</p>
