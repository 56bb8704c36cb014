<script lang="ts">
  import type { Schemas } from '../api/client';
  import { getSession } from '../state/session.svelte';
  import { savePaper, savePiece } from './save';

  const session = getSession();
  /** A flat piece as files: at 1:1 on paper, for a cutter, as a body. */
  let { template }: { template: Schemas['Template'] } = $props();
</script>

<span class="text-quiet text-sm">At 1:1:</span>
<button
  class="btn btn-xs border-rule"
  onclick={() => savePaper(session.doc, 'templates', template.part)}
  data-save-template="pdf">PDF to print</button
>
<button
  class="btn btn-xs border-rule"
  onclick={() => savePiece(session.doc, template.part, 'svg')}
  data-save-template="svg">SVG</button
>
{#if template.flat}
  <button
    class="btn btn-xs border-rule"
    onclick={() => savePiece(session.doc, template.part, 'dxf')}
    data-save-template="dxf">DXF to cut</button
  >
  <button
    class="btn btn-xs border-rule"
    onclick={() => savePiece(session.doc, template.part, 'stl')}
    data-save-template="stl">STL, as a body</button
  >
{/if}
