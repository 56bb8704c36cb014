import type { RigDocument, Schemas } from '../api/client';
import { alike } from './document';

const byId = <T extends { id: string }>(list: readonly T[]) => Object.fromEntries(list.map((x) => [x.id, x]));

/**
 * An answer as it is shown: what the rig is and what it does at its speed, each row with both. Nothing of an older answer is in it.
 */
export function shown(design: Schemas['DesignReport'], drive: Schemas['DriveReport']) {
  const [stations, checks] = [byId(design.stations), byId(design.checks)];
  return {
    ...design,
    ...drive,
    stations: drive.stations.map((s) => ({ ...stations[s.id]!, ...s })),
    checks: drive.checks.map((c) => ({ ...checks[c.id]!, ...c })),
  };
}

export type Answer = ReturnType<typeof shown>;

/** True where two documents differ in their speed at the most. A change leaves the very same what it does not touch, so that this is quick. */
export function onlySpeed(a: RigDocument, b: RigDocument): boolean {
  const still = (d: RigDocument) => ({ ...d, run: { ...d.run, speed: 0 } });
  return a === b || alike(still(a), still(b));
}
