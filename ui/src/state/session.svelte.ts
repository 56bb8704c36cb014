import { createContext } from 'svelte';
import { Answers } from './answers.svelte';
import { catalogue } from './catalogue.svelte';
import { alike, carried, newerOnShelf, today, valueAt, withValue, type Node, type OwnRow } from './document';
import { History } from './history.svelte';
import { findHistory, findUnsaved, keepHistory, type Unsaved } from './kept';
import { Looking } from './looking.svelte';
import { shelf } from './shelf.svelte';
import { notices } from './notices.svelte';
import { Saving } from './saving.svelte';
import { Timers } from './timers';
import { api, ApiError, ask, type RigDocument } from '../api/client';
import { focusWhen } from './focus';

/** Where a tether may end on the rig itself instead of on the host. */
export const RIG_ENDS = [
  { id: 'rig-base', label: 'the base of the rig itself' },
  { id: 'rig-reach', label: 'its reach, close to the end' },
];

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

/** One rig being worked on: its document and how it is changed. What is known of it, undo and saving are parts of their own. */
export class RigSession extends Looking {
  doc = $state.raw<RigDocument>(null!);
  filmName = $state('');

  private readonly timers = new Timers();
  private readonly history = new History();
  readonly answers = new Answers(() => this.doc, this.timers);
  readonly saving: Saving;

  constructor(readonly id: string) {
    super();
    this.saving = new Saving(id, () => this.doc, this.timers);
  }

  get canUndo() {
    return this.history.past.length > 0;
  }

  get canRedo() {
    return this.history.future.length > 0;
  }

  get report() {
    return this.answers.report;
  }

  /** True when what stands on the screen was worked out for the rig before its last change, and no newer answer has come in time. */
  get unanswered() {
    return this.answers.slow && this.answers.of !== this.doc;
  }

  /** The let-go case that is shown. */
  get shown() {
    return this.answers.shown;
  }

  /** The let-go case that is looked at, by its id. */
  get letGo() {
    return this.answers.letGo;
  }

  set letGo(id: string) {
    this.answers.look(id);
  }

  /** Goes to the next let-go case, or back. */
  nextLetGo(by: number) {
    const all = this.report?.letGo ?? [];
    const at = all.findIndex((l) => l.id === this.letGo);
    if (all.length) this.letGo = all[(at + by + all.length) % all.length]!.id;
  }

  /** Opens the working of a check, where it stands. */
  why(check: string | null | undefined) {
    const found = this.report?.checks.find((c) => c.id === check);
    if (!found) return this.select('rig');
    [this.selected, this.opened] = [found.station, found.id];
    this.sought++;
  }

  async load() {
    await leaving[this.id];
    const rig = await this.saving.stored();
    this.filmName = rig.filmName;
    this.doc = rig.document;
    await this.saving.begin(rig.version, rig.document);
    let kept = await this.present(await findUnsaved<RigDocument>(this.id), rig.document.schema);
    if (kept && alike(kept.document, rig.document)) {
      // It did reach the server: only the answer did not come back before the window closed.
      this.saving.forget();
      kept = null;
    }
    if (kept) {
      await catalogue.open(kept.document.host);
      // A change that did not reach the server before the window closed.
      this.history.begin([rig.document]);
      this.doc = kept.document;
      if (kept.version === rig.version) this.saving.soon();
      else this.saving.state = 'conflict';
    }
    const before = findHistory<RigDocument>(this.id);
    // Of another rig than the one that stands here it would undo somebody else's change.
    if (before && alike(before.doc, this.doc)) this.history.begin(before.past, before.future);
    await this.answers.ask(this.doc);
    const left = this.answers.problem;
    if (kept && left && !left.again) {
      // It cannot be used, now or at the next reload: what is stored stands, and why is said.
      this.timers.stop('save');
      this.doc = rig.document;
      this.history.begin();
      this.saving.took(rig.version, rig.document);
      this.answers.problem = null;
      notices.say(`Your last change cannot be used and was left out: ${left.text}`);
      await this.answers.ask(this.doc);
    }
  }

  /** A change that a window kept, in the words of the schema that is written now: the application may have been renewed since. */
  private async present(kept: Unsaved<RigDocument> | null, schema: number): Promise<Unsaved<RigDocument> | null> {
    if (!kept || kept.document.schema === schema) return kept;
    try {
      return { ...kept, document: await ask(api.POST('/api/document', { body: kept.document })) };
    } catch (e) {
      if (!(e instanceof ApiError) || e.status !== 400) throw e;
      this.saving.forget();
      notices.say(`Your last change cannot be used and was left out: ${e.message}`);
      return null;
    }
  }

