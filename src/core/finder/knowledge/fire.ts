import type { Family } from './family';

/** A fire that burns, and does not make the steam that is wanted. */
export const fire: Family = {
  name: 'Fire',
  symptoms: [
    {
      key: 'steams-poorly',
      says: [
        'It steams poorly on the run',
        'pressure falls on the run',
        'will not keep up',
        'short of steam',
        'loses pressure on the bank'
      ],
      for: ['solid'],
      causes: {
        'fire-thick': 'usually',
        'fire-thin': 'usually',
        'fire-holes': 'usually',
        'grate-choked': 'usually',
        'tubes-choked': 'usually',
        'blast-large': 'usually',
        'smokebox-air': 'usually',
        'feeds-too-much': 'usually',
        'valves-blow': 'half',
        'steam-leak': 'usually',
        'coal-poor': 'usually',
        'door-long': 'half',
        'notch-out': 'usually',
        'petticoat-off': 'usually',
        'tubes-furred': 'half'
      }
    },
    {
      key: 'spiral',
      says: ['Water and pressure fall together', 'out of breath', 'spiral', 'cannot feed without losing pressure', 'stuck for steam'],
      for: ['solid', 'feed'],
      floor: 'passengers',
      causes: {
        'feeds-too-much': 'usually',
        'fire-thin': 'usually',
        'grate-choked': 'usually',
        'fire-holes': 'half',
        'blower-robs': 'usually',
        'bed-left': 'usually',
        'tubes-choked': 'half',
        'steam-leak': 'half',
        'coal-poor': 'rarely'
      }
    },
    {
      key: 'black-smoke',
      says: ['It smokes black', 'black smoke', 'too much smoke', 'clouds the platform'],
      for: ['coal'],
      causes: {
        'fired-heavy': 'always',
        'coal-bituminous': 'usually',
        'no-top-air': 'usually',
        'draught-little': 'usually',
        'fire-thick': 'half',
        'fuel-damp': 'rarely',
        'grate-choked': 'half'
      }
    },
    {
      key: 'clinkers',
      says: ['It clinkers', 'clinker on the grate', 'fire is dull in patches', 'bars stick'],
      for: ['coal'],
      causes: {
        'coal-ash': 'usually',
        'poked-much': 'usually',
        'ashpan-full': 'usually',
        'bars-burnt': 'half',
        'fire-thick': 'half',
        'draught-hard': 'half'
      }
    },
    {
      key: 'eats-fuel',
      says: ['It eats fuel', 'uses too much coal', 'burns more than it did', 'sparks from the chimney'],
      for: ['solid'],
      causes: {
        'draught-hard': 'usually',
        'coal-small': 'usually',
        'notch-out': 'usually',
        'steam-leak': 'usually',
        'valves-blow': 'half',
        'fired-heavy': 'half',
        'tubes-furred': 'half',
        'bars-burnt': 'usually',
        'valves-lift': 'usually'
      }
    },
    {
      key: 'raise-slow',
      says: ['It takes too long to raise steam', 'raise is slow', 'needle will not move', 'raising takes longer than it did'],
      for: ['solid'],
      causes: {
        'fan-flat': 'usually',
        'second-bore': 'half',
        'tubes-choked': 'usually',
        'smokebox-air': 'usually',
        'grate-choked': 'half',
        'coal-poor': 'usually',
        'water-much': 'usually',
        'valve-open': 'usually',
        'gauge-cock': 'half',
        'fire-thin': 'half',
        'tubes-furred': 'half',
        'fuel-damp': 'half'
      }
    }
  ],
  causes: [
    {
      key: 'fire-thick',
      is: 'The fire is too thick',
      why: 'Air does not get through: it burns to gas that leaves unburnt.',
      for: ['solid'],
      base: 'usual',
      fix: { does: 'Let it burn down, then a little at a time, thin and even.', minutes: 10 },
      retest: 'White in ten minutes, needle rising on the blower.'
    },
    {
      key: 'fire-thin',
      is: 'The fire is too thin for the work',
      why: 'Cold air comes through where there is nothing to burn.',
      for: ['solid'],
      base: 'common',
      fix: { does: 'Build it up before the work, a little and often.', minutes: 10 },
      retest: 'Holds its pressure at the same work.'
    },
    {
      key: 'fire-holes',
      is: 'There are holes in the fire',
      why: 'All the draught goes through the hole and chills the tubes.',
      for: ['solid'],
      base: 'usual',
      fix: { does: 'Fire the dull places and the corners first.', minutes: 5 },
      retest: 'Even from wall to wall.'
    },
    {
      key: 'blast-large',
      is: 'The blast nozzle is too large, or a joint under it blows',
      why: 'A soft blast draws little: the fire is not asked for enough.',
      for: ['blast'],
      base: 'rare',
      fix: { does: 'Remake the joint; a bush a tenth smaller, tried for a day.', minutes: 90, parts: 'Bush' },
      retest: 'Water and fuel of an hour’s run beside those before.'
    },
    {
      key: 'feeds-too-much',
      is: 'It is fed too much at once',
      why: 'Each litre of cold water takes a quarter of the heat that its steam will take.',
      for: ['feed'],
      base: 'common',
      fix: { does: 'Feed a little and often, when the fire is bright.', minutes: 1 },
      retest: 'The needle falls no more than a tenth at a feed.'
    },
    {
      key: 'valves-blow',
      is: 'Valves or pistons blow through',
      why: 'Steam goes to the chimney without work.',
      base: 'usual',
      fix: { does: 'Find which by holding it in mid gear and each end; rings, faces or springs.', minutes: 300, parts: 'Rings, packing' },
      retest: 'Nothing at the chimney in mid gear with the regulator open.'
    },
    {
      key: 'steam-leak',
      is: 'Steam leaks on its way',
      why: 'What blows from a gland or a joint is made for nothing.',
      base: 'usual',
      fix: { does: 'Nip up or repack what blows.', minutes: 40, parts: 'Packing' },
      retest: 'Nothing seen against a dark ground at working pressure.'
    },
    {
      key: 'coal-poor',
      is: 'This coal gives less, or is wet',
      why: 'Ash and water take the place of what burns.',
      for: ['solid'],
      base: 'usual',
      fix: { does: 'Another lot; note both in the log, side by side.', minutes: 5 },
      retest: 'A raise with the other lot.'
    },
    {
      key: 'door-long',
      is: 'The door is open too long',
      why: 'Cold air over the fire chills the tubes.',
      for: ['solid'],
      base: 'usual',
      fix: { does: 'Small rounds, door shut between.', minutes: 1 },
      retest: 'The needle holds through a round.'
    },
    {
      key: 'notch-out',
      is: 'It is driven in full gear',
      why: 'Full gear uses twice the steam for the same work.',
      for: ['reverser'],
      base: 'common',
      fix: { does: 'Notch up once it moves.', minutes: 1 },
      retest: 'Water of an hour’s run.'
    },
    {
      key: 'tubes-furred',
      is: 'The water side is furred',
      why: 'A millimetre of scale keeps heat from the water.',
      for: ['hard water'],
      base: 'rare',
      fix: {
        does: 'Wash-out; descale as the boiler’s maker and the examiner allow; treat the water.',
        minutes: 240,
        by: 'with the examiner'
      },
      retest: 'Raise time back to what it was.'
    },
    {
      key: 'blower-robs',
      is: 'The blower takes what the fire cannot give',
      why: 'On a fire that is dead the blower uses steam and makes none.',
      for: ['solid'],
      base: 'common',
      fix: { does: 'Fan back on or blower down to a breath, rebuild the fire, feed little.', minutes: 10 },
      retest: 'Needle and glass both stop falling.'
    },
    {
      key: 'bed-left',
      is: 'The fire was left too long before the stop ended',
      why: 'A bed that is burnt through has nothing for the start.',
      for: ['moves', 'solid'],
      base: 'usual',
      fix: { does: 'Fire before the whistle, not after it.', minutes: 5 },
      retest: 'The needle holds away from three stops.'
    },
    {
      key: 'fired-heavy',
      is: 'Too much coal at once',
      why: 'A heavy round gives off its gas faster than air comes for it.',
      for: ['coal'],
      base: 'common',
      fix: { does: 'Half the round, twice as often.', minutes: 1 },
      retest: 'Smoke gone within a minute of a round.'
    },
    {
      key: 'coal-bituminous',
      is: 'This coal is long in the flame',
      why: 'A third of it leaves as gas.',
      for: ['coal'],
      base: 'usual',
      fix: { does: 'Dry steam coal or anthracite, or a mixture.', minutes: 5 },
      retest: 'Same round of the other coal.'
    },
    {
      key: 'no-top-air',
      is: 'No air over the fire after a round',
      why: 'The gas burns only with air above the bed.',
      for: ['coal'],
      base: 'usual',
      fix: { does: 'Door on the crack for half a minute after each round.', minutes: 1 },
      retest: 'Smoke with the door on the crack and shut.'
    },
    {
      key: 'draught-little',
      is: 'Too little draught as it is fired',
      why: 'Standing with the blower off the gas hangs.',
      for: ['solid'],
      base: 'usual',
      fix: { does: 'Blower on before the door opens.', minutes: 1 },
      retest: 'Smoke with the blower a quarter open.'
    },
    {
      key: 'coal-ash',
      is: 'The ash of this coal melts',
      why: 'Ash that runs at the heat of the bars glues itself into a sheet.',
      for: ['coal'],
      base: 'common',
      fix: { does: 'Another lot; broken limestone or shell on the bars.', minutes: 5 },
      retest: 'Grate clear after two hours.'
    },
    {
      key: 'poked-much',
      is: 'The fire was poked',
      why: 'Ash stirred up into the hot bed melts there.',
      for: ['coal'],
      base: 'usual',
      fix: { does: 'Leave it alone; rock or rake from below.', minutes: 1 },
      retest: 'Grate clear after two hours.'
    },
    {
      key: 'bars-burnt',
      is: 'Bars are burnt, bent or missing',
      why: 'Coal falls through, or air comes in one place.',
      for: ['solid'],
      base: 'usual',
      fix: { does: 'New bars, right pieces in the right order.', minutes: 30, parts: 'Bars' },
      retest: 'Gaps alike all over.'
    },
    {
      key: 'draught-hard',
      is: 'The blast is too hard',
      why: 'It lifts burning coal through the tubes.',
      for: ['blast'],
      base: 'rare',
      fix: { does: 'A larger nozzle; notch up; less blower.', minutes: 60 },
      retest: 'Smokebox ash of an hour weighed.'
    },
    {
      key: 'coal-small',
      is: 'The coal is too small, or dust',
      why: 'It goes up the chimney before it burns.',
      for: ['coal'],
      base: 'usual',
      fix: { does: 'Sieve it; damp the dust and keep it for banking.', minutes: 10 },
      retest: 'Smokebox ash of an hour weighed.'
    },
    {
      key: 'valves-lift',
      is: 'The safety valves lift for long',
      why: 'Steam, water and coal go straight to the sky.',
      base: 'common',
      fix: { does: 'Less air, feed sooner, a thinner fire before stops.', minutes: 1 },
      retest: 'Lifts and their length in the log.'
    },
    {
      key: 'water-much',
      is: 'There is more water in than usual',
      why: 'Each extra litre has to be heated.',
      base: 'usual',
      fix: { does: 'Fill to the level that the day sheet asks for.', minutes: 5 },
      retest: 'Raise from the usual level.'
    },
    {
      key: 'valve-open',
      is: 'Something stands open',
      why: 'Steam goes out as fast as it is made: a vent, a drain, the blower, a whistle that weeps.',
      base: 'common',
      fix: { does: 'Shut it.', minutes: 1 },
      retest: 'Needle rises within five minutes.'
    },
    {
      key: 'gauge-cock',
      is: 'The gauge is shut off or its siphon is choked',
      why: 'There is pressure, and the needle does not hear of it.',
      for: ['gauge'],
      base: 'rare',
      fix: { does: 'Open the cock; blow the siphon through and fill it with water, cold.', minutes: 30 },
      retest: 'Needle moves with the second gauge.',
      floor: 'steaming'
    }
  ],
  checks: [
    {
      key: 'fire-eye',
      how: 'Look at the fire through the door, shaded, for two seconds.',
      results: ['black on top, thick', 'thin, low at the sides', 'holes', 'dull patches', 'bright and even'],
      minutes: 1,
      when: 'in steam',
      for: ['solid'],
      care: 'Blower on before the door opens.',
      shows: {
        'fire-thick': ['usually', 'never', 'never', 'rarely', 'never'],
        'fire-thin': ['never', 'usually', 'rarely', 'never', 'never'],
        'fire-holes': ['never', 'rarely', 'always', 'rarely', 'never'],
        'grate-choked': ['rarely', 'rarely', 'rarely', 'usually', 'never'],
        'coal-ash': ['rarely', 'never', 'rarely', 'usually', 'never'],
        'poked-much': ['rarely', 'never', 'rarely', 'usually', 'never'],
        'bed-left': ['never', 'usually', 'rarely', 'never', 'never'],
        'fired-heavy': ['usually', 'never', 'never', 'rarely', 'never'],
        'blower-robs': ['never', 'half', 'rarely', 'half', 'never'],
        'bars-burnt': ['never', 'rarely', 'half', 'half', 'rarely']
      }
    },
    {
      key: 'smoke-colour',
      how: 'Look at the chimney a minute after a round.',
      results: ['still black', 'brown or grey', 'clear'],
      minutes: 2,
      when: 'running',
      for: ['coal'],
      shows: {
        'fire-thick': ['usually', 'half', 'never'],
        'fired-heavy': ['half', 'usually', 'rarely'],
        'coal-bituminous': ['usually', 'half', 'never'],
        'no-top-air': ['half', 'half', 'rarely'],
        'fire-thin': ['never', 'rarely', 'always'],
        'fire-holes': ['never', 'rarely', 'always'],
        'draught-little': ['half', 'half', 'rarely']
      }
    },
    {
      key: 'round-half',
      how: 'Half the round, twice as often, for ten minutes.',
      results: ['clearly less smoke', 'as before'],
      minutes: 10,
      when: 'running',
      for: ['coal'],
      changes: true,
      shows: {
        'fired-heavy': 'always',
        'fire-thick': 'half',
        'coal-bituminous': 'rarely',
        'no-top-air': 'rarely',
        'draught-little': 'rarely'
      }
    },
    {
      key: 'door-crack',
      how: 'Leave the door on the crack for half a minute after a round.',
      results: ['the smoke clears', 'no change'],
      minutes: 3,
      when: 'running',
      for: ['coal'],
      changes: true,
      shows: {
        'no-top-air': 'always',
        'coal-bituminous': 'usually',
        'fired-heavy': 'half',
        'draught-little': 'rarely',
        'fire-thick': 'rarely'
      }
    },
    {
      key: 'blower-quarter',
      how: 'Blower a quarter open before the door opens.',
      results: ['the smoke lifts and clears', 'no change'],
      minutes: 3,
      when: 'in steam',
      for: ['coal'],
      changes: true,
      shows: { 'draught-little': 'always', 'no-top-air': 'rarely', 'fired-heavy': 'rarely' }
    },
    {
      key: 'feed-off',
      how: 'Leave the feed off for five minutes, glass allowing, and watch the needle.',
      results: ['it recovers well', 'it does not'],
      minutes: 5,
      when: 'running',
      for: ['feed', 'gauge'],
      care: 'Only with the glass over a half.',
      shows: {
        'feeds-too-much': 'always',
        'fire-thin': 'rarely',
        'grate-choked': 'never',
        'tubes-choked': 'never',
        'coal-poor': 'rarely',
        'steam-leak': 'rarely'
      }
    },
    {
      key: 'blower-down',
      how: 'Blower down to a breath for three minutes: what does the needle do?',
      results: ['falls slower', 'falls faster'],
      minutes: 3,
      when: 'in steam',
      for: ['solid', 'gauge'],
      shows: { 'blower-robs': 'always', 'grate-choked': 'half', 'bed-left': 'half', 'fire-thin': 'half', 'feeds-too-much': 'half' }
    },
    {
      key: 'bank-before',
      how: 'What was done in the five minutes before it began: a stop, hard work, a round, a feed?',
      results: ['stood without a round', 'fed long', 'neither'],
      minutes: 1,
      when: 'any',
      for: ['solid'],
      shows: {
        'bed-left': ['always', 'rarely', 'rarely'],
        'feeds-too-much': ['rarely', 'always', 'never'],
        'fire-thin': ['half', 'rarely', 'half']
      }
    },
    {
      key: 'blast-ear',
      how: 'Listen to the exhaust under load, beside how it was.',
      results: ['soft, woolly', 'harder than it was', 'as it was'],
      minutes: 2,
      when: 'running',
      for: ['blast'],
      shows: {
        'blast-large': ['usually', 'never', 'rarely'],
        'draught-hard': ['never', 'usually', 'rarely'],
        'valves-blow': ['half', 'never', 'half'],
        'petticoat-off': ['rarely', 'never', 'usually']
      }
    },
    {
      key: 'nozzle-measure',
      how: 'Measure the blast nozzle: about a seventh of the cylinder’s bore for two cylinders.',
      results: ['larger by a tenth or more', 'smaller by a tenth or more', 'about that'],
      minutes: 8,
      when: 'cold',
      for: ['blast'],
      tools: 'Plug gauge or drill',
      shows: { 'blast-large': ['usually', 'never', 'rarely'], 'draught-hard': ['never', 'usually', 'rarely'] }
    },
    {
      key: 'mid-gear',
      how: 'Brake on and chocked, mid gear, crack the regulator: what comes at the chimney?',
      results: ['steam blows through', 'nothing or a wisp'],
      minutes: 3,
      when: 'in steam',
      for: ['reverser', 'brake'],
      care: 'Held, drains open, nobody before or behind.',
      shows: { 'valves-blow': 'always' }
    },
    {
      key: 'leak-walk',
      how: 'Walk round it at working pressure against a dark ground.',
      results: ['blows somewhere', 'tight'],
      minutes: 3,
      when: 'in steam',
      shows: { 'steam-leak': 'always', 'valve-open': 'half' }
    },
    {
      key: 'other-lot',
      how: 'Fire from another lot, or the same with a handful dried.',
      results: ['clearly better', 'the same'],
      minutes: 20,
      when: 'in steam',
      for: ['solid'],
      changes: true,
      shows: { 'coal-poor': 'always', 'coal-ash': 'usually', 'coal-bituminous': 'usually', 'coal-small': 'usually', 'fuel-damp': 'usually' }
    },
    {
      key: 'lot-new',
      how: 'Is this a new lot, or has it stood in the rain?',
      results: ['a new lot, or wet', 'the same as always'],
      minutes: 1,
      when: 'any',
      for: ['solid'],
      shows: {
        'coal-poor': 'usually',
        'coal-ash': 'usually',
        'coal-bituminous': 'usually',
        'fuel-damp': 'usually',
        'coal-small': 'half',
        'coal-large': 'half'
      }
    },
    {
      key: 'coal-sieve',
      how: 'Run a shovelful through a coarse sieve.',
      results: ['half of it falls through', 'little falls through'],
      minutes: 3,
      when: 'any',
      for: ['coal'],
      tools: 'Sieve',
      shows: { 'coal-small': 'always' }
    },
    {
      key: 'door-count',
      how: 'Count how long the door stands open in ten minutes.',
      results: ['over a minute', 'less'],
      minutes: 10,
      when: 'running',
      for: ['solid'],
      shows: { 'door-long': 'always', 'fired-heavy': 'half', 'poked-much': 'half' }
    },
    {
      key: 'notch-up',
      how: 'Notch up two and watch speed and needle.',
      results: ['same speed, needle steadier', 'no better'],
      minutes: 4,
      when: 'running',
      for: ['reverser'],
      changes: true,
      shows: { 'notch-out': 'always', 'valves-blow': 'rarely' }
    },
    {
      key: 'where-notch',
      how: 'Where does the reverser stand as it runs?',
      results: ['full gear', 'notched up'],
      minutes: 1,
      when: 'any',
      for: ['reverser'],
      shows: { 'notch-out': 'always' }
    },
    {
      key: 'water-side',
      how: 'Look in at a plug or door of the water space.',
      results: ['furred over a paper’s thickness', 'clean metal'],
      minutes: 20,
      when: 'cold',
      tools: 'Lamp, mirror',
      shows: { 'tubes-furred': 'always' }
    },
    {
      key: 'bars-look',
      how: 'Look at the bars and count the pieces.',
      results: ['burnt, bent or one short', 'whole'],
      minutes: 4,
      when: 'cold',
      for: ['solid'],
      shows: { 'bars-burnt': 'always', 'ashpan-full': 'half' }
    },
    {
      key: 'poker',
      how: 'How often was it poked or raked?',
      results: ['at every look', 'hardly'],
      minutes: 1,
      when: 'any',
      for: ['solid'],
      shows: { 'poked-much': 'always', 'door-long': 'half' }
    },
    {
      key: 'smokebox-char',
      how: 'How much unburnt char lies in the smokebox after an hour?',
      results: ['much, with pieces', 'a little fine ash'],
      minutes: 5,
      when: 'cold',
      for: ['solid'],
      shows: { 'draught-hard': 'usually', 'coal-small': 'usually', 'bars-burnt': 'rarely' }
    },
    {
      key: 'lift-time',
      how: 'How long did the valves blow today?',
      results: ['minutes, again and again', 'hardly'],
      minutes: 1,
      when: 'any',
      shows: { 'valves-lift': 'always' }
    },
    {
      key: 'level-lit',
      how: 'Where did the water stand when it was lit, beside other days?',
      results: ['clearly higher', 'as usual'],
      minutes: 1,
      when: 'any',
      for: ['glass'],
      shows: { 'water-much': 'always' }
    },
    {
      key: 'all-shut',
      how: 'Go through every valve: vent, drains, blower, whistle, blow-down.',
      results: ['one is open or passes', 'all shut'],
      minutes: 2,
      when: 'in steam',
      shows: { 'valve-open': 'always', 'steam-leak': 'rarely' }
    },
    {
      key: 'bob-needle',
      how: 'Does the glass bob, or a valve sizzle, with the needle at rest?',
      results: ['yes', 'no'],
      minutes: 1,
      when: 'in steam',
      for: ['gauge'],
      shows: { 'gauge-cock': 'usually', 'valve-open': 'half' }
    }
  ]
};
