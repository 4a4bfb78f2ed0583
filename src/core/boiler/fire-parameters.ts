import { firesideOf, type FitOut } from '../engine';
import { heatOfAir, jetDraws, naturalDraught, type Passage, ratedAir } from '../firing';
import {
  above,
  asked,
  given,
  greater,
  lesser,
  line,
  minus,
  over,
  plus,
  times,
  toThePower,
  type WorkedInput,
  type WorkedStep
} from '../units';
import { jetAt, sustainedFrom, takesOverWith } from './changeover';
import { drawn, grateLine, locomotive, type Parameter, type So, solid, usual } from './parameter';

/** What a fire on a grate is stepped with, from its dimensions: the way of the gas, the bed, the blower. */

type Solid = Extract<FitOut['fire'], { with: 'solid' }>;

/** Head of the fan that is put on the chimney, Pa: small ones are weak. */
const fanHead: Record<FitOut['size'], number> = { tabletop: 36, small: 36, medium: 12, full: 40 };
const side = ({ boiler }: FitOut) => (boiler.form === 'locomotive' ? boiler.barrelDiameter : 'diameter' in boiler ? boiler.diameter : 0.2);
const circle = () => given('circle in its square', Math.PI / 4, 'ratio', 'geometry');
const hasTubes = (f: FitOut) => solid(f) && firesideOf(f.boiler).tubes.count > 0;

/** What the gas of a fire goes through, from the parameters that come before the fire's heat. */
export function passageOf(f: FitOut, so: Readonly<So>): Passage {
  const { length } = firesideOf(f.boiler).tubes;
  const { grateLength, grateWidth } = f.fire as Solid;
  const area = grateLength * grateWidth;
  return {
    grate: so.grate!,
    // An ashpan that is open for a sixth of the grate.
    damper: 0.6 * 0.17 * area,
    area,
    // A door of a fifth of the grate.
    door: 0.6 * 0.2 * area,
    tubes: { count: so.tubes ?? 0, bore: so.bore ?? 0, length },
    chimney: so.chimney!,
    height: so.height!,
    fan: so.fan ?? 0,
    // With nothing in its way it blows up the chimney at about ten metres a second.
    fanFlow: 12 * so.chimney!,
    nozzle: so.nozzle ?? 0
  };
}

/** The lines from a draught to the heat of the fire that it draws. @param fan whether that draught falls with the flow, as a fan's does */
function heatOfDraught(f: FitOut, passage: Passage, drive: WorkedInput, fan: 0 | 1, soot = 0): WorkedStep[] {
  const { tubes } = passage;
  const air = asked(
    'air drawn through the fire',
    'mass flow',
    'what that draught draws through grate, a bed five lumps deep, tubes and chimney',
    ratedAir(passage, fan ? 0 : drive.value, fan, soot),
    [
      drive,
      usual('open between the bars', passage.grate, 'area'),
      ...(tubes.count
        ? [
            drawn('tubes open', tubes.count, 'count'),
            usual('bore of a tube', tubes.bore, 'length'),
            usual('soot', soot, 'length'),
            drawn('length of a tube', tubes.length, 'length')
          ]
        : []),
      usual('chimney', passage.chimney, 'area')
    ]
  );
  return [
    air,
    line(
      'heat of the fire',
      'power',
      times(
        above(air),
        usual('of it, meets glowing fuel', 0.85, 'share'),
        usual('heat that a weight of air makes', heatOfAir, 'heat of fuel')
      )
    )
  ];
}

/** The lines to the heat of a fire that the fan draws, or without one the chimney when it is hot. */
export const drawnHeat = (f: FitOut, passage: Passage, soot = 0): WorkedStep[] =>
  passage.fan > 0
    ? heatOfDraught(f, passage, usual('head of the fan', passage.fan, 'draught'), 1, soot)
    : heatOfDraught(f, passage, usual('draught of the chimney, hot', naturalDraught(passage.height, 500, 288), 'draught'), 0, soot);

