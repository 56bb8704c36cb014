<script lang="ts">
  import { settings } from '../state/settings.svelte';
  import Dialog from './Dialog.svelte';

  let { onclose, speedStep }: { onclose: () => void; speedStep: string } = $props();
  let keys = $derived([
    ['[  ]', `design speed down, up by ${speedStep}`],
    ['L', 'next let-go case; Shift L the one before'],
    ['V', 'through the lens and back'],
    ['D', 'bent shape, exaggerated'],
    ['A', 'add a strut, a strap, a tether'],
    ['R', 'the whole rig: what to change'],
    ['Z  Y', 'undo, redo'],
    ['↑ ↓', 'in the load path: the next row; Home, End'],
    ['Enter', 'on a row of the load path: on to its fields; Esc comes back'],
    ['← ↑ → ↓', 'in the scene: moves the selected foot, end or camera; with Shift further'],
    ['Alt', 'while dragging: without snapping'],
    ['↑ ↓', 'in a field: one step up, down; with Shift ten'],
    ['?', 'this list'],
  ]);
</script>

<Dialog title="Keys" {onclose}>
  <label class="mb-3 flex items-center gap-2">
    <input
      class="checkbox checkbox-sm"
      type="checkbox"
      checked={settings.keys}
      onchange={() => settings.toggleKeys()}
    />
    Single keys act on this screen. Arrows, Tab, Enter and Ctrl Z always do.
  </label>
  <dl class="grid grid-cols-[6rem_1fr] gap-y-1.5">
    {#each keys as [key, what] (what)}
      <dt><span class="key">{key}</span></dt>
      <dd>{what}</dd>
    {/each}
  </dl>
  <p class="text-quiet mt-4 text-sm">
    Built upon the work of others:
    <a class="underline" href="notices.txt" target="_blank" rel="noreferrer">whose, and under which licence</a>
  </p>
</Dialog>
