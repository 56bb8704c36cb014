import { catalogue } from './catalogue.svelte';
import { api, ApiError, ask, type Change, type Report, type RigDocument, type Schemas } from '../api/client';

const ASSESS_ADVICE_AFTER = 500;
const SAVE_AFTER = 700;
const RETRY_AFTER = 3000;
const MOST_UNDO = 200;

/** The end of a tether that is tied to the rig's own base instead of the host. */
export const RIG_BASE = 'rig-base';

/** What saving is doing, for the header. */
export type SaveState = 'saved' | 'saving' | 'waiting' | 'conflict' | 'refused';

/** One rig being worked on: its document, its answers, undo, saving. */
export class RigSession {
  doc = $state.raw<RigDocument>(null!);
  report = $state.raw<Report | null>(null);
  advice = $state.raw<Change[] | null>(null);
  /** The document the advice was computed for. */
  adviceFor = $state.raw<RigDocument | null>(null);
  /** Why the last change was not computed. */
  problem = $state<string | null>(null);
  offline = $state(false);
  saveState = $state<SaveState>('saved');
  version = $state(0);
  filmName = $state('');
  selected = $state('rig');
  letGo = $state(0);
  deflected = $state(false);
  lensLarge = $state(false);

  private past: RigDocument[] = $state.raw([]);
  private future: RigDocument[] = $state.raw([]);
  private lastKey = '';
  private lastKeyAt = 0;
  private saved: RigDocument | null = null;
  private assessing = false;
  private wanted: RigDocument | null = null;
  private timers: Record<string, ReturnType<typeof setTimeout>> = {};

  constructor(readonly id: string) {}

  get canUndo() {
    return this.past.length > 0;
  }

  get canRedo() {
    return this.future.length > 0;
  }

  /** The let-go case looked at; index 0 is the whole rig. */
  get shown() {
    return this.report?.letGo[this.letGo] ?? this.report?.letGo[0];
  }

  async load() {
    const rig = await ask(api.GET('/api/rigs/{id}', { params: { path: { id: this.id } } }));
    [this.version, this.filmName, this.saved] = [rig.version, rig.filmName, rig.document];
    const kept = localStorage.getItem(this.keepKey);
    this.doc = rig.document;
    if (kept) {
      // A change that did not reach the server before the window closed.
      const { document, version } = JSON.parse(kept) as { document: RigDocument; version: number };
      if (version === rig.version) {
        this.past = [rig.document];
        this.doc = document;
        this.later('save', SAVE_AFTER, () => this.save());
      } else localStorage.removeItem(this.keepKey);
    }
    await this.assess(this.doc);
  }

  /** Makes a change. Changes with the same key in quick succession are undone together. */
  change(key: string, next: RigDocument) {
    const now = performance.now();
    if (key !== this.lastKey || now - this.lastKeyAt > 900) this.past = [...this.past.slice(-MOST_UNDO), this.doc];
    [this.lastKey, this.lastKeyAt] = [key, now];
    this.future = [];
    this.set(next);
  }

  undo() {
    const previous = this.past.at(-1);
    if (!previous) return;
    this.past = this.past.slice(0, -1);
    this.future = [...this.future, this.doc];
    this.lastKey = '';
    this.set(previous);
  }

  redo() {
    const next = this.future.at(-1);
    if (!next) return;
    this.future = this.future.slice(0, -1);
    this.past = [...this.past, this.doc];
    this.lastKey = '';
    this.set(next);
  }

  /** Sets one value by its path, like "braces.0.at". Undefined takes it away. */
  setPath(path: string, value: unknown, key = path) {
    const copy = structuredClone($state.snapshot(this.doc)) as unknown as Record<string, unknown>;
    const steps = path.split('.');
    let at: Record<string, unknown> = copy;
    for (const step of steps.slice(0, -1)) at = (at[step] ??= {}) as Record<string, unknown>;
    if (value === undefined) delete at[steps.at(-1)!];
    else at[steps.at(-1)!] = value;
    this.change(key, copy as unknown as RigDocument);
  }

  /** Moves the whole rig to another place; feet that stood on the old one go along. Undo brings it back. */
  moveTo(hostId: string, siteId: string) {
    const to = catalogue.host(hostId);
    const site = to?.sites.find((s) => s.id === siteId) ?? to?.sites[0];
    if (!to || !site) return;
    const doc = this.doc;
    const near = (anchor: string) =>
      anchor === RIG_BASE || to.anchors.some((a) => a.id === anchor) ? anchor : to.anchors[0]!.id;
    const tied = (t: Schemas['Tether']) => ({ ...t, to: { ...t.to, anchor: near(t.to.anchor) } });
    this.change('site', {
      ...doc,
      host: hostId,
      site,
      at: [0, 0],
      survey: {},
      braces: (doc.braces ?? [])
        .filter((b) => to.sites.some((s) => s.id === (b.site === doc.site.id ? site.id : b.site)))
        .map((b) => (b.site === doc.site.id ? { ...b, site: site.id } : b)),
      straps: doc.straps?.map((s) => ({ ...s, to: { ...s.to, anchor: near(s.to.anchor) } })),
      ...(doc.tether ? { tether: tied(doc.tether) } : {}),
      ...(doc.tethers ? { tethers: doc.tethers.map(tied) } : {}),
      run: { ...doc.run, speed: Math.min(doc.run.speed, to.topSpeed) },
    });
  }

