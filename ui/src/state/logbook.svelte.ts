import { api, ApiError, ask, type Schemas } from '../api/client';
import { nowText } from './now';

export type Entry = Schemas['Entry'];

/** What a browser keeps until the server has it, and what the server would not have. */
interface Kept {
  waiting: Entry[];
  refused: { entry: Entry; why: string }[];
}

/** A key of its own for a line: over plain HTTP a browser has no randomUUID. */
function freshKey() {
  const bytes = crypto.getRandomValues(new Uint8Array(16));
  return Array.from(bytes, (b) => b.toString(16).padStart(2, '0')).join('');
}

/** How long until it is tried again, ms. */
const AGAIN = 4000;

/**
 * The log of a rig, written line by line. A line is kept in this browser until the server has it: sent in order, once, whatever happens to the
 * connection or the window meanwhile.
 */
export class Logbook {
  waiting = $state.raw<Entry[]>([]);
  refused = $state.raw<{ entry: Entry; why: string }[]>([]);
  offline = $state(false);
  private sending = false;
  private over = false;
  private timer: ReturnType<typeof setTimeout> | undefined;

  /**
   * @param rig Its id.
   * @param onsent Called when the server has taken lines.
   */
  constructor(
    private readonly rig: string,
    private readonly onsent: () => unknown,
  ) {
    try {
      const kept = JSON.parse(localStorage.getItem(this.name) ?? '{}') as Partial<Kept>;
      [this.waiting, this.refused] = [kept.waiting ?? [], kept.refused ?? []];
    } catch {
      // What cannot be read was not written by this application.
    }
    if (this.waiting.length) void this.send();
  }

  private get name() {
    return `ochema.log.${this.rig}`;
  }

  /** Writes a line. */
  add(entry: Partial<Entry> & Pick<Entry, 'sort'>) {
    this.waiting = [
      ...this.waiting,
      { key: freshKey(), at: nowText(), of: '', design: '', note: '', simulated: false, ...entry },
    ];
    this.keep();
    void this.send();
  }

  /** What was refused is not shown any more. */
  dismiss(key: string) {
    this.refused = this.refused.filter((r) => r.entry.key !== key);
    this.keep();
  }

  close() {
    this.over = true;
    clearTimeout(this.timer);
  }

  private keep() {
    try {
      localStorage.setItem(this.name, JSON.stringify({ waiting: this.waiting, refused: this.refused } satisfies Kept));
    } catch {
      // A browser that keeps nothing still sends.
    }
  }

  private async send() {
    if (this.sending || this.over) return;
    this.sending = true;
    clearTimeout(this.timer);
    let took = false;
    while (this.waiting.length) {
      const entry = this.waiting[0]!;
      try {
        await ask(api.POST('/api/rigs/{id}/log', { params: { path: { id: this.rig } }, body: entry }));
        took = true;
      } catch (e) {
        if (!(e instanceof ApiError) || e.offline || e.status >= 500) {
          this.offline = true;
          this.timer = setTimeout(() => ((this.sending = false), void this.send()), AGAIN);
          break;
        }
        this.refused = [...this.refused, { entry, why: e.message }];
      }
      this.offline = false;
      this.waiting = this.waiting.filter((w) => w.key !== entry.key);
      this.keep();
    }
    if (!this.waiting.length) this.sending = false;
    if (took) this.onsent();
  }
}
