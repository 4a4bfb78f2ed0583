import { boilerShape, type FitOut } from '../engine';
import { draughtFor, type Element, type GasBurner, type Grate, startFuel, tabletHeat, type Tablets } from '../firing';
import { saturationAtGauge } from '../steam';
import { type Figure, type Gauge, type Kind, type Source, type Worked } from '../units';
import { criticalFlux } from './flow';
import { specificHeat, type Vessel, vesselOf } from './vessel';

/**
 * An engine as the model steps it. Every number comes from one table of parameters: from the fit-out where it says so, from
 * the class otherwise, from the engine's own past where it has been learned; each can be set, and each has its working.
 */
export interface Plant {
  readonly vessel: Vessel;
  readonly fire: Grate | GasBurner | Tablets | Element;
  /** Working pressure at the gauge, Pa. */
  readonly workingPressure: number;
  /** Fully open, CdA, m². */
  readonly blower: number;
  readonly whistle: number;
  readonly drains: number;
  readonly vent: number;
  readonly leak: number;
  readonly blowDown: number;
  readonly regulator: number;
  /** Share of water that leaves with the steam. */
  readonly moisture: number;
  readonly valves: readonly { readonly set: number; readonly pop: boolean; readonly area: number }[];
  readonly feeds: readonly PlantFeed[];
  /** Steam that the fire makes at its rated heat, kg/s. */
  readonly ratedSteam: number;
  /** Largest rise of temperature allowed, K/s; Infinity when none is set. */
  readonly pace: number;
  /** Pressure at the gauge at which the blower sustains the fire, Pa. */
  readonly sustains: number;
  /** Pressure at the gauge from which the fuel is put on; the start fuel until then, Pa. */
  readonly coalFrom: number;
}

export interface PlantFeed {
  readonly name: string;
  readonly injector: boolean;
  /** kg/s */ readonly rate: number;
  /** Lowest pressure at the gauge, Pa. */ readonly from: number;
  readonly turning: boolean;
}

type Value = { value: number; kind: Kind; formula: string; inputs: Worked['steps'][number]['inputs']; caution?: string };
type So = Record<string, number>;
interface Parameter {
  readonly key: string;
  readonly name: string;
  readonly when?: (f: FitOut) => boolean;
  readonly of: (f: FitOut, so: So) => Value;
}

const solid = (f: FitOut) => f.fire.with === 'solid';
const locomotive = (f: FitOut) => f.kind === 'tank locomotive' || f.kind === 'tender locomotive';
const input = (name: string, value: number, kind: Kind, from: Source = 'class default') => ({ name, value, kind, from });
const fromFit = (name: string, value: number, kind: Kind) => input(name, value, kind, 'fit-out');

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
const rated: Record<FitOut['size'], number> = { tabletop: 60, small: 90, medium: 80, full: 24 };

const one = (value: number, kind: Kind, formula: string, inputs: Value['inputs'] = [], caution?: string): Value => ({
  value,
  kind,
  formula,
  inputs,
  ...(caution ? { caution } : {})
});

const flow = (f: FitOut) => {
  const s = saturationAtGauge(f.workingPressure as Gauge);
  return { s, flux: criticalFlux(s.p, 1 / s.vg) };
};
const hole = (f: FitOut, kilogramsAnHour: number) => kilogramsAnHour / 3600 / flow(f).flux;

