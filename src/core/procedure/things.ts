import type { Valve } from './valves';

/** What a step sets going, that something left open may have to forbid. */
export type Act = 'heat' | 'light' | 'admit steam' | 'move' | 'carry' | 'leave';

export interface Thing {
  /** As it is said while it is open. */
  readonly open: string;
  /** What closes it, as an instruction. */
  readonly close: string;
  /** What must not be done while it is open, and why. */
  readonly forbids: Partial<Record<Act, string>>;
}

/**
 * Everything that is put in, taken out or left open, and must be accounted for before the engine is left.
 * The key is what the log stores.
 */
export const things = {
  fan: { open: 'fan on the chimney', close: 'Take the fan off', forbids: { move: 'The fan is still on the chimney.' } },
  plug: {
    open: 'plug in the second chimney bore',
    close: 'Take the plug out',
    forbids: { move: 'The second chimney bore is still plugged: half the exhaust has nowhere to go.' }
  },
  funnel: {
    open: 'funnel in',
    close: 'Take the funnel out',
    forbids: { heat: 'The funnel is still in.', light: 'The funnel is still in.' }
  },
  valve: {
    open: 'safety valve out',
    close: 'Refit the safety valve',
    forbids: {
      heat: 'A safety valve is out: no heat and no air before it is back.',
      light: 'A safety valve is out: no fire before it is back.'
    }
  },
  filler: {
    open: 'filler plug out',
    close: 'Refit the filler plug',
    forbids: { heat: 'The filler plug is out.', light: 'The filler plug is out.' }
  },
  hose: {
    open: 'hose connected',
    close: 'Valve shut, then hose off',
    forbids: { light: 'The filling hose is still on.', move: 'The filling hose is still on.' }
  },
  'air hose': {
    open: 'air hose connected',
    close: 'Air off, then hose off',
    forbids: { move: 'The air hose is still on.', leave: 'The air hose is still on.' }
  },
  vent: { open: 'vent open', close: 'Shut the vent', forbids: {} },
  drains: { open: 'drains open', close: 'Shut the drains', forbids: {} },
  isolator: { open: 'isolator shut', close: 'Open the isolator', forbids: { move: 'An isolator is still shut after its test.' } },
  wicks: { open: 'wicks in', close: 'Take the wicks out', forbids: {} },
  gear: { open: 'out of gear', close: 'Put it in gear', forbids: {} },
  chocks: { open: 'chocked', close: 'Take the chocks away', forbids: { move: 'The chocks are still under the wheels.' } },
  'gas joint': {
    open: 'gas joint disturbed',
    close: 'Leak test the gas joint',
    forbids: {
      heat: 'A gas joint was disturbed and has not been leak tested.',
      light: 'A gas joint was disturbed and has not been leak tested.'
    }
  },
  canister: { open: 'canister open', close: 'Shut the canister', forbids: { leave: 'The gas canister is still open.' } },
  mains: { open: 'mains on', close: 'Switch off and unplug', forbids: { leave: 'The mains are still on.' } },
  cladding: { open: 'cladding off', close: 'Refit the cladding', forbids: {} },
  fire: {
    open: 'fire in',
    close: 'Fire out, and seen to be out',
    forbids: { leave: 'There is still fire in it: hand it over to someone, or wait until it is out.' }
  }
} as const satisfies Record<string, Thing>;

export type ThingKey = keyof typeof things;
export const thingKeys = Object.keys(things) as ThingKey[];

/** Valves that, left open, must be accounted for: the valve and the thing are one. */
export const valveThings: Partial<Record<Valve, ThingKey>> = { drains: 'drains', vent: 'vent', fan: 'fan' };
export const thingValves: Partial<Record<ThingKey, Valve>> = { drains: 'drains', vent: 'vent', fan: 'fan' };
