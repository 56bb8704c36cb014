import { ApiError, type RigDocument } from '../api/client';

/** An answer about a rig that takes a while and is asked for by a press: it can be stopped, and says which document it is of. */
export class Demand<T> {
  /** The newest answer; null before the first. */
  value = $state.raw<T | null>(null);
  /** The document that it is of. */
  of = $state.raw<RigDocument | null>(null);
  busy = $state(false);
  /** Why there is none. */
  problem = $state('');
  private under: AbortController | undefined;

  /** @param failed What is said where the server said nothing. */
  constructor(private readonly failed = 'The search did not work.') {}

  /** Asks about a document; an answer that is there stands until the new one is. */
  async ask(document: RigDocument, call: (stop: AbortSignal) => Promise<T>): Promise<void> {
    const own = (this.under = new AbortController());
    [this.busy, this.problem] = [true, ''];
    try {
      const answer = await call(own.signal);
      if (!own.signal.aborted) [this.value, this.of] = [answer, document];
    } catch (e) {
      if (!own.signal.aborted) this.problem = e instanceof ApiError ? e.message : this.failed;
    }
    this.busy = false;
  }

  /** Gives up the question that is under way. */
  stop() {
    this.under?.abort();
  }
}
