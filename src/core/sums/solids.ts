import { group, quantity } from '../form';
import { given, line, minus, over, plus, Refusal, times, workedFrom } from '../units';
import { said } from './words';
import { usualUse } from './demand';
import { sum } from './sum';

const solids = (name: string, most = 20) => quantity(name, 'dissolved', 0, most);

/** What is left behind by what boils away: start + feed × evaporated ÷ volume. */
export const dissolved = sum({
  key: 'dissolved',
  name: 'Solids in the boiler water',
  asks: 'When is the water too dirty?',
  inputs: group('Water', {
    volume: quantity('Water in the boiler', 'volume', 1e-4, 5),
    start: solids('In it to begin with'),
    feed: solids('In the feed water', 5),
    evaporated: quantity('Boiled away', 'volume', 0, 50)
  }),
  usual: ({ plant }) => ({ volume: 0.7 * plant.vessel.room, start: 0.15, feed: 0.15, evaporated: 5 * plant.vessel.room }),
  work: ({ volume, start, feed, evaporated }) =>
    workedFrom(
      [
        line(
          'in the water then',
          'dissolved',
          plus(
            said('to begin with', start, 'dissolved'),
            over(
              times(said('in the feed water', feed, 'dissolved'), said('boiled away', evaporated, 'volume')),
              said('water in the boiler', volume, 'volume')
            )
          )
        )
      ],
      'estimate',
      'Dirty water primes and scales: your club or whoever sells the treatment says how much is too much. Measured with a meter it is known.'
    )
});

/** What must be let out all the time, for the solids to stay where they are: E × feed ÷ (limit − feed). */
export const steadyBlowDown = sum({
  key: 'blow-down-steady',
  name: 'Blow-down that holds the solids',
  asks: 'How much must be blown down an hour?',
  inputs: group('Water', {
    evaporated: quantity('Boiled away', 'flow', 1e-10, 1e-2),
    feed: solids('In the feed water', 5),
    limit: solids('Not to be passed')
  }),
  usual: (engine) => ({ evaporated: usualUse(engine) / 1000, feed: 0.15, limit: 2.5 }),
  work: ({ evaporated, feed, limit }) => {
    if (limit <= feed) throw new Refusal('limit', 'The feed water alone is dirtier than that: give a higher limit, or cleaner water.');
    return workedFrom(
      [
        line(
          'to be let out',
          'flow',
          over(
            times(said('boiled away', evaporated, 'flow'), said('in the feed water', feed, 'dissolved')),
            minus(said('not to be passed', limit, 'dissolved'), said('in the feed water', feed, 'dissolved'))
          )
        )
      ],
      'estimate'
    );
  }
});

/** What must be let out once and made up with feed: (from − to) ÷ (from − feed) of the water. */
export const onceBlownDown = sum({
  key: 'blow-down-once',
  name: 'Part of the water to let out once',
  asks: 'How much of the water must go?',
  inputs: group('Water', { from: solids('In it now'), to: solids('Wanted'), feed: solids('In the feed water', 5) }),
  usual: () => ({ from: 2.5, to: 1.5, feed: 0.15 }),
  work: ({ from, to, feed }) => {
    if (to >= from) throw new Refusal('to', 'It is that clean already: give what is wanted, less than what is in it now.');
    if (to <= feed) throw new Refusal('to', 'No letting out makes it cleaner than the feed water: give more than is in the feed.');
    const now = said('in it now', from, 'dissolved');
    return workedFrom(
      [
        line(
          'to be let out',
          'share',
          over(minus(now, said('wanted', to, 'dissolved')), minus(now, said('in the feed water', feed, 'dissolved')))
        )
      ],
      'estimate',
      'Fire confirmed out, discharge pointed where it can hurt nobody, and the glass looked at before the next fire.'
    );
  }
});

/** Treatment for the water that was changed. */
export const treatment = sum({
  key: 'treatment',
  name: 'Treatment to put in',
  asks: 'How much treatment goes in?',
  when: ({ fitOut }) => fitOut.water.treatment !== 'none',
  inputs: group('Treatment', {
    water: quantity('Water changed', 'volume', 1e-4, 20),
    each: quantity('For each', 'volume', 1e-4, 10, 'As its maker says: so much for each so many litres.'),
    dose: quantity('So much', 'volume', 1e-7, 1)
  }),
  usual: ({ plant, fitOut }) => ({
    water:
      fitOut.water.treatment === 'tank' ? fitOut.tanks.reduce((a, t) => a + t.capacity, 0) || plant.vessel.room : 0.7 * plant.vessel.room,
    each: 0.01,
    dose: 1e-5
  }),
  work: ({ water, each, dose }) =>
    workedFrom(
      [
        line(
          'put in',
          'volume',
          over(times(said('water changed', water, 'volume'), given('so much', dose, 'volume', 'given')), said('for each', each, 'volume'))
        )
      ],
      'estimate',
      'Only for water that was changed: what boiled away left its treatment behind.'
    )
});
