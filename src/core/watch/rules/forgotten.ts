import { mark, psi } from '../../units';
import type { Rule } from '../rule';
import { ms } from '../view';

/** Over the pressure from which the blower sustains the fire by so much the fan has been forgotten, Pa. */
const longPast = psi(15);

/** A plug in a bore of the chimney when steam goes up it. */
export const plug: Rule = {
  key: 'plug',
  rank: 'look',
  clears: 'Plug out, or regulator shut.',
  on: ({ fire }) => fire.with === 'solid' && fire.chimneyBores > 1,
  finds: ({ state }) => {
    const move = state.valves.regulator;
    return state.open.plug && move && move.open > 0
      ? {
          from: ms(move.at),
          since: move.at,
          what: 'Regulator open with the second chimney bore plugged',
          first: 'Shut the regulator. Plug out.'
        }
      : undefined;
  }
};

/** The fan on the chimney long after the engine can draw its own fire. */
export const fan: Rule = {
  key: 'fan',
  rank: 'look',
  clears: 'Fan off.',
  on: ({ fire }) => fire.with === 'solid' && fire.draught === 'fan',
  finds: ({ plant, state: { open, pressure, fire } }) =>
    open.fan && pressure && !fire.outAt && plant.sustains > 0 && pressure.value > plant.sustains + longPast
      ? {
          from: ms(pressure.at),
          since: pressure.at,
          what: `Fan still on: its own blower draws from ${mark(plant.sustains, 'pressure')}`,
          first: 'Blower on, fan off.'
        }
      : undefined
};
