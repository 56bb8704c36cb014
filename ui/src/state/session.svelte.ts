import { createContext } from 'svelte';
import { catalogue } from './catalogue.svelte';
import { alike, carried, down, newerOnShelf, steps, today, valueAt, type Node, type OwnRow } from './document';
import { shelf, withShelf } from './shelf.svelte';
import { notices } from './notices.svelte';
import { findHistory, findUnsaved, keepHistory, remove, unsavedKey, write } from './kept';
import { api, ApiError, ask, type Change, type Report, type RigDocument } from '../api/client';
import { focusWhen } from './focus';

const ASSESS_ADVICE_AFTER = 500;
/** After a change of speed: when what it does not tell (how far things move in each case) is fetched again. */
const WHOLE_AFTER = 250;
const SAVE_AFTER = 700;
const RETRY_AFTER = 3000;
/** An answer that takes longer than this is said to be on its way. */
const SLOW_AFTER = 400;
const MOST_UNDO = 200;

/** Where a tether may end on the rig itself instead of on the host. */
export const RIG_ENDS = [
  { id: 'rig-base', label: 'the base of the rig itself' },
  { id: 'rig-reach', label: 'its reach, close to the end' },
];

/** What saving is doing, for the header. */
export type SaveState = 'saved' | 'saving' | 'waiting' | 'conflict' | 'failing' | 'refused';

/** What stands in the way of an answer or a save, and whether it is tried again by itself. */
export type Trouble = { text: string; again: boolean };

/** Takes away what was measured of another place or end, down into parts; the labels of what went. */
function forget(part: Node, family: string, of: string): string[] {
  const lost: string[] = [];
  const fields = catalogue.kind(family, (part.kind as string | undefined) ?? family)?.fields ?? [];
  for (const f of fields)
    if (f.type === 'part' && part[f.name]) lost.push(...forget(part[f.name] as Node, 'hold', of));
    else if (f.of?.includes(of) && part[f.name] != null) {
      delete part[f.name];
      lost.push(f.label);
    }
  return lost;
}

/** Rigs that were left while something of theirs was on its way to the server. */
const leaving: Record<string, Promise<void>> = {};

/** One rig being worked on: its document, its answers, undo, saving. */
export class RigSession {
  doc = $state.raw<RigDocument>(null!);
  report = $state.raw<Report | null>(null);
  /** The document that the report is of. */
  private reportFor = $state.raw<RigDocument | null>(null);
  private slow = $state(false);
  advice = $state.raw<Change[] | null>(null);
  /** The document the advice was computed for. */
  adviceFor = $state.raw<RigDocument | null>(null);
  /** Why the last change was not computed. */
  problem = $state.raw<Trouble | null>(null);
  /** Why it is not saved. */
  unsaved = $state.raw<Trouble | null>(null);
  /** False where this browser keeps nothing until the server has it. */
  keeps = $state(true);
  saveState = $state<SaveState>('saved');
  version = $state(0);
  filmName = $state('');
  /** The row whose details are open. */
  selected = $state('rig');
  /** The check whose working is unfolded, and a count that goes up each time it is to be scrolled to. */
  opened = $state('');
  sought = $state(0);
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
  private keepKey = '';
  private closed = false;
  private advising: AbortController | null = null;
  private held = false;
  private writes: Promise<unknown> = Promise.resolve();

  constructor(readonly id: string) {}

  get canUndo() {
    return this.past.length > 0;
  }

  get canRedo() {
    return this.future.length > 0;
  }

  /** True when what stands on the screen was worked out for the rig before its last change, and no newer answer has come in time. */
  get unanswered() {
    return this.slow && this.reportFor !== this.doc;
  }

  /** The let-go case looked at; index 0 is the whole rig. */
  get shown() {
    return this.report?.letGo[this.letGo] ?? this.report?.letGo[0];
  }

  /** Opens a row's details at their top. */
  select(row: string) {
    [this.selected, this.opened] = [row, ''];
  }

  /** Opens the working of a check, where it stands. */
  why(check: string | null | undefined) {
    const found = this.report?.checks.find((c) => c.id === check);
    if (!found) return this.select('rig');
    [this.selected, this.opened] = [found.station, found.id];
    this.sought++;
  }

