import type { Quantity } from '../units';

/** NUMBERS THAT STEPS ASK FOR, each with its field where it is asked. What is measured is logged under its name. */
export const asks = {
  'water temperature': { label: 'How warm the water is', quantity: 'temperature' },
  'water in': { label: 'Water put in', quantity: 'volume' },
  'water left': { label: 'Water left in the boiler', quantity: 'volume' },
  'water out': { label: 'Water let out, measured', quantity: 'volume' },
  charge: { label: 'Fuel charged', quantity: 'mass' },
  treatment: { label: 'Treatment, dose', quantity: 'volume' },
  canister: { label: 'Canister weighs', quantity: 'mass' },
  'canister after': { label: 'Canister weighs after it', quantity: 'mass' },
  'fuel used': { label: 'Fuel used', quantity: 'mass' },
  'water used': { label: 'Water used', quantity: 'volume' },
  'starts at': { label: 'Starts by itself at', quantity: 'pressure' },
  'steam oil': { label: 'Steam oil used', quantity: 'volume' },
  'motion oil': { label: 'Motion oil used', quantity: 'volume' }
} as const satisfies Record<string, { readonly label: string; readonly quantity: Quantity }>;

export type Ask = keyof typeof asks;
/** What is logged as measured; the rest are readings. */
export const measures = (Object.keys(asks) as Ask[]).filter((a) => a !== 'water temperature');
