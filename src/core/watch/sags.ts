import { plantFor, type Plant, waterAtGlass } from '../boiler';
import { type FitOut, heldAt, thermostatOf } from '../engine';
import type { State } from '../log';
import { boilingAt, waterVolume } from '../steam';
import { sag } from '../sums';
import { isLevel, psi } from '../units';
import { countdownOf } from './countdown';

/** SAGGING: an electric boiler's needle that falls while its element is on. It asks for more steam than the element makes. */

/** Three looks at the needle, each lower, tell of a fall when it is more than readings may be off, Pa, and they lie so far apart, ms. */
const fell = psi(3);
const shortest = 30_000;
const longest = 15 * 60_000;
type Needle = State['needle'][number];
const between = (a: Needle, b: Needle) => Date.parse(b.at) - Date.parse(a.at);

/** kg of water in it: by the glass, or what went in for this run, or two thirds of its room. */
function waterIn(fitOut: FitOut, state: State, plant: Plant, pressure: number): number {
  const T = boilingAt(pressure + plant.atmosphere);
  if (state.glass && isLevel(state.glass.value)) return waterAtGlass(plant.vessel, state.glass.value, T) / waterVolume(T);
  const count = countdownOf(fitOut, state);
  return count && !('refused' in count) ? count.sum.water : (0.67 * plant.vessel.room) / waterVolume(T);
}

/** What it asks for while it sags, as steam, and what the element makes over the losses, W; undefined while it does not sag. */
export function sagging(fitOut: FitOut, state: State): { readonly asks: number; readonly makes: number } | undefined {
  const { needle, fire } = state;
  if (fitOut.fire.with !== 'electric' || !fire.litAt || fire.outAt || needle.length < 3 || needle[0]!.at < fire.litAt) return undefined;
  const plant = plantFor(fitOut);
  const hold = thermostatOf(fitOut, heldAt(fitOut))?.takesHold ?? Infinity;
  const [first, middle, last] = needle as [Needle, Needle, Needle];
  const falls = first.value > middle.value && middle.value > last.value && first.value - last.value >= fell;
  // Over where the thermostat takes hold, the element may be off, and a fall is as it should be.
  if (!falls || middle.value >= hold || between(first, last) > longest || between(middle, last) < shortest) return undefined;
  const from = first.value < hold ? first : middle;
  const worked = sag.work(
    {
      water: waterIn(fitOut, state, plant, from.value),
      before: from.value,
      after: Math.max(0, last.value),
      between: between(from, last) / 1000,
      air: 288.15
    },
    { fitOut, plant }
  );
  return { asks: worked.value, makes: worked.steps.find((s) => s.result.name === 'the element makes of steam')!.result.value };
}
