import createClient from 'openapi-fetch';
import type { components, paths } from './schema';

/** Names of the API's shapes, as the server publishes them. */
export type Schemas = components['schemas'];
export type RigDocument = Schemas['RigDocument'];
export type Verdict = Schemas['Verdict'];
export type Change = Schemas['Change'];
export type Film = Schemas['FilmSummary'];
export type RigSummary = Schemas['RigSummary'];
export type Host = Schemas['HostPreset'];
export type Figure = Schemas['FigureReport'];
export type Shape = Schemas['FigureShape'];
export type Kind = Schemas['KindDescriptor'];
export type Field = Schemas['FieldDescriptor'];
export type Dimension = Schemas['Dimension'];
export type UnitSystem = Schemas['UnitSystem'];
export type Handle = Schemas['DragHandle'];
export type LetGo = Schemas['LetGoUse'];

export const api = createClient<paths>({ baseUrl: '/' });

/** What went wrong, in words: the server's own, or that it cannot be reached. */
export class ApiError extends Error {
  constructor(
    message: string,
    readonly status: number,
    readonly path?: string,
  ) {
    super(message);
  }

  get offline() {
    return this.status === 0;
  }

  /** This phone is let in no more, or not here. */
  get shut() {
    return this.status === 401 || this.status === 403;
  }
}

type Answer<T> = { data?: T; error?: unknown; response: Response };

/** Of answers that took too long: how much was not tried for them. */
const untried = new WeakMap<object, number>();
export const notTried = (answer: object | null | undefined) => (answer && untried.get(answer)) || 0;

/** The data of a call, or an ApiError. */
export async function ask<T>(call: Promise<Answer<T>>): Promise<T> {
  let answer: Answer<T>;
  try {
    answer = await call;
  } catch {
    throw new ApiError('The server does not answer.', 0);
  }
  if (answer.response.ok) {
    const left = Number(answer.response.headers.get('Ochema-Not-Tried'));
    if (left && answer.data && typeof answer.data === 'object') untried.set(answer.data, left);
    return answer.data as T;
  }
  const problem = (answer.error ?? {}) as { detail?: string; path?: string };
  const where = problem.path ? `${problem.path}: ` : '';
  throw new ApiError(where + (problem.detail ?? 'The server refused this.'), answer.response.status, problem.path);
}
