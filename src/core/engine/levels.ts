import { coldWater, saturationAtGauge, waterVolume } from '../steam';
import { type Gauge, Refusal, type Worked } from '../units';
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
  const s = saturationAtGauge(fitOut.workingPressure as Gauge);
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

/**
 * The starting level, with its working: what to fill to when cold so that the glass stands as wanted when hot.
 * @returns the cold glass (0 to 1); an engine without a glass gets its measured fill instead, in m³
 */
export function startingLevel(fitOut: FitOut, between: Between = {}): Worked {
  if (fitOut.glasses.length === 0) {
    const shape = boilerShape(fitOut.boiler);
    const fill = fitOut.fill ?? 0;
    return {
      value: fill,
      kind: 'volume',
      sure: 'from the drawing',
      steps: [
        {
          formula: 'share of the boiler filled = measured fill ÷ all the room in the boiler',
          inputs: [
            { name: 'measured fill', value: fill, kind: 'volume', from: 'fit-out' },
            { name: 'all the room', value: shape.total, kind: 'volume', from: 'geometry' }
          ],
          result: { name: 'filled', value: (fill / shape.total) * 100, kind: 'percent' }
        }
      ],
      caution: 'There is no glass: measure the water in, and time the run.'
    };
  }
  const hot = fitOut.levels.wanted;
  const { s, shape, growth } = hotWater(fitOut);
  const { volume, glass } = coldFor(fitOut, hot, between);
  const water = shape.volume(glassHeight(fitOut, hot)) * growth;
  const steam = (shape.total * growth - water) / s.vg;
  return {
    value: glass,
    kind: 'glass',
    sure: 'from the drawing',
    steps: [
      {
        formula: 'hot water = volume of the boiler up to the wanted glass × growth of the shell',
        inputs: [
          { name: 'wanted glass, hot', value: hot, kind: 'glass', from: 'fit-out' },
          { name: 'volume up to it', value: water / growth, kind: 'volume', from: 'geometry' },
          { name: 'growth of the shell', value: growth, kind: 'ratio', from: 'class default' }
        ],
        result: { name: 'hot water', value: water, kind: 'volume' }
      },
      {
        formula: 'weight = hot water ÷ its volume per kilogram + steam above it + used before the first feed − fed in',
        inputs: [
          { name: 'working pressure', value: fitOut.workingPressure, kind: 'pressure', from: 'fit-out' },
          { name: 'water boils at', value: s.T, kind: 'temperature', from: 'steam tables' },
          { name: 'litres per kilogram, hot', value: s.vf * 1e3, kind: 'ratio', from: 'steam tables' },
          { name: 'steam above it', value: steam, kind: 'mass', from: 'geometry' },
          { name: 'used before the first feed', value: between.used ?? 0, kind: 'mass', from: 'rule of the club' },
          { name: 'fed in', value: between.added ?? 0, kind: 'mass', from: 'rule of the club' }
        ],
        result: {
          name: 'weight of water and steam',
          value: water / s.vf + steam + (between.used ?? 0) - (between.added ?? 0),
          kind: 'mass'
        }
      },
      {
        formula: 'cold volume = weight × volume of a kilogram of cold water; the glass follows from the boiler’s shape',
        inputs: [{ name: 'filled at', value: between.fillAt ?? coldWater, kind: 'temperature', from: 'class default' }],
        result: { name: 'cold water', value: volume, kind: 'volume' }
      }
    ],
    caution: 'Expansion only. Bubbles while steaming, a slope or water added lift the glass further.'
  };
}
