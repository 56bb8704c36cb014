import { api, ask, type Schemas } from '../api/client';

/** How far the proofs of stored rigs have come, by rig. */
class ProvedState {
  private known = $state.raw<Record<string, Schemas['ProvedRig']>>({});

  of(rig: string): Schemas['ProvedRig'] | undefined {
    return this.known[rig];
  }

  /** Asks about all of them: for a list. What does not come is not shown. */
  async list() {
    const all = await ask(api.GET('/api/proved')).catch(() => null);
    if (all) this.known = Object.fromEntries(all.map((p) => [p.rig, p]));
  }

  /** Asks about one. */
  async one(rig: string) {
    const answer = await ask(api.GET('/api/rigs/{id}/proved', { params: { path: { id: rig } } })).catch(() => null);
    if (!answer) return;
    const next = { ...this.known };
    if (answer.proved) next[rig] = answer.proved;
    else delete next[rig];
    this.known = next;
  }
}

export const proved = new ProvedState();
