import { group, type Infer, text } from '../../form';
import type { KindOf } from './kind';

const fields = group('Cleared', { fault: text('Which fault', 1, 2000), fix: text('What fixed it', 1, 2000) });
export type Cleared = Infer<typeof fields>;

/** Told by the book when a fault is fixed on its page while the engine is in steam. */
export const cleared: KindOf<Cleared> = {
  fields,
  does: (state, { fault }, { at }) => {
    const clear = <F extends { readonly text: string; readonly clearedAt?: string }>(f: F): F =>
      f.text === fault && !f.clearedAt ? { ...f, clearedAt: at } : f;
    return { ...state, faults: state.faults.map(clear), before: state.before.map(clear) };
  },
  says: ({ fault, fix }) => `Fault cleared: ${fault}. ${fix}`
};