  /** While something is dragged nothing is saved: what was dragged is one version. */
  hold(on: boolean) {
    this.held = on;
    if (!on && this.saveState === 'waiting') this.later('save', SAVE_AFTER, () => this.save());
  }

  async load() {
    await leaving[this.id];
    const rig = await this.stored();
    [this.version, this.filmName, this.saved] = [rig.version, rig.filmName, rig.document];
    this.doc = rig.document;
    this.keepKey = await unsavedKey(this.id);
    let kept = await findUnsaved<RigDocument>(this.id);
    if (kept && alike(kept.document, rig.document)) {
      // It did reach the server: only the answer did not come back before the window closed.
      remove(this.keepKey);
      kept = null;
    }
    if (kept) {
      await catalogue.open(kept.document.host);
      // A change that did not reach the server before the window closed.
      this.past = [rig.document];
      this.doc = kept.document;
      if (kept.version === rig.version) this.later('save', SAVE_AFTER, () => this.save());
      else this.saveState = 'conflict';
    }
    const before = findHistory<RigDocument>(this.id);
    // Of another rig than the one that stands here it would undo somebody else's change.
    if (before && alike(before.doc, this.doc)) [this.past, this.future] = [before.past, before.future];
    await this.assess(this.doc);
    const left = this.problem;
    if (kept && left && !left.again) {
      // It cannot be used, now or at the next reload: what is stored stands, and why is said.
      clearTimeout(this.timers.save);
      remove(this.keepKey);
      [this.doc, this.past, this.saveState, this.problem, this.unsaved] = [rig.document, [], 'saved', null, null];
      notices.say(`Your last change cannot be used and was left out: ${left.text}`);
      await this.assess(this.doc);
    }
  }

  /** What the server has of it, with all that is needed to show it. */
  private async stored() {
    const rig = await ask(api.GET('/api/rigs/{id}', { params: { path: { id: this.id } } }));
    await catalogue.open(rig.document.host);
    return rig;
  }

  /** Makes a change. Changes with the same key in quick succession are undone together. */
  change(key: string, next: RigDocument) {
    const now = performance.now();
    if (key !== this.lastKey || now - this.lastKeyAt > 900) this.past = [...this.past.slice(-MOST_UNDO), this.doc];
    [this.lastKey, this.lastKeyAt] = [key, now];
    this.future = [];
    this.set(carried(next, shelf.own));
  }

