import { coldWater, saturationAtGauge, waterVolume } from '../steam';
import { atmosphereAt, type Gauge, Refusal } from '../units';
import type { FitOut } from './fit-out';
import { boilerShape, glassHeight, glassLevel, heightOf, shellGrowth } from './geometry';

/** What happens to the water between filling and the hot level that is looked for. */
export interface Between {
  /** Water boiled away before the first feed can work, or used by tests, kg. */
  readonly used?: number;
  /** Water fed in, kg. */
  readonly added?: number;
  /** Share of the water's space taken by steam bubbles below the bottom nut, 0 to 0.3. */
  readonly bubbles?: number;
  /** Temperature of the water that is filled in, K. */
  readonly fillAt?: number;
}

const hotWater = (fitOut: FitOut) => {
  const s = saturationAtGauge(fitOut.workingPressure as Gauge, atmosphereAt(fitOut.altitude));
  return { s, shape: boilerShape(fitOut.boiler), growth: shellGrowth(fitOut.shell.material, s.T) };
};

/**
 * The cold volume that will stand at a wanted glass when the engine is at working pressure: pure expansion of water and
 * shell, mass of water and steam conserved.
 * m = V_hot(1−b)/v_f + (V − V_hot(1−b))/v_g + used − added; cold volume = m·v(fill temperature).
 * @param hot wanted glass at working pressure, 0 to 1
 * @returns cold volume in m³ and, with a glass, the cold glass (outside 0…1 means beyond a nut)
 */
export function coldFor(fitOut: FitOut, hot: number, between: Between = {}): { volume: number; glass: number } {
  if (!(hot >= 0 && hot <= 1)) throw new Refusal('glass', 'A glass reading lies between 0 (bottom nut) and 1 (top nut).');
  const { used = 0, added = 0, bubbles = 0, fillAt = coldWater } = between;
  const { s, shape, growth } = hotWater(fitOut);
  const water = shape.volume(glassHeight(fitOut, hot)) * growth * (1 - bubbles);
  const mass = water / s.vf + (shape.total * growth - water) / s.vg + used - added;
  const volume = mass * waterVolume(fillAt);
  if (!(volume > 0 && volume < shape.total)) throw new Refusal('glass', 'No cold fill gives that hot level in this boiler.');
  return { volume, glass: glassLevel(fitOut, heightOf(shape, volume)) };
}

/** The glass at working pressure for a cold glass: the same sum the other way, by halving. */
export function hotFor(fitOut: FitOut, cold: number, between: Between = {}): number {
  const { shape } = hotWater(fitOut);
  const volume = shape.volume(glassHeight(fitOut, cold));
  let [low, high] = [0, 1];
  const coldVolume = (hot: number) => {
    try {
      return coldFor(fitOut, hot, between).volume;
    } catch (error) {
      if (error instanceof Refusal) return Infinity;
      throw error;
    }
  };
  if (coldVolume(1) < volume) throw new Refusal('glass', 'Hot, the water would stand above the top nut.');
  if (coldVolume(0) > volume) throw new Refusal('glass', 'Hot, the water would stand below the bottom nut.');
  for (let i = 0; i < 50; i++) {
    const middle = (low + high) / 2;
    if (coldVolume(middle) < volume) low = middle;
    else high = middle;
  }
  return (low + high) / 2;
}
