import type { FitOut } from '../engine';

/** THE ROWS OF THE COMMISSIONING MATRIX: every control and fitting of an engine, and in which conditions each shows what it is worth. */

/** Air-tested is not steam-tested, and what works standing may not work under load. */
export const conditions = { cold: 'cold', air: 'on air', steam: 'in steam', load: 'under load' } as const;
export type Condition = keyof typeof conditions;
export const conditionKeys = Object.keys(conditions) as Condition[];

export interface Fitting {
  /** As it is called on this engine; two of a kind are two rows. */
  readonly name: string;
  /** What it goes with: a chassis is turned before it has a boiler. */
  readonly of: 'boiler' | 'chassis';
  readonly in: readonly Condition[];
  /** What is to be known before it is called wrong. */
  readonly note?: string;
}

const each = (list: readonly unknown[], one: string): string[] => list.map((_, i) => (list.length > 1 ? `${one} ${i + 1}` : one));
const of = (of: Fitting['of'], on: readonly Condition[], names: readonly string[], note?: string): Fitting[] =>
  names.map((name) => ({ name, of, in: on, ...(note ? { note } : {}) }));
const capital = (word: string) => word[0]!.toUpperCase() + word.slice(1);

/** Of each kind of feed: it is proven where its own drive is. */
const feedIn: Record<FitOut['feeds'][number]['kind'], readonly Condition[]> = {
  'hand pump': ['cold', 'steam'],
  'axle pump': ['steam', 'load'],
  'crosshead pump': ['steam', 'load'],
  'crankshaft pump': ['steam', 'load'],
  'steam pump': ['steam'],
  injector: ['steam', 'load'],
  bottle: ['cold']
};

const drainNote = 'Worked by steam they may not open before there is load on the engine: that is no fault until it has been seen.';

/** Every row, in the order of a walk round it: what holds the pressure, what feeds, what lets steam on, what moves, what stops it. */
export function fittingsOf(f: FitOut): Fitting[] {
  const cylinders = Array.from({ length: f.cylinders.count });
  const steamDrains = f.cylinders.drains === 'steam' || f.cylinders.drains === 'steam isolated';
  return [
    ...of('boiler', ['steam'], each(f.safetyValves, f.gauge ? 'Safety valve' : 'Relief valve')),
    ...of('boiler', ['cold', 'steam'], f.gauge ? ['Pressure gauge'] : []),
    ...of('boiler', ['cold', 'steam'], each(f.glasses, 'Gauge glass')),
    ...of('boiler', ['cold'], f.fusiblePlug ? ['Fusible plug'] : []),
    ...of('boiler', ['cold', 'steam'], f.blowDown ? ['Blow-down'] : []),
    ...of('boiler', ['cold'], f.vent ? ['Vent'] : []),
    ...f.feeds.filter((x) => x.plumbed).flatMap((x) => of('boiler', feedIn[x.kind], [x.name])),
    ...of('boiler', ['steam'], f.fire.with === 'solid' ? ['Blower'] : []),
    ...of('boiler', ['cold', 'steam'], f.fire.with === 'solid' ? ['Damper and firedoor'] : []),
    ...of('boiler', ['steam'], f.fire.with === 'gas' ? each(f.fire.burners, 'Burner') : []),
    ...of('boiler', ['steam'], f.fire.with === 'electric' ? ['Thermostat'] : []),
    ...of('boiler', ['steam'], f.whistle ? ['Whistle'] : []),
    ...of(
      'chassis',
      ['cold', 'air', 'steam', 'load'],
      f.control === 'none' ? [] : [f.control === 'regulator' ? 'Regulator' : 'Steam cock']
    ),
    ...of('chassis', ['cold', 'air', 'steam', 'load'], f.cylinders.reverser === 'none' ? [] : ['Reverser']),
    ...of('chassis', ['air', 'steam', 'load'], each(cylinders, 'Cylinder')),
    ...(f.cylinders.drains === 'none'
      ? []
      : of(
          'chassis',
          steamDrains ? ['steam', 'load'] : ['cold', 'air', 'steam'],
          f.cylinders.drains === 'chest' ? ['Steam-chest drain'] : each(cylinders, 'Drains of cylinder'),
          steamDrains ? drainNote : undefined
        )),
    ...of(
      'chassis',
      ['cold', 'steam'],
      [...new Set(f.lubrication.filter((p) => ['displacement', 'mechanical', 'sight feed'].includes(p.kind)).map((p) => p.kind))].map(
        (kind) => `${capital(kind)} lubricator`
      )
    ),
    ...f.brakes.flatMap(({ kind }) => of('chassis', kind === 'hand' ? ['cold', 'load'] : ['steam', 'load'], [`${capital(kind)} brake`])),
    ...of('chassis', ['cold'], f.drive === 'clutch' || f.drive === 'gears' ? [f.drive === 'gears' ? 'Gears, in and out' : 'Clutch'] : [])
  ];
}
