import { api, ApiError, ask, type Schemas } from '../api/client';
import { fresh } from './fresh';
import { readJson, write } from './kept';
import { nowText } from './now';

export type Entry = Schemas['Entry'];

/** What a browser keeps until the server has it, and what the server would not have. */
interface Kept {
  waiting: Entry[];
  refused: { entry: Entry; why: string }[];
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
  /** Why the server lets this phone write nothing; empty while it does. */
  shut = $state('');
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
    const kept = readJson<Partial<Kept>>(this.name);
    [this.waiting, this.refused] = [kept?.waiting ?? [], kept?.refused ?? []];
    if (this.waiting.length) void this.send();
  }

  private get name() {
    return `ochema.log.${this.rig}`;
  }

  /** Writes a line. */
  add(entry: Partial<Entry> & Pick<Entry, 'sort'>) {
    this.waiting = [
      ...this.waiting,
      { key: fresh(), at: nowText(), of: '', design: '', note: '', simulated: false, ...entry },
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
    // A browser that keeps nothing still sends.
    write(this.name, JSON.stringify({ waiting: this.waiting, refused: this.refused } satisfies Kept));
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
        const shut = e instanceof ApiError && e.shut;
        if (!(e instanceof ApiError) || e.offline || shut || e.status >= 500) {
          [this.offline, this.shut] = [!shut, shut ? e.message : ''];
          this.timer = setTimeout(() => ((this.sending = false), void this.send()), AGAIN);
          break;
        }
        this.refused = [...this.refused, { entry, why: e.message }];
      }
      [this.offline, this.shut] = [false, ''];
      this.waiting = this.waiting.filter((w) => w.key !== entry.key);
      this.keep();
    }
    if (!this.waiting.length) this.sending = false;
    if (took) this.onsent();
  }
}
