import type { Schemas } from '../api/client';
import type { RigSession } from '../state/session.svelte';

type Bench = Schemas['Bench'];

const said = (value: unknown) =>
  value != null && (typeof value !== 'object' || Object.keys(value as object).length > 0);

/** Without what is not said. */
const kept = <T extends object>(all: T) => Object.fromEntries(Object.entries(all).filter(([, v]) => said(v))) as T;

/** Says something of the bench: what the builder has, pays and saws with. */
export function say(session: RigSession, what: string, change: Partial<Bench>) {
  const bench = kept({ ...session.doc.bench, ...change });
  session.change('bench ' + what, { ...session.doc, bench: Object.keys(bench).length ? bench : undefined });
}

/** Says a value that Core asks for, by its path in the document. */
export const sayAsked = (session: RigSession, path: string, value: number | undefined) =>
  say(session, path, { [path.slice('bench.'.length)]: value });

/** Says something of one line of the list. */
export function sayLine(session: RigSession, key: string, change: Partial<Schemas['BenchLine']>) {
  const line = kept({ ...session.doc.bench?.lines?.[key], ...change });
  // “To buy” is what nobody has to say.
  const left = line.is === 'to-buy' ? kept({ ...line, is: undefined }) : line;
  say(session, key, { lines: kept({ ...session.doc.bench?.lines, [key]: left }) });
}

/** Says where a tool comes from; one's own is what nobody has to say. */
export const sayTool = (session: RigSession, id: string, from: Schemas['ToolFrom']) =>
  say(session, 'tool ' + id, {
    tools: kept({ ...session.doc.bench?.tools, [id]: from === 'own' ? undefined : from }) as Record<
      string,
      Schemas['ToolFrom']
    >,
  });
