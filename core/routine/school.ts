import type { Region } from '../words/index.ts';
import type { OrderProfile } from './model.ts';

/** A school of order: in which order the body is worked, how the work is framed, and in which words. */
export interface School {
  /** Kept for good. */
  id: string;
  /** As it is shown. */
  name: string;
  /** What it does differently, in one line. */
  differs: string;
  /** The reason its teachers give; empty where none was given. */
  because: string;
  /** What it decides where schools differ. */
  order: OrderProfile;
  /** Stretches of the walk over head, neck and body, in order; a region in none of them may come anywhere. */
  walk: readonly (readonly Region[])[];
  /** What stands before and after the work. */
  frame: 'none' | 'drainage' | 'breath-and-scan' | 'massage';
  /** How it speaks of a dose. */
  doseWords: {
    /** What the hand does while it stays: "hold", "stay on the zone". */
    hold: string;
  };
  /** On what ground. */
  source: string;
}
