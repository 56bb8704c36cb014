import { untrack } from 'svelte';
import { ApiError, type RigDocument } from '../api/client';

/** An answer about a rig that comes a while after the rig changed: asked once the hands are still, dropped when they go on. */
export class Late<T> {
  /** The newest answer; null before the first. */
  value = $state.raw<T | null>(null);
  /** The document that it is of. */
  of = $state.raw<RigDocument | null>(null);
  /** Why there is none. */
  problem = $state('');

  /** @param failed What is said where the server said nothing. */
  constructor(private readonly failed = 'These could not be computed.') {}

  /**
   * Asks about a document after a delay, ms. For an effect: what it hands back stops the question.
   *
   * @param call The question; the signal ends it.
   * @param first The delay of a question where no answer stands yet, ms.
   */
  ask(document: RigDocument, delay: number, call: (stop: AbortSignal) => Promise<T>, first = delay): () => void {
    const stop = new AbortController();
    // That an answer came is no reason to ask again.
    const wait = untrack(() => this.value) ? delay : first;
    const timer = setTimeout(async () => {
      try {
        const answer = await call(stop.signal);
        if (!stop.signal.aborted) [this.value, this.of, this.problem] = [answer, document, ''];
      } catch (e) {
        if (!stop.signal.aborted) this.problem = e instanceof ApiError ? e.message : this.failed;
      }
    }, wait);
    return () => (clearTimeout(timer), stop.abort());
  }

  /** Forgets the answer: it was to another question. */
  clear() {
    [this.value, this.of, this.problem] = [null, null, ''];
  }
}
