import { group, type Infer, number, oneWord } from '../../form';
import { valves } from '../../procedure';
import { printGlass } from '../../units';
import { valveSet } from '../events';
import type { KindOf } from './kind';

const fields = group('Valve', { valve: oneWord('Which valve', valves), open: number('How far open', 0, 1) });
export type ValveBody = Infer<typeof fields>;

/** What blows is on or off; what lets through is open or shut. */
const blows = ['blower', 'fan', 'whistle'];

export const valve: KindOf<ValveBody> = {
  fields,
  tells: ({ valve, open }) => valveSet(valve, open),
  says: ({ valve, open }) =>
    blows.includes(valve)
      ? `${valve} ${open === 0 ? 'off' : open === 1 ? 'on' : `on, ${printGlass(open)}`}`
      : `${valve} ${open === 0 ? 'shut' : open === 1 ? 'open' : `${printGlass(open)} open`}`,
  echoes: ({ valve, open }) => `${valve} ${open === 0 ? 'shut' : open === 1 ? 'open' : `${printGlass(open)} open`}`
};
