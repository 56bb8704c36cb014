import type { Schemas, Verdict } from '../api/client';
import { percent, speedText, words } from './quantity';

/** The word for a use of a let-go case, by the same limits as the server's own verdicts. */
export const verdictOf = (use: number): Verdict => (use <= 0.8 ? 'holds' : use <= 1 ? 'tight' : 'lets-go');

/** The word of a verdict: a rule or a misfit refuses, loads let go. */
export const verdictWord = (v: Pick<Schemas['VerdictReport'], 'word' | 'why'>): string =>
  v.why === 'refused' ? 'refused' : words[v.word];

/** A change's word with what decides it: a share of the load, or that too little keeps it. */
export const changeText = (c: Pick<Schemas['Change'], 'verdict' | 'why' | 'use'>): string =>
  c.why === 'missing' && c.verdict === 'lets-go'
    ? `${words[c.verdict]}: too little keeps it`
    : `${verdictWord({ word: c.verdict, why: c.why })}, ${percent(c.use)} used`;

/**
 * What stands behind the word of a verdict, as the server words it, in the host's speeds. Beside a first speed with its unit a second one says none.
 */
export function verdictRest(v: Pick<Schemas['VerdictReport'], 'rest'>, hostId: string): string {
  let unit = '';
  return (v.rest ?? '').replace(/ ?\{speed:([-+0-9.eE]+)\}/g, (_, value: string) => {
    const said = speedText(Number(value), hostId);
    const own = said.replace(/^[^ ]+/, '');
    const again = own === unit;
    unit = own;
    return again ? '\u00a0' + said.slice(0, -own.length) : ' ' + said;
  });
}

/** The same of a rig with something gone: of that only the end is known. */
export const goneRest = (verdict: Verdict, limit: number | null | undefined, hostId: string): string =>
  limit == null
    ? ''
    : limit === 0
      ? ' standing still'
      : ` ${verdict === 'lets-go' ? 'above' : 'up to'} ${speedText(limit, hostId)}`;