/** The way of the gas: comes before the heat of the fire, which is drawn through it. */
export const gasWay: readonly Parameter[] = [
  {
    key: 'tubes',
    name: 'Tubes that are open',
    when: hasTubes,
    of: (f) => [
      line('tubes open', 'count', times(drawn('tubes', firesideOf(f.boiler).tubes.count, 'count'), usual('of them, open', 1, 'share')))
    ]
  },
  {
    key: 'bore',
    name: 'Bore of a tube',
    when: hasTubes,
    of: (f) => [
      line(
        'bore of a tube',
        'length',
        times(drawn('outside diameter', firesideOf(f.boiler).tubes.outside, 'length'), usual('bore of that, by usual walls', 0.88, 'ratio'))
      )
    ]
  },
  {
    key: 'soot',
    name: 'Soot on the tubes, as it is lit',
    when: hasTubes,
    of: (_, so) => [
      line('soot', 'length', times(usual('bore of a tube', so.bore!, 'length'), usual('of that, after an ordinary brush', 0.01, 'ratio')))
    ]
  },
  {
    key: 'box',
    name: 'Plates over the fire',
    when: solid,
    of: (f) => [
      line('plates', 'area', times(given('plates, from the dimensions of the boiler', firesideOf(f.boiler).box, 'area', 'geometry')))
    ]
  },
  {
    key: 'grate',
    name: 'Open between the bars',
    when: solid,
    of: (f) => {
      const grate = grateLine(f);
      return [
        grate,
        line(
          'open between the bars',
          'area',
          times(above(grate), usual('of it, open', 0.4, 'share'), usual('share that gets through, cd', 0.6, 'share'))
        )
      ];
    }
  },
  {
    key: 'chimney',
    name: 'Chimney at its narrowest',
    when: solid,
    of: (f) => {
      const { adapter, chimneyBores } = f.fire as Solid;
      const bore = adapter ? drawn('chimney adapter', adapter, 'length') : usual('four tenths of the diameter', 0.4 * side(f), 'length');
      const choke = line('bore at the choke', 'length', times(bore, usual('choke of a chimney', 0.85, 'ratio')));
      return [choke, line('chimney', 'area', times(circle(), above(choke), above(choke), drawn('bores', chimneyBores, 'count')))];
    }
  },
  {
    key: 'height',
    name: 'Height of hot gas',
    when: solid,
    of: (f) => [
      line(
        'grate to chimney top',
        'length',
        times(drawn('diameter', side(f), 'length'), usual('diameters in it', locomotive(f) ? 3 : 5, 'count'))
      )
    ]
  },
  {
    key: 'nozzle',
    name: 'Blast nozzle',
    when: (f) => solid(f) && f.exhaust === 'chimney',
    of: (f) => {
      const nozzle = line(
        'bore of the nozzle',
        'length',
        times(
          drawn('bore of a cylinder', f.cylinders.bore, 'length'),
          usual('a seventh', 1 / 7, 'ratio'),
          toThePower(over(drawn('cylinders', f.cylinders.count, 'count'), usual('two', 2, 'count')), usual('one half', 0.5, 'ratio'))
        )
      );
      return [nozzle, line('nozzle', 'area', times(circle(), above(nozzle), above(nozzle)))];
    }
  },
  {
    key: 'fan',
    name: 'Head of the fan',
    when: (f) => solid(f) && (f.fire as Solid).draught !== 'none',
    of: (f) => [line('head of the fan', 'draught', times(usual('fans of its class', fanHead[f.size], 'draught')))]
  }
];

/** What lies on the grate and what it shines on. */
export const onGrate: readonly Parameter[] = [
  {
    key: 'lump',
    name: 'Size of the fuel',
    when: solid,
    of: (f) => {
      const grate = grateLine(f);
      return [
        grate,
        line(
          'size of the fuel',
          'length',
          lesser(
            usual('largest', 0.05, 'length'),
            greater(
              usual('smallest', 0.005, 'length'),
              times(usual('a sixteenth', 0.062, 'ratio'), toThePower(above(grate), usual('one half', 0.5, 'ratio')))
            )
          )
        )
      ];
    }
  },
  {
    key: 'radiates',
    name: 'Of what the bed radiates, the plates take up',
    when: solid,
    of: (f, so) => {
      // Two grey bodies, one around the other: 1 ÷ (1/ε + (A/A₂)(1/ε − 1)). The top of a bed is cooler than its middle.
      const grate = grateLine(f);
      const grey = usual('one over how black they are', 1.18, 'ratio');
      return [
        grate,
        line(
          'taken up',
          'share',
          over(
            usual('for the top being cooler than the middle', 0.55, 'ratio'),
            plus(grey, times(over(above(grate), given('plates', so.box!, 'area', 'geometry')), minus(grey, usual('one', 1, 'ratio'))))
          )
        )
      ];
    }
  },
  {
    key: 'damp',
    name: 'Water in the fuel',
    when: solid,
    of: () => [line('water in the fuel', 'share', times(usual('kept dry, under a roof', 0.02, 'share')))]
  }
];

/** The blower, and the fire that it draws. */
export const blownFire: readonly Parameter[] = [
  {
    key: 'blower',
    name: 'Blower, as one hole',
    when: solid,
    of: (f, so) => {
      // Thrust = draught × chimney area ÷ 0.6. It draws more than the fan did from the pressure at which it takes over.
      const from = jetAt(sustainedFrom(f));
      const fan = usual('head of the fan, or what stands for it', so.fan || fanHead[f.size], 'draught');
      return [
        line(
          'hole whose jet draws more than the fan does, where it takes over',
          'area',
          over(
            times(usual('and more', takesOverWith, 'ratio'), fan, usual('chimney', so.chimney!, 'area')),
            times(
              usual('part of the thrust that draws', jetDraws, 'share'),
              given('flow of steam through a hole, there', from.flux, 'flow through an area', 'steam tables'),
              given('speed of the jet, there', from.speed, 'speed', 'steam tables')
            )
          )
        )
      ];
    }
  },
  {
    key: 'hard',
    name: 'Heat of the fire with the blower wide open, at working pressure',
    when: solid,
    of: (f, so) => {
      const passage = passageOf(f, so);
      const full = jetAt(f.workingPressure);
      const draws = line(
        'draught of the blower',
        'draught',
        over(
          times(
            usual('part of the thrust that draws', jetDraws, 'share'),
            usual('blower', so.blower!, 'area'),
            given('flow of steam through a hole, there', full.flux, 'flow through an area', 'steam tables'),
            given('speed of the jet, there', full.speed, 'speed', 'steam tables')
          ),
          usual('chimney', passage.chimney, 'area')
        )
      );
      return [draws, ...heatOfDraught(f, passage, above(draws), 0, so.soot)];
    }
  }
];
