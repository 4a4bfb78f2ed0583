import type { FitOut } from '../engine';
import { type Rung, upcast } from '../form';
import { compose } from './compose';
import { libraryVersion } from './library';
import type { Procedure, Step } from './step';

const ladder: readonly Rung<FitOut>[] = [
  {
    // Steps did not say what they set: the library's own settings, by key, for this engine.
    from: '2026.11',
    to: '2026.12',
    up: (document, fitOut) => {
      const today = new Map(compose(fitOut).steps.map((s) => [s.key, s]));
      const steps = document.steps as readonly Step[];
      return {
        ...document,
        steps: steps.map((s) => ({ ...s, sets: today.get(s.key)?.sets ?? [], ...(today.get(s.key)?.ends ? { ends: true } : {}) }))
      };
    }
  },
  {
    // Points were no rounds, and nothing was shown by the log: a steaming goes on as it was begun.
    from: '2026.12',
    to: '2026.13',
    up: (document) => document
  },
  {
    // There was one run a day, and no charge was held against the water: a steaming goes on as it was begun.
    from: '2026.13',
    to: '2026.14',
    up: (document) => document
  },
  {
    // Of an element it was enough to say that the pressure held.
    from: '2026.14',
    to: '2026.15',
    up: (document) => document
  }
];

/** A procedure as it was stored or exported, in today's terms. Its steps, words and gates stay those it was run with. */
export const procedureOf = (document: unknown, fitOut: FitOut): Procedure =>
  upcast(document, { at: 'library', today: libraryVersion, ladder, given: fitOut });
