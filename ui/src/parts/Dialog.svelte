<script lang="ts">
  import type { Snippet } from 'svelte';

  let {
    title,
    onclose,
    children,
    wide = false,
  }: { title: string; onclose: () => void; children: Snippet; wide?: boolean } = $props();
  let dialog: HTMLDialogElement;
  $effect(() => dialog.showModal());
</script>

<dialog
  bind:this={dialog}
  class="bg-base-100 text-base-content border-rule m-auto max-h-[86vh] {wide
    ? 'w-[56rem]'
    : 'w-[34rem]'} max-w-[94vw] overflow-auto rounded-md border p-5 shadow-xl backdrop:bg-black/40"
  aria-label={title}
  {onclose}
>
  <div class="mb-3 flex items-center justify-between">
    <h2 class="text-lg">{title}</h2>
    <button class="btn btn-sm btn-ghost" onclick={() => dialog.close()}>Close <span class="key">Esc</span></button>
  </div>
  {@render children()}
</dialog>
