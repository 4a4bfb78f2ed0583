import { boilerShape, type FitOut } from '../engine';
import { tabletHeat } from '../firing';
import { saturationAtGauge } from '../steam';
import {
  above,
  type Figure,
  type Gauge,
  given,
  greater,
  lesser,
  line,
  over,
  times,
  toThePower,
  workedFrom,
  type Expression,
  type Kind,
  type WorkedStep
} from '../units';
import { jetAt, sustainedFrom, takesOverWith } from './changeover';
import { criticalFlux } from './flow';
import { specificHeat } from './vessel';

type So = Record<string, number>;

/** A number that the model of an engine is stepped with: the lines that lead to it, the last of which says it. */
interface Parameter {
  readonly key: string;
  readonly name: string;
  readonly when?: (f: FitOut) => boolean;
  readonly of: (f: FitOut, so: So) => readonly WorkedStep[];
  readonly caution?: string;
}

const solid = (f: FitOut) => f.fire.with === 'solid';
const locomotive = (f: FitOut) => f.kind === 'tank locomotive' || f.kind === 'tender locomotive';
const usual = (name: string, value: number, kind: Kind) => given(name, value, kind, 'class default');
const drawn = (name: string, value: number, kind: Kind) => given(name, value, kind, 'fit-out');

/** Losses by class: what a boiler of that size loses per kelvin, W/K, and the room it was seen on, m³. */
const losses = (f: FitOut): [loss: number, room: number, as: string] =>
  f.size === 'tabletop'
    ? [0.35, 0.153e-3, 'a tabletop boiler']
    : f.size === 'full'
      ? [75, 0.984, 'a full-size boiler']
      : f.size === 'medium'
        ? locomotive(f)
          ? [9, 26.1e-3, 'a 7¼ in boiler']
          : [7.5, 32.6e-3, 'a 4 in scale boiler']
        : f.boiler.form === 'locomotive'
          ? [2.2, 5.05e-3, 'a 5 in boiler']
          : [1.2, 2e-3, 'a two-litre boiler'];

/** Heat of the fire per square metre of grate when it is drawn well, W/m²: less as grates grow and draught does not. */
const gratePower: Record<FitOut['size'], number> = { tabletop: 450e3, small: 330e3, medium: 290e3, full: 420e3 };
/** Draught that goes with it, Pa. */
export const ratedDraught: Record<FitOut['size'], number> = { tabletop: 60, small: 90, medium: 80, full: 24 };
/** Glands, clacks and cocks, as one hole, m². */
const leaks: Record<FitOut['size'], number> = { tabletop: 0.02e-6, small: 0.06e-6, medium: 0.25e-6, full: 2e-6 };

/** Of the heat of a burner, what reaches the water: gas drum 35 to 55 %, spirit 20 to 36 %, tablets 15 to 20 %. */
const burnerShare = (f: FitOut): number =>
  f.fire.with === 'gas'
    ? f.boiler.form === 'vertical'
      ? 0.54
      : f.kind === 'launch plant'
        ? 0.5
        : 0.45
    : f.fire.with === 'spirit' && f.fire.fuel === 'tablets'
      ? 0.18
      : 0.28;

/** Steam at working pressure and its flow through a hole, kg/(s·m²). */
export const steamFlow = (f: FitOut) => {
  const s = saturationAtGauge(f.workingPressure as Gauge);
  return { s, flux: criticalFlux(s.p, 1 / s.vg) };
};

const side = (f: FitOut) => (f.boiler.form === 'locomotive' ? f.boiler.barrelDiameter : 'diameter' in f.boiler ? f.boiler.diameter : 0.2);
const grateLine = (f: FitOut) => {
  const [length, width] = f.fire.with === 'solid' ? [f.fire.grateLength, f.fire.grateWidth] : [0, 0];
  return line('grate', 'area', times(drawn('length of the grate', length, 'length'), drawn('width of the grate', width, 'length')));
};

