import { saturationAtGauge, swell } from '../steam';
import type { Figure, Gauge, Worked } from '../units';
import type { FitOut } from './fit-out';
import { boilerShape, glassHeight } from './geometry';

/** A length, volume or pressure that is one formula away from the fit-out. */
const one = (
  kind: Worked['kind'],
  value: number,
  formula: string,
  inputs: Worked['steps'][number]['inputs'],
  name: string,
  caution?: string
): Worked => ({
  value,
  kind,
  sure: 'from the drawing',
  steps: [{ formula, inputs, result: { name, value, kind } }],
  caution
});

/** The limit of an accumulation test: working pressure and a tenth, unless the club's regime says otherwise. */
export const accumulationLimit = (f: FitOut): Gauge => (f.workingPressure * 1.1) as Gauge;

/** The figures that follow from an engine's fit-out alone, each with its working. What to fill to needs its fire too: see plan. */
export function figures(f: FitOut): Figure[] {
  const shape = boilerShape(f.boiler);
  const s = saturationAtGauge(f.workingPressure as Gauge);
  const wp = { name: 'working pressure', value: f.workingPressure, kind: 'pressure', from: 'fit-out' } as const;
  const out: Figure[] = [];

  if (f.glasses.length) {
    const half = shape.volume(glassHeight(f, 0.5));
    const tenth = (shape.volume(glassHeight(f, f.levels.wanted + 0.05)) - shape.volume(glassHeight(f, f.levels.wanted - 0.05))) as number;
    const nut = f.glasses[0]!.bottomNut;
    out.push(
      {
        key: 'half',
        name: 'Water at half a glass',
        worked: one(
          'volume',
          half,
          'volume of the boiler below the middle of the glass',
          [{ name: 'middle of the glass, above the barrel’s bottom', value: glassHeight(f, 0.5), kind: 'length', from: 'fit-out' }],
          'water'
        )
      },
      {
        key: 'tenth',
        name: 'One tenth of the glass is',
        worked: one(
          'volume',
          tenth,
          'volume between a twentieth above and a twentieth below the wanted level',
          [{ name: 'length of the glass', value: f.glasses[0]!.topNut - nut, kind: 'length', from: 'fit-out' }],
          'water'
        )
      },
      {
        key: 'cover',
        name: 'Bottom nut above the hottest metal',
        worked: one(
          'length',
          nut - shape.heated,
          'height of the bottom nut − height of the highest heated plate or tube',
          [
            { name: 'bottom nut', value: nut, kind: 'length', from: 'fit-out' },
            { name: 'highest heated metal', value: shape.heated, kind: 'length', from: 'geometry' }
          ],
          'cover',
          'On the level. One per cent out of level over half a metre is 5 mm.'
        )
      }
    );
  } else
    out.push({
      key: 'total',
      name: 'Boiler holds',
      worked: one('volume', shape.total, 'all the room inside, from its dimensions', [], 'room')
    });

  out.push(
    {
      key: 'boils',
      name: 'Water boils, at working pressure',
      worked: one(
        'temperature',
        s.T,
        'saturation temperature (IAPWS-IF97)',
        [wp, { name: 'atmosphere, taken as', value: 101325, kind: 'pressure', from: 'class default' }],
        'temperature'
      )
    },
    {
      key: 'swell',
      name: 'Water swells by',
      worked: one(
        'percent',
        swell(f.workingPressure as Gauge) * 100,
        'volume of a kilogram of boiling water ÷ that at 15 °C − 1',
        [wp],
        'swell',
        'Bubbles while steaming add to it.'
      )
    },
    {
      key: 'accumulation',
      name: 'Accumulation limit',
      worked: one(
        'pressure',
        accumulationLimit(f),
        'working pressure × 1.10',
        [wp],
        'limit',
        'A tenth is the usual limit; the club’s boiler code or the examiner may say otherwise, and theirs wins.'
      )
    }
  );
  if (f.tanks.length) {
    const tank = f.tanks.reduce((sum, t) => sum + t.capacity, 0);
    out.push({
      key: 'tank',
      name: 'Tanks hold',
      worked: one(
        'volume',
        tank,
        'sum of the tanks',
        f.tanks.map((t) => ({ name: t.name, value: t.capacity, kind: 'volume', from: 'fit-out' })),
        'water'
      )
    });
  }
  if (f.runLimit !== null)
    out.push({
      key: 'run',
      name: 'Longest run on one fill',
      worked: one('time', f.runLimit, 'set by the owner: there is no glass to tell', [], 'run')
    });
  return out;
}
