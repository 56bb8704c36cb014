import { api, ApiError, ask, type Schemas } from '../api/client';
import { readJson, write } from './kept';
import type { Entry } from './logbook.svelte';

export type StoredCard = Schemas['StoredCard'];
export type Conditions = Schemas['Conditions'];

/** How long until it is asked for again where the server was away, ms. */
const AGAIN = 10_000;

/** The card of a day, as the server made it last; kept in this browser, so that it stands there without a connection. */
export class RunCardState {
  card = $state.raw<StoredCard | null>(null);
  problem = $state('');
  /** True while what stands there is from before the connection broke off. */
  stale = $state(false);
  private asked = 0;
  private timer: ReturnType<typeof setTimeout> | undefined;

  constructor(private readonly rig: string) {
    this.card = readJson(this.name);
    this.stale = this.card !== null;
  }

  private get name() {
    return `ochema.card.${this.rig}`;
  }

  close() {
    this.asked++;
    clearTimeout(this.timer);
  }

  /** Asks for the card of a day; null for the day that stands on it, or the document's. */
  async ask(conditions: Conditions | null) {
    const mine = ++this.asked;
    clearTimeout(this.timer);
    try {
      const card = await ask(
        api.POST('/api/rigs/{id}/today', {
          params: { path: { id: this.rig } },
          body: { conditions: conditions ?? this.card?.conditions ?? null },
        }),
      );
      if (mine !== this.asked) return;
      [this.card, this.problem, this.stale] = [card, '', false];
      write(this.name, JSON.stringify(card));
    } catch (e) {
      if (mine !== this.asked) return;
      if (e instanceof ApiError && e.offline) this.timer = setTimeout(() => void this.ask(conditions), AGAIN);
      if (e instanceof ApiError && (e.offline || e.shut) && this.card) this.stale = true;
      else this.problem = e instanceof ApiError ? e.message : 'The card could not be made.';
    }
  }
}

/** A tick as it stands with what this browser has not sent yet. */
export function ticked(tick: Schemas['Tick'], waiting: readonly Entry[]): Schemas['Tick'] {
  const last = waiting.findLast((e) => e.of === tick.id && ['tick', 'untick', 'gauge'].includes(e.sort));
  if (!last) return tick;
  return last.sort === 'untick'
    ? { ...tick, at: undefined, value: undefined, note: undefined }
    : { ...tick, at: last.at, value: last.value ?? undefined, note: last.note || undefined };
}

/** Since when a run goes on, with what was not sent yet; null while none does. */
export function runningSince(since: string | null | undefined, waiting: readonly Entry[]): string | null {
  const last = waiting.findLast((e) => e.sort === 'run-start' || e.sort === 'run-end');
  return last ? (last.sort === 'run-start' ? last.at : null) : (since ?? null);
}
