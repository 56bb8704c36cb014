import { fresh } from './fresh';

/**
 * What the browser keeps: choices, and changes that the server does not have yet. A browser that blocks or has filled its storage keeps nothing; the
 * application goes on and says so.
 */
export function read(key: string): string | null {
  try {
    return localStorage.getItem(key);
  } catch {
    return null;
  }
}

/** What was kept as JSON; null for nothing, and for what cannot be read: this application did not write it. */
export function readJson<T>(key: string): T | null {
  try {
    return JSON.parse(read(key) ?? 'null') as T | null;
  } catch {
    return null;
  }
}

/** False where it could not be kept. */
export function write(key: string, value: string): boolean {
  try {
    localStorage.setItem(key, value);
    return true;
  } catch {
    return false;
  }
}

export function remove(key: string): void {
  try {
    localStorage.removeItem(key);
  } catch {
    // Nothing is kept, so there is nothing to take away.
  }
}

function keys(): string[] {
  try {
    return Object.keys(localStorage);
  } catch {
    return [];
  }
}

/** The name of this window, held while it is open: two windows on one rig keep their changes apart. */
const thisWindow = claim();

async function claim(): Promise<string> {
  let name: string | null = null;
  try {
    name = sessionStorage.getItem('ochema.window');
  } catch {
    // A name for this visit only.
  }
  name ??= fresh();
  // A window that was duplicated has the other's name: it takes a new one.
  while (navigator.locks && !(await hold(lockOf(name)))) name = fresh();
  try {
    sessionStorage.setItem('ochema.window', name);
  } catch {
    // As above.
  }
  return name;
}

function lockOf(name: string): string {
  return 'ochema.window.' + name;
}

function hold(lock: string): Promise<boolean> {
  return new Promise((resolve) => {
    void navigator.locks.request(lock, { ifAvailable: true }, (held) => {
      resolve(held !== null);
      return held ? new Promise(() => {}) : undefined;
    });
  });
}

/** A change that the server does not have yet, and the version it was made on. */
export type Unsaved<T> = { document: T; version: number };

/** Where this window keeps the unsaved change of a rig. */
export async function unsavedKey(rig: string): Promise<string> {
  return `ochema.unsaved.${rig}.${await thisWindow}`;
}

/** The unsaved change of a rig: this window's own, else one that a closed window left. It is this window's from then on. */
export async function findUnsaved<T>(rig: string): Promise<Unsaved<T> | null> {
  const own = await unsavedKey(rig);
  const open = new Set((await navigator.locks?.query())?.held?.map((l) => l.name));
  const left = keys().filter(
    (k) => k.startsWith(`ochema.unsaved.${rig}.`) && k !== own && !open.has(lockOf(k.split('.').at(-1)!)),
  );
  for (const key of [own, ...left]) {
    const text = read(key);
    if (!text) continue;
    try {
      const found = JSON.parse(text) as Unsaved<T>;
      if (key !== own && write(own, text)) remove(key);
      return found;
    } catch {
      remove(key);
    }
  }
  return null;
}

/** Changes that can be undone and done again, and when they were left. */
export type History<T> = { at: number; doc: T; past: T[]; future: T[] };

/** Longest that a window remembers what it could undo, ms. */
const REMEMBERED = 3600_000;

/** What is undone is of one window: it survives a reload, not the window. */
export function keepHistory<T>(rig: string, history: History<T>): void {
  // As far back as there is room for.
  for (let past = history.past.slice(-40); ; past = past.slice(Math.ceil(past.length / 2))) {
    try {
      sessionStorage.setItem('ochema.undo.' + rig, JSON.stringify({ ...history, past }));
      return;
    } catch {
      if (past.length === 0) return;
    }
  }
}

/** What this window could undo of a rig within the hour; null where it has forgotten. */
export function findHistory<T>(rig: string): History<T> | null {
  try {
    const found = JSON.parse(sessionStorage.getItem('ochema.undo.' + rig) ?? 'null') as History<T> | null;
    return found && Date.now() - found.at < REMEMBERED ? found : null;
  } catch {
    return null;
  }
}
