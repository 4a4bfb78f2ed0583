import { hotFor } from '../engine';
import { group, number, quantity } from '../form';
import { coldWater } from '../steam';
import { asked, given, workedFrom } from '../units';
import { sum } from './sum';
import { said } from './words';

const inputs = group('A glass', {
  glass: number('Cold glass', 0, 1, 'As a part of the glass: 0.33 is a third.'),
  used: quantity('Gone before it is hot', 'mass', 0, 200, 'By leaks, tests and blower.'),
  water: quantity('Cold water', 'temperature', 273.16, 313.15)
});

/** Where a cold glass will stand at working pressure: water swells, the shell less so; mass of water and steam kept. */
export const hotLevel = sum({
  key: 'hot-level',
  name: 'Hot level of a cold glass',
  asks: 'Where will the glass stand when it is hot?',
  when: ({ fitOut }) => fitOut.glasses.length > 0,
  inputs,
  usual: () => ({ glass: 0.33, used: 0, water: coldWater }),
  work: ({ glass, used, water }, { fitOut }) =>
    workedFrom(
      [
        asked(
          'stands hot at',
          'glass',
          'level to which that cold glass swells, mass of water and steam kept, the shell grown (IAPWS-IF97)',
          hotFor(fitOut, glass, { used, fillAt: water }),
          [
            said('cold glass', glass, 'glass'),
            said('gone before it is hot', used, 'mass'),
            said('cold water', water, 'temperature'),
            given('working pressure', fitOut.workingPressure, 'pressure', 'fit-out')
          ]
        )
      ],
      'from the drawing',
      'By expansion alone: bubbles lift a glass further while it steams.'
    )
});