  private set(doc: RigDocument) {
    this.doc = doc;
    this.saveState = 'waiting';
    localStorage.setItem(this.keepKey, JSON.stringify({ document: doc, version: this.version }));
    void this.assess(doc);
    this.later('save', SAVE_AFTER, () => this.save());
  }

  /** Latest wins: while one answer is on its way, only the newest wish is remembered. */
  private async assess(doc: RigDocument) {
    this.wanted = doc;
    if (this.assessing) return;
    this.assessing = true;
    while (this.wanted) {
      const asked: RigDocument = this.wanted;
      this.wanted = null;
      try {
        const report = await ask(api.POST('/api/assess', { body: asked, params: { query: { advice: false } } }));
        this.report = report;
        [this.problem, this.offline] = [null, false];
        if (this.letGo >= report.letGo.length) this.letGo = 0;
        this.later('advice', ASSESS_ADVICE_AFTER, () => this.advise());
      } catch (e) {
        this.fail(e, () => this.assess(this.doc));
      }
    }
    this.assessing = false;
  }

  private async advise() {
    const doc = this.doc;
    try {
      const advice = await ask(api.POST('/api/advice', { body: doc }));
      if (doc === this.doc) [this.advice, this.adviceFor] = [advice, doc];
    } catch (e) {
      if (!(e instanceof ApiError)) throw e;
    }
  }

  async save(): Promise<void> {
    const doc = this.doc;
    if (doc === this.saved || this.saveState === 'conflict') {
      if (doc === this.saved) this.saveState = 'saved';
      return;
    }
    if (this.saveState === 'saving') return this.later('save', SAVE_AFTER, () => this.save());
    this.saveState = 'saving';
    try {
      const stored = await ask(
        api.PUT('/api/rigs/{id}', {
          params: { path: { id: this.id } },
          body: doc,
          headers: { 'If-Match': `"${this.version}"` },
        }),
      );
      [this.version, this.saved, this.offline] = [stored.version, doc, false];
      if (doc === this.doc) {
        this.saveState = 'saved';
        localStorage.removeItem(this.keepKey);
      } else {
        this.saveState = 'waiting';
        localStorage.setItem(this.keepKey, JSON.stringify({ document: this.doc, version: this.version }));
        this.later('save', SAVE_AFTER, () => this.save());
      }
    } catch (e) {
      this.saveState =
        e instanceof ApiError && e.status === 412
          ? 'conflict'
          : e instanceof ApiError && e.offline
            ? 'waiting'
            : 'refused';
      this.fail(e, () => this.save());
    }
  }

  /** After a conflict: takes what is stored and puts this window's document on top of it as the next version. */
  async keepMine() {
    const stored = await ask(api.GET('/api/rigs/{id}', { params: { path: { id: this.id } } }));
    this.version = stored.version;
    this.saveState = 'waiting';
    this.problem = null;
    await this.save();
  }

  async takeTheirs() {
    localStorage.removeItem(this.keepKey);
    this.saveState = 'saved';
    this.problem = null;
    await this.load();
  }

  async restore(number: number) {
    const stored = await ask(
      api.POST('/api/rigs/{id}/versions/{number}/restore', { params: { path: { id: this.id, number } } }),
    );
    this.past = [...this.past, this.doc];
    [this.doc, this.saved, this.version, this.saveState] = [stored.document, stored.document, stored.version, 'saved'];
    localStorage.removeItem(this.keepKey);
    await this.assess(this.doc);
  }

  close() {
    for (const t of Object.values(this.timers)) clearTimeout(t);
    void this.save();
  }

  private fail(e: unknown, again: () => unknown) {
    if (!(e instanceof ApiError)) throw e;
    this.problem = e.message;
    if (e.offline) {
      this.offline = true;
      this.later('retry', RETRY_AFTER, again);
    }
  }

  private later(name: string, ms: number, run: () => unknown): void {
    clearTimeout(this.timers[name]);
    this.timers[name] = setTimeout(run, ms);
  }

  private get keepKey() {
    return `ochema.unsaved.${this.id}`;
  }
}
