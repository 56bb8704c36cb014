import type { RigDocument, Schemas } from '../api/client';

/** What a document is walked as. */
export type Node = Record<string, unknown>;

/** A row of the user's own, as documents carry it. */
export type OwnRow = { id: string; name: string; source: string; range?: string } & Node;

/** Ids of own rows begin so. */
export const OWN = 'own-';

/**
 * The steps of a path like "run.speed", "at.0" or "braces.[left].length": a name in brackets is the one of a list with that id, or of a joint's layers the
 * one so called.
 */
export const steps = (path: string) => path.match(/\[[^\]]*\]|[^.]+/g) ?? [];

/** One step down; undefined where there is nothing. */
export function down(at: unknown, step: string): unknown {
  if (at == null) return undefined;
  return step.startsWith('[')
    ? (at as Node[]).find((x) => [x.id, x.layer].includes(step.slice(1, -1)))
    : (at as Node)[step];
}

/**
 * A document with one part of it changed; all that is not on the way there stays the very same. Undefined where a list has no such part.
 *
 * @param change Changes the part that holds the last step of the path: a copy, down to its own parts.
 */
export function withValue<T extends object>(
  doc: T,
  path: string,
  change: (at: Node, last: string, way: readonly string[]) => void,
): T | undefined {
  const way = steps(path);
  const walk = (at: unknown, left: readonly string[]): unknown => {
    const step = left[0]!;
    if (left.length === 1) {
      const copy = JSON.parse(JSON.stringify(at)) as Node;
      change(copy, step, way);
      return copy;
    }
    const list = Array.isArray(at);
    const key = step.startsWith('[') ? (at as Node[]).indexOf(down(at, step) as Node) : step;
    const next = list ? (at as unknown[])[Number(key)] : ((at as Node)[key] ?? {});
    const changed = next === undefined ? undefined : walk(next, left.slice(1));
    if (changed === undefined) return undefined;
    return list ? at.map((x, i) => (i === Number(key) ? changed : x)) : { ...(at as Node), [key]: changed };
  };
  return walk(doc, way) as T | undefined;
}

/** What stands at a path. */
export const valueAt = (doc: unknown, path: string) => steps(path).reduce(down, doc);

/** Which of the ways to a camera a place belongs to: 0 for the first; −1 for what belongs to none. */
export function pathOf(doc: RigDocument, at: string): number {
  const [list, own] = steps(at);
  return list === 'paths' && own ? doc.paths.findIndex((p) => p === down(doc.paths, own)) : -1;
}

/** Whether two documents, or parts of them, say the same, in whatever order; what is undefined is not there. */
export function alike(a: unknown, b: unknown): boolean {
  if (a === b || typeof a !== 'object' || typeof b !== 'object' || !a || !b) return a === b;
  if (Array.isArray(a) !== Array.isArray(b)) return false;
  return [...new Set([...Object.keys(a), ...Object.keys(b)])].every((k) => alike((a as Node)[k], (b as Node)[k]));
}

/** Every text of a document that names an own row. */
function named(part: unknown, into = new Set<string>()): Set<string> {
  if (typeof part === 'string') {
    if (part.startsWith(OWN)) into.add(part);
  } else if (part && typeof part === 'object') for (const x of Object.values(part)) named(x, into);
  return into;
}

/**
 * True for a measured value that is the document's still. What came out at the bench may be no number of it, as a usual hole or how long a rod is: that the
 * server knows, as long as what it is of is there.
 */
function stands(doc: unknown, path: string, taken: { value: number; built?: unknown }): boolean {
  const value = valueAt(doc, path);
  if (value !== undefined || !taken.built) return value === taken.value;
  return path.startsWith('joints.') || valueAt(doc, steps(path).slice(0, -1).join('.')) !== undefined;
}

/**
 * The document with just the own rows that it names, those it has before those of the shelf, and with the days of those measured values that still stand
 * in it.
 */
export function carried(doc: RigDocument, shelf: readonly Schemas['ShelfRow'][]): RigDocument {
  const { stock, measured, ...rest } = doc;
  const ids = named(rest);
  const had = Object.entries((stock ?? {}) as Record<string, OwnRow[]>);
  const rows: Record<string, OwnRow[]> = {};
  for (const [list, own] of had) for (const row of own ?? []) if (ids.delete(row.id)) (rows[list] ??= []).push(row);
  const kept = Object.values(rows).flat().length;
  for (const own of shelf) if (!own.fault && ids.delete(own.id)) (rows[own.list] ??= []).push(own.row as OwnRow);
  const now = Object.values(rows).flat().length;
  const taken = Object.entries(measured ?? {}).filter(([path, t]) => stands(rest, path, t));
  const sameRows = kept === now && kept === had.flatMap(([, own]) => own ?? []).length;
  // Nothing to do leaves it the very same: what is known of it stays known.
  if (sameRows && taken.length === Object.keys(measured ?? {}).length) return doc;
  const next = { ...doc };
  if (taken.length) next.measured = Object.fromEntries(taken);
  else delete next.measured;
  if (now) next.stock = rows as unknown as RigDocument['stock'];
  else delete next.stock;
  return next;
}

/** The document with all of the shelf beside it, for questions that try what else there is. */
export function besideShelf(doc: RigDocument, shelf: readonly Schemas['ShelfRow'][]): RigDocument {
  const stock = structuredClone(doc.stock ?? {}) as Record<string, OwnRow[]>;
  const has = new Set(Object.values(stock).flatMap((rows) => (rows ?? []).map((r) => r.id)));
  for (const own of shelf) if (!own.fault && !has.has(own.id)) (stock[own.list] ??= []).push(own.row as OwnRow);
  return Object.keys(stock).length ? { ...doc, stock: stock as unknown as RigDocument['stock'] } : doc;
}

/** Own rows of the document that the shelf has otherwise by now. */
export function newerOnShelf(doc: RigDocument, shelf: readonly Schemas['ShelfRow'][]): OwnRow[] {
  return Object.entries((doc.stock ?? {}) as Record<string, OwnRow[]>).flatMap(([list, rows]) =>
    (rows ?? []).flatMap((row) => {
      const own = shelf.find((s) => s.list === list && s.id === row.id && !s.fault);
      return own && !alike(own.row, row) ? [own.row as OwnRow] : [];
    }),
  );
}

/** An id for a new own row, none of those taken. */
export function ownId(name: string, taken: readonly string[]): string {
  const plain = name
    .toLowerCase()
    .normalize('NFKD')
    .replace(/[^a-z0-9]+/g, '-')
    .replace(/^-+|-+$/g, '')
    .slice(0, 40);
  let id = OWN + (plain || 'row');
  for (let n = 2; taken.includes(id); n++) id = `${OWN}${plain || 'row'}-${n}`;
  return id;
}

/** Today where the user is, as YYYY-MM-DD. */
export function today(now = new Date()) {
  const two = (n: number) => String(n).padStart(2, '0');
  return `${now.getFullYear()}-${two(now.getMonth() + 1)}-${two(now.getDate())}`;
}
