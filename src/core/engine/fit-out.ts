import { choice, count, flag, group, type Infer, list, maybe, number, quantity, text, union } from '../form';
import { length, litres, pressure } from './dimensions';
import { fireField } from './fires';

const tubes = group('Tubes', {
  count: count('Number of tubes', 0, 400),
  diameter: length('Outside diameter of a tube', 3, 120),
  low: length('Centre of the lowest row', 1, 1500, 'Above the bottom of the barrel, inside.'),
  high: length('Centre of the highest row', 1, 1500, 'Rows are spread evenly between the two.')
});

const flueDrum = {
  diameter: length('Inside diameter', 20, 1500),
  length: length('Inside length', 30, 4000),
  tubes
};

/** Heights are above the inside bottom of the barrel or shell; legs reach below it. */
export const boilerField = union('Form of boiler', 'form', {
  locomotive: group('Locomotive', {
    barrelDiameter: length('Barrel, inside diameter', 40, 1200),
    barrelLength: length('Barrel, inside length', 60, 4000, 'Between tubeplates.'),
    wrapperLength: length('Wrapper, inside length', 40, 2000),
    wrapperWidth: length('Wrapper, inside width below the barrel’s centre', 30, 1500),
    top: choice(
      'Top of the wrapper',
      { barrel: 'round, of the barrel’s radius', own: 'round, of its own width', flat: 'flat, level with the barrel’s top' },
      'A wrapper that is wider than the barrel is round of its own width, or flat.'
    ),
    legs: length('Legs reach below the barrel', 0, 1000),
    fireboxLength: length('Firebox, outside length', 30, 1900),
    fireboxWidth: length('Firebox, outside width', 20, 1400),
    crown: length('Firebox crown above the barrel’s bottom', 5, 1000),
    tubes,
    flues: group('Superheater flues', {
      count: count('Number of flues', 0, 60),
      diameter: length('Outside diameter of a flue', 8, 200),
      centre: length('Centre above the barrel’s bottom', 1, 1500)
    }),
    dome: maybe(
      quantity(
        'Room in the dome',
        'volume',
        1e-6,
        litres(200),
        'Steam above the barrel: it steadies the pressure and keeps water out of the pipe.'
      )
    )
  }),
  vertical: group('Vertical', {
    diameter: length('Shell, inside diameter', 40, 1500),
    height: length('Shell, inside height', 60, 3000),
    fireboxDiameter: length('Firebox, outside diameter', 20, 1400),
    fireboxHeight: length('Firebox, height of crown', 10, 1500),
    tubeCount: count('Number of tubes', 0, 400),
    tubeDiameter: length('Outside diameter of a tube', 3, 120)
  }),
  horizontal: group('Horizontal with flue', flueDrum),
  'return flue': group('Horizontal, the flue returns', {
    diameter: length('Inside diameter', 40, 2500),
    length: length('Inside length', 60, 5000),
    flueDiameter: length('Flue with the fire, outside', 10, 1200),
    flueCentre: length('Its centre above the bottom', 5, 2000),
    returnDiameter: length('Flue that returns, outside', 8, 1200),
    returnCentre: length('Its centre above the bottom', 5, 2400)
  }),
  marine: group('Marine, tubes return over the fire', {
    diameter: length('Inside diameter', 40, 2500),
    length: length('Inside length', 60, 5000),
    flueDiameter: length('Furnace, outside', 10, 1200),
    flueCentre: length('Its centre above the bottom', 5, 2000),
    chamber: length('Combustion chamber, long', 5, 1500, 'Where the gas turns, inside the boiler at the far end.'),
    tubes
  }),
  pot: group('Pot', { diameter: length('Inside diameter', 20, 400), length: length('Inside length', 30, 800) }),
  electric: group('Electric', {
    diameter: length('Inside diameter', 40, 600),
    length: length('Inside length', 60, 1500),
    elementVolume: quantity('Water the element displaces', 'volume', 0, litres(5)),
    elementTop: length('Top of the element above the bottom', 1, 500)
  })
});

export const waters = { tap: 'tap', rain: 'rain', softened: 'softened', distilled: 'distilled or deionised' } as const;
const oils = { steam: 'steam oil', motion: 'motion oil', grease: 'grease' } as const;

/**
 * The fit-out: everything an engine has on it that changes how it is prepared, fired, run and shut down.
 * Lengths in m, pressures in Pa at the gauge, volumes in m³, weights in kg, power in W, times in s.
 */