  /** Takes a change that was tried: the focus goes to what it made, or to the verdict that came of it, once that is known. */
  take(id: string, next: RigDocument) {
    const before: Record<string, string> = Object.fromEntries(this.report?.stations.map((s) => [s.id, s.part]) ?? []);
    this.change('take:' + id, next);
    const taken = this.doc;
    focusWhen(() => {
      if (this.doc !== taken || this.reportFor !== taken) return null;
      const rows = this.report!.stations;
      const made = rows.find((s) => !(s.id in before)) ?? rows.find((s) => before[s.id] !== s.part);
      return (
        document.querySelector<HTMLElement>(made ? `[data-row="${CSS.escape(made.id)}"]` : '#answer') ??
        document.getElementById('answer')
      );
    });
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

  /**
   * Sets one value by its path, like "run.speed", "at.0" or "braces.[left].length": a name in brackets is the one of a list with that id. Undefined
   * takes it away. Nothing happens when the list has no such part any more.
   */
  setPath(path: string, value: unknown, key = path) {
    const copy = structuredClone($state.snapshot(this.doc)) as unknown as Node;
    const way = steps(path);
    let at: Node | undefined = copy;
    for (const step of way.slice(0, -1)) {
      if (!step.startsWith('[')) at[step] ??= {};
      at = down(at, step) as Node | undefined;
      if (!at) return;
    }
    const last = way.at(-1)!;
    const anchor = (end: unknown) => (end as { anchor?: string } | undefined)?.anchor;
    if (at[last] !== undefined && (last === 'site' || (last === 'to' && anchor(at[last]) !== anchor(value)))) {
      const lost = forget(at, way[0]!.replace(/s$/, ''), last);
      if (lost.length) notices.say(`${lost.join(', ')}: measured of the one before, so measure again.`);
    }
    if (value === undefined) delete at[last];
    else at[last] = value;
    this.change(key, copy as unknown as RigDocument);
  }

  /** Sets a value that was read off something today; undefined takes it and its day away. */
  measure(path: string, value: number | undefined) {
    this.setPath(path, value);
    if (value === undefined || valueAt(this.doc, path) !== value) return;
    const taken = { value, on: today(), how: this.doc.measured?.[path]?.how ?? '' };
    this.change(path, { ...this.doc, measured: { ...this.doc.measured, [path]: taken } });
  }

  /** Says when or with what a value was measured. */
  taken(path: string, said: { on?: string; how?: string }) {
    const known = this.doc.measured?.[path];
    // A rod's length is no number of the document: where its foot stands is.
    const value = valueAt(this.doc, path) ?? known?.value;
    if (typeof value !== 'number') return;
    const now = { on: today(), how: '', ...(known?.value === value ? known : {}), ...said, value };
    this.change(`taken ${path}`, { ...this.doc, measured: { ...this.doc.measured, [path]: now } });
  }

  /** Says what came out at the bench, by its place in the document; undefined takes it back to the drawing. */
  built(path: string, value: number | undefined): Promise<void> {
    const body = (document: RigDocument) => ({ document, path, value: value ?? null, on: today() });
    return this.worked('built ' + path, 'It was not entered', (doc) =>
      ask(api.POST('/api/make/built', { body: body(doc) })),
    );
  }

  /** Makes a strut's rod so long: its foot moves along its line. */
  rod(brace: string, length: number): Promise<void> {
    return this.worked(`rod ${brace}`, 'The strut was left as it is', (document) =>
      ask(api.POST('/api/rod', { body: { document, brace, length } })),
    );
  }

  /** A change that the server works out. What was changed meanwhile is not undone by an answer that does not know of it: it is asked again. */
  private async worked(key: string, failed: string, call: (doc: RigDocument) => Promise<{ document: RigDocument }>) {
    try {
      for (;;) {
        const doc = this.doc;
        const next = (await call(doc)).document;
        if (this.doc === doc) return this.change(key, next);
      }
    } catch (e) {
      if (!(e instanceof ApiError)) throw e;
      notices.say(`${failed}: ${e.message}`);
    }
  }

  /** Takes the shelf's newer values of this rig's own rows. */
  takeShelf() {
    const newer = Object.fromEntries(newerOnShelf(this.doc, shelf.own).map((r) => [r.id, r]));
    const stock = Object.fromEntries(
      Object.entries((this.doc.stock ?? {}) as Record<string, OwnRow[]>).map(([list, rows]) => [
        list,
        (rows ?? []).map((r) => newer[r.id] ?? r),
      ]),
    );
    this.change('shelf', { ...this.doc, stock: stock as unknown as RigDocument['stock'] });
  }

  /** Moves the whole rig to another place, on another host to the one most like it; feet that stood on the old one go along. Undo brings it back. */
  async moveTo(host: string, site = ''): Promise<void> {
    const doc = this.doc;
    try {
      const [moved] = await Promise.all([
        ask(api.POST('/api/relocate', { body: { document: doc, host, site } })),
        catalogue.open(host),
      ]);
      // What was changed meanwhile is not undone by an answer that does not know of it.
      if (this.doc !== doc) return this.moveTo(host, site);
      this.change('site', moved.document);
      const said = [
        moved.measureAgain.length &&
          `${moved.measureAgain.join(', ')}: measured at the place before, so measure again.`,
        moved.left.length && `Struts left out, for what they stood on is not there: ${moved.left.join(', ')}.`,
        ...(moved.lines ?? []),
      ].filter(Boolean);
      if (said.length) notices.say(said.join(' '));
    } catch (e) {
      if (!(e instanceof ApiError)) throw e;
      notices.say(`It was not moved: ${e.message}`);
    }
  }

  private set(doc: RigDocument) {
    this.doc = doc;
    // Advice on what was is of no use any more, and keeps the server from answering.
    this.advising?.abort();
    if (this.saveState !== 'conflict') this.saveState = 'waiting';
    this.keep();
    void this.assess(doc);
    this.later('save', SAVE_AFTER, () => this.save());
  }

  /** The same rig at another speed: all else that is known of it stays. */
  private onlySpeed(doc: RigDocument) {
    const from = this.reportFor;
    if (!this.report || !from || from.run.speed === doc.run.speed) return false;
    const still = (d: RigDocument) => JSON.stringify({ ...d, run: { ...d.run, speed: 0 } });
    return still(from) === still(doc);
  }

  private async drive(doc: RigDocument): Promise<Report> {
    const [now, drive] = [this.report!, await ask(api.POST('/api/assess/drive', { body: doc }))];
    const byId = <T extends { id: string }>(list: T[]) => Object.fromEntries(list.map((x) => [x.id, x]));
    const [checks, cases, rows] = [byId(now.checks), byId(now.letGo), byId(now.stations)];
    return {
      ...now,
      verdict: drive.verdict,
      shock: drive.shock,
      stations: drive.stations.map((s) => ({ ...rows[s.id]!, refused: null, ...s })),
      checks: drive.checks.map((c) => ({ ...checks[c.id]!, ...c })),
      letGo: drive.letGo.map((c) => ({ ...cases[c.id]!, ...c, goes: c.goes ?? null })),
      sharpness: drive.sharpness,
      ...(drive.secondSharpness ? { secondSharpness: drive.secondSharpness } : {}),
      retentions: drive.retentions,
      ...(drive.tip ? { tip: drive.tip } : {}),
      findings: drive.findings,
      figure: { ...now.figure, arrows: drive.arrows, arrowsCase: drive.arrowsCase },
    };
  }

  /** Latest wins: while one answer is on its way, only the newest wish is remembered. */
  private async assess(doc: RigDocument, whole = false) {
    this.wanted = doc;
    if (this.assessing) return;
    this.assessing = true;
    this.later('slow', SLOW_AFTER, () => (this.slow = true));
    while (this.wanted) {
      const asked: RigDocument = this.wanted;
      this.wanted = null;
      try {
        const quick = !whole && this.onlySpeed(asked);
        const report = quick
          ? await this.drive(asked)
          : await ask(api.POST('/api/assess', { body: asked, params: { query: { advice: false, workings: false } } }));
        [this.report, this.reportFor] = [report, asked];
        clearTimeout(this.timers.whole);
        if (quick) this.later('whole', WHOLE_AFTER, () => this.assess(this.doc, true));
        [this.problem, this.slow] = [null, false];
        this.later('slow', SLOW_AFTER, () => (this.slow = true));
        if (this.letGo >= report.letGo.length) this.letGo = 0;
        this.later('advice', ASSESS_ADVICE_AFTER, () => this.advise());
      } catch (e) {
        this.slow = true;
        this.problem = this.trouble('assess', e, () => this.assess(this.doc));
      }
    }
    this.assessing = false;
  }

  private async advise() {
    const doc = this.doc;
    this.advising = new AbortController();
    try {
      const advice = await ask(api.POST('/api/advice', { body: withShelf(doc), signal: this.advising.signal }));
      if (doc === this.doc) [this.advice, this.adviceFor] = [advice, doc];
    } catch (e) {
      if (!(e instanceof ApiError)) throw e;
    }
  }

  /** Writes to the server one after the other: each builds on the version that the one before it got. */
  private inTurn(write: () => Promise<void>): Promise<void> {
    const turn = this.writes.then(write);
    this.writes = turn.catch(() => {});
    return turn;
  }

  save(): Promise<void> {
    return this.inTurn(() => this.store());
  }

  private async store(): Promise<void> {
    if (this.held && !this.closed) return;
    const doc = this.doc;
    if (doc === this.saved || this.saveState === 'conflict') {
      if (doc === this.saved) this.saveState = 'saved';
      return;
    }
    this.saveState = 'saving';
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
      this.unsaved = this.trouble('save', e, () => this.save());
      this.saveState = this.unsaved.again ? 'failing' : 'refused';
    }
  }

