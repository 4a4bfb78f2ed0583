import { type Grate, fuels } from '../firing';
import { group, number } from '../form';
import { above, given, line, minus, over, times, workedFrom } from '../units';
import { burning, runningDepth } from './coal';
import { usualDay } from './day';
import { dutyField } from './demand';
import { usualDuty } from './duties';
import { said } from './words';
import { sum } from './sum';

/** When the last coal goes on: a bed burns down, from how it is kept to how it may be left, while the engine works on. */
export const lastFire = sum({
  key: 'last-fire',
  name: 'Last coal before the end',
  asks: 'When do I put on the last coal?',
  when: ({ fitOut }) => fitOut.fire.with === 'solid',
  inputs: group('The last fire', {
    deep: number('Bed now, in lumps deep', 1, 20, 'A bed that runs well is four or five lumps of its coal deep.'),
    left: number('At the end, in lumps deep', 0, 10, 'A lump or so deep: nearly bare, and enough to fill the glass with.'),
    duty: dutyField
  }),
  usual: () => ({ deep: runningDepth, left: 1, duty: usualDuty }),
  work: ({ deep, left, duty }, engine) => {
    const grate = engine.plant.fire as Grate;
    const { lines, burnt } = burning(grate, { ...usualDay(engine), duty }, engine);
    const lumps = minus(said('bed now', deep, 'count'), said('at the end', Math.min(left, deep), 'count'));
    const burns = line(
      'burns down by',
      'mass',
      times(
        lumps,
        given('size of a lump', grate.lump, 'length', 'class default'),
        given('grate', grate.area, 'area', 'fit-out'),
        given('weight of a heap of it', fuels[grate.fuel].bulk, 'density', 'class default')
      )
    );
    return workedFrom(
      [...lines, burns, burnt, line('before the end', 'time', over(above(burns), above(burnt)))],
      'estimate',
      'By the work of the day as a whole. Look at the fire: what it is seen to be goes before what it was worked out to be.'
    );
  }
});
