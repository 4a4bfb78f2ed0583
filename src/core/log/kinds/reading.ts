import { count, glass, group, type Infer, maybe, number, optional, quantity } from '../../form';
import { isLevel, printGlass, printText } from '../../units';
import type { KindOf } from './kind';

/** The highest pressure that a log holds, Pa at the gauge: over twice that of any boiler that Joram knows. */
export const mostPressure = 5e6;
export const gauge = (label: string) => quantity(label, 'pressure', -101_325, mostPressure);

const fields = group(
  'Reading',
  {
    pressure: optional(gauge('Pressure')),
    glass: optional(glass('Glass')),
    glassNumber: optional(count('Which glass', 1, 2)),
    glassAt: optional(maybe(gauge('Pressure it was taken at'))),
    temperature: optional(quantity('Temperature', 'temperature', 223, 1500)),
    draught: optional(number('Draught, Pa below the atmosphere', -100, 5000)),
    tank: optional(number('Share of the tank', 0, 1))
  },
  {
    oneOf: ['pressure', 'glass', 'temperature', 'draught', 'tank'],
    together: { glass: 'glassAt', glassNumber: 'glass' }
  }
);

/** Any of what can be read at one moment. A glass carries the pressure it was taken at; null when that was not known. */
export type Reading = Infer<typeof fields>;

const tankWords = (share: number) => `tank ${printGlass(share).replace('bottom nut', 'bottom').replace('top nut', 'top')}`;

export const reading: KindOf<Reading> = {
  fields,
  tells: (body) => [{ is: 'reading', ...body }],
  says: ({ pressure, glass, glassNumber, temperature, draught, tank }, { units }) =>
    [
      pressure !== undefined && printText(pressure, 'pressure', units),
      glass !== undefined && `${printGlass(glass)}${isLevel(glass) ? ' glass' : ''}${glassNumber === 2 ? ', second' : ''}`,
      temperature !== undefined && printText(temperature, 'temperature', units),
      draught !== undefined && `draught ${draught} Pa`,
      tank !== undefined && tankWords(tank)
    ]
      .filter(Boolean)
      .join(' · '),
  echoes: ({ pressure, glass, temperature, tank }, { units }) =>
    [
      pressure !== undefined && printText(pressure, 'pressure', units),
      glass !== undefined && (isLevel(glass) ? `${printGlass(glass)} of the glass` : printGlass(glass)),
      temperature !== undefined && printText(temperature, 'temperature', units),
      tank !== undefined && tankWords(tank)
    ]
      .filter(Boolean)
      .join(' · ')
};
