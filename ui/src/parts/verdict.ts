import type { Verdict } from '../api/client';

/** The word for a use of a let-go case, by the same limits as the server's own verdicts. */
export const verdictOf = (use: number): Verdict => (use <= 0.8 ? 'holds' : use <= 1 ? 'tight' : 'lets-go');
