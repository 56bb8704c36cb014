/** How the page of a phone gets through a break of the network. */
class Offline {
  /** True once the page opens without the network; while it stays open it works either way. */
  kept = $state(false);

  /** Asks the browser to keep this page. Over plain HTTP, or under a certificate that the phone does not trust, it keeps none. */
  async keep() {
    if (!isSecureContext || !('serviceWorker' in navigator)) return;
    try {
      navigator.serviceWorker.addEventListener('message', (e: MessageEvent<{ kept?: boolean }>) => {
        this.kept ||= e.data.kept === true;
      });
      await navigator.serviceWorker.register('/sw.js');
      const worker = (await navigator.serviceWorker.ready).active;
      const files = performance
        .getEntriesByType('resource')
        .map((r) => r.name)
        .filter(
          (url) => url.startsWith(location.origin + '/') && !url.includes('/api/rigs/') && !url.endsWith('/api/door'),
        );
      worker?.postMessage({ keep: [...new Set([location.origin + '/', ...files])] });
    } catch {
      // It goes on as it is; the page says so.
    }
  }
}

export const offline = new Offline();
