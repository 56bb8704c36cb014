import { ApiError } from '../api/client';

/** What stands in the way of an answer or a save, and whether it is tried again by itself. */
export type Trouble = { text: string; again: boolean };

/** When something that went wrong is tried again, ms. */
export const RETRY_AFTER = 3000;

/** What went wrong; no server, a full or locked disk may pass by themselves. What is no answer of the server is thrown on. */
export function troubleOf(e: unknown): Trouble {
  if (!(e instanceof ApiError)) throw e;
  return { text: e.message, again: e.offline || e.status >= 500 };
}
