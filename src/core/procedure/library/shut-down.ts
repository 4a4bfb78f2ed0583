import type { StepRule } from '../step';
import {
  blowDownAt,
  capital,
  cooled,
  damper,
  depressured,
  drains,
  electric,
  emptied,
  feedsAt,
  gas,
  kept,
  listed,
  lubricated,
  openedCold,
  p,
  sentences,
  slow,
  solid,
  spirit,
  turning
} from './fits';

/** Fire out, pressure away, on its own terms. */
export const shutDown: readonly StepRule[] = [
  {
    key: 'fill-last',
    when: kept,
    what: 'Fill the glass while there is pressure to do it',
    how: (f) =>
      `By the ${listed(
        feedsAt(f).map((x) => x.name.toLowerCase()),
        'or'
      )}, in small doses with the last of the fire.`,
    why: 'It is left full: water covers the plates while they cool, and the next fill is done.',
    evidence: 'glass reading',
    minutes: 5
  },
  {
    key: 'fire-drop',
    when: solid,
    what: (f) => (f.fire.with === 'solid' && f.fire.ashpan === 'pins' ? 'Drop the fire: pins out' : 'Fire out'),
    how: (f) =>
      f.fire.with === 'solid' && f.fire.ashpan === 'pins'
        ? 'Pliers: the pins are hot. Ash where it can do no harm, and watered.'
        : 'Rake or let it burn away. Ash where it can do no harm, and watered.',
    why: 'Nothing is opened or blown down over a live fire.',
    closes: ['fire'],
    sees: 'fire out',
    must: true,
    minutes: 5,
    materials: ['pliers', 'rake', 'ash bucket']
  },
  {
    key: 'gas-off',
    when: gas,
    what: 'Gas off at the canister, then the burner',
    how: 'Let the line burn dry.',
    why: 'Shut at the burner alone, the line stays full.',
    closes: ['canister', 'fire'],
    sees: 'fire out',
    must: true,
    minutes: 1
  },
  {
    key: 'spirit-off',
    when: spirit,
    what: 'Burner out from under, while hot',
    how: 'With the tongs, onto the tray. See that it is out.',
    why: 'An empty boiler over a last flame is soon spoilt.',
    closes: ['fire'],
    sees: 'fire out',
    must: true,
    minutes: 1
  },
  {
    key: 'mains-off',
    when: electric,
    what: 'Off at the switch, plug out',
    how: 'Then leave it to cool.',
    why: 'Off is when you can see the pins.',
    closes: ['mains', 'fire'],
    sees: 'fire out',
    must: true,
    minutes: 1
  },
  {
    key: 'blower-off',
    round: 'quenched',
    when: solid,
    what: (f) => `Blower off, ${damper(f) ? 'damper shut, ' : ''}door shut`,
    how: 'No cold air through hot tubes.',
    why: 'Tube ends leak from being chilled, not from being old.',
    sets: (f) => [
      { valve: 'blower', open: 0 },
      ...(damper(f) ? [{ valve: 'damper' as const, open: 0 }] : []),
      { valve: 'fire door', open: 0 }
    ],
    minutes: 1
  },
  {
    key: 'lubricator-drain',
    round: 'quenched',
    when: lubricated('displacement'),
    what: 'Lubricator shut and drained',
    how: 'Catch the oily water.',
    why: 'Left full it feeds water next time and freezes in winter.',
    minutes: 2
  },
  {
    key: 'blow-down',
    when: (f) => emptied(f) === 'hot',
    what: (f) => `Blow down at ${p(blowDownAt(f))} or less`,
    how: 'Fire confirmed out. Discharge pointed where nobody is. Half a turn.',
    why: 'Hot, for the sludge. The other schools cool and drain, or leave it full.',
    caution: 'Scalding water travels further than you think. Look, call, then open.',
    gates: (f) => [{ kind: 'fire out' }, { kind: 'pressure falls', atMost: blowDownAt(f) }],
    needs: ['fire-drop', 'gas-off', 'mains-off'],
    sets: [{ valve: 'blow-down', open: 0.5, then: 0 }],
    minutes: 8
  },
  {
    key: 'let-down',
    when: (f) => emptied(f) !== 'hot',
    what: 'Let the pressure fall on its own',
    how: (f) =>
      slow(f)
        ? 'Overnight. Nothing is opened before morning.'
        : f.whistle && f.size === 'tabletop'
          ? 'Or by the whistle, a little at a time.'
          : 'Do not open anything yet.',
    why: 'Hurry here only makes steam where hands are.',
    gates: (f) => (f.gauge ? depressured(f) : [{ kind: 'fire out' }]),
    minutes: 10
  },
  {
    key: 'watched-cold',
    when: (f) => f.size === 'tabletop' || f.kind === 'launch plant' || electric(f),
    what: 'Somebody grown up stays by it until it is cold',
    how: 'Named, and out loud: it is not left on a table with hands about.',
    why: 'It burns for half an hour after the fun is over, and looks as it did before.',
    gates: [{ kind: 'fire out' }],
    evidence: 'initials',
    minutes: 1
  },
  {
    key: 'vacuum',
    when: (f) => f.gauge,
    what: 'Break the vacuum as it cools',
    how: (f) => `${capital(openedCold(f))} open${openedCold(f) === 'regulator' ? ' a crack, with the engine held' : ''}.`,
    why: 'Steam that turns to water pulls: it draws water through clacks and oil into the boiler.',
    gates: depressured,
    sets: (f) => [openedCold(f) === 'vent' ? { valve: 'vent', open: 1 } : { valve: openedCold(f), open: 1, then: 0 }],
    minutes: 1
  },
  {
    key: 'cold',
    when: (f) => !f.gauge || slow(f),
    what: 'Cold to the hand',
    how: 'Lay a hand on the boiler. Too hot to leave it there is too hot to open.',
    why: (f) =>
      f.gauge
        ? 'The needle is down hours before the plates are cool, and cold air on hot seams opens them.'
        : 'Nothing else says that the pressure has gone.',
    caution: 'What is opened under pressure is a jet of steam.',
    gates: (f) => (f.gauge ? depressured(f) : [{ kind: 'fire out' }]),
    needs: ['vacuum'],
    sees: 'engine cold',
    must: true,
    minutes: 1
  },
  {
    key: 'cool-drain',
    when: (f) => emptied(f) === 'cool',
    what: 'Let it cool, then drain',
    how: 'To the hand before anything is opened.',
    why: (f) =>
      `${f.shell.joints === 'riveted' ? 'Gentle on a riveted boiler' : 'Gentle on the plates'}. The other school blows down hot for the sludge.`,
    gates: cooled,
    needs: ['vacuum'],
    sets: [{ valve: 'blow-down', open: 1 }],
    minutes: 5
  },
  {
    key: 'drains-off',
    when: drains,
    what: 'Cylinders drained',
    how: (f) =>
      sentences(
        'Drains open.',
        `${turning(f) ? 'Turn it by hand' : 'Push it a turn of its wheels, where it can be'}${f.cylinders.reverser === 'none' ? '' : ', in both gears'}.`
      ),
    why: 'Water left in a cylinder is rust by Tuesday.',
    gates: cooled,
    needs: ['vacuum', 'cold'],
    sets: (f) => (f.cylinders.drains === 'steam' || f.cylinders.drains === 'steam isolated' ? [] : [{ valve: 'drains', open: 1 }]),
    minutes: 3
  }
];
