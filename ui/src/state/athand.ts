import { createContext } from 'svelte';
import type { Figure } from '../api/client';

/** A rig that is proved or run, at the computer or on a phone beside the vehicle. Read afresh each time: it changes while it is looked at. */
export interface RigAtHand {
  readonly id: string;
  readonly name: string;
  /** Id of its host. */
  readonly host: string;
  /** Speed asked for, m/s. */
  readonly speed: number;
  /** Counts up whenever another document is stored. */
  readonly version: number;
  /** False while what stands on the screen is not stored. */
  readonly saved: boolean;
  /** Drawn flat, where the whole scene is not at hand. */
  readonly flat: Figure | null;
  /** The other screens of the rig can be gone to. */
  readonly whole: boolean;
}

export const [getAtHand, setAtHand] = createContext<RigAtHand>();