/** The parameters, each from those above it. */
const parameters: readonly Parameter[] = [
  {
    key: 'metal',
    name: 'Heat held by the metal, per kelvin',
    of: (f) =>
      one(f.shell.metal * specificHeat[f.shell.material], 'heat capacity', 'weight of the boiler’s metal × its specific heat', [
        fromFit('metal', f.shell.metal, 'mass'),
        input('joules per kilogram and kelvin', specificHeat[f.shell.material], 'count')
      ])
  },
  {
    key: 'loss',
    name: 'Heat lost to the air, per kelvin',
    of: (f) => {
      const room = boilerShape(f.boiler).total;
      const [loss, of, as] = losses(f);
      const bare = f.shell.lagged || f.size === 'tabletop' ? 1 : 1.6;
      return one(
        loss * (room / of) ** (2 / 3) * bare,
        'loss',
        'loss of its class × (room ÷ room of its class)^⅔, × 1.6 when it is not lagged',
        [input(`loss of ${as}`, loss, 'loss'), input('room', room, 'volume', 'geometry')]
      );
    }
  },
  {
    key: 'power',
    name: 'Heat of the fire when it is drawn well',
    of: (f) => {
      if (f.fire.with === 'gas' || f.fire.with === 'electric')
        return one(f.fire.power, 'power', 'as the fit-out says', [fromFit('power', f.fire.power, 'power')]);
      if (f.fire.with === 'spirit') {
        // Enough to bring the fill to working pressure and drive it for a while: what makers of such engines provide.
        const charge = (f.fill ?? boilerShape(f.boiler).total * 0.6) * 1000 * (f.fire.fuel === 'tablets' ? 0.13 : 0.16) * tabletHeat;
        const burns = f.runLimit ?? 540;
        return one(charge / burns, 'power', 'heat of the charge ÷ the time it burns', [
          input('heat of the charge', charge, 'energy'),
          input('time it burns', burns, 'time', f.runLimit ? 'fit-out' : 'class default')
        ]);
      }
      const area = f.fire.grateLength * f.fire.grateWidth;
      return one(area * gratePower[f.size], 'power', 'area of the grate × heat per square metre of its class', [
        fromFit('grate, length', f.fire.grateLength, 'length'),
        fromFit('grate, width', f.fire.grateWidth, 'length'),
        input('kilowatts per square metre', gratePower[f.size] / 1000, 'count')
      ]);
    }
  },
  {
    key: 'efficiency',
    name: 'Of that, reaches the water',
    when: (f) => f.fire.with === 'gas' || f.fire.with === 'spirit',
    of: (f) => {
      const share =
        f.fire.with === 'gas'
          ? f.boiler.form === 'vertical'
            ? 0.54
            : f.kind === 'launch plant'
              ? 0.5
              : 0.45
          : f.fire.with === 'spirit' && f.fire.fuel === 'tablets'
            ? 0.18
            : 0.28;
      return one(share * 100, 'percent', 'usual share for its kind: gas drum 35 to 55 %, spirit 20 to 36 %, tablets 15 to 20 %');
    }
  },
  {
    key: 'ntu',
    name: 'Tubes take up, transfer units',
    when: solid,
    of: () => one(1.3, 'ratio', 'usual for tubes of good proportion: 1.1 to 1.9; soot lowers it')
  },
  {
    key: 'lump',
    name: 'Size of the fuel',
    when: solid,
    of: (f) => {
      const area = f.fire.with === 'solid' ? f.fire.grateLength * f.fire.grateWidth : 0;
      return one(Math.min(0.05, Math.max(0.005, 0.062 * Math.sqrt(area))), 'length', 'a sixteenth of the side of the grate, 5 to 50 mm', [
        input('grate area, square centimetres', area * 1e4, 'count', 'fit-out')
      ]);
    }
  },
  {
    key: 'chimney',
    name: 'Height of hot gas',
    when: solid,
    of: (f) => {
      const d = f.boiler.form === 'locomotive' ? f.boiler.barrelDiameter : 'diameter' in f.boiler ? f.boiler.diameter : 0.2;
      const times = locomotive(f) ? 3 : 5;
      return one(d * times, 'length', `${times} × the barrel’s diameter, from grate to chimney top`, [fromFit('diameter', d, 'length')]);
    }
  },
  {
    key: 'moisture',
    name: 'Water in the steam',
    of: () => one(3, 'percent', 'usual 2 to 4 %; more above nine tenths of the glass')
  },
  {
    key: 'leak',
    name: 'Small leaks, as one hole',
    of: (f) =>
      one({ tabletop: 0.02e-6, small: 0.06e-6, medium: 0.25e-6, full: 2e-6 }[f.size], 'area', 'glands, clacks and cocks of its class')
  },
  {
    key: 'blower',
    name: 'Blower, as one hole',
    when: solid,
    of: (f) => {
      const bore = (f.fire.with === 'solid' && f.fire.adapter) || 0.4 * (f.boiler.form === 'locomotive' ? f.boiler.barrelDiameter : 0.2);
      // The choke of a chimney is about 0.85 of its bore.
      const chimney = (Math.PI / 4) * (0.85 * bore) ** 2;
      const { flux } = flow(f);
      // Thrust = draught × chimney area ÷ 0.6; a jet from working pressure leaves at about 750 m/s.
      const area = (rated[f.size] * chimney) / 0.6 / (flux * 750);
      return one(
        area,
        'area',
        'hole whose jet gives the rated draught at working pressure: draught × chimney area ÷ 0.6 ÷ (flow × speed of the jet)',
        [
          input('chimney bore', bore, 'length', f.fire.with === 'solid' && f.fire.adapter ? 'fit-out' : 'class default'),
          input('rated draught, pascal', rated[f.size], 'count')
        ]
      );
    }
  },
  {
    key: 'valve',
    name: 'Each safety valve passes, at working pressure and a tenth',
    of: (f, so) => {
      const share = f.fire.with === 'solid' ? 0.62 : f.fire.with === 'electric' ? 1 : so.efficiency! / 100;
      const { s } = flow(f);
      const steam = (so.power! * share) / (s.hg - s.hf);
      return one(
        (1.5 * steam) / f.safetyValves.length,
        'mass flow',
        'half as much again as the fire can make, shared by the valves',
        [
          input('heat to the water', so.power! * share, 'power'),
          input('kilojoules to make a kilogram of steam', (s.hg - s.hf) / 1000, 'count', 'steam tables')
        ],
        'An assumption until the valve’s seat and lift are measured: only an accumulation test shows what it passes.'
      );
    }
  }
];