/** The parameters, each from those above it. */
const parameters: readonly Parameter[] = [
  {
    key: 'metal',
    name: 'Heat held by the metal, per kelvin',
    of: (f) => [
      line(
        'heat held by the metal',
        'heat capacity',
        times(
          drawn('weight of the boiler’s metal', f.shell.metal, 'mass'),
          usual(`specific heat of ${f.shell.material}`, specificHeat[f.shell.material], 'specific heat')
        )
      )
    ]
  },
  {
    key: 'loss',
    name: 'Heat lost to the air, per kelvin',
    of: (f) => {
      const [loss, room, as] = losses(f);
      const parts: Expression[] = [
        usual(`loss of ${as}`, loss, 'loss'),
        toThePower(
          over(given('room inside', boilerShape(f.boiler).total, 'volume', 'geometry'), usual('room of that one', room, 'volume')),
          usual('two thirds', 2 / 3, 'ratio')
        )
      ];
      return [
        line(
          'lost to the air',
          'loss',
          times(...parts, ...(f.shell.lagged || f.size === 'tabletop' ? [] : [usual('more for having no lagging', 1.6, 'ratio')]))
        )
      ];
    }
  },
  {
    key: 'power',
    name: 'Heat of the fire when it is drawn well',
    of: (f) => {
      const { fire } = f;
      if (fire.with === 'gas' || fire.with === 'electric')
        return [line('heat of the fire', 'power', drawn('power of the burner or element', fire.power, 'power'))];
      if (fire.with === 'spirit') {
        // Enough to bring the fill to working pressure and drive it for a while: what makers of such engines provide.
        const fill =
          f.fill === null
            ? times(given('room inside', boilerShape(f.boiler).total, 'volume', 'geometry'), usual('part that is filled', 0.6, 'share'))
            : drawn('fill', f.fill, 'volume');
        const charge = line(
          'heat of the charge',
          'energy',
          times(
            fill,
            given('weight of cold water', 1000, 'density', 'steam tables'),
            usual('fuel for each weight of water', fire.fuel === 'tablets' ? 0.13 : 0.16, 'share'),
            usual('heat of the fuel', tabletHeat, 'heat of fuel')
          )
        );
        const burns = f.runLimit === null ? usual('time it burns', 540, 'time') : drawn('longest run', f.runLimit, 'time');
        return [charge, line('heat of the fire', 'power', over(above(charge), burns))];
      }
      const grate = grateLine(f);
      return [
        grate,
        line('heat of the fire', 'power', times(above(grate), usual('heat on a grate of its class', gratePower[f.size], 'heat on an area')))
      ];
    }
  },
  {
    key: 'efficiency',
    name: 'Of that, reaches the water',
    when: (f) => f.fire.with === 'gas' || f.fire.with === 'spirit',
    of: (f) => [line('reaches the water', 'share', usual('usual share for its kind', burnerShare(f), 'share'))]
  },
  {
    key: 'ntu',
    name: 'Tubes take up, transfer units',
    when: solid,
    of: () => [line('taken up by the tubes', 'ratio', usual('tubes of good proportion, 1.1 to 1.9, less with soot', 1.3, 'ratio'))]
  },
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
    key: 'chimney',
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
    key: 'moisture',
    name: 'Water in the steam',
    of: () => [line('water in the steam', 'share', usual('usual 2 to 4 %, more above nine tenths of the glass', 0.03, 'share'))]
  },
  {
    key: 'leak',
    name: 'Small leaks, as one hole',
    of: (f) => [line('small leaks', 'area', usual('glands, clacks and cocks of its class', leaks[f.size], 'area'))]
  },
  {
    key: 'blower',
    name: 'Blower, as one hole',
    when: solid,
    of: (f) => {
      const adapter = f.fire.with === 'solid' ? f.fire.adapter : null;
      const bore = adapter
        ? drawn('chimney adapter', adapter, 'length')
        : usual('four tenths of the diameter', 0.4 * (f.boiler.form === 'locomotive' ? f.boiler.barrelDiameter : 0.2), 'length');
      const choke = line('bore at the choke', 'length', times(bore, usual('choke of a chimney', 0.85, 'ratio')));
      const chimney = line(
        'chimney',
        'area',
        times(given('circle in its square', Math.PI / 4, 'ratio', 'geometry'), above(choke), above(choke))
      );
      // Thrust = draught × chimney area ÷ 0.6. It must draw as the fan does from the pressure at which it takes over.
      const from = jetAt(sustainedFrom(f));
      return [
        choke,
        chimney,
        line(
          'hole whose jet draws as the fan does, where it takes over',
          'area',
          over(
            times(usual('rated draught, most of it', takesOverWith * ratedDraught[f.size], 'draught'), above(chimney)),
            times(
              usual('part of the thrust that draws', 0.6, 'share'),
              given('flow of steam through a hole, there', from.flux, 'flow through an area', 'steam tables'),
              given('speed of the jet, there', from.speed, 'speed', 'steam tables')
            )
          )
        )
      ];
    }
  },
  {
    key: 'valve',
    name: 'Each safety valve passes, at working pressure and a tenth',
    of: (f, so) => {
      const share = f.fire.with === 'solid' ? 0.62 : f.fire.with === 'electric' ? 1 : so.efficiency!;
      const { s } = steamFlow(f);
      const steam = line(
        'steam the fire can make',
        'mass flow',
        over(
          times(usual('heat of the fire', so.power!, 'power'), usual('share that reaches the water', share, 'share')),
          given('heat of evaporation', s.hg - s.hf, 'heat of fuel', 'steam tables')
        )
      );
      return [
        steam,
        line(
          'each valve',
          'mass flow',
          over(times(usual('half as much again', 1.5, 'ratio'), above(steam)), drawn('safety valves', f.safetyValves.length, 'count'))
        )
      ];
    },
    caution: 'An assumption until the valve’s seat and lift are measured: only an accumulation test shows what it passes.'
  }
];

/** Parameters set by hand or learned, by key; SI, shares from 0 to 1. */
export type Overrides = Readonly<Record<string, number>>;

/** The parameters of an engine with their working. @param learned figures that the engine's own past has shown, by key */
export function plantFigures(f: FitOut, learned: Overrides = {}): Figure[] {
  const so: So = {};
  return parameters
    .filter((p) => p.when?.(f) ?? true)
    .map(({ key, name, of, caution }) => {
      const steps = of(f, so);
      const own = learned[key];
      const { kind } = steps.at(-1)!.result;
      const all =
        own === undefined
          ? steps
          : [...steps, line('this engine', kind, given('what it has shown, in place of its class', own, kind, 'learned'))];
      const fromDrawing = own === undefined && steps.flatMap((s) => s.inputs).every((i) => i.from !== 'class default');
      const worked = workedFrom(all, fromDrawing ? 'from the drawing' : 'estimate', caution);
      so[key] = worked.value;
      return { key, name, worked };
    });
}
