import { boilerShape, type FitOut, glassHeight } from '../engine';
import { group } from '../form';
import { coldWater, saturationAtGauge, waterVolume } from '../steam';
import { above, asked, atmosphereAt, type Gauge, given, line, minus, over, plus, times, workedFrom, type WorkedStep } from '../units';
import { sum } from './sum';

const nothing = group('Nothing', {});

/** A sum that its drawing answers: nothing is asked. */
const drawn = (
  key: string,
  name: string,
  of: (f: FitOut) => readonly WorkedStep[],
  { when, caution }: { when?: (f: FitOut) => boolean; caution?: string } = {}
) =>
  sum({
    key,
    name,
    ...(when ? { when: ({ fitOut }) => when(fitOut) } : {}),
    inputs: nothing,
    usual: () => ({}),
    work: (_, { fitOut }) => workedFrom(of(fitOut), 'from the drawing', caution)
  });

const hasGlass = (f: FitOut) => f.glasses.length > 0;
const below = (f: FitOut, name: string, glass: number) => {
  const height = glassHeight(f, glass);
  return asked(name, 'volume', 'room of the boiler below that height', boilerShape(f.boiler).volume(height), [
    given('height above the barrel’s bottom', height, 'length', 'fit-out')
  ]);
};

/** What follows from an engine's drawing alone, in the order in which it is read. */
export const drawings = [
  drawn('half', 'Water at half a glass', (f) => [below(f, 'water at half a glass', 0.5)], { when: hasGlass }),
  drawn(
    'tenth',
    'One tenth of the glass is',
    (f) => {
      const [low, high] = [-0.05, 0.05].map((by) =>
        below(f, by < 0 ? 'water a twentieth below the wanted level' : 'water a twentieth above it', f.levels.wanted + by)
      );
      return [low!, high!, line('a tenth of the glass', 'volume', minus(above(high!), above(low!)))];
    },
    { when: hasGlass }
  ),
  drawn(
    'cover',
    'Bottom nut above the hottest metal',
    (f) => [
      line(
        'cover',
        'length',
        minus(
          given('bottom nut', f.glasses[0]!.bottomNut, 'length', 'fit-out'),
          given('highest heated plate or tube', boilerShape(f.boiler).heated, 'length', 'geometry')
        )
      )
    ],
    { when: hasGlass, caution: 'On the level. One per cent out of level over half a metre is 5 mm.' }
  ),
  drawn(
    'total',
    'Boiler holds',
    (f) => [asked('room', 'volume', 'all the room inside, from the dimensions of the boiler', boilerShape(f.boiler).total, [])],
    { when: (f) => !hasGlass(f) }
  ),
  drawn('boils', 'Water boils, at working pressure', (f) => [
    asked(
      'boils at',
      'temperature',
      'boiling temperature at that pressure over the atmosphere (IAPWS-IF97)',
      saturationAtGauge(f.workingPressure as Gauge, atmosphereAt(f.altitude)).T,
      [
        given('working pressure', f.workingPressure, 'pressure', 'fit-out'),
        given('atmosphere, by the altitude', atmosphereAt(f.altitude), 'pressure', 'fit-out')
      ]
    )
  ]),
  drawn(
    'swell',
    'Water swells by',
    (f) => [
      line(
        'swell',
        'share',
        minus(
          over(
            given('room of a kilogram of boiling water', saturationAtGauge(f.workingPressure as Gauge).vf, 'volume', 'steam tables'),
            given('room of one at 15 °C', waterVolume(coldWater), 'volume', 'steam tables')
          ),
          given('what it was', 1, 'share', 'steam tables')
        )
      )
    ],
    { caution: 'Bubbles while steaming add to it.' }
  ),
  drawn(
    'accumulation',
    'Accumulation limit',
    (f) => [
      line(
        'limit',
        'pressure',
        times(given('working pressure', f.workingPressure, 'pressure', 'fit-out'), given('and a tenth', 1.1, 'ratio', 'rule of the club'))
      )
    ],
    { caution: 'A tenth is the usual limit; the club’s boiler code or the examiner may say otherwise, and theirs wins.' }
  ),
  drawn(
    'tank',
    'Tanks hold',
    (f) => [line('water', 'volume', plus(...f.tanks.map((t) => given(t.name, t.capacity, 'volume', 'fit-out'))))],
    {
      when: (f) => f.tanks.length > 0
    }
  ),
  drawn(
    'run',
    'Longest run on one fill',
    (f) => [line('run', 'time', given('set by the owner, as there is no glass to tell', f.runLimit!, 'time', 'fit-out'))],
    { when: (f) => f.runLimit !== null }
  )
] as const;
