import { api, ApiError, ask, type Schemas } from '../api/client';
import { readJson, write } from './kept';

/** Under which what a phone was let in to is kept, for when the computer is out of reach. */
const KEPT = 'ochema.door';

/** Which door this page came through: the computer's own, or the one of phones. */
class DoorState {
  phone = $state.raw<Schemas['OwnPhone'] | null>(null);

  /** Asks; where there is no answer, as it was the last time this page was a phone's. */
  async load() {
    try {
      this.phone = (await ask(api.GET('/api/door'))).phone ?? null;
      if (this.phone) write(KEPT, JSON.stringify(this.phone));
    } catch (e) {
      // Out of reach is one thing; let in no more is another.
      this.phone = e instanceof ApiError && e.offline ? readJson(KEPT) : null;
      if (!this.phone) throw e;
    }
  }
}

export const door = new DoorState();
