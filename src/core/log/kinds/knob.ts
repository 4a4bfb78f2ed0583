import { group, type Infer, number, optional, quantity, text } from '../../form';
import { printText } from '../../units';
import type { KindOf } from './kind';
import { gauge } from './reading';

const fields = group(
  'Setting',
  {
    burner: optional(text('Which burner', 1, 40)),
    turns: optional(number('Turns of its valve', 0, 20)),
    temperature: optional(quantity('Set to, by temperature', 'temperature', 273, 550)),
    pressure: optional(gauge('Set to, by pressure'))
  },
  { oneOf: ['turns', 'temperature', 'pressure'] }
);
/** How a burner's valve or a thermostat's knob was set. */
export type Knob = Infer<typeof fields>;

export const knob: KindOf<Knob> = {
  fields,
  says: ({ burner, turns, temperature, pressure }, { units }) =>
    `${burner ?? 'Knob'} set to ${[
      turns !== undefined && `${turns} turn${turns === 1 ? '' : 's'}`,
      temperature !== undefined && printText(temperature, 'temperature', units),
      pressure !== undefined && printText(pressure, 'pressure', units)
    ]
      .filter(Boolean)
      .join(', ')}`
};