export const fitOutField = group('Fit-out', {
  format: choice('Format', { 'joram.fit-out/4': 'joram.fit-out/4' }),
  name: text('Name', 1, 80),
  description: text('Class', 1, 80, 'As on its plate: 0-4-2 side tank, road roller, drainage pump.'),
  scale: text('Scale or gauge', 1, 40),
  kind: choice('Kind', {
    'tank locomotive': 'tank locomotive',
    'tender locomotive': 'tender locomotive',
    'road engine': 'road engine',
    portable: 'portable',
    'stationary plant': 'stationary plant',
    'launch plant': 'launch plant',
    tabletop: 'tabletop engine'
  }),
  size: choice(
    'Size',
    { tabletop: 'tabletop', small: 'small', medium: 'medium', full: 'full size' },
    'Sets how often the glass is looked at: about 3, 5 and 10 minutes.'
  ),
  mass: quantity('Weight in working order', 'mass', 0.1, 40_000),
  workingPressure: pressure('Working pressure', 5, 300, 'As on the boiler’s certificate.'),
  boiler: boilerField,
  shell: group('Boiler shell', {
    material: choice('Material', { copper: 'copper', brass: 'brass', steel: 'steel' }),
    joints: choice('Joints', {
      'silver-soldered': 'silver-soldered',
      'soft-soldered': 'soft-soldered',
      welded: 'welded',
      riveted: 'riveted'
    }),
    metal: quantity('Weight of the boiler’s metal', 'mass', 0.02, 8000),
    lagged: flag('Lagged')
  }),
  gauge: flag('Pressure gauge'),
  tellTale: choice('Without a gauge, what tells', {
    none: 'nothing',
    whistle: 'the whistle',
    feather: 'feather at the relief valve',
    spring: 'spring of the flywheel'
  }),
  glasses: list(
    'Gauge glasses',
    'Glass',
    group('Glass', {
      bottomNut: length(
        'Top of the bottom nut',
        1,
        3000,
        'Above the inside bottom of the barrel or shell. The lowest water that can be seen.'
      ),
      topNut: length('Bottom of the top nut', 2, 3000),
      blowThrough: flag('Has a blow-through cock'),
      sharesSteam: flag(
        'Its steam pipe also feeds the blower or another user',
        'Such a glass can read a quarter to a whole glass high while that user is open.'
      )
    }),
    0,
    2
  ),
  levels: group('Levels in the glass', {
    lowest: number('Lowest running level', 0, 1, 'As a fraction of the glass. Under it, feed now.'),
    wanted: number('Wanted when hot', 0, 1),
    ceiling: number('Highest level to leave with', 0, 1, 'Above it water is carried over with the steam.')
  }),
  fill: maybe(quantity('Measured fill, for an engine without a glass', 'volume', 10e-6, litres(20))),
  runLimit: maybe(quantity('Longest run on one fill, for an engine that cannot be fed', 'time', 60, 7200)),
  measures: group('How water is measured in', {
    syringe: maybe(quantity('Syringe holds', 'volume', 1e-6, 1e-3)),
    measure: maybe(quantity('Hand measure holds', 'volume', 1e-6, 5e-3))
  }),
  safetyValves: list(
    'Safety valves',
    'Valve',
    group('Safety valve', {
      set: pressure('Set to lift at', 5, 320),
      type: choice('Type', { spring: 'spring', pop: 'pop', weight: 'weight', 'relief filler': 'relief valve in the filler' }),
      unscrewsToFill: flag('Is taken out to fill')
    }),
    1,
    4
  ),
  fusiblePlug: flag('Fusible plug'),
  blowDown: flag('Blow-down valve'),
  vent: flag('Vent or air release'),
  manholes: count('Manhole doors', 0, 4),
  mudholes: count('Mudhole doors', 0, 20),
  whistle: flag('Whistle'),
  fire: fireField,
  feeds: list(
    'Feeds',
    'Feed',
    group('Feed', {
      name: text('Called', 1, 40),
      kind: choice('Kind', {
        'hand pump': 'hand pump',
        'axle pump': 'axle pump',
        'crosshead pump': 'crosshead pump',
        'crankshaft pump': 'crankshaft pump',
        'steam pump': 'steam pump',
        injector: 'injector',
        bottle: 'bottle or syringe, cold'
      }),
      from: pressure('Works from', 0, 200),
      turning: flag('Engine must turn'),
      rate: quantity(
        'Rate',
        'flow',
        0,
        litres(5000) / 3600,
        'Of a hand pump at a stroke a second; of a pump on the engine at its usual turns.'
      ),
      bypassShutSendsTo: choice('With its bypass shut, water goes to', {
        boiler: 'the boiler',
        tank: 'the tank',
        none: 'it has no bypass'
      }),
      into: choice('Delivers into', { water: 'the water space', steam: 'the steam space' }),
      plumbed: flag('Plumbed in')
    }),
    0,
    6
  ),
  tanks: list(
    'Tanks',
    'Tank',
    group('Tank', {
      name: text('Called', 1, 40),
      capacity: quantity('Holds', 'volume', litres(0.05), litres(4000)),
      balanced: flag('Balanced with its pair'),
      gauge: flag('Has a gauge')
    }),
    0,
    4
  ),
  lubrication: list(
    'Lubrication, point by point',
    'Point',
    group('Point', {
      point: text('Where', 1, 60),
      kind: choice('How', {
        displacement: 'displacement lubricator',
        mechanical: 'mechanical lubricator',
        'sight feed': 'sight feed',
        wick: 'wick',
        cup: 'cup',
        hand: 'by hand'
      }),
      oil: choice('Oil', oils),
      every: quantity('Every', 'time', 300, 36_000)
    }),
    0,
    30
  ),
  cylinders: group('Cylinders', {
    count: count('Cylinders', 1, 4),
    bore: length('Bore', 4, 600),
    stroke: length('Stroke', 4, 900),
    doubleActing: flag('Double acting'),
    oscillating: flag('Oscillating'),
    drains: choice('Drains', {
      hand: 'worked by hand',
      steam: 'worked by steam',
      'steam isolated': 'worked by steam, with an isolator',
      chest: 'steam chest only',
      none: 'none'
    }),
    valveGear: text('Valve gear', 0, 40),
    reverser: choice('Reverser', { lever: 'lever with catch', screw: 'screw', none: 'none' })
  }),
  control: choice('Steam is let on by', {
    regulator: 'a regulator',
    'steam cock': 'a steam cock',
    none: 'nothing: it goes when there is steam'
  }),
  roams: choice(
    'Runs free, out of reach',
    { no: 'no: it is driven, held or bolted down', circuit: 'round a circuit', water: 'on the water' },
    'One that runs free is called in before its time is up.'
  ),
  circuit: maybe(quantity('Once round its circuit', 'length', 0.5, 5000)),
  drive: choice('Drive', { direct: 'direct', gears: 'gears, can be disengaged', clutch: 'clutch', chain: 'chain' }),
  brakes: list(
    'Brakes',
    'Brake',
    group('Brake', { kind: choice('Kind', { hand: 'hand', steam: 'steam', vacuum: 'vacuum' }), isolator: flag('Has an isolator') }),
    0,
    3
  ),
  lamps: flag('Lamps'),
  bell: flag('Bell'),
  exhaust: choice('Exhaust', {
    chimney: 'up the chimney',
    separator: 'oil separator',
    condensate: 'condensate tank',
    tray: 'tray under the cylinder'
  }),
  water: group('Water', {
    kind: choice('Kind of water', waters),
    treatment: choice('Treatment', { none: 'none', tank: 'in the tank', boiler: 'in the boiler' })
  }),
  altitude: quantity(
    'Altitude where it is steamed',
    'altitude',
    0,
    5000,
    '0 at the sea. The higher the place, the less hot the water is at the same needle.'
  ),
  storage: choice('Stored', { dry: 'dry and open', full: 'full and treated' }),
  comesOff: text('Parts that come off for transport', 0, 300),
  pace: maybe(
    quantity('Warm it no faster than, per hour', 'temperature', 5, 400, 'A difference in kelvin. Riveted and large boilers are limited.')
  ),
  habits: group('Habits of the owner', {
    draught: choice('Draught', {
      before: 'before the match, so that the flame goes the right way',
      after: 'after it, so that the start fuel is not blown out'
    }),
    firstBed: choice('First bed', { thin: 'thin and even, it takes sooner', full: 'up to the door, it holds longer' }),
    changeover: choice('Changeover to the blower', {
      first: 'at the first pressure that sustains the fire',
      late: 'late, at half working pressure'
    }),
    fill: choice('Fill', { cold: 'with cold water, it shows leaks', warm: 'with warm water, it saves time and fuel' }),
    oiling: choice('Motion oil', { before: 'before lighting, with clean hands', wait: 'during the wait, when the oil runs warm' }),
    firing: choice(
      'Firing',
      { little: 'little and often, so that the bed stays hot', build: 'built up and left, so that the door stays shut' },
      'Both keep steam. A small grate forgives the second less.'
    ),
    oil: choice(
      'Oil on the motion',
      {
        motion: 'engine oil; steam oil in the cylinders only: it creeps where it should',
        steam: 'thick steam oil everywhere: it stays where it is put'
      },
      'Steam oil in the cylinders is no school: thinner oil washes off there.'
    ),
    tooMuch: choice(
      'Too much steam',
      { feed: 'feed first, if there is room: nothing is lost', air: 'less air first: the room in the glass is kept for the bank' },
      'Either way the door ajar comes last: cold air on hot tubes.'
    ),
    lifts: choice(
      'Valves should lift',
      {
        under: 'just under working pressure, so that it is never passed',
        at: 'at working pressure',
        above: 'just above it, so that none is lost'
      },
      'Physics does not settle it; the examiner does.'
    ),
    injector: choice('Injector', { standing: 'tested before moving', moving: 'tested once moving' }),
    blowDown: choice('Blow-down', { hot: 'hot, for the sludge', cool: 'cool, then drained', full: 'left full and treated' }),
    clean: choice('Tubes and smokebox', { after: 'after the run, while warm', before: 'before the next steaming' })
  })
});

export type FitOut = Infer<typeof fitOutField>;
export type Boiler = FitOut['boiler'];
export type Feed = FitOut['feeds'][number];