  /** Makes a change. Changes with the same key in quick succession are undone together. */
  change(key: string, next: RigDocument) {
    this.history.note(key, this.doc);
    this.set(carried(next, shelf.own));
  }

  /** Takes a change that was tried: the focus goes to what it made, or to the verdict that came of it, once that is known. */
  take(id: string, next: RigDocument) {
    const before: Record<string, string> = Object.fromEntries(this.report?.stations.map((s) => [s.id, s.part]) ?? []);
    this.change('take:' + id, next);
    const taken = this.doc;
    focusWhen(() => {
      if (this.doc !== taken || this.answers.of !== taken) return null;
      const rows = this.report!.stations;
      const made = rows.find((s) => !(s.id in before)) ?? rows.find((s) => before[s.id] !== s.part);
      return (
        document.querySelector<HTMLElement>(made ? `[data-row="${CSS.escape(made.id)}"]` : '#answer') ??
        document.getElementById('answer')
      );
    });
  }

  undo() {
    const previous = this.history.undo(this.doc);
    if (previous) this.set(previous);
  }

  redo() {
    const next = this.history.redo(this.doc);
    if (next) this.set(next);
  }

  /**
   * Sets one value by its path, like "run.speed", "at.0" or "braces.[left].length": a name in brackets is the one of a list with that id. Undefined
   * takes it away. Nothing happens when the list has no such part any more.
   */
  setPath(path: string, value: unknown, key = path) {
    const next = withValue(this.doc, path, (at, last, way) => {
      const anchor = (end: unknown) => (end as { anchor?: string } | undefined)?.anchor;
      if (at[last] !== undefined && (last === 'site' || (last === 'to' && anchor(at[last]) !== anchor(value)))) {
        const lost = forget(at, way[0]!.replace(/s$/, ''), last);
        if (lost.length) notices.say(`${lost.join(', ')}: measured of the one before, so measure again.`);
      }
      if (value === undefined) delete at[last];
      else at[last] = value;
    });
    if (next) this.change(key, next);
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
    this.answers.moved();
    this.saving.changed();
    void this.answers.ask(doc);
  }

  /** While something is dragged nothing is saved: what was dragged is one version. */
  hold(on: boolean) {
    this.saving.hold(on);
  }

  async takeTheirs() {
    this.saving.forget();
    [this.saving.state, this.saving.unsaved, this.answers.problem] = ['saved', null, null];
    await this.load();
  }

  /** Goes back to a saved state, as a new version; what is not saved yet is saved first, so that it is one too. */
  async restore(number: number) {
    try {
      await this.saving.inTurn(async () => {
        await this.saving.store();
        const stored = await ask(
          api.POST('/api/rigs/{id}/versions/{number}/restore', {
            params: { path: { id: this.id, number } },
            headers: { 'If-Match': `"${this.saving.version}"` },
          }),
        );
        await catalogue.open(stored.document.host);
        this.history.push(this.doc);
        this.doc = stored.document;
        this.saving.took(stored.version, stored.document);
      });
    } catch (e) {
      if (!(e instanceof ApiError)) throw e;
      notices.say(`It was not brought back: ${e.message}`);
      return;
    }
    await this.answers.ask(this.doc);
  }

  /** Looked at again: what another window has saved meanwhile is taken over where nothing of this one waits; undo brings back what stood here. */
  async catchUp() {
    if (!this.saving.quiet) return;
    try {
      const stored = await this.saving.stored();
      if (stored.version <= this.saving.version || !this.saving.quiet) return;
      this.history.push(this.doc);
      this.history.begin(this.history.past);
      this.doc = stored.document;
      this.saving.took(stored.version, stored.document);
    } catch (e) {
      // It is said when something is to be saved.
      if (!(e instanceof ApiError)) throw e;
      return;
    }
    notices.say('Changed in another window; this is how it is there now. Undo brings back what stood here.');
    await this.answers.ask(this.doc);
  }

  /** The window is left, or reloaded: what can be undone here can be undone then. */
  remember() {
    const { past, future } = this.history;
    if (past.length || future.length) keepHistory(this.id, { at: Date.now(), doc: this.doc, past, future });
  }

  close() {
    this.remember();
    this.timers.stopAll();
    leaving[this.id] = this.saving.close();
  }
}

/** The rig that the screens of one rig show and change: set once by them, had by every part of them. */
export const [getSession, setSession] = createContext<RigSession>();
