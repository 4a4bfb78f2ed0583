import { firesideOf, type FitOut } from '../engine';
import { jetDraws } from '../firing';
import { above, given, greater, lesser, line, minus, over, plus, times, toThePower } from '../units';
import { jetAt, sustainedFrom, takesOverWith } from './changeover';
import { drawn, grateLine, locomotive, type Parameter, type Solid, solid, usual } from './parameter';
import { heatOfDraught, passageOf } from './passage';

/** What a fire on a grate is stepped with, from its dimensions: the way of the gas, the bed, the blower. */

/** Head of the fan that is put on the chimney, Pa: small ones are weak. */
const fanHead: Record<FitOut['size'], number> = { tabletop: 36, small: 36, medium: 12, full: 40 };
const side = ({ boiler }: FitOut) => (boiler.form === 'locomotive' ? boiler.barrelDiameter : 'diameter' in boiler ? boiler.diameter : 0.2);
const circle = () => given('circle in its square', Math.PI / 4, 'ratio', 'geometry');
const hasTubes = (f: FitOut) => solid(f) && firesideOf(f.boiler).tubes.count > 0;

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
      const { adapter, chimney, chimneyBores } = f.fire as Solid;
      const bores = drawn('bores', chimneyBores, 'count');
      if (chimney) {
        const bore = drawn('bore of the chimney', chimney, 'length');
        return [line('chimney', 'area', times(circle(), bore, bore, bores))];
      }
      const bore = adapter ? drawn('chimney adapter', adapter, 'length') : usual('four tenths of the diameter', 0.4 * side(f), 'length');
      const choke = line('bore at the choke', 'length', times(bore, usual('choke of a chimney', 0.85, 'ratio')));
      return [choke, line('chimney', 'area', times(circle(), above(choke), above(choke), bores))];
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
      const { nozzle: its, chimneyBores } = f.fire as Solid;
      if (its) {
        const bore = drawn('bore of the nozzle', its, 'length');
        return [line('nozzle', 'area', times(circle(), bore, bore, drawn('nozzles', chimneyBores, 'count')))];
      }
      // Each cylinder blows through it in its turn: one or two make no difference.
      const nozzle = line(
        'bore of the nozzle',
        'length',
        times(drawn('bore of a cylinder', f.cylinders.bore, 'length'), usual('a seventh', 1 / 7, 'ratio'))
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
