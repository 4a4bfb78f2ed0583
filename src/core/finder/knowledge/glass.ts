import type { Family } from './family';

/** Gauge glasses, and the pressure gauge: what is read, and whether it is so. */
export const glass: Family = {
  name: 'Glass and gauge',
  symptoms: [
    {
      key: 'glass-still',
      says: ['The glass does not bob', 'glass stands still', 'level does not move', 'dead glass'],
      for: ['glass'],
      floor: 'steaming',
      causes: {
        'glass-bottom': 'always',
        'glass-top': 'usually',
        'glass-cock-shut': 'always',
        'glass-washer': 'usually',
        'glass-quiet': 'usually'
      }
    },
    {
      key: 'glass-full',
      says: ['The glass is full to the top', 'no surface in the glass', 'glass shows all water', 'cannot see a level'],
      for: ['glass'],
      floor: 'steaming',
      causes: {
        overfilled: 'always',
        'glass-top': 'always',
        'glass-cock-shut': 'half',
        'glass-empty': 'half',
        'glass-dirty': 'half',
        'filled-itself': 'usually'
      }
    },
    {
      key: 'glass-differ',
      says: ['The two glasses do not agree', 'glasses differ', 'one glass higher than the other'],
      for: ['two glasses'],
      floor: 'steaming',
      causes: {
        'glass-bottom': 'usually',
        'glass-top': 'usually',
        'glass-washer': 'usually',
        'on-slope': 'usually',
        'shared-fitting': 'half',
        'glass-cock-shut': 'usually',
        'glass-leak': 'half'
      }
    },
    {
      key: 'glass-jumps',
      says: ['The glass jumps', 'level will not settle', 'glass bounces', 'glass surges'],
      for: ['glass'],
      causes: {
        'on-slope': 'half',
        'water-dirty': 'usually',
        'oil-in-water': 'usually',
        'boiling-hard': 'always',
        'salts-high': 'usually',
        'glass-droplets': 'half',
        'glass-leak': 'rarely'
      }
    },
    {
      key: 'glass-leaks',
      says: ['The glass fitting leaks', 'gauge glass weeps', 'steam at the glass nut'],
      for: ['glass'],
      floor: 'steaming',
      causes: { 'glass-packing': 'always', 'glass-misaligned': 'usually', 'glass-chipped': 'usually', 'glass-cock-wear': 'half' }
    },
    {
      key: 'needle-wrong',
      says: [
        'The pressure gauge reads wrong',
        'needle sticks',
        'needle does not go back to zero',
        'gauge and valve do not agree',
        'no pressure on the gauge'
      ],
      for: ['gauge'],
      floor: 'steaming',
      causes: {
        'gauge-cock': 'usually',
        'gauge-high': 'usually',
        'gauge-low': 'usually',
        'gauge-sticks': 'always',
        'siphon-dry': 'half',
        'valve-early': 'half',
        'valve-late': 'half',
        'gauge-zero': 'usually'
      }
    }
  ],
  causes: [
    {
      key: 'glass-bottom',
      is: 'The lower way of the glass is choked',
      why: 'The water in the glass is cut off and stands where it was.',
      for: ['glass'],
      base: 'usual',
      fix: { does: 'Fire out or the other glass in use: rod it through by its plug, cold.', minutes: 30 },
      retest: 'Blown through it falls and comes back at once, three times.',
      floor: 'steaming'
    },
    {
      key: 'glass-top',
      is: 'The upper way of the glass is choked',
      why: 'Steam that is shut in condenses and draws the water up: it reads high.',
      for: ['glass'],
      base: 'usual',
      fix: { does: 'Rod it through, cold.', minutes: 30 },
      retest: 'Blown through, steam comes from the top way alone.',
      floor: 'steaming'
    },
    {
      key: 'glass-cock-shut',
      is: 'A cock of the glass is shut',
      why: 'It shows what it held when it was shut.',
      for: ['blow-through'],
      base: 'common',
      fix: { does: 'Open it; mark the handles for running.', minutes: 1 },
      retest: 'Blown through, comes back at once.',
      floor: 'steaming'
    },
    {
      key: 'glass-washer',
      is: 'A washer or packing has crept over a way',
      why: 'Rubber that swells stops a hole of three millimetres.',
      for: ['glass'],
      base: 'usual',
      fix: { does: 'New glass seals, cut to length.', minutes: 30, parts: 'Seals' },
      retest: 'Comes back at once, three times.',
      floor: 'steaming'
    },
    {
      key: 'glass-quiet',
      is: 'Nothing is the matter: it stands level and is not worked',
      why: 'An engine at rest with no steam drawn has a still surface.',
      for: ['glass'],
      base: 'usual',
      fix: { does: 'Nothing. Blow it through by the book.', minutes: 1 },
      retest: 'Bobs when steam is drawn.'
    },
    {
      key: 'overfilled',
      is: 'The boiler is overfilled',
      why: 'Water above the glass has no surface in it.',
      for: ['glass'],
      base: 'common',
      fix: { does: 'Feed off, blow down until it shows, with nobody near the outlet.', minutes: 10 },
      retest: 'A surface that moves.'
    },
    {
      key: 'filled-itself',
      is: 'It filled itself as it cooled',
      why: 'A boiler that cools makes a vacuum and draws the tank in past the clack.',
      for: ['tank'],
      base: 'usual',
      fix: { does: 'Drain to the day’s level; shut the feed’s stop valve as it cools, vent open.', minutes: 15 },
      retest: 'Same level in the morning as at night.'
    },
    {
      key: 'glass-empty',
      is: 'The water is out of the glass at the bottom',
      why: 'A glass that is empty looks like one that is full.',
      for: ['glass'],
      base: 'usual',
      fix: {
        does: 'Fire out at once. Never feed a boiler whose crown may be bare. Examined before it is lit again.',
        minutes: 120,
        by: 'examined',
        modifies: true
      },
      retest: 'Examined; plug seen.',
      floor: 'steaming'
    },
    {
      key: 'glass-dirty',
      is: 'The glass is dirty inside',
      why: 'Oil and scale hide the surface.',
      for: ['glass'],
      base: 'usual',
      fix: { does: 'Clean or renew it, cold.', minutes: 25, parts: 'Glass' },
      retest: 'The surface is seen from where it is fired.'
    },
    {
      key: 'on-slope',
      is: 'The engine does not stand level',
      why: 'A tenth of a slope over a boiler’s length is more than a glass.',
      for: ['glass'],
      base: 'common',
      fix: { does: 'Read it level, or allow for the slope both ways.', minutes: 1 },
      retest: 'Agree where it stands level.'
    },
    {
      key: 'shared-fitting',
      is: 'Both glasses hang on one way to the steam',
      why: 'A draw on it lowers the pressure over the water in both.',
      for: ['shared glass'],
      base: 'rare',
      fix: { does: 'Read with nothing drawn there; a way of its own is a builder’s work.', minutes: 240, by: 'builder', modifies: true },
      retest: 'Agree with the injector or whistle on.',
      floor: 'passengers'
    },
    {
      key: 'glass-leak',
      is: 'A leak at the glass’s upper end',
      why: 'Steam that leaks there lets the water rise above the true level.',
      for: ['glass'],
      base: 'usual',
      fix: { does: 'Repack it, cold.', minutes: 30, parts: 'Seals' },
      retest: 'Dry, and agrees.',
      floor: 'steaming'
    },
    {
      key: 'boiling-hard',
      is: 'It is worked hard',
      why: 'Bubbles in the water swell it; it falls back when the regulator shuts.',
      for: ['glass'],
      base: 'common',
      fix: { does: 'Read it with the regulator shut for a moment.', minutes: 1 },
      retest: 'Stands with the regulator shut.'
    },
    {
      key: 'glass-droplets',
      is: 'Water runs down in the glass from its cold top',
      why: 'Condensate gathers in a long upper fitting and drops.',
      for: ['glass'],
      base: 'rare',
      fix: { does: 'Lag the fitting; blow through.', minutes: 15 },
      retest: 'No drops after blowing through.'
    },
    {
      key: 'glass-packing',
      is: 'The glass’s packing has gone hard',
      why: 'Heat takes the spring out of rubber.',
      for: ['glass'],
      base: 'common',
      fix: { does: 'New seals, nuts finger tight and a little.', minutes: 30, parts: 'Seals' },
      retest: 'Dry at working pressure after half an hour.'
    },
    {
      key: 'glass-misaligned',
      is: 'The two fittings are out of line',
      why: 'A glass that is bent breaks.',
      for: ['glass'],
      base: 'rare',
      fix: { does: 'Line them up with a rod in place of the glass.', minutes: 60 },
      retest: 'A rod of the glass’s size drops through.',
      floor: 'steaming'
    },
    {
      key: 'glass-chipped',
      is: 'The glass is chipped, etched or too short',
      why: 'Thin places give way without a word.',
      for: ['glass'],
      base: 'usual',
      fix: { does: 'New glass of the right length, ends fire-polished.', minutes: 30, parts: 'Glass, seals' },
      retest: 'Dry at working pressure after half an hour.',
      floor: 'steaming'
    },
    {
      key: 'glass-cock-wear',
      is: 'A cock’s plug is worn',
      why: 'A plug that was turned a thousand times is no longer a cone.',
      for: ['blow-through'],
      base: 'usual',
      fix: { does: 'Lap it in.', minutes: 60 },
      retest: 'Dry, shut and open.'
    },
    {
      key: 'gauge-low',
      is: 'The gauge reads low',
      why: 'The boiler has more than the needle says.',
      for: ['gauge'],
      base: 'usual',
      fix: { does: 'Compare over the range; renew it.', minutes: 30, parts: 'Gauge' },
      retest: 'Within its class at five points.',
      floor: 'steaming'
    },
    {
      key: 'gauge-sticks',
      is: 'The gauge’s movement sticks',
      why: 'Heat or a blow has bent the link; it goes on when it is tapped.',
      for: ['gauge'],
      base: 'usual',
      fix: { does: 'Renew it.', minutes: 20, parts: 'Gauge' },
      retest: 'Same up and down at five points.',
      floor: 'steaming'
    },
    {
      key: 'gauge-zero',
      is: 'The needle has moved on its spindle',
      why: 'It is wrong by the same figure everywhere.',
      for: ['gauge'],
      base: 'usual',
      fix: { does: 'Have it reset and compared over the range, or renew it.', minutes: 40 },
      retest: 'On zero cold; within its class at five points.',
      floor: 'steaming'
    },
    {
      key: 'siphon-dry',
      is: 'The siphon is empty',
      why: 'Live steam in the tube of a gauge heats its spring, and it reads wrong.',
      for: ['gauge'],
      base: 'usual',
      fix: { does: 'Fill the siphon with water, cold.', minutes: 10 },
      retest: 'Gauge body stays cool to the hand.'
    }
  ],
  checks: [
    {
      key: 'blow-glass',
      how: 'Blow the glass through: drain open until it is clear, then shut. How does the water come back?',
      results: ['slowly', 'not at all', 'to another level', 'at once, to where it was'],
      minutes: 2,
      when: 'in steam',
      for: ['blow-through'],
      care: 'Guard on, face aside.',
      shows: {
        'glass-bottom': ['usually', 'half', 'rarely', 'never'],
        'glass-top': ['rarely', 'rarely', 'usually', 'rarely'],
        'glass-washer': ['usually', 'half', 'rarely', 'never'],
        'glass-cock-shut': ['never', 'usually', 'half', 'rarely'],
        'glass-empty': ['never', 'usually', 'rarely', 'never']
      }
    },
    {
      key: 'glass-ways',
      how: 'Shut the water cock and open the drain: steam alone? Then the other way round: water alone?',
      results: ['no steam from above', 'no water from below', 'each blows alone'],
      minutes: 3,
      when: 'in steam',
      for: ['blow-through'],
      care: 'Guard on, face aside, one at a time.',
      shows: {
        'glass-top': ['always', 'never', 'never'],
        'glass-bottom': ['never', 'always', 'never'],
        'glass-washer': ['half', 'half', 'rarely'],
        'glass-cock-shut': ['half', 'half', 'rarely'],
        'glass-empty': ['never', 'always', 'never']
      }
    },
    {
      key: 'glass-cocks',
      how: 'Look how each cock stands: in line with its way, or across?',
      results: ['one is across', 'all in line'],
      minutes: 1,
      when: 'any',
      for: ['blow-through'],
      shows: { 'glass-cock-shut': 'always' }
    },
    {
      key: 'draw-steam',
      how: 'Draw steam for five seconds (blower, whistle, a drain): does the surface move?',
      results: ['not at all', 'a little', 'bobs'],
      minutes: 1,
      when: 'in steam',
      for: ['glass'],
      shows: {
        'glass-quiet': ['rarely', 'rarely', 'always'],
        'glass-bottom': ['always', 'half', 'never'],
        'glass-top': ['usually', 'half', 'rarely'],
        'glass-cock-shut': ['always', 'rarely', 'never'],
        'glass-washer': ['usually', 'half', 'rarely'],
        overfilled: ['usually', 'rarely', 'rarely'],
        'glass-empty': ['always', 'never', 'never']
      }
    },
    {
      key: 'pencil-glass',
      how: 'Hold a pencil aslant behind the glass: full of water it bends the picture, empty it does not.',
      results: ['straight: it is empty', 'bent: there is water'],
      minutes: 1,
      when: 'any',
      for: ['glass'],
      shows: {
        'glass-empty': 'always',
        'glass-dirty': 'half',
        'glass-cock-shut': 'half',
        overfilled: 'never',
        'filled-itself': 'never',
        'glass-top': 'never'
      }
    },
    {
      key: 'night-level',
      how: 'Where did it stand last night, beside this morning?',
      results: ['clearly higher this morning', 'as it was left'],
      minutes: 1,
      when: 'any',
      for: ['glass'],
      shows: { 'filled-itself': 'always', overfilled: 'half' }
    },
    {
      key: 'blow-down-show',
      how: 'Blow down for three seconds: does a surface come into sight?',
      results: ['comes down from the top', 'nothing to be seen'],
      minutes: 3,
      when: 'in steam',
      for: ['glass', 'blow-down'],
      changes: true,
      danger: 'Never where the water may be out at the bottom: settle that first. Scalding at the outlet.',
      shows: { overfilled: 'always', 'filled-itself': 'always', 'glass-top': 'half', 'glass-empty': 'never', 'glass-bottom': 'never' }
    },
    {
      key: 'level-board',
      how: 'Put a level on the footplate, both ways.',
      results: ['a finger or more out', 'level'],
      minutes: 2,
      when: 'any',
      for: ['glass'],
      tools: 'Spirit level',
      shows: { 'on-slope': 'always', 'on-gradient': 'half' }
    },
    {
      key: 'turn-round',
      how: 'Read both glasses, stand the engine level, read again.',
      results: ['they agree there', 'they differ as before'],
      minutes: 8,
      when: 'in steam',
      for: ['moves', 'two glasses'],
      shows: { 'on-slope': 'always', 'glass-bottom': 'never', 'glass-top': 'never', 'glass-leak': 'never' }
    },
    {
      key: 'read-quiet',
      how: 'Read both with nothing drawn, then with the injector or whistle on.',
      results: ['differ only while steam is drawn', 'no difference by that'],
      minutes: 2,
      when: 'in steam',
      for: ['two glasses'],
      shows: { 'shared-fitting': 'always', 'boiling-hard': 'half' }
    },
    {
      key: 'shut-regulator',
      how: 'Shut the regulator for ten seconds: does the surface settle?',
      results: ['settles', 'jumps on'],
      minutes: 1,
      when: 'running',
      for: ['glass', 'regulator'],
      shows: { 'boiling-hard': 'always', 'on-slope': 'half', 'water-dirty': 'half', 'oil-in-water': 'rarely' }
    },
    {
      key: 'glass-nuts',
      how: 'Look at both nuts in a good light, at working pressure.',
      results: ['wet or a wisp at the upper', 'wet at the lower', 'dry'],
      minutes: 1,
      when: 'in steam',
      for: ['glass'],
      care: 'Guard on.',
      shows: {
        'glass-leak': ['always', 'rarely', 'never'],
        'glass-packing': ['half', 'half', 'rarely'],
        'glass-chipped': ['half', 'half', 'half'],
        'glass-misaligned': ['half', 'half', 'rarely'],
        'glass-droplets': ['rarely', 'never', 'usually']
      }
    },
    {
      key: 'glass-out',
      how: 'Cold: take the glass out and look at its ends and its length.',
      results: ['chipped, etched or short', 'whole, seals hard', 'whole, seals soft'],
      minutes: 15,
      when: 'cold',
      for: ['glass'],
      tools: 'Spanners, new seals',
      shows: {
        'glass-chipped': ['always', 'rarely', 'rarely'],
        'glass-packing': ['rarely', 'always', 'never'],
        'glass-washer': ['rarely', 'half', 'half'],
        'glass-misaligned': ['half', 'rarely', 'half']
      }
    },
    {
      key: 'glass-rod',
      how: 'Glass out: does a rod of its size drop through both fittings?',
      results: ['binds', 'drops through'],
      minutes: 5,
      when: 'cold',
      for: ['glass'],
      tools: 'Rod',
      shows: { 'glass-misaligned': 'always' }
    },
    {
      key: 'glass-pricker',
      how: 'Cold, plugs out: put a wire through each way.',
      results: ['upper is choked', 'lower is choked', 'both free'],
      minutes: 20,
      when: 'cold',
      for: ['glass'],
      tools: 'Copper wire',
      shows: {
        'glass-top': ['always', 'never', 'never'],
        'glass-bottom': ['never', 'always', 'never'],
        'glass-washer': ['half', 'half', 'rarely']
      }
    },
    {
      key: 'glass-lamp',
      how: 'Lamp behind the glass: is there a film inside?',
      results: ['a film, or drops', 'clear'],
      minutes: 1,
      when: 'any',
      for: ['glass'],
      tools: 'Lamp',
      shows: { 'glass-dirty': 'always', 'oil-in-water': 'half', 'glass-droplets': 'half' }
    },
    {
      key: 'cock-weep',
      how: 'Turn each cock: does it weep at its plug?',
      results: ['weeps', 'dry'],
      minutes: 2,
      when: 'in steam',
      for: ['blow-through'],
      care: 'Guard on.',
      shows: { 'glass-cock-wear': 'always' }
    },
    {
      key: 'zero-cold',
      how: 'No pressure, vent open: where does the needle stand?',
      results: ['off zero', 'on zero'],
      minutes: 1,
      when: 'cold',
      for: ['gauge'],
      shows: { 'gauge-zero': 'always', 'gauge-sticks': 'half', 'gauge-high': 'half', 'gauge-low': 'half' }
    },
    {
      key: 'tap-gauge',
      how: 'Tap the gauge with a knuckle: does the needle move?',
      results: ['jumps', 'stays'],
      minutes: 1,
      when: 'in steam',
      for: ['gauge'],
      shows: { 'gauge-sticks': 'always', 'gauge-cock': 'rarely' }
    },
    {
      key: 'gauge-five',
      how: 'Beside the test gauge at five points, up and down.',
      results: ['wrong by the same everywhere', 'other going down than going up', 'wrong more the higher', 'within its class'],
      minutes: 20,
      when: 'cold',
      for: ['gauge'],
      tools: 'Test gauge, hand pump',
      shows: {
        'gauge-zero': ['always', 'rarely', 'rarely', 'never'],
        'gauge-sticks': ['rarely', 'always', 'rarely', 'never'],
        'gauge-high': ['half', 'rarely', 'half', 'never'],
        'gauge-low': ['half', 'rarely', 'half', 'never']
      }
    },
    {
      key: 'gauge-warm',
      how: 'Touch the gauge’s body.',
      results: ['too hot to hold', 'warm'],
      minutes: 1,
      when: 'in steam',
      for: ['gauge'],
      shows: { 'siphon-dry': 'always' }
    },
    {
      key: 'gauge-way',
      how: 'Is the gauge’s cock in line, and does its siphon blow clear, cold?',
      results: ['shut or choked', 'open'],
      minutes: 10,
      when: 'cold',
      for: ['gauge'],
      shows: { 'gauge-cock': 'always', 'siphon-dry': 'rarely' }
    },
    {
      key: 'nothing-drawn',
      how: 'Does it stand still only while nothing is drawn and nothing is fed?',
      results: ['only then', 'always'],
      minutes: 2,
      when: 'in steam',
      for: ['glass'],
      shows: {
        'glass-quiet': 'always',
        'glass-washer': 'rarely',
        'glass-top': 'rarely',
        'glass-bottom': 'never',
        'glass-cock-shut': 'never'
      }
    }
  ]
};
