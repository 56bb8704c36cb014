import type { RigSummary } from '../api/client';

/** What a rig can be found by: each a text as it stands on its card. */
export interface Findable {
  name: string;
  film: string;
  host: string;
  site: string;
  verdict: string;
  picture: string;
  next: string;
}

/** True where every word that is asked for is somewhere on a card, whatever its case. */
export function finds(asked: string, of: Findable): boolean {
  const text = Object.values(of).join(' ').toLowerCase();
  return asked
    .toLowerCase()
    .split(/\s+/)
    .every((word) => text.includes(word));
}

/** What is due on a rig: a cure that is running, or what is to be done next. */
export const dueOf = (rig: RigSummary) =>
  [rig.card?.making?.cures?.length ? 'due' : '', rig.card?.nextThing ?? ''].join(' ');
