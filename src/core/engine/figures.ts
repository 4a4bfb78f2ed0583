import { coldWater, saturationAtGauge, waterVolume } from '../steam';
import { type Figure, type Gauge, given, line, minus, over, plus, times, type Worked, type WorkedStep } from '../units';
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

/** A figure that is one sum: its value is what the line says. */
const summed = (step: WorkedStep, caution?: string): Worked => ({
  value: step.result.value,
  kind: step.result.kind,
  sure: 'from the drawing',
  steps: [step],
  caution
});

/** The limit of an accumulation test: working pressure and a tenth, unless the club's regime says otherwise. */
const accumulationLine = (f: FitOut) =>
  line(
    'limit',
    'pressure',
    times(given('working pressure', f.workingPressure, 'pressure', 'fit-out'), given('and a tenth', 1.1, 'ratio', 'rule of the club'))
  );

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
        worked: summed(
          line(
            'cover',
            'length',
            minus(given('bottom nut', nut, 'length', 'fit-out'), given('highest heated plate or tube', shape.heated, 'length', 'geometry'))
          ),
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
      worked: summed(
        line(
          'swell',
          'share',
          minus(
            over(
              given('room of a kilogram of boiling water', s.vf, 'volume', 'steam tables'),
              given('room of one at 15 °C', waterVolume(coldWater), 'volume', 'steam tables')
            ),
            given('what it was', 1, 'share', 'steam tables')
          )
        ),
        'Bubbles while steaming add to it.'
      )
    },
    {
      key: 'accumulation',
      name: 'Accumulation limit',
      worked: summed(
        accumulationLine(f),
        'A tenth is the usual limit; the club’s boiler code or the examiner may say otherwise, and theirs wins.'
      )
    }
  );
  if (f.tanks.length)
    out.push({
      key: 'tank',
      name: 'Tanks hold',
      worked: summed(line('water', 'volume', plus(...f.tanks.map((t) => given(t.name, t.capacity, 'volume', 'fit-out')))))
    });
  if (f.runLimit !== null)
    out.push({
      key: 'run',
      name: 'Longest run on one fill',
      worked: one('time', f.runLimit, 'set by the owner: there is no glass to tell', [], 'run')
    });
  return out;
}
