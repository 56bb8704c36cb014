import { api, ApiError, ask, type Schemas } from '../api/client';
import { catalogue } from './catalogue.svelte';
import { readJson, write } from './kept';
import type { RigAtHand } from './athand';

/** A rig as a phone has it: what a list shows of it, kept in the phone for when the computer is out of reach. */
export class RideAlong implements RigAtHand {
  card = $state.raw<Schemas['RigCard'] | null>(null);
  problem = $state('');
  /** Counts up whenever the phone is looked at again: what stands on it may be old. */
  version = $state(0);
  readonly saved = true;
  readonly whole = false;

  constructor(
    readonly id: string,
    readonly name: string,
  ) {
    this.card = readJson(this.key);
  }

  private get key() {
    return `ochema.ride.${this.id}`;
  }

  get host() {
    return this.card!.host;
  }

  get speed() {
    return this.card!.speed;
  }

  get flat() {
    return this.card!.figure;
  }

  async load() {
    try {
      this.card = await ask(api.GET('/api/rigs/{id}/card', { params: { path: { id: this.id } } }));
      write(this.key, JSON.stringify(this.card));
      await catalogue.openForDay(this.card.host);
      this.problem = '';
    } catch (e) {
      this.problem = e instanceof ApiError ? e.message : 'The rig could not be read.';
    }
  }

  again() {
    this.version++;
    void this.load();
  }
}
