<script lang="ts">
  import Dialog from './Dialog.svelte';

  let { onclose, speedStep }: { onclose: () => void; speedStep: string } = $props();
  let keys = $derived([
    ['[  ]', `design speed down, up by ${speedStep}`],
    ['L', 'next let-go case; Shift L the one before'],
    ['V', 'through the lens and back'],
    ['D', 'bent shape, exaggerated'],
    ['A', 'add a brace, a strap, a tether'],
    ['R', 'the whole rig: what to change'],
    ['Z  Y', 'undo, redo'],
    ['↑ ↓', 'in the load path: the next row'],
    ['← ↑ → ↓', 'in the scene: moves the selected foot, end or camera; with Shift further'],
    ['Alt', 'while dragging: without snapping'],
    ['↑ ↓', 'in a field: one unit up, down; with Shift ten'],
    ['?', 'this list'],
  ]);
</script>

<Dialog title="Keys" {onclose}>
  <dl class="grid grid-cols-[6rem_1fr] gap-y-1.5">
    {#each keys as [key, what] (what)}
      <dt><span class="key">{key}</span></dt>
      <dd>{what}</dd>
    {/each}
  </dl>
</Dialog>
