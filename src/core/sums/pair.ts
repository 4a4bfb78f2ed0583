import { type Infer } from '../form';
import { Refusal } from '../units';
import { fillOf, startingSum } from './start';
import { stopOf } from './stop';
import { isTimed, needsPair, stopInputs, usualReserve } from './stop-terms';
import { type Given, sum, usualConditions } from './sum';

/** What an engine would be asked first: its own fill, its own charge, a third left. */
export const usualFilling = (given: Given): Infer<typeof stopInputs> => ({
  fill: fillOf(startingSum(given), given.plant),
  charge: null,
  reserve: usualReserve,
  ...usualConditions
});

export const pair = sum({
  key: 'pair',
  name: 'Largest charge that ends before the water',
  asks: 'How much fuel may I fill in?',
  when: ({ fitOut }) => needsPair(fitOut),
  inputs: stopInputs,
  usual: usualFilling,
  work: (asked, given) => {
    const found = stopOf(asked, given);
    if ('refused' in found) throw new Refusal('charge', found.refused);
    return found.largest!;
  }
});

export const stop = sum({
  key: 'stop',
  name: 'When a run has to be over',
  asks: 'How long may it run on what is in?',
  when: ({ fitOut }) => isTimed(fitOut),
  inputs: stopInputs,
  usual: usualFilling,
  work: (asked, given) => {
    const found = stopOf(asked, given);
    if ('refused' in found) throw new Refusal('fill', found.refused);
    return found.worked;
  }
});
