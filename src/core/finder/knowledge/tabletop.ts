import type { Family } from './family';

/** Small engines on a table: spirit or tablets under a boiler that one hand can hold. */
export const tabletop: Family = {
  name: 'Tabletop',
  symptoms: [
    {
      key: 'tabletop-slow',
      says: ['It runs slowly', 'tabletop engine has no go', 'slow and weak', 'turns but without strength'],
      for: ['tabletop'],
      causes: {
        'spring-slack': 'usually',
        'oscillating-dry': 'usually',
        'wick-low': 'usually',
        'pipe-condensate': 'half',
        'valve-early': 'usually',
        'eccentric-off': 'half',
        'tablets-damp': 'usually',
        'exhaust-choked': 'half',
        'oil-gummed': 'usually'
      }
    },
    {
      key: 'tabletop-stalls',
      says: ['It stalls', 'stops at one place', 'needs a push again and again', 'runs and stops'],
      for: ['tabletop'],
      causes: {
        'pipe-condensate': 'usually',
        'tight-spot': 'always',
        'flywheel-loose': 'usually',
        'load-belt': 'usually',
        'oil-gummed': 'half',
        'wick-low': 'half',
        'oscillating-dry': 'half'
      }
    },
    {
      key: 'port-leaks',
      says: ['It leaks at the port face', 'steam between cylinder and standard', 'hisses at the oscillating cylinder'],
      for: ['oscillating'],
      causes: { 'spring-slack': 'always', 'port-grit': 'usually', 'face-scored': 'always', 'pivot-worn': 'usually' }
    },
    {
      key: 'spirit-flame',
      says: ['The spirit burner is weak or flares', 'flame too small', 'flame too high', 'spirit runs over'],
      for: ['spirit'],
      floor: 'passengers',
      causes: {
        'wick-low': 'usually',
        'wick-high': 'always',
        'spirit-wet': 'usually',
        'spirit-overfilled': 'always',
        'tablets-damp': 'usually',
        'burner-vent': 'usually',
        'tablets-many': 'usually'
      }
    }
  ],
  causes: [
    {
      key: 'spring-slack',
      is: 'The spring of the cylinder is slack',
      why: 'Steam pushes the face off and goes past it.',
      for: ['oscillating'],
      base: 'common',
      fix: { does: 'Nut up half a turn; not more than keeps it on.', minutes: 3 },
      retest: 'Turns by hand freely, no steam at the face.'
    },
    {
      key: 'oscillating-dry',
      is: 'The port face and piston are dry',
      why: 'Without steam oil they rub and leak.',
      for: ['oscillating'],
      base: 'common',
      fix: { does: 'A drop of steam oil on face and rod.', minutes: 2 },
      retest: 'Free by hand.'
    },
    {
      key: 'oil-gummed',
      is: 'Old oil has gummed it',
      why: 'Oil that has stood a winter is glue.',
      for: ['tabletop'],
      base: 'usual',
      fix: { does: 'Washed with paraffin, oiled anew.', minutes: 20 },
      retest: 'Spins ten turns at a flick.'
    },
    {
      key: 'pipe-condensate',
      is: 'The steam pipe fills with water',
      why: 'A long cold pipe makes water of the first steam.',
      for: ['tabletop'],
      base: 'common',
      fix: { does: 'Warm it through, turning by hand; a rag round the pipe.', minutes: 3 },
      retest: 'Runs a minute without spitting.'
    },
    {
      key: 'tight-spot',
      is: 'It is tight at one place',
      why: 'A bent crank or a rod that binds.',
      for: ['tabletop'],
      base: 'usual',
      fix: { does: 'Found by turning, eased.', minutes: 30 },
      retest: 'Alike all round.'
    },
    {
      key: 'flywheel-loose',
      is: 'The flywheel is loose',
      why: 'What should carry it over the centre stays behind.',
      for: ['tabletop'],
      base: 'usual',
      fix: { does: 'Screw tightened on its flat.', minutes: 3 },
      retest: 'Turns with the shaft.'
    },
    {
      key: 'load-belt',
      is: 'What it drives is too stiff or the belt too tight',
      why: 'All its strength goes into the belt.',
      for: ['tabletop'],
      base: 'common',
      fix: { does: 'Belt slacker, what it drives oiled.', minutes: 5 },
      retest: 'Runs with it.'
    },
    {
      key: 'eccentric-off',
      is: 'The eccentric has turned on its shaft',
      why: 'Steam comes at the wrong time.',
      for: ['tabletop', 'slide valves'],
      base: 'usual',
      fix: { does: 'Set a little over a quarter turn ahead of the crank.', minutes: 10 },
      retest: 'Runs the same both ways, or as it should.'
    },
    {
      key: 'port-grit',
      is: 'Grit is on the port face',
      why: 'It holds the faces apart.',
      for: ['oscillating'],
      base: 'usual',
      fix: { does: 'Off, wiped, oiled.', minutes: 10 },
      retest: 'No steam at the face.'
    },
    {
      key: 'face-scored',
      is: 'The port face is scored',
      why: 'Steam goes along the scratch from port to port.',
      for: ['oscillating'],
      base: 'usual',
      fix: { does: 'Lapped on plate glass.', minutes: 40 },
      retest: 'A ring of blue all over.'
    },
    {
      key: 'pivot-worn',
      is: 'The pivot is worn',
      why: 'The cylinder tips off its face.',
      for: ['oscillating'],
      base: 'rare',
      fix: { does: 'Bushed.', minutes: 60, parts: 'Bush' },
      retest: 'No rock.'
    },
    {
      key: 'wick-low',
      is: 'The wicks are too short, tight or burnt',
      why: 'They lift too little spirit.',
      for: ['wicks'],
      base: 'common',
      fix: { does: 'New wicks, loose, a few millimetres out. Burner out and cold.', minutes: 10, parts: 'Wick' },
      retest: 'Minutes to pressure beside its record.'
    },
    {
      key: 'wick-high',
      is: 'The wicks stand too high',
      why: 'Flame beyond the boiler heats what is soldered.',
      for: ['wicks'],
      base: 'usual',
      fix: { does: 'Burner out and cold: pushed down.', minutes: 5 },
      retest: 'Flame under the boiler only.',
      floor: 'passengers'
    },
    {
      key: 'spirit-wet',
      is: 'The spirit has water in it',
      why: 'It stood open and drew damp from the air.',
      for: ['wicks'],
      base: 'usual',
      fix: { does: 'Fresh spirit.', minutes: 5, parts: 'Spirit' },
      retest: 'Burns away and leaves no drop.'
    },
    {
      key: 'spirit-overfilled',
      is: 'The burner was filled too full',
      why: 'It boils over and burns on the table.',
      for: ['wicks'],
      base: 'usual',
      fix: { does: 'Smothered, cold; filled to two thirds, away from any flame.', minutes: 10 },
      retest: 'Dry underneath after five minutes.',
      floor: 'passengers'
    },
    {
      key: 'burner-vent',
      is: 'The burner’s vent is stopped, or wide open',
      why: 'It draws no air in for what burns away, or boils.',
      for: ['wicks'],
      base: 'usual',
      fix: { does: 'Cleared with a needle, cold.', minutes: 5 },
      retest: 'Steady from lighting to end.'
    },
    {
      key: 'tablets-damp',
      is: 'The tablets are damp or old',
      why: 'They crumble and give half of their heat.',
      for: ['tablets'],
      base: 'usual',
      fix: { does: 'A fresh packet.', minutes: 1, parts: 'Tablets' },
      retest: 'Minutes to pressure beside its record.'
    },
    {
      key: 'tablets-many',
      is: 'Too many tablets at once',
      why: 'More heat than the little valve passes.',
      for: ['tablets'],
      base: 'usual',
      fix: { does: 'As many as its maker or its own record says.', minutes: 1 },
      retest: 'Valve only just lifts.',
      floor: 'passengers'
    }
  ],
  checks: [
    {
      key: 'flick',
      how: 'Cold: flick the flywheel. How many turns?',
      results: ['stops at one place', 'one or two', 'five or more'],
      minutes: 1,
      when: 'cold',
      for: ['tabletop'],
      shows: {
        'tight-spot': ['always', 'rarely', 'never'],
        'oil-gummed': ['never', 'always', 'never'],
        'oscillating-dry': ['rarely', 'usually', 'rarely'],
        'load-belt': ['never', 'usually', 'rarely'],
        'spring-slack': ['never', 'never', 'always'],
        'pipe-condensate': ['never', 'never', 'always']
      }
    },
    {
      key: 'belt-off',
      how: 'Take the belt off and flick again.',
      results: ['spins now', 'as before'],
      minutes: 1,
      when: 'any',
      for: ['tabletop'],
      shows: { 'load-belt': 'always', 'tight-spot': 'never', 'oil-gummed': 'never' }
    },
    {
      key: 'drop-oil',
      how: 'One drop of the right oil on face, rod and bearings.',
      results: ['clearly freer', 'no change'],
      minutes: 2,
      when: 'cold',
      for: ['tabletop'],
      changes: true,
      shows: { 'oscillating-dry': 'always', 'oil-gummed': 'half', 'tight-spot': 'rarely' }
    },
    {
      key: 'face-steam',
      how: 'Look where it hisses, face or rod.',
      results: ['at the face, all round', 'at the face, one place', 'nowhere'],
      minutes: 1,
      when: 'in steam',
      for: ['oscillating'],
      shows: {
        'spring-slack': ['always', 'rarely', 'never'],
        'port-grit': ['half', 'half', 'rarely'],
        'face-scored': ['rarely', 'always', 'never'],
        'pivot-worn': ['half', 'half', 'rarely'],
        'oscillating-dry': ['half', 'rarely', 'half']
      }
    },
    {
      key: 'spring-finger',
      how: 'Press the cylinder on its face with a stick.',
      results: ['the hiss stops, it runs faster', 'no change'],
      minutes: 1,
      when: 'in steam',
      for: ['oscillating'],
      care: 'Hot: a stick, not a finger.',
      shows: { 'spring-slack': 'always', 'pivot-worn': 'usually', 'port-grit': 'rarely', 'face-scored': 'rarely' }
    },
    {
      key: 'spring-half-turn',
      how: 'Cold: spring nut up half a turn, then try.',
      results: ['better', 'no better'],
      minutes: 8,
      when: 'in steam',
      for: ['oscillating'],
      changes: true,
      shows: { 'spring-slack': 'always', 'pivot-worn': 'half', 'port-grit': 'never', 'face-scored': 'rarely' }
    },
    {
      key: 'face-mirror',
      how: 'Cylinder off: look along both faces.',
      results: ['grit or fluff', 'a scratch from port to port', 'bright'],
      minutes: 8,
      when: 'cold',
      for: ['oscillating'],
      shows: { 'port-grit': ['always', 'rarely', 'never'], 'face-scored': ['rarely', 'always', 'never'] }
    },
    {
      key: 'pivot-rock',
      how: 'Rock the cylinder on its pivot.',
      results: ['rocks', 'firm'],
      minutes: 1,
      when: 'cold',
      for: ['oscillating'],
      shows: { 'pivot-worn': 'always', 'spring-slack': 'half' }
    },
    {
      key: 'exhaust-water',
      how: 'What comes at the exhaust?',
      results: ['water in spits', 'little of anything', 'steam'],
      minutes: 1,
      when: 'in steam',
      for: ['tabletop'],
      shows: {
        'pipe-condensate': ['always', 'never', 'rarely'],
        'exhaust-choked': ['rarely', 'always', 'never'],
        'wick-low': ['rarely', 'half', 'half']
      }
    },
    {
      key: 'warm-through',
      how: 'Turn it by hand for a minute with steam on.',
      results: ['runs then', 'no change'],
      minutes: 2,
      when: 'in steam',
      for: ['tabletop'],
      shows: { 'pipe-condensate': 'always', 'oil-gummed': 'half', 'tight-spot': 'never' }
    },
    {
      key: 'flywheel-hold',
      how: 'Hold the shaft and turn the flywheel.',
      results: ['it turns on its shaft', 'firm'],
      minutes: 1,
      when: 'any',
      for: ['tabletop'],
      shows: { 'flywheel-loose': 'always' }
    },
    {
      key: 'eccentric-ahead',
      how: 'How does the eccentric stand to the crank?',
      results: ['not a quarter ahead', 'a little over a quarter ahead'],
      minutes: 2,
      when: 'any',
      for: ['tabletop', 'slide valves'],
      shows: { 'eccentric-off': 'always' }
    },
    {
      key: 'flame-height',
      how: 'Look at the flame under the boiler.',
      results: ['small or blue only at the wick', 'beyond the boiler', 'spits', 'even, under the boiler'],
      minutes: 1,
      when: 'in steam',
      for: ['spirit'],
      care: 'Spirit burns unseen in sunlight.',
      shows: {
        'wick-low': ['always', 'never', 'never', 'never'],
        'wick-high': ['never', 'always', 'never', 'never'],
        'spirit-wet': ['half', 'never', 'half', 'rarely'],
        'spirit-overfilled': ['never', 'usually', 'half', 'never'],
        'burner-vent': ['half', 'half', 'rarely', 'never'],
        'tablets-damp': ['usually', 'never', 'half', 'rarely'],
        'tablets-many': ['never', 'usually', 'never', 'rarely']
      }
    },
    {
      key: 'wick-look',
      how: 'Burner out and cold: how do the wicks stand?',
      results: ['under the rim, hard or black', 'well out', 'a few millimetres out'],
      minutes: 2,
      when: 'cold',
      for: ['wicks'],
      shows: { 'wick-low': ['always', 'never', 'never'], 'wick-high': ['never', 'always', 'never'] }
    },
    {
      key: 'spirit-spoon',
      how: 'In the open, away from the can: burn a spoonful off.',
      results: ['leaves water', 'leaves nothing'],
      minutes: 5,
      when: 'any',
      for: ['wicks'],
      danger: 'Open spirit: the can shut and far away first, a lid to smother it.',
      shows: { 'spirit-wet': 'always' }
    },
    {
      key: 'burner-fill',
      how: 'How full was the burner filled?',
      results: ['to the brim', 'to two thirds or less'],
      minutes: 1,
      when: 'any',
      for: ['wicks'],
      shows: { 'spirit-overfilled': 'always' }
    },
    {
      key: 'vent-needle',
      how: 'Is the burner’s vent clear?',
      results: ['stopped', 'clear'],
      minutes: 1,
      when: 'cold',
      for: ['wicks'],
      shows: { 'burner-vent': 'always' }
    },
    {
      key: 'tablet-break',
      how: 'Break a tablet.',
      results: ['crumbles or is soft', 'snaps dry'],
      minutes: 1,
      when: 'any',
      for: ['tablets'],
      shows: { 'tablets-damp': 'always' }
    },
    {
      key: 'tablet-count',
      how: 'How many were lit, beside its record?',
      results: ['more', 'as many'],
      minutes: 1,
      when: 'any',
      for: ['tablets'],
      shows: { 'tablets-many': 'always' }
    }
  ]
};
