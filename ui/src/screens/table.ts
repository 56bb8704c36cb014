import type { Component } from 'svelte';
import Make from './Make.svelte';
import Prove from './Prove.svelte';
import Rig from './Rig.svelte';
import Run from './Run.svelte';
import Shake from './Shake.svelte';

/** A screen of a rig. */
export interface RigScreen {
  id: string;
  /** In the strip across the top. */
  label: string;
  component: Component;
  /** The single keys that act on it. */
  keys: string;
  path: (rig: string) => string;
}

/** The screens of a rig, in the order of the work. To add one is to add a line. */
export const rigScreens: readonly RigScreen[] = [
  { id: 'rig', label: 'Rig', component: Rig, keys: '?[]lLvdzyar', path: (rig) => `#/rig/${rig}` },
  { id: 'shake', label: 'Shake', component: Shake, keys: '?[]zy', path: (rig) => `#/rig/${rig}/shake` },
  { id: 'make', label: 'Make', component: Make, keys: '?zy', path: (rig) => `#/rig/${rig}/make` },
  { id: 'prove', label: 'Prove', component: Prove, keys: '?', path: (rig) => `#/rig/${rig}/prove` },
  { id: 'run', label: 'Run', component: Run, keys: '?', path: (rig) => `#/rig/${rig}/run` },
];

/** What an address of the shelf asks for: a list and one of its rows, each empty for none; null for another address. */
export function shelfOf(hash: string): { list: string; row: string } | null {
  const found = /^#\/shelf(?:\/([\w-]+))?(?:\/([\w-]+))?$/.exec(hash);
  return found && { list: found[1] ?? '', row: found[2] ?? '' };
}

/** What an address asks for: a rig and one of its screens, else the yard. */
export function routeOf(hash: string): { rig: string; screen: string } | null {
  const [, rig, screen] = /^#\/rig\/([\w-]+)(?:\/([\w-]+))?$/.exec(hash) ?? [];
  return rig ? { rig, screen: rigScreens.some((s) => s.id === screen) ? screen! : rigScreens[0]!.id } : null;
}
