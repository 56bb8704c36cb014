import { api, ask, ApiError, type RigDocument } from '../api/client';
import { notices } from '../state/notices.svelte';
import { settings } from '../state/settings.svelte';

/** Hands a file of the server's to the browser, by the name that it came with. */
async function download(call: Promise<{ response: Response }>, otherwise: string) {
  try {
    const blob = (await ask(call as never)) as unknown as Blob;
    const name = /filename="?([^";]+)/.exec((await call).response.headers.get('content-disposition') ?? '')?.[1];
    const link = Object.assign(document.createElement('a'), {
      href: URL.createObjectURL(blob),
      download: name ?? otherwise,
    });
    link.click();
    URL.revokeObjectURL(link.href);
  } catch (e) {
    if (!(e instanceof ApiError)) throw e;
    notices.say(`It was not saved: ${e.message}`);
  }
}

/** A flat piece at 1:1, or a body to print. */
export const savePiece = (body: RigDocument, part: string, format: 'svg' | 'dxf' | 'stl') =>
  download(
    api.POST('/api/make/template', { body, params: { query: { part, format } }, parseAs: 'blob' }),
    `template.${format}`,
  );

/** What is printed: paper as it is sold where one measures so. */
export const savePaper = (body: RigDocument, what: 'plan' | 'cuts' | 'templates' | 'sheet', part?: string) =>
  download(
    api.POST('/api/make/paper', {
      body,
      params: {
        query: {
          what,
          paper: settings.paper,
          units: settings.system,
          ...(part ? { part } : {}),
        },
      },
      parseAs: 'blob',
    }),
    `${what}.pdf`,
  );
