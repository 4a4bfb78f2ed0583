import { psi as gaugePsi } from '../units';
import { litres, mm } from './dimensions';
import type { FitOut } from './fit-out';

/**
 * Ten starting patterns: one for each kind of engine that a club is likely to bring. A new engine starts from the
 * nearest and changes what differs. Dimensions are plausible for the class, not those of any particular engine.
 */
export interface Pattern {
  readonly key: string;
  readonly title: string;
  readonly fitOut: FitOut;
}

const psi = (x: number): number => gaugePsi(x);
const perHour = (l: number) => l / 1000 / 3600;
const minutes = (x: number) => x * 60;

type Fire<W> = Extract<FitOut['fire'], { with: W }>;
type FeedOf = FitOut['feeds'][number];

const feed = (name: string, kind: FeedOf['kind'], rate: number, from = 0, more: Partial<FeedOf> = {}): FeedOf => ({
  name,
  kind,
  from: psi(from),
  turning: kind === 'axle pump' || kind === 'crosshead pump' || kind === 'crankshaft pump',
  rate: perHour(rate),
  bypassShutSendsTo: kind === 'axle pump' || kind === 'crosshead pump' || kind === 'crankshaft pump' ? 'boiler' : 'none',
  into: 'water',
  plumbed: true,
  ...more
});
const oil = (
  point: string,
  kind: FitOut['lubrication'][number]['kind'],
  grade: 'steam' | 'motion' | 'grease' = 'motion',
  every = 120
): FitOut['lubrication'][number] => ({
  point,
  kind,
  oil: grade,
  every: minutes(every)
});
const valve = (set: number, type: FitOut['safetyValves'][number]['type'] = 'spring', unscrewsToFill = false) => ({
  set: psi(set),
  type,
  unscrewsToFill
});
const glass = (bottom: number, top: number, more = {}) => ({
  bottomNut: mm(bottom),
  topNut: mm(top),
  blowThrough: true,
  sharesSteam: false,
  ...more
});

const coal: Fire<'solid'> = {
  with: 'solid',
  fuel: 'dry steam coal',
  start: 'charcoal',
  grateLength: mm(140),
  grateWidth: mm(96),
  gratePieces: 1,
  ashpan: 'pins',
  damper: false,
  chimneyBores: 1,
  draught: 'fan',
  chimney: null,
  nozzle: null,
  adapter: mm(32),
  blower: psi(30)
};

type Burner = Fire<'gas'>['burners'][number];
const burner = (name: string, litAt: Burner['litAt'], tells: Burner['tells'], more: Partial<Burner> = {}): Burner => ({
  name,
  litAt,
  tells,
  lightUp: null,
  running: null,
  jet: null,
  ...more
});
const joints = (...names: string[]) => names.map((name) => ({ name }));
const gas = { with: 'gas', wait: 30, purge: 60, gasRegulator: false } as const;

/** A boiler without what few have. */
const plain = { top: 'barrel', flues: { count: 0, diameter: mm(25), centre: mm(100) }, dome: null } as const;

const habits: FitOut['habits'] = {
  draught: 'before',
  firstBed: 'thin',
  changeover: 'first',
  fill: 'cold',
  oiling: 'wait',
  firing: 'little',
  oil: 'motion',
  tooMuch: 'feed',
  lifts: 'at',
  injector: 'standing',
  blowDown: 'hot',
  clean: 'after'
};

/** What most engines share; each pattern says only what is different about it. */
const common = {
  format: 'joram.fit-out/4',
  altitude: 0,
  gauge: true,
  tellTale: 'none',
  levels: { lowest: 0.25, wanted: 0.5, ceiling: 0.75 },
  fill: null,
  runLimit: null,
  measures: { syringe: null, measure: null },
  control: 'regulator',
  roams: 'no',
  circuit: null,
  fusiblePlug: false,
  blowDown: false,
  vent: false,
  manholes: 0,
  mudholes: 0,
  whistle: true,
  drive: 'direct',
  lamps: false,
  bell: false,
  exhaust: 'chimney',
  water: { kind: 'tap', treatment: 'none' },
  storage: 'dry',
  comesOff: '',
  pace: null,
  habits
} as const satisfies Partial<FitOut>;