  /** Another version stands on the server: this window's own, where the answer to its save was lost on the way, or another's. */
  private async meets(doc: RigDocument) {
    const theirs = await this.stored().catch(() => null);
    if (!theirs || !alike(theirs.document, doc)) {
      this.saveState = 'conflict';
      return;
    }
    this.stands(theirs.version, doc);
  }

  /** Takes note that a document is stored, and what is left to do then. */
  private stands(version: number, doc: RigDocument) {
    [this.version, this.saved, this.unsaved] = [version, doc, null];
    if (doc === this.doc) {
      this.saveState = 'saved';
      remove(this.keepKey);
    } else {
      this.saveState = 'waiting';
      this.keep();
      this.later('save', SAVE_AFTER, () => this.save());
    }
  }

  /** After a conflict: takes what is stored and puts this window's document on top of it as the next version. */
  keepMine(): Promise<void> {
    return this.inTurn(async () => {
      try {
        const stored = await this.stored();
        [this.version, this.saveState, this.unsaved] = [stored.version, 'waiting', null];
      } catch (e) {
        this.unsaved = this.trouble('save', e, () => this.keepMine());
        return;
      }
      await this.store();
    });
  }

  async takeTheirs() {
    remove(this.keepKey);
    [this.saveState, this.problem, this.unsaved] = ['saved', null, null];
    await this.load();
  }

