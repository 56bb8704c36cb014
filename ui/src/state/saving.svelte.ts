import { api, ApiError, ask, type RigDocument } from '../api/client';
import { catalogue } from './catalogue.svelte';
import { alike } from './document';
import { remove, unsavedKey, write } from './kept';
import type { Timers } from './timers';
import { RETRY_AFTER, troubleOf, type Trouble } from './trouble';

const SAVE_AFTER = 700;

/** What saving is doing, for the header. */
export type SaveState = 'saved' | 'saving' | 'waiting' | 'conflict' | 'failing' | 'refused';

/** How a rig gets to the server: each save builds on the version that the one before it got; what is not there yet is kept by the browser. */
export class Saving {
  state = $state<SaveState>('saved');
  version = $state(0);
  /** Why it is not saved. */
  unsaved = $state.raw<Trouble | null>(null);
  /** False where this browser keeps nothing until the server has it. */
  keeps = $state(true);
  /** What stands on the server, as far as is known. */
  saved: RigDocument | null = null;

  private key = '';
  private held = false;
  private closed = false;
  private writes: Promise<unknown> = Promise.resolve();

  /** @param now The document as it stands. */
  constructor(
    readonly id: string,
    private readonly now: () => RigDocument,
    private readonly timers: Timers,
  ) {}

  /** What the server has of it, with all that is needed to show it. */
  async stored() {
    const rig = await ask(api.GET('/api/rigs/{id}', { params: { path: { id: this.id } } }));
    await catalogue.open(rig.document.host);
    return rig;
  }

  /** Begins with what the server has. */
  async begin(version: number, document: RigDocument) {
    [this.version, this.saved] = [version, document];
    this.key = await unsavedKey(this.id);
  }

  /** True while nothing of this window waits or is on its way. */
  get quiet() {
    return !this.closed && this.state === 'saved' && this.now() === this.saved;
  }

  /** The document was changed: it is kept by the browser and stored after a pause. */
  changed() {
    if (this.state !== 'conflict') this.state = 'waiting';
    this.keep();
    this.soon();
  }

  /** While something is dragged nothing is saved: what was dragged is one version. */
  hold(on: boolean) {
    this.held = on;
    if (!on && this.state === 'waiting') this.soon();
  }

  soon() {
    this.timers.later('save', SAVE_AFTER, () => this.save());
  }

  save(): Promise<void> {
    return this.inTurn(() => this.store());
  }

  /** Writes to the server one after the other. */
  inTurn(write: () => Promise<void>): Promise<void> {
    const turn = this.writes.then(write);
    this.writes = turn.catch(() => {});
    return turn;
  }

  /** Stores what stands now; for those whose turn it is. */
  async store(): Promise<void> {
    if (this.held && !this.closed) return;
    const doc = this.now();
    if (doc === this.saved || this.state === 'conflict') {
      if (doc === this.saved) this.state = 'saved';
      return;
    }
    this.state = 'saving';
    try {
      const stored = await ask(
        api.PUT('/api/rigs/{id}', {
          params: { path: { id: this.id } },
          body: doc,
          headers: { 'If-Match': `"${this.version}"` },
        }),
      );
      this.stands(stored.version, doc);
    } catch (e) {
      if (e instanceof ApiError && e.status === 412) return this.meets(doc);
      this.failed(e, () => this.save());
      this.state = this.unsaved!.again ? 'failing' : 'refused';
    }
  }

  /** Another version stands on the server: this window's own, where the answer to its save was lost on the way, or another's. */
  private async meets(doc: RigDocument) {
    const theirs = await this.stored().catch(() => null);
    if (!theirs || !alike(theirs.document, doc)) {
      this.state = 'conflict';
      return;
    }
    this.stands(theirs.version, doc);
  }

  /** Takes note that a document is stored, and what is left to do then. */
  private stands(version: number, doc: RigDocument) {
    [this.version, this.saved, this.unsaved] = [version, doc, null];
    if (doc === this.now()) {
      this.state = 'saved';
      this.forget();
    } else {
      this.state = 'waiting';
      this.keep();
      this.soon();
    }
  }

  /** After a conflict: takes what is stored and puts this window's document on top of it as the next version. */
  keepMine(): Promise<void> {
    return this.inTurn(async () => {
      try {
        const stored = await this.stored();
        [this.version, this.state, this.unsaved] = [stored.version, 'waiting', null];
      } catch (e) {
        this.failed(e, () => this.keepMine());
        return;
      }
      await this.store();
    });
  }

  /** What is stored is what stands here. */
  took(version: number, document: RigDocument) {
    [this.version, this.saved, this.state, this.unsaved] = [version, document, 'saved', null];
    this.forget();
  }

  /** The rig is left: what waits is stored without a pause, and nothing is tried again. */
  close(): Promise<void> {
    this.closed = true;
    return this.save();
  }

  /** The browser keeps no change of this rig any more. */
  forget() {
    remove(this.key);
  }

  private keep() {
    this.keeps = write(this.key, JSON.stringify({ document: this.now(), version: this.version }));
  }

  private failed(e: unknown, again: () => unknown) {
    this.unsaved = troubleOf(e);
    if (this.unsaved.again && !this.closed) this.timers.later('retry save', RETRY_AFTER, again);
  }
}
