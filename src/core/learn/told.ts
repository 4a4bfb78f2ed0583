import type { Band } from '../forecast';
import type { Past } from './past';
import type { Fit } from './raising';

/** A past raising with the steaming it belongs to. */
export interface Told {
  readonly id: string;
  readonly past: Past;
  /** Fitted when its steaming ended; fitted again when it is missing. */
  readonly fit?: Fit;
}

/** What the owner has said about an engine's past. */
export interface Learning {
  /** Steamings that are left out, by id. */
  readonly leftOut: readonly string[];
  /** Moments from which another chapter begins, ms since 1970, with why. */
  readonly chapters: readonly { readonly at: number; readonly why: string }[];
}

/** A raising against what was to be expected of it before it began. */
export interface Judged {
  readonly id: string;
  readonly litAt: number;
  readonly chapter: number;
  readonly leftOut: boolean;
  readonly fit: Fit;
  /** Why nothing is learned from it, when its readings do not go together. */
  readonly unreadable?: string;
  /** s from the match to working pressure. */
  readonly reached?: number;
  readonly expected: Band;
  readonly held?: boolean;
}
