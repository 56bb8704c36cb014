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

type Numbers = Pick<Schemas['VerdictReport'], 'word' | 'limitSpeed' | 'why'> & {
  tightSpeed?: number | null;
  lookedTo?: number | null;
};

/**
 * What stands behind the word of a verdict: its two numbers, the end of the green and the end of the amber, or what it waits for. Nothing is said beyond what
 * was looked at.
 */
export function verdictRest(v: Numbers, hostId: string): string {
  const at = (speed: number) => speedText(speed, hostId);
  if (v.why === 'refused') return ' as it stands';
  if (v.why === 'moves') return ': it moves freely';
  if (v.why === 'missing') return v.word === 'lets-go' ? ': too little keeps it' : ' until it is kept';
  if (v.why === 'unanswered') return ' until you have answered';
  if (v.limitSpeed === 0) return ' standing still';
  const lets = v.limitSpeed == null ? '' : at(v.limitSpeed);
  // Beside a first number with its unit the second says none.
  const bare = lets.replace(/ .*$/, '');
  // Of a rig with something gone only the end is known.
  if (v.lookedTo == null) return v.word === 'lets-go' ? (lets ? ` above ${lets}` : '') : lets ? ` up to ${lets}` : '';
  const far = at(v.lookedTo);
  const green = v.tightSpeed == null ? '' : v.tightSpeed > 0 ? at(v.tightSpeed) : null;
  if (v.word === 'lets-go') return `${lets ? ` above ${lets}` : ''}${green ? `, holds to ${green}` : ''}`;
  if (v.word === 'tight')
    return green
      ? `: holds to ${green}, ${lets ? `lets go at\u00a0${bare}` : 'no further'}`
      : `, ${lets ? `lets go at ${lets}` : `looked at up to ${far}`}`;
  if (green === '') return ` as far as looked at, ${far}`;
  return ` to ${green}, ${lets ? `lets go at\u00a0${bare}` : 'tight beyond'}`;
}
