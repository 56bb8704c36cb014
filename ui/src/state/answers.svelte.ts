import { api, ApiError, ask, type Change, type RigDocument, type Schemas } from '../api/client';
import { onlySpeed, shown, type Answer } from './answer';
import { INTACT } from './looking.svelte';
import { withShelf } from './shelf.svelte';
import type { Timers } from './timers';
import { RETRY_AFTER, troubleOf, type Trouble } from './trouble';

const ADVICE_AFTER = 500;
/** An answer that takes longer than this is said to be on its way. */
const SLOW_AFTER = 400;

/** What the server makes of a rig: asked at every change, the newest wish first. */
export class Answers {
  report = $state.raw<Answer | null>(null);
  /** The document that the answer is of. */
  of = $state.raw<RigDocument | null>(null);
  /** Why the last change was not computed. */
  problem = $state.raw<Trouble | null>(null);
  advice = $state.raw<Change[] | null>(null);
  /** The document the advice was computed for. */
  adviceFor = $state.raw<RigDocument | null>(null);
  slow = $state(false);
  /** The let-go case that is looked at. */
  letGo = $state(INTACT);

  private design: Schemas['DesignReport'] | null = null;
  private asking = false;
  private wanted: RigDocument | null = null;
  private advising: AbortController | null = null;

  /** @param now The document as it stands. */
  constructor(
    private readonly now: () => RigDocument,
    private readonly timers: Timers,
  ) {}

  /** The let-go case that the answer shows; the whole rig first. */
  get shown() {
    const of = this.report?.shape.letGo;
    return this.report?.letGo.find((l) => l.id === of) ?? this.report?.letGo[0];
  }

  /** Advice on what was is of no use any more, and keeps the server from answering. */
  moved() {
    this.advising?.abort();
  }

  /** Looks at a let-go case: how it stands is asked for. */
  look(letGo: string) {
    if (letGo === this.letGo) return;
    this.letGo = letGo;
    void this.ask(this.now());
  }

  /** Latest wins: while one answer is on its way, only the newest wish is remembered. */
  async ask(doc: RigDocument) {
    this.wanted = doc;
    if (this.asking) return;
    this.asking = true;
    this.timers.later('slow', SLOW_AFTER, () => (this.slow = true));
    while (this.wanted) {
      const asked: RigDocument = this.wanted;
      this.wanted = null;
      try {
        const report = await this.answer(asked);
        [this.report, this.of, this.problem, this.slow] = [report, asked, null, false];
        this.timers.later('slow', SLOW_AFTER, () => (this.slow = true));
        // A case that is not there any more: the whole rig is shown.
        if (!report.letGo.some((l) => l.id === this.letGo)) this.letGo = INTACT;
        if (this.adviceFor !== asked) this.timers.later('advice', ADVICE_AFTER, () => this.advise());
      } catch (e) {
        this.slow = true;
        this.problem = troubleOf(e);
        if (this.problem.again) this.timers.later('retry assess', RETRY_AFTER, () => this.ask(this.now()));
      }
    }
    this.asking = false;
  }

  /** Another speed of the same rig is asked for by the design's id; the whole where the server keeps it no more. */
  private async answer(doc: RigDocument): Promise<Answer> {
    const letGo = this.letGo;
    if (this.design && this.of && onlySpeed(this.of, doc))
      try {
        const body = { design: this.design.id, speed: doc.run.speed, letGo };
        return shown(this.design, await ask(api.POST('/api/assess/drive', { body })));
      } catch (e) {
        if (!(e instanceof ApiError && e.status === 404)) throw e;
      }
    const query = { advice: false, workings: false, letGo };
    const { design, drive } = await ask(api.POST('/api/assess', { body: doc, params: { query } }));
    this.design = design;
    return shown(design, drive);
  }

  private async advise() {
    const doc = this.now();
    this.advising = new AbortController();
    try {
      const advice = await ask(api.POST('/api/advice', { body: withShelf(doc), signal: this.advising.signal }));
      if (doc === this.now()) [this.advice, this.adviceFor] = [advice, doc];
    } catch (e) {
      if (!(e instanceof ApiError)) throw e;
    }
  }
}