  /** Goes back to a saved state, as a new version; what is not saved yet is saved first, so that it is one too. */
  async restore(number: number) {
    try {
      await this.inTurn(async () => {
        await this.store();
        const stored = await ask(
          api.POST('/api/rigs/{id}/versions/{number}/restore', {
            params: { path: { id: this.id, number } },
            headers: { 'If-Match': `"${this.version}"` },
          }),
        );
        await catalogue.open(stored.document.host);
        this.past = [...this.past, this.doc];
        [this.doc, this.saved] = [stored.document, stored.document];
        [this.version, this.saveState] = [stored.version, 'saved'];
        remove(this.keepKey);
      });
    } catch (e) {
      if (!(e instanceof ApiError)) throw e;
      notices.say(`It was not brought back: ${e.message}`);
      return;
    }
    await this.assess(this.doc);
  }

  /** Looked at again: what another window has saved meanwhile is taken over where nothing of this one waits; undo brings back what stood here. */
  async catchUp() {
    const quiet = () => !this.closed && this.saveState === 'saved' && this.doc === this.saved;
    if (!quiet()) return;
    try {
      const stored = await this.stored();
      if (stored.version <= this.version || !quiet()) return;
      [this.past, this.future, this.lastKey] = [[...this.past.slice(-MOST_UNDO), this.doc], [], ''];
      [this.doc, this.saved, this.version] = [stored.document, stored.document, stored.version];
    } catch (e) {
      // It is said when something is to be saved.
      if (!(e instanceof ApiError)) throw e;
      return;
    }
    notices.say('Changed in another window; this is how it is there now. Undo brings back what stood here.');
    await this.assess(this.doc);
  }

  /** The window is left, or reloaded: what can be undone here can be undone then. */
  remember() {
    if (this.past.length || this.future.length)
      keepHistory(this.id, { at: Date.now(), doc: this.doc, past: this.past, future: this.future });
  }

  close() {
    this.remember();
    this.closed = true;
    for (const t of Object.values(this.timers)) clearTimeout(t);
    leaving[this.id] = this.save();
  }

  /** What went wrong. Where it may pass by itself (no server, a full or locked disk) it is tried again, saving and asking each by its own clock. */
  private trouble(name: string, e: unknown, retry: () => unknown): Trouble {
    if (!(e instanceof ApiError)) throw e;
    const again = e.offline || e.status >= 500;
    if (again && !this.closed) this.later('retry ' + name, RETRY_AFTER, retry);
    return { text: e.message, again };
  }

  private keep() {
    this.keeps = write(this.keepKey, JSON.stringify({ document: this.doc, version: this.version }));
  }

  private later(name: string, ms: number, run: () => unknown): void {
    clearTimeout(this.timers[name]);
    this.timers[name] = setTimeout(run, ms);
  }
}

/** The rig that the screens of one rig show and change: set once by them, had by every part of them. */
export const [getSession, setSession] = createContext<RigSession>();
