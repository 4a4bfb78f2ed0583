import type { Phase, StepRule } from '../step';
import { fillAndOil } from './fill-and-oil';
import { lightUp } from './light-up';
import { lookOver } from './look-over';
import { prove } from './prove';
import { putAway } from './put-away';
import { raise } from './raise';
import { run } from './run';
import { shutDown } from './shut-down';

/** Stored with every steaming. Raise it whenever a step's meaning changes. */
export const libraryVersion = '2026.15';

/** Every step Joram knows, by phase and in the order in which the work is done. */
export const library: readonly { readonly phase: Phase; readonly rules: readonly StepRule[] }[] = [
  { phase: 'Look over', rules: lookOver },
  { phase: 'Fill and oil', rules: fillAndOil },
  { phase: 'Light up', rules: lightUp },
  { phase: 'Raise', rules: raise },
  { phase: 'Prove', rules: prove },
  { phase: 'Run', rules: run },
  { phase: 'Shut down', rules: shutDown },
  { phase: 'Put away', rules: putAway }
];