export type Overrides = Readonly<Record<string, number>>;

/** The parameters of an engine with their working. @param learned figures that the engine's own past has shown, by key */
export function plantFigures(f: FitOut, learned: Overrides = {}): Figure[] {
  const so: So = {};
  return parameters
    .filter((p) => p.when?.(f) ?? true)
    .map((p) => {
      const made = p.of(f, so);
      const own = learned[p.key];
      so[p.key] = own ?? made.value;
      const { value, kind, formula, inputs, caution } = made;
      return {
        key: p.key,
        name: p.name,
        worked: {
          value: so[p.key]!,
          kind,
          sure:
            own === undefined && inputs.length && inputs.every((i) => i.from === 'fit-out' || i.from === 'geometry')
              ? 'from the drawing'
              : 'estimate',
          steps: [
            { formula, inputs, result: { name: 'class default', value, kind } },
            ...(own === undefined
              ? []
              : [{ formula: 'replaced by what this engine has shown', inputs: [], result: { name: 'this engine', value: own, kind } }])
          ],
          ...(caution ? { caution } : {})
        }
      };
    });
}

function fireOf(f: FitOut, so: So): Plant['fire'] {
  const { fire } = f;
  switch (fire.with) {
    case 'solid': {
      const area = fire.grateLength * fire.grateWidth;
      const air = so.power! / 2.9e6;
      return {
        with: 'solid',
        area,
        lump: so.lump!,
        fuel: fire.fuel,
        start: startFuel[fire.start],
        draught: draughtFor(air, rated[f.size], 5 * so.lump!, so.chimney!, fire.draught !== 'none'),
        ntu: so.ntu!,
        radiates: 0.33
      };
    }
    case 'gas':
      return {
        with: 'gas',
        power: so.power!,
        efficiency: so.efficiency! / 100,
        lightUp: 0.5,
        lag: f.size === 'medium' ? 60 : 25,
        canister: fire.canister
      };
    case 'spirit': {
      const burns = f.runLimit ?? 540;
      return { with: 'spirit', charge: so.power! * burns, burns, efficiency: so.efficiency! / 100, fades: fire.fuel === 'tablets' };
    }
    case 'electric': {
      const band = 5;
      return { with: 'electric', power: so.power!, set: saturationAtGauge(f.workingPressure as Gauge).T + 0.5, band, lag: 15 };
    }
  }
}

/** The engine as the model steps it. @param own parameters set or learned, by key */
export function plantOf(f: FitOut, own: Overrides = {}): Plant {
  const so: So = Object.fromEntries(plantFigures(f, own).map(({ key, worked }) => [key, worked.value]));
  const { s } = flow(f);
  const over = saturationAtGauge((f.workingPressure * 1.1) as Gauge);
  return {
    vessel: vesselOf(f, so.metal!, so.loss!),
    fire: fireOf(f, so),
    workingPressure: f.workingPressure,
    blower: so.blower ?? 0,
    whistle: f.whistle ? hole(f, { tabletop: 2, small: 6, medium: 40, full: 160 }[f.size]) : 0,
    drains: hole(f, { tabletop: 1, small: 4, medium: 20, full: 90 }[f.size]),
    vent: hole(f, { tabletop: 1, small: 3, medium: 15, full: 60 }[f.size]),
    leak: so.leak!,
    blowDown: { tabletop: 2e-6, small: 12e-6, medium: 40e-6, full: 300e-6 }[f.size],
    regulator: hole(f, ((so.power! * 1.6) / (s.hg - s.hf)) * 3600),
    moisture: so.moisture! / 100,
    valves: f.safetyValves.map((v) => ({
      set: v.set,
      pop: v.type === 'pop',
      area: so.valve! / criticalFlux(over.p, 1 / over.vg)
    })),
    feeds: f.feeds
      .filter((x) => x.plumbed && x.kind !== 'bottle')
      .map((x) => ({ name: x.name, injector: x.kind === 'injector', rate: x.rate * 1000, from: x.from, turning: x.turning })),
    ratedSteam: (so.power! * (f.fire.with === 'solid' ? 0.55 : f.fire.with === 'electric' ? 1 : so.efficiency! / 100)) / (s.hg - s.hf),
    pace: f.pace ? f.pace / 3600 : Infinity,
    coalFrom: f.fire.with === 'solid' && f.fire.start === 'wood' ? 100_000 : -Infinity,
    sustains: (f.fire.with === 'solid' && f.fire.blower) || 0
  };
}
