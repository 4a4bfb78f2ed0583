import { boilerShape, type FitOut } from '../engine';
import { chargeHeat } from '../firing';
import { saturationAtGauge } from '../steam';
import { above, type Expression, type Figure, type Gauge, given, line, over, times, toThePower, workedFrom } from '../units';
import { blownFire, gasWay, onGrate } from './fire-parameters';
import { criticalFlux } from './flow';
import { drawn, locomotive, type Parameter, type So, usual } from './parameter';
import { drawnHeat, passageOf } from './passage';
import { specificHeat } from './vessel';

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
  ...gasWay,
  {
    key: 'power',
    name: 'Heat of the fire when it is drawn well',
    of: (f, so) => {
      const { fire } = f;
      if (fire.with === 'gas' || fire.with === 'electric')
        return [line('heat of the fire', 'power', drawn('power of the burner or element', fire.power, 'power'))];
      if (fire.with === 'spirit') {
        const burns =
          fire.burns !== null
            ? drawn('one charge burns', fire.burns, 'time')
            : f.runLimit === null
              ? usual('time it burns', 540, 'time')
              : drawn('longest run', f.runLimit, 'time');
        if (fire.heat !== null) return [line('heat of the fire', 'power', over(drawn('heat of the charge', fire.heat, 'energy'), burns))];
        if (fire.weight !== null) {
          const weighed = line(
            'heat of the charge',
            'energy',
            times(drawn('weight of the charge', fire.weight, 'mass'), usual('heat of the fuel', chargeHeat[fire.fuel], 'heat of fuel'))
          );
          return [weighed, line('heat of the fire', 'power', over(above(weighed), burns))];
        }
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
            usual('heat of the fuel', chargeHeat[fire.fuel], 'heat of fuel')
          )
        );
        return [charge, line('heat of the fire', 'power', over(above(charge), burns))];
      }
      return drawnHeat(f, passageOf(f, so), so.soot);
    }
  },
  {
    key: 'efficiency',
    name: 'Of that, reaches the water',
    when: (f) => f.fire.with === 'gas' || f.fire.with === 'spirit',
    of: (f) => [line('reaches the water', 'share', usual('usual share for its kind', burnerShare(f), 'share'))]
  },
  ...onGrate,
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
  ...blownFire,
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
          times(
            usual('heat of the fire, drawn hard', so.hard ?? so.power!, 'power'),
            usual('share that reaches the water', share, 'share')
          ),
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
