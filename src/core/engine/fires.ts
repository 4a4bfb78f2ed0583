import { choice, count, flag, group, list, maybe, number, quantity, text, union } from '../form';
import { length, pressure } from './dimensions';

const turns = (label: string) => number(label, 0, 20);

/** What it is heated with. Lengths in m, pressures in Pa at the gauge, weights in kg, power in W, energy in J, times in s. */
export const fireField = union('Fire', 'with', {
  solid: group('Solid fuel', {
    fuel: choice('Fuel', {
      'dry steam coal': 'dry steam coal',
      anthracite: 'anthracite',
      'house coal': 'house coal',
      charcoal: 'charcoal',
      wood: 'wood'
    }),
    start: choice('Start fuel', {
      charcoal: 'soaked charcoal',
      'paraffin sticks': 'paraffin-soaked sticks',
      kindling: 'dry kindling',
      firelighters: 'firelighters',
      wood: 'wood'
    }),
    grateLength: length('Grate length', 20, 2000),
    grateWidth: length('Grate width', 15, 1500),
    gratePieces: count('Pieces of the grate', 1, 30),
    ashpan: choice('Ashpan and grate', { fixed: 'fixed', pins: 'drop, held by pins', doors: 'drop doors' }),
    damper: flag('Damper'),
    chimneyBores: count('Chimney bores', 1, 2),
    chimney: maybe(
      length(
        'Chimney, bore at its narrowest',
        6,
        600,
        'Each bore, where the choke or the petticoat is. Left empty, it is taken from the fan’s adapter or the boiler.'
      )
    ),
    nozzle: maybe(
      length(
        'Blast nozzle, bore',
        1,
        150,
        'One for each bore of the chimney. About a seventh of the cylinder’s bore on a two-cylinder engine; left empty, that is taken.'
      )
    ),
    draught: choice('Draught before there is steam', {
      fan: 'fan on the chimney',
      'compressed air': 'compressed air into the blower',
      none: 'none'
    }),
    adapter: maybe(length('Fan adapter for a chimney of', 8, 400)),
    blower: maybe(pressure('The blower sustains the fire from', 2, 150))
  }),
  gas: group('Gas', {
    burners: list(
      'Burners, in the order in which they are lit',
      'Burner',
      group('Burner', {
        name: text('Called', 1, 40),
        litAt: choice('Lit at', { 'burner face': 'the burner face', smokebox: 'the smokebox', 'flue end': 'the end of the flue' }),
        tells: choice('That it burns is', { heard: 'heard', seen: 'seen', both: 'heard and seen' }),
        lightUp: maybe(turns('Turns of its valve to light')),
        running: maybe(turns('Turns of its valve to run')),
        jet: maybe(
          length('Jet, bore', 0.05, 5, 'Another jet is another burner: pair, leak test and what the valves can pass are worked anew.')
        )
      }),
      1,
      6
    ),
    wait: quantity(
      'Draught between one burner and the next',
      'time',
      0,
      600,
      'Until the one that burns draws well. The next is not lit into a flue that stands still.'
    ),
    purge: quantity(
      'Counted pause after a flame was lost',
      'time',
      10,
      600,
      'Everything off, doors open, until what was not burnt has gone.'
    ),
    canister: quantity('Gas in a full canister', 'mass', 0.005, 20),
    empty: maybe(quantity('Weight of the empty canister', 'mass', 0.005, 40, 'What it weighs over this is gas.')),
    power: quantity('Power of all burners', 'power', 50, 60_000),
    gasRegulator: flag('Pressure regulator on the canister'),
    joints: list('Gas joints, from the canister to the jet', 'Joint', group('Joint', { name: text('Called', 1, 60) }), 0, 12)
  }),
  spirit: group('Spirit or tablets', {
    fuel: choice('Fuel', { spirit: 'spirit', gel: 'gel', tablets: 'tablets' }),
    charge: text('One charge is', 1, 60),
    pieces: maybe(count('Tablets in one charge', 1, 60)),
    weight: maybe(quantity('Weight of one charge', 'mass', 0.0005, 2, 'Weighed, or as on the packet. Its heat follows from it.')),
    layout: choice(
      'A larger charge burns',
      { together: 'all at once, and hotter', after: 'no hotter, and longer' },
      'Tablets side by side burn together. Tablets one after another, spirit under its wicks and gel in its tin burn longer.'
    ),
    heat: maybe(
      quantity(
        'Heat of one charge',
        'energy',
        2e3,
        60e6,
        'Where it is known otherwise. Left empty: its weight times 30 MJ/kg for tablets, 27 for spirit, 20 for gel; without a weight, taken from the fill.'
      )
    ),
    burns: maybe(
      quantity(
        'One charge burns',
        'time',
        30,
        7200,
        'From the match to the last flame. Left empty, the longest run is taken, or nine minutes.'
      )
    )
  }),
  electric: group('Electric element', {
    power: quantity('Power of the element', 'power', 50, 20_000),
    thermostat: choice('Thermostat', { temperature: 'set by temperature', pressure: 'set by pressure', none: 'none' }),
    setTemperature: maybe(quantity('Set to, by temperature', 'temperature', 373, 500, 'Left empty, a little under the safety valve.')),
    setPressure: maybe(pressure('Set to, by pressure', 1, 300)),
    band: quantity('Its band', 'temperature', 0.5, 40, 'A difference in kelvin: how far it cools before the element comes on again.'),
    sensor: choice(
      'Its sensor is',
      { water: 'in the water', shell: 'on the shell', steam: 'in the steam' },
      'On the shell it follows late; in the steam it is blind to a bare element.'
    ),
    cutOut: flag('Cuts out by itself when it runs dry')
  })
});