export const patterns: readonly Pattern[] = [
  {
    key: 'large-tank',
    title: 'Large-gauge tank locomotive, steel boiler, coal',
    fitOut: {
      ...common,
      name: 'Marsh Hen',
      description: '0-4-2 side tank',
      scale: '7¼ in gauge',
      kind: 'tank locomotive',
      size: 'medium',
      mass: 340,
      workingPressure: psi(100),
      boiler: {
        form: 'locomotive',
        ...plain,
        barrelDiameter: mm(216),
        barrelLength: mm(610),
        wrapperLength: mm(300),
        wrapperWidth: mm(206),
        legs: mm(95),
        fireboxLength: mm(256),
        fireboxWidth: mm(164),
        crown: mm(122),
        tubes: { count: 30, diameter: mm(19), low: mm(28), high: mm(104) }
      },
      shell: { material: 'steel', joints: 'welded', metal: 92, lagged: true },
      glasses: [glass(130, 192), glass(130, 192)],
      safetyValves: [valve(100), valve(102)],
      blowDown: true,
      fire: { ...coal, grateLength: mm(250), grateWidth: mm(160), damper: true, ashpan: 'doors', adapter: mm(76) },
      feeds: [feed('Left injector', 'injector', 110, 45), feed('Right injector', 'injector', 75, 40)],
      tanks: [{ name: 'Side tanks', capacity: litres(34), balanced: true, gauge: false }],
      lubrication: [
        oil('Cylinders and valves', 'mechanical', 'steam', 60),
        oil('Axleboxes', 'cup'),
        oil('Coupling rods, both ends', 'hand'),
        oil('Connecting rods, both ends', 'hand'),
        oil('Eccentrics and links', 'hand'),
        oil('Slide bars', 'cup', 'motion', 60)
      ],
      cylinders: {
        count: 2,
        bore: mm(76),
        stroke: mm(114),
        doubleActing: true,
        oscillating: false,
        drains: 'hand',
        valveGear: 'link motion',
        reverser: 'lever'
      },
      brakes: [
        { kind: 'hand', isolator: false },
        { kind: 'steam', isolator: true }
      ],
      bell: false,
      lamps: true,
      water: { kind: 'rain', treatment: 'tank' },
      comesOff: 'Chimney, cab roof',
      storage: 'full'
    }
  },
  {
    key: 'tender',
    title: 'Five-inch tender locomotive, copper boiler, coal',
    fitOut: {
      ...common,
      name: 'Little Bittern',
      description: '2-4-0 tender engine',
      scale: '5 in gauge',
      kind: 'tender locomotive',
      size: 'small',
      mass: 58,
      workingPressure: psi(90),
      boiler: {
        form: 'locomotive',
        ...plain,
        barrelDiameter: mm(127),
        barrelLength: mm(340),
        wrapperLength: mm(165),
        wrapperWidth: mm(116),
        legs: mm(45),
        fireboxLength: mm(142),
        fireboxWidth: mm(98),
        crown: mm(70),
        tubes: { count: 18, diameter: mm(12.7), low: mm(18), high: mm(60) }
      },
      shell: { material: 'copper', joints: 'silver-soldered', metal: 11, lagged: true },
      glasses: [glass(74, 117)],
      safetyValves: [valve(90), valve(92)],
      blowDown: true,
      fire: { ...coal, grateLength: mm(138), grateWidth: mm(94), gratePieces: 3, chimneyBores: 2, adapter: mm(25), blower: psi(30) },
      feeds: [feed('Axle pump', 'axle pump', 9.2), feed('Tender hand pump', 'hand pump', 12), feed('Injector', 'injector', 24, 45)],
      tanks: [{ name: 'Tender', capacity: litres(12), balanced: false, gauge: true }],
      lubrication: [
        oil('Cylinders and valves', 'displacement', 'steam', 90),
        oil('Axleboxes', 'cup'),
        oil('Coupling rods, both ends', 'hand'),
        oil('Connecting rods, both ends', 'hand'),
        oil('Eccentrics and pump', 'hand'),
        oil('Tender axles', 'cup', 'motion', 240)
      ],
      cylinders: {
        count: 2,
        bore: mm(38),
        stroke: mm(57),
        doubleActing: true,
        oscillating: false,
        drains: 'hand',
        valveGear: 'link motion',
        reverser: 'lever'
      },
      brakes: [{ kind: 'hand', isolator: false }],
      water: { kind: 'rain', treatment: 'tank' },
      comesOff: 'Tender, chimney cap'
    }
  },
  {
    key: 'small-tank',
    title: 'Small-gauge tank locomotive, copper boiler, coal or charcoal',
    fitOut: {
      ...common,
      name: 'Snipe',
      description: '0-6-0 tank',
      scale: '3½ in gauge',
      kind: 'tank locomotive',
      size: 'small',
      mass: 16,
      workingPressure: psi(80),
      boiler: {
        form: 'locomotive',
        ...plain,
        barrelDiameter: mm(86),
        barrelLength: mm(205),
        wrapperLength: mm(102),
        wrapperWidth: mm(78),
        legs: mm(30),
        fireboxLength: mm(84),
        fireboxWidth: mm(62),
        crown: mm(48),
        tubes: { count: 11, diameter: mm(9.5), low: mm(13), high: mm(41) }
      },
      shell: { material: 'copper', joints: 'silver-soldered', metal: 3.6, lagged: true },
      glasses: [glass(51, 78)],
      safetyValves: [valve(80)],
      fire: { ...coal, grateLength: mm(82), grateWidth: mm(60), adapter: mm(19), blower: psi(25) },
      feeds: [feed('Crosshead pump', 'crosshead pump', 4), feed('Hand pump', 'hand pump', 6)],
      tanks: [{ name: 'Side tanks', capacity: litres(1.6), balanced: true, gauge: false }],
      lubrication: [
        oil('Cylinders and valves', 'displacement', 'steam', 60),
        oil('Axleboxes', 'hand', 'motion', 90),
        oil('Rods, both ends', 'hand', 'motion', 90),
        oil('Crosshead and pump', 'hand', 'motion', 90)
      ],
      cylinders: {
        count: 2,
        bore: mm(28),
        stroke: mm(40),
        doubleActing: true,
        oscillating: false,
        drains: 'chest',
        valveGear: 'slip eccentric',
        reverser: 'lever'
      },
      brakes: [],
      water: { kind: 'distilled', treatment: 'none' }
    }
  },
  {
    key: 'gas-tank',
    title: 'Garden-gauge tank locomotive, gas, no glass',
    fitOut: {
      ...common,
      name: 'Water Rail',
      description: 'side tank',
      scale: '45 mm gauge',
      kind: 'tank locomotive',
      size: 'small',
      mass: 3.2,
      workingPressure: psi(40),
      boiler: { form: 'horizontal', diameter: mm(56), length: mm(150), tubes: { count: 1, diameter: mm(20), low: mm(14), high: mm(14) } },
      shell: { material: 'copper', joints: 'silver-soldered', metal: 0.75, lagged: true },
      glasses: [],
      fill: litres(0.26),
      runLimit: minutes(16),
      measures: { syringe: litres(0.05), measure: null },
      roams: 'circuit',
      circuit: 38,
      safetyValves: [valve(40, 'spring', true)],
      whistle: false,
      fire: {
        ...gas,
        burners: [burner('Burner', 'smokebox', 'heard', { lightUp: 0.5, running: 1, jet: mm(0.2) })],
        canister: 0.024,
        empty: 0.118,
        power: 800,
        joints: joints('Filler valve', 'Tank to gas valve', 'Gas valve to jet')
      },
      feeds: [feed('Filler plug, syringe', 'bottle', 0, 0)],
      tanks: [],
      lubrication: [oil('Cylinders', 'displacement', 'steam', 20), oil('Axles and rods', 'hand', 'motion', 20)],
      cylinders: {
        count: 2,
        bore: mm(14),
        stroke: mm(16),
        doubleActing: true,
        oscillating: false,
        drains: 'none',
        valveGear: '',
        reverser: 'lever'
      },
      brakes: [],
      water: { kind: 'distilled', treatment: 'none' }
    }
  },
  {
    key: 'road-roller',
    title: 'Scale road engine, steel boiler, coal',
    fitOut: {
      ...common,
      name: 'Peat Presser',
      description: 'road roller',
      scale: '4 in scale',
      kind: 'road engine',
      size: 'medium',
      mass: 760,
      workingPressure: psi(130),
      boiler: {
        form: 'locomotive',
        ...plain,
        barrelDiameter: mm(238),
        barrelLength: mm(590),
        wrapperLength: mm(290),
        wrapperWidth: mm(236),
        legs: mm(130),
        fireboxLength: mm(240),
        fireboxWidth: mm(186),
        crown: mm(124),
        tubes: { count: 26, diameter: mm(22), low: mm(30), high: mm(106) }
      },
      shell: { material: 'steel', joints: 'welded', metal: 128, lagged: true },
      glasses: [glass(134, 204)],
      safetyValves: [valve(130), valve(132)],
      fusiblePlug: true,
      blowDown: true,
      mudholes: 4,
      fire: {
        ...coal,
        start: 'kindling',
        grateLength: mm(236),
        grateWidth: mm(182),
        damper: true,
        ashpan: 'fixed',
        adapter: mm(102),
        blower: psi(20),
        draught: 'fan'
      },
      feeds: [feed('Crankshaft pump', 'crankshaft pump', 32), feed('Injector', 'injector', 80, 50)],
      tanks: [{ name: 'Tender tank', capacity: litres(58), balanced: false, gauge: false }],
      lubrication: [
        oil('Cylinder and valve', 'mechanical', 'steam', 60),
        oil('Crankshaft bearings', 'wick', 'motion', 240),
        oil('Big end', 'wick'),
        oil('Crosshead and slide bars', 'cup', 'motion', 60),
        oil('Eccentrics', 'hand'),
        oil('Gears', 'hand', 'grease', 120),
        oil('Steering worm and chains', 'hand', 'grease', 240),
        oil('Roll and hub bearings', 'hand', 'grease', 240)
      ],
      cylinders: {
        count: 1,
        bore: mm(83),
        stroke: mm(127),
        doubleActing: true,
        oscillating: false,
        drains: 'hand',
        valveGear: 'link motion',
        reverser: 'lever'
      },
      drive: 'gears',
      brakes: [{ kind: 'hand', isolator: false }],
      lamps: true,
      water: { kind: 'softened', treatment: 'tank' },
      storage: 'full',
      pace: 180
    }
  },
  {
    key: 'full-size',
    title: 'Full-size agricultural engine, riveted boiler, wood then coal',
    fitOut: {
      ...common,
      name: 'Eelcatcher',
      description: 'agricultural engine',
      scale: 'full size',
      kind: 'road engine',
      size: 'full',
      mass: 9800,
      workingPressure: psi(140),
      boiler: {
        form: 'locomotive',
        ...plain,
        barrelDiameter: mm(760),
        barrelLength: mm(1780),
        wrapperLength: mm(860),
        wrapperWidth: mm(750),
        legs: mm(430),
        fireboxLength: mm(720),
        fireboxWidth: mm(610),
        crown: mm(430),
        tubes: { count: 36, diameter: mm(57), low: mm(95), high: mm(372) }
      },
      shell: { material: 'steel', joints: 'riveted', metal: 1950, lagged: true },
      glasses: [glass(462, 660)],
      safetyValves: [valve(140), valve(142)],
      fusiblePlug: true,
      blowDown: true,
      manholes: 1,
      mudholes: 8,
      fire: {
        ...coal,
        start: 'wood',
        grateLength: mm(710),
        grateWidth: mm(600),
        damper: true,
        ashpan: 'fixed',
        draught: 'none',
        adapter: null,
        blower: psi(25),
        gratePieces: 14
      },
      feeds: [feed('Crankshaft pump', 'crankshaft pump', 380), feed('Injector', 'injector', 700, 40)],
      tanks: [{ name: 'Tender tank', capacity: litres(680), balanced: false, gauge: false }],
      lubrication: [
        oil('Cylinder and valve', 'mechanical', 'steam', 60),
        oil('Crankshaft bearings', 'wick', 'motion', 240),
        oil('Big end', 'wick'),
        oil('Crosshead and slide bars', 'cup', 'motion', 60),
        oil('Eccentrics', 'hand'),
        oil('Governor', 'hand'),
        oil('Gears and differential', 'hand', 'grease', 240),
        oil('Steering worm and chains', 'hand', 'grease', 240),
        oil('Hubs', 'cup', 'motion', 240)
      ],
      cylinders: {
        count: 1,
        bore: mm(210),
        stroke: mm(305),
        doubleActing: true,
        oscillating: false,
        drains: 'hand',
        valveGear: 'link motion',
        reverser: 'lever'
      },
      drive: 'gears',
      brakes: [{ kind: 'hand', isolator: false }],
      lamps: true,
      water: { kind: 'softened', treatment: 'tank' },
      storage: 'dry',
      habits: { ...habits, blowDown: 'cool' },
      pace: 70
    }
  },
  {
    key: 'vertical-plant',
    title: 'Stationary plant, vertical boiler, gas burners',
    fitOut: {
      ...common,
      name: 'Old Scoop',
      description: 'drainage-pump plant',
      scale: 'plant',
      kind: 'stationary plant',
      size: 'medium',
      mass: 140,
      workingPressure: psi(60),
      boiler: {
        form: 'vertical',
        diameter: mm(270),
        height: mm(560),
        fireboxDiameter: mm(225),
        fireboxHeight: mm(200),
        tubeCount: 40,
        tubeDiameter: mm(20)
      },
      shell: { material: 'steel', joints: 'welded', metal: 68, lagged: true },
      glasses: [glass(330, 470)],
      safetyValves: [valve(60)],
      blowDown: true,
      fire: {
        ...gas,
        burners: [burner('Left burner', 'burner face', 'seen'), burner('Right burner', 'burner face', 'seen')],
        wait: 45,
        purge: 120,
        canister: 11,
        empty: 13.6,
        power: 9000,
        gasRegulator: true,
        joints: joints('Canister to regulator', 'Regulator to hose', 'Hose to tee', 'Tee to left burner', 'Tee to right burner')
      },
      feeds: [feed('Hand pump', 'hand pump', 20), feed('Engine pump', 'crankshaft pump', 14)],
      tanks: [{ name: 'Condensate tank', capacity: litres(40), balanced: false, gauge: true }],
      lubrication: [
        oil('Cylinder', 'sight feed', 'steam', 60),
        oil('Main bearings', 'wick', 'motion', 120),
        oil('Scoop wheel shaft', 'cup', 'grease', 240)
      ],
      cylinders: {
        count: 1,
        bore: mm(64),
        stroke: mm(90),
        doubleActing: true,
        oscillating: false,
        drains: 'hand',
        valveGear: 'slip eccentric',
        reverser: 'none'
      },
      exhaust: 'condensate',
      brakes: [],
      water: { kind: 'softened', treatment: 'boiler' }
    }
  },
  {
    key: 'electric-set',
    title: 'School-visit set, electric boiler',
    fitOut: {
      ...common,
      name: 'Lantern',
      description: 'school-visit set',
      scale: 'bench',
      kind: 'stationary plant',
      size: 'small',
      mass: 14,
      workingPressure: psi(45),
      boiler: { form: 'electric', diameter: mm(130), length: mm(285), elementVolume: litres(0.06), elementTop: mm(36) },
      shell: { material: 'copper', joints: 'silver-soldered', metal: 4.6, lagged: true },
      glasses: [glass(56, 106)],
      safetyValves: [valve(45)],
      vent: true,
      whistle: true,
      fire: {
        with: 'electric',
        power: 1500,
        thermostat: 'temperature',
        setTemperature: 415.15,
        setPressure: null,
        band: 3,
        sensor: 'water',
        cutOut: true
      },
      control: 'steam cock',
      feeds: [feed('Bottle, cold', 'bottle', 0)],
      tanks: [],
      lubrication: [oil('Port faces', 'hand', 'steam', 10), oil('Crank and bearings', 'hand', 'motion', 30)],
      cylinders: {
        count: 1,
        bore: mm(16),
        stroke: mm(22),
        doubleActing: false,
        oscillating: true,
        drains: 'none',
        valveGear: '',
        reverser: 'none'
      },
      exhaust: 'tray',
      brakes: [],
      water: { kind: 'distilled', treatment: 'none' }
    }
  },
  {
    key: 'launch-plant',
    title: 'Launch plant, gas',
    fitOut: {
      ...common,
      name: 'Pond Skater',
      description: 'launch plant',
      scale: 'launch',
      kind: 'launch plant',
      size: 'small',
      mass: 4.5,
      workingPressure: psi(60),
      boiler: { form: 'horizontal', diameter: mm(90), length: mm(180), tubes: { count: 1, diameter: mm(34), low: mm(26), high: mm(26) } },
      shell: { material: 'copper', joints: 'silver-soldered', metal: 1.6, lagged: true },
      glasses: [glass(46, 80, { blowThrough: false })],
      levels: { lowest: 0.15, wanted: 0.85, ceiling: 0.9 },
      safetyValves: [valve(60, 'spring', true)],
      fire: {
        ...gas,
        burners: [burner('Burner', 'flue end', 'heard', { lightUp: 0.75, running: 1.25, jet: mm(0.25) })],
        canister: 0.16,
        empty: 0.24,
        power: 1500,
        joints: joints('Canister to valve', 'Valve to pipe', 'Pipe to jet')
      },
      measures: { syringe: litres(0.06), measure: null },
      control: 'steam cock',
      roams: 'water',
      feeds: [feed('Syringe, cold', 'bottle', 0)],
      tanks: [],
      lubrication: [oil('Cylinders', 'displacement', 'steam', 25), oil('Crank and bearings', 'hand', 'motion', 25)],
      cylinders: {
        count: 2,
        bore: mm(14),
        stroke: mm(14),
        doubleActing: true,
        oscillating: false,
        drains: 'none',
        valveGear: '',
        reverser: 'lever'
      },
      exhaust: 'separator',
      brakes: [],
      water: { kind: 'distilled', treatment: 'none' }
    }
  },
  {
    key: 'tabletop',
    title: 'Tabletop engine, tablets, no gauge and no glass',
    fitOut: {
      ...common,
      name: 'Tin Heron',
      habits: { ...habits, fill: 'warm' },
      description: 'tabletop engine',
      scale: 'tabletop',
      kind: 'tabletop',
      size: 'tabletop',
      mass: 0.9,
      workingPressure: psi(20),
      boiler: { form: 'pot', diameter: mm(46), length: mm(92) },
      shell: { material: 'brass', joints: 'soft-soldered', metal: 0.16, lagged: false },
      gauge: false,
      tellTale: 'whistle',
      glasses: [],
      fill: litres(0.11),
      runLimit: minutes(9),
      safetyValves: [valve(20, 'relief filler', true)],
      measures: { syringe: litres(0.02), measure: null },
      control: 'none',
      fire: {
        with: 'spirit',
        fuel: 'tablets',
        charge: 'two tablets',
        pieces: 2,
        weight: 0.014,
        layout: 'together',
        heat: null,
        burns: minutes(9)
      },
      feeds: [feed('Filler, cold', 'bottle', 0)],
      tanks: [],
      lubrication: [oil('Port face', 'hand', 'steam', 9), oil('Crank and bearings', 'hand', 'motion', 9)],
      cylinders: {
        count: 1,
        bore: mm(9),
        stroke: mm(14),
        doubleActing: false,
        oscillating: true,
        drains: 'none',
        valveGear: '',
        reverser: 'none'
      },
      exhaust: 'tray',
      brakes: [],
      water: { kind: 'distilled', treatment: 'none' }
    }
  }
];
