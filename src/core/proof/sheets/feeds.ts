import { plantOf } from '../../boiler';
import { feedsOf } from '../../engine';
import { litres } from '../../engine/dimensions';
import { group, list, maybe, quantity } from '../../form';
import { mostMade } from '../../sums';
import { above, given, line, mark, over, psi, Refusal, times } from '../../units';
import { type Finding, judged, judgedBy, named, sheet, untried } from '../sheet';

/** Each feed: how soon it picks up, what it gives, from which pressure, and up to how warm a tank. */
export const feeds = sheet({
  key: 'feeds',
  name: 'Feeds',
  how: [
    'One feed at a time, blower and regulator as they are on the run, the others shut.',
    'From the moment its steam or its water is let on until water is seen or heard to go in; then what it gives, by the tank, a can or the glass.',
    'Lowest pressure: tried again as the needle falls, until it does not. Hottest tank: with a thermometer in it.'
  ],
  when: (f) => feedsOf(f).length > 0,
  fields: (f) =>
    group('Feeds', {
      error: quantity('Water is measured to, either way', 'volume', 0, litres(50)),
      gaugeError: quantity('Gauge read to, either way', 'pressure', 0, psi(20)),
      tries: list(
        'Feeds',
        'Feed',
        group('Feed', {
          name: named(
            'Which',
            feedsOf(f).map((x) => x.name)
          ),
          pickUp: quantity('Picked up after', 'time', 0, 600),
          gave: quantity('Gave', 'volume', 0, litres(5000)),
          while: quantity('In', 'time', 1, 7200),
          lowest: maybe(quantity('Lowest pressure at which it fed', 'pressure', 0, psi(700), 'Empty where it was not looked for.')),
          hottest: maybe(quantity('Hottest tank from which it fed', 'temperature', 273.15, 373.15))
        }),
        1,
        8
      )
    }),
  starts: (f) => ({
    error: '',
    gaugeError: '',
    tries: feedsOf(f).map(({ name }) => ({ name, pickUp: '', gave: '', while: '', lowest: null, hottest: null }))
  }),
  judge: ({ error, gaugeError, tries }, fitOut, rules) => {
    const most = mostMade({ fitOut, plant: plantOf(fitOut) });
    const boiled = line(
      'water that its fire boils away at the most',
      'flow',
      over(most.most, given('weight of water', 1000, 'density', 'steam tables'))
    );
    const findings = tries.flatMap(({ name, pickUp, gave, while: time, lowest, hottest }, i): Finding[] => {
      const feed = feedsOf(fitOut).find((f) => f.name === name)!;
      if (tries.findIndex((t) => t.name === name) !== i)
        throw new Refusal(`tries.${i}.name`, 'This feed stands here already: each of them once.');
      const rate = line(`${name} gives`, 'flow', over(given('gave', gave, 'volume', 'measured'), given('in', time, 'time', 'measured')));
      const asked =
        rules.feedTimes === null
          ? []
          : [
              line(
                'asked of a feed',
                'flow',
                times(above(boiled), given('and as many times', rules.feedTimes, 'ratio', 'rule of the club'))
              )
            ];
      return [
        {
          verdict: judgedBy(rules.feedTimes, (n) => rate.result.value - n * boiled.result.value, error / time),
          says: `${name} gives ${mark(rate.result.value, 'flow')}; its fire boils away ${mark(boiled.result.value, 'flow')} at the most, and its fit-out says ${mark(feed.rate, 'flow')}.`,
          steps: [rate, ...most.lines, boiled, ...asked]
        },
        {
          verdict: rules.pickUp === null ? 'measured' : pickUp <= rules.pickUp ? 'within' : 'not within',
          says: `${name} picked up after ${mark(pickUp, 'time')}${rules.pickUp === null ? '' : `; ${mark(rules.pickUp, 'time')} is allowed`}.`,
          steps: []
        },
        ...(lowest === null
          ? []
          : [
              {
                verdict: lowest <= feed.from ? 'within' : judged(feed.from - lowest, gaugeError),
                says: `${name} fed down to ${mark(lowest, 'pressure')}; by its fit-out it works from ${mark(feed.from, 'pressure')}.`,
                steps: []
              } as const
            ]),
        ...(hottest === null
          ? []
          : [{ verdict: 'measured', says: `${name} fed from a tank at ${mark(hottest, 'temperature')}.`, steps: [] } as const])
      ];
    });
    return [
      ...findings,
      ...untried(
        feedsOf(fitOut).map((f) => f.name),
        tries.map((t) => t.name)
      )
    ];
  }
});
