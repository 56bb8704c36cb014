import type { Schemas, Verdict } from '../api/client';
import { limitText, speedText, words } from './quantity';

/** The word for a use of a let-go case, by the same limits as the server's own verdicts. */
export const verdictOf = (use: number): Verdict => (use <= 0.8 ? 'holds' : use <= 1 ? 'tight' : 'lets-go');

/** The word of a verdict: a rule or a misfit refuses, loads let go. */
export const verdictWord = (v: Pick<Schemas['VerdictReport'], 'word' | 'why'>): string =>
  v.why === 'refused' ? 'refused' : words[v.word];

/** What stands behind the word of a verdict: up to where, or what it waits for. */
export function verdictRest(
  v: Pick<Schemas['VerdictReport'], 'word' | 'limitSpeed' | 'why'>,
  speed: number,
  hostId: string,
): string {
  if (v.why === 'refused') return ' as it stands';
  if (v.why === 'moves') return ': it moves freely';
  if (v.why === 'missing') return v.word === 'lets-go' ? ': too little keeps it' : ' until it is kept';
  if (v.why === 'unanswered') return ' until you have answered';
  if (v.limitSpeed === 0) return ' standing still';
  if (v.word === 'lets-go') return v.limitSpeed == null ? '' : ` above ${speedText(v.limitSpeed, hostId)}`;
  if (v.limitSpeed != null) return ` up to ${speedText(v.limitSpeed, hostId)}`;
  return v.word === 'tight' ? ` at ${speedText(speed, hostId)}` : ` at ${limitText(null, hostId)}`;
}
