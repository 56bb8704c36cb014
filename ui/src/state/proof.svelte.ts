import { api, ApiError, ask, type Schemas } from '../api/client';
import { readJson, remove, write } from './kept';

type Report = Schemas['ProveReport'];

/** How a rig is proved and how far it is, as the server said last; kept in this browser, so that it stands there without a connection. */
export class ProofState {
  report = $state.raw<Report | null>(null);
  problem = $state('');

  constructor(private readonly rig: string) {
    this.report = readJson(this.name);
  }

  private get name() {
    return `ochema.proof.${this.rig}`;
  }

  async ask() {
    try {
      const answer = await ask(api.GET('/api/rigs/{id}/proof', { params: { path: { id: this.rig } } }));
      [this.report, this.problem] = [answer.report, ''];
    } catch (e) {
      this.problem = e instanceof ApiError ? e.message : 'The proofs could not be computed.';
      // What the server says of the rig as it is now is worth more than what it said before.
      if (e instanceof ApiError && e.status >= 400 && e.status < 500 && !e.shut) this.report = null;
    }
    if (this.report) write(this.name, JSON.stringify(this.report));
    else remove(this.name);
  }
}
