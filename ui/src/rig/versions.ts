import type { Schemas } from '../api/client';

export type Version = Schemas['VersionSummary'];

/** One line of the list: a version, or a run of unnamed ones folded together. */
export type Line = { version: Version } | { folded: Version[] };

/** How many of the newest are always shown one by one. */
const NEWEST = 4;

/** Named versions and the newest stand by themselves; runs of two or more unnamed ones between them fold. None is left out. */
export function fold(versions: Version[]): Line[] {
  const lines: Line[] = [];
  let run: Version[] = [];
  const close = () => {
    if (run.length === 1) lines.push({ version: run[0]! });
    else if (run.length > 1) lines.push({ folded: run });
    run = [];
  };
  versions.forEach((version, i) => {
    if (i >= NEWEST && !version.name) run.push(version);
    else {
      close();
      lines.push({ version });
    }
  });
  close();
  return lines;
}
