import type { RigDocument } from '../api/client';

const MOST_UNDO = 200;

/** Changes with the same key that follow each other faster than this, ms, are undone together. */
const TOGETHER = 900;

/** What can be undone and done again. */
export class History {
  past: RigDocument[] = $state.raw([]);
  future: RigDocument[] = $state.raw([]);
  private lastKey = '';
  private lastAt = 0;

  /** Takes note of a document before it is changed. */
  note(key: string, before: RigDocument) {
    const now = performance.now();
    if (key !== this.lastKey || now - this.lastAt > TOGETHER) this.push(before);
    [this.lastKey, this.lastAt, this.future] = [key, now, []];
  }

  /** Takes note of a document that another one takes the place of, whatever comes next. */
  push(before: RigDocument) {
    this.past = [...this.past.slice(-MOST_UNDO), before];
  }

  /** The document before the last change; null where there was none. */
  undo(now: RigDocument): RigDocument | null {
    const previous = this.past.at(-1);
    if (!previous) return null;
    [this.past, this.future, this.lastKey] = [this.past.slice(0, -1), [...this.future, now], ''];
    return previous;
  }

  /** The document that was undone last. */
  redo(now: RigDocument): RigDocument | null {
    const next = this.future.at(-1);
    if (!next) return null;
    [this.past, this.future, this.lastKey] = [[...this.past, now], this.future.slice(0, -1), ''];
    return next;
  }

  /** Begins anew. */
  begin(past: RigDocument[] = [], future: RigDocument[] = []) {
    [this.past, this.future, this.lastKey] = [past, future, ''];
  }
}
