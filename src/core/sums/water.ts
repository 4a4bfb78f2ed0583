import { above, given, line, plus, times, over, workedFrom } from '../units';
import { coldWeight, dayInputs, fillIn, fillings, runningOf, usualDay } from './day';
import { canBeFed } from './stop-terms';
import { besides, demandOf } from './demand';
import { sum } from './sum';

/** Water for a day: what is filled in, boiled away, blown down and fed at the end; or a fill for each run. */
export const water = sum({
  key: 'water',
  name: 'Water for the day',
  said: ({ fitOut }) => `Water: ${fitOut.water.kind}`,
  inputs: dayInputs,
  usual: usualDay,
  work: (day, engine) => {
    const { fitOut, plant } = engine;
    const fill = fillIn(day);
    if (!canBeFed(fitOut)) {
      return workedFrom(
        [line('for the day', 'volume', times(fill, fillings(day, engine)))],
        'estimate',
        day.runs > 1
          ? 'A fill for each run, with time to cool between: nothing is fed under pressure.'
          : 'Nothing is fed under pressure: each further run needs another fill.'
      );
    }
    const { lines, hour } = demandOf(engine, day.duty);
    const parts = [
      line('evaporated while running', 'volume', over(times(runningOf(day), hour, besides()), coldWeight)),
      ...(fitOut.blowDown
        ? [
            line(
              'blown down',
              'volume',
              times(
                given('room in the boiler', plant.vessel.room, 'volume', 'geometry'),
                given('part let out', 0.1, 'share', 'class default')
              )
            )
          ]
        : []),
      line('filling the glass at the end', 'volume', times(fill, given('part fed at the end', 0.3, 'share', 'class default')))
    ];
    return workedFrom([...lines, ...parts, line('for the day', 'volume', plus(fill, ...parts.map(above)))], 'estimate');
  }
});
