<script lang="ts">
  import { api, ask, ApiError, type Schemas } from '../api/client';
  import { notices } from '../state/notices.svelte';
  import { getSession } from '../state/session.svelte';

  const session = getSession();
  /** A flat piece at 1:1 as a file. */
  let { template }: { template: Schemas['Template'] } = $props();

  async function save(format: 'svg' | 'dxf') {
    try {
      const call = api.POST('/api/make/template', {
        body: session.doc,
        params: { query: { part: template.part, format } },
        parseAs: 'blob',
      });
      const blob = (await ask(call)) as unknown as Blob;
      const name = /filename="?([^";]+)/.exec((await call).response.headers.get('content-disposition') ?? '')?.[1];
      const link = Object.assign(document.createElement('a'), {
        href: URL.createObjectURL(blob),
        download: name ?? `template.${format}`,
      });
      link.click();
      URL.revokeObjectURL(link.href);
    } catch (e) {
      if (!(e instanceof ApiError)) throw e;
      notices.say(`It was not saved: ${e.message}`);
    }
  }
</script>

<span class="text-quiet text-sm">At 1:1:</span>
<button class="btn btn-xs border-rule" onclick={() => save('svg')} data-save-template="svg">SVG to print</button>
<button class="btn btn-xs border-rule" onclick={() => save('dxf')} data-save-template="dxf">DXF to cut</button>
