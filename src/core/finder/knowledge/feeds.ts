import type { Family } from './family';

/** Injectors, pumps, and what stands between a tank and a boiler. */
export const feeds: Family = {
  name: 'Feeds',
  symptoms: [
    {
      key: 'injector-nothing',
      says: [
        'The injector will not pick up',
        'injector does nothing',
        'blows steam and water from the overflow',
        'injector will not start',
        'will not prime'
      ],
      for: ['injector'],
      of: 'injector',
      causes: {
        'tank-warm': 'usually',
        'tank-low': 'usually',
        'water-shut': 'always',
        strainer: 'half',
        'suction-air': 'usually',
        'cone-scaled': 'half',
        'cone-dirt': 'usually',
        'wrong-order': 'usually',
        'pressure-low': 'always',
        'wet-steam': 'half',
        'steam-starved': 'half',
        'injector-hot': 'usually',
        'clack-passing': 'rarely',
        'clack-stuck': 'usually',
        'injector-large': 'rarely',
        'overflow-stuck': 'half',
        'cold-into-steam': 'half'
      }
    },
    {
      key: 'injector-knocks-off',
      says: [
        'The injector picks up and knocks off',
        'injector works for a moment',
        'injector breaks off',
        'injector keeps dropping out',
        'sulks'
      ],
      for: ['injector'],
      of: 'injector',
      causes: {
        'tank-warm': 'usually',
        'tank-low': 'half',
        strainer: 'usually',
        'suction-air': 'usually',
        'cone-scaled': 'usually',
        'cone-dirt': 'rarely',
        'wet-steam': 'usually',
        'steam-starved': 'usually',
        'injector-large': 'usually',
        'clack-stuck': 'half',
        'cold-into-steam': 'usually',
        'pressure-low': 'half',
        shaken: 'usually',
        'overflow-stuck': 'rarely'
      }
    },
    {
      key: 'injector-only-full',
      says: [
        'The injector works only when the boiler is nearly full',
        'injector works on some days',
        'works one day and not the next',
        'injector works sometimes'
      ],
      for: ['injector'],
      of: 'injector',
      causes: {
        'cold-into-steam': 'always',
        'tank-warm': 'half',
        'steam-starved': 'half',
        'wet-steam': 'rarely',
        'tank-low': 'half',
        'suction-air': 'half',
        'injector-large': 'half',
        'cone-scaled': 'rarely',
        'pressure-low': 'half',
        'wrong-order': 'half'
      }
    },
    {
      key: 'pump-nothing',
      says: [
        'The pump does not deliver',
        'axle pump not feeding',
        'pump gives no water',
        'no water from the pump',
        'feed pump does nothing'
      ],
      for: ['turned pump'],
      of: 'pump',
      causes: {
        'bypass-open': 'always',
        'tank-low': 'usually',
        'water-shut': 'always',
        strainer: 'usually',
        'suction-air': 'usually',
        'pump-ball': 'usually',
        'pump-gland': 'half',
        'pump-worn': 'half',
        'clack-stuck': 'usually',
        'clack-passing': 'half',
        'pump-hot': 'usually',
        'pump-drive': 'always'
      }
    },
    {
      key: 'pump-weak',
      says: ['The pump does not keep up', 'glass falls with the pump on', 'pump too weak', 'pump gives too little'],
      for: ['turned pump'],
      of: 'pump',
      causes: {
        'bypass-passing': 'usually',
        strainer: 'usually',
        'suction-air': 'half',
        'pump-ball': 'usually',
        'pump-gland': 'usually',
        'pump-worn': 'always',
        'pump-small': 'always',
        'clack-passing': 'rarely',
        'too-much-steam': 'half'
      }
    },
    {
      key: 'hand-pump-soft',
      says: ['The hand pump has no resistance', 'hand pump is soft', 'hand pump goes slack', 'hand pump gives nothing'],
      for: ['hand pump'],
      of: 'hand pump',
      causes: {
        'tank-low': 'usually',
        'water-shut': 'usually',
        strainer: 'rarely',
        'suction-air': 'usually',
        'pump-ball': 'usually',
        'pump-gland': 'half',
        'bypass-open': 'half',
        'pump-worn': 'half'
      }
    },
    {
      key: 'hand-pump-hard',
      says: ['The hand pump will not move', 'hand pump is solid', 'hand pump is very stiff', 'hand pump kicks back'],
      for: ['hand pump'],
      of: 'hand pump',
      causes: {
        'clack-stuck': 'always',
        'delivery-shut': 'always',
        'clack-passing': 'half',
        'pump-gland-tight': 'usually',
        'pump-ball': 'rarely'
      }
    },
    {
      key: 'clack-hot',
      says: ['The feed pipe gets hot back to the tank', 'clack passes', 'water blows back', 'tank bubbles', 'hot feed pipe'],
      for: ['feed'],
      floor: 'passengers',
      causes: { 'clack-passing': 'always', 'clack-dirt': 'always', 'steam-passing': 'half', 'injector-hot': 'rarely' }
    }
  ],
  causes: [
    {
      key: 'tank-warm',
      is: 'The water in the tank is too warm',
      why: 'The steam has to condense in the cone: warm water cannot take its heat, and the jet breaks.',
      for: ['injector', 'tank'],
      base: 'common',
      fix: { does: 'Fill with cold water, shade or lag the tank, keep the bypass and the drains out of it.', minutes: 5 },
      retest: 'The injector picks up three times out of three with the tank cold.'
    },
    {
      key: 'tank-low',
      is: 'Too little water in the tank',
      why: 'The pipe draws air in a swirl before the tank is empty.',
      for: ['tank'],
      base: 'common',
      fix: { does: 'Fill the tank; mark the lowest level at which it feeds.', minutes: 5 },
      retest: 'It feeds with the tank full.'
    },
    {
      key: 'water-shut',
      is: 'A water valve is shut, or the handle turns on its spindle',
      why: 'Nothing comes past a valve that is shut, whatever its handle says.',
      base: 'usual',
      fix: { does: 'Open it; pin the handle to its spindle.', minutes: 10 },
      retest: 'Water runs from the overflow, or from the union, with the valve open and stops with it shut.'
    },
    {
      key: 'strainer',
      is: 'The strainer or the suction pipe is choked',
      why: 'Less water comes than the cone or the pump draws.',
      for: ['tank'],
      base: 'common',
      fix: { does: 'Clean the strainer, blow the pipe through to the tank.', minutes: 15 },
      retest: 'The pipe, open at its lower end, fills a measure as fast as it did when it was new.'
    },
    {
      key: 'suction-air',
      is: 'Air is drawn in on the suction side',
      why: 'Air spoils the vacuum of the cone and fills the pump in place of water.',
      base: 'common',
      fix: { does: 'Remake the union or the cone, repack the water valve’s gland.', minutes: 20, parts: 'Washer, packing' },
      retest: 'No bubbles in the delivery, none at the joints under soapy water.'
    },
    {
      key: 'cone-scaled',
      is: 'The cones are scaled',
      why: 'A narrowed cone does not pass the water that its steam needs.',
      for: ['injector'],
      base: 'usual',
      fix: {
        does: 'Take the cones out, soak them in mild acid, rinse. Nothing hard through a cone.',
        minutes: 60,
        parts: 'Mild descaling acid'
      },
      retest: 'It picks up at the lowest pressure that its maker or its own record gives.'
    },
    {
      key: 'cone-dirt',
      is: 'A piece of dirt sits in a cone',
      why: 'The jet is thrown to one side and leaves through the overflow.',
      for: ['injector'],
      base: 'usual',
      fix: { does: 'Take the cones out and blow them through from the small end.', minutes: 30 },
      retest: 'Picks up with the overflow dry.'
    },
    {
      key: 'wrong-order',
      is: 'Steam was turned on before the water',
      why: 'The body is heated before there is water to condense in it.',
      for: ['injector'],
      base: 'usual',
      fix: { does: 'Water fully on, seen to run from the overflow, then steam slowly until it picks up.', minutes: 1 },
      retest: 'Three tries, water first, pick up.'
    },
    {
      key: 'pressure-low',
      is: 'There is too little pressure for it',
      why: 'The jet has to be fast enough to open the clack against the boiler.',
      for: ['injector'],
      base: 'common',
      fix: { does: 'Feed by another way until the pressure is up; feed sooner.', minutes: 1 },
      retest: 'It picks up at working pressure.'
    },
    {
      key: 'wet-steam',
      is: 'It gets wet steam',
      why: 'Water that comes with the steam brings no speed to the jet.',
      for: ['injector'],
      base: 'rare',
      fix: { does: 'Run with a lower glass; take its steam from the highest place, by a collecting pipe.', minutes: 120, modifies: true },
      retest: 'It picks up with the glass high.'
    },
    {
      key: 'steam-starved',
      is: 'Its steam valve or pipe passes too little',
      why: 'Shared with a blower, or half shut, the pipe drops the pressure before the cone.',
      for: ['injector'],
      base: 'usual',
      fix: { does: 'Steam valve fully open, others on the same turret shut; clean the seat and the pipe.', minutes: 30 },
      retest: 'It picks up with the blower open and shut.'
    },
    {
      key: 'injector-hot',
      is: 'The injector itself is hot',
      why: 'A hot body boils the water before the jet forms; a passing steam valve or clack heats it.',
      for: ['injector'],
      base: 'usual',
      fix: { does: 'Cool it with water; grind in the steam valve that passes.', minutes: 45 },
      retest: 'The body stays cool to the hand for ten minutes with its valves shut.'
    },
    {
      key: 'injector-large',
      is: 'The injector is too large for this boiler',
      why: 'It takes more steam and cold water at once than the boiler can stand: pressure falls until it drops out.',
      for: ['injector'],
      base: 'rare',
      fix: { does: 'Fit one that gives about twice what the boiler evaporates.', minutes: 60, parts: 'Smaller injector' },
      retest: 'A quarter of a glass is fed with less than a tenth of the pressure lost.'
    },
    {
      key: 'cold-into-steam',
      is: 'Its cold delivery enters the steam space beside where it takes its own steam',
      why: 'The cold water kills the steam around the collecting pipe; with the boiler nearly full the inlet is under water and it works.',
      for: ['injector'],
      base: 'rare',
      fix: { does: 'Lead the delivery into the water space, or the steam from elsewhere.', minutes: 240, by: 'builder', modifies: true },
      retest: 'It feeds with the glass at a quarter and at three quarters.'
    },
    {
      key: 'overflow-stuck',
      is: 'The overflow valve sticks',
      why: 'Shut, the cone cannot clear itself to start; open, it draws air as it feeds.',
      for: ['injector'],
      base: 'rare',
      fix: { does: 'Clean the flap or ball and its seat.', minutes: 20 },
      retest: 'It moves by its own weight, cold and hot.'
    },
    {
      key: 'shaken',
      is: 'It is shaken off as the engine moves',
      why: 'A rough joint or a surging tank breaks the stream of water for a moment, and the jet with it.',
      for: ['injector', 'rails'],
      base: 'rare',
      fix: { does: 'Baffle the tank, hold the pipe, feed on smooth track.', minutes: 60 },
      retest: 'It holds for a lap.'
    },
    {
      key: 'clack-stuck',
      is: 'The clack is stuck shut',
      why: 'Scale or a swollen seat holds it: nothing gets into the boiler.',
      for: ['feed'],
      base: 'usual',
      fix: { does: 'Boiler cold and empty of pressure: take the clack out, clean ball and seat.', minutes: 40 },
      retest: 'Each feed through it raises the glass.',
      floor: 'passengers'
    },
    {
      key: 'clack-passing',
      is: 'The clack passes back',
      why: 'A worn seat lets boiler water out into the feed pipe, where it heats and steams.',
      for: ['feed'],
      base: 'usual',
      fix: { does: 'Grind in or reseat, new ball; a stop valve between it and the boiler is shut meanwhile.', minutes: 60, parts: 'Ball' },
      retest: 'The feed pipe stays cool for half an hour in steam.',
      floor: 'passengers'
    },
    {
      key: 'clack-dirt',
      is: 'Dirt holds the clack open',
      why: 'A speck between ball and seat lets boiler water back.',
      for: ['feed'],
      base: 'common',
      fix: { does: 'Feed hard for a moment to wash it off; if it stays, take the clack out cold.', minutes: 40 },
      retest: 'The feed pipe stays cool for half an hour in steam.',
      floor: 'passengers'
    },
    {
      key: 'steam-passing',
      is: 'The injector’s steam valve passes',
      why: 'Steam leaks through the injector into its feed pipe.',
      for: ['injector'],
      base: 'usual',
      fix: { does: 'Grind in the steam valve.', minutes: 45 },
      retest: 'Nothing at the overflow with all shut.'
    },
    {
      key: 'bypass-open',
      is: 'The bypass is open',
      why: 'The water goes back to the tank, where it meets no pressure.',
      for: ['bypass'],
      base: 'common',
      fix: { does: 'Shut it; mark which way its handle stands for the boiler.', minutes: 2 },
      retest: 'The glass rises with the bypass shut.'
    },
    {
      key: 'bypass-passing',
      is: 'The bypass does not shut tight',
      why: 'Part of each stroke goes the easy way.',
      for: ['bypass'],
      base: 'usual',
      fix: { does: 'Grind in the valve, clean its seat.', minutes: 40 },
      retest: 'Nothing runs from the bypass into the tank while it is shut and the pump turns.'
    },
    {
      key: 'pump-ball',
      is: 'A ball of the pump sticks or does not seat',
      why: 'With a ball held up the plunger only moves the water to and fro.',
      for: ['pump'],
      base: 'common',
      fix: { does: 'Take the caps off, clean balls and seats, check the lift of the balls.', minutes: 40 },
      retest: 'Delivers against a thumb at the union, then against the boiler.'
    },
    {
      key: 'pump-gland',
      is: 'The pump’s gland is dry or worn',
      why: 'It draws air on the one stroke and loses water on the other.',
      for: ['pump'],
      base: 'usual',
      fix: { does: 'Nip it up a sixth of a turn, repack when that is at its end.', minutes: 30, parts: 'Packing' },
      retest: 'No drip on the delivery stroke.'
    },
    {
      key: 'pump-gland-tight',
      is: 'The gland is too tight, or the ram is scored',
      why: 'Friction of the packing is all that is felt.',
      for: ['hand pump'],
      base: 'usual',
      fix: { does: 'Slacken it until it just weeps; oil the ram.', minutes: 10 },
      retest: 'Moves by hand with the delivery open.'
    },
    {
      key: 'pump-worn',
      is: 'The ram and bore are worn',
      why: 'At each stroke water goes past the ram.',
      for: ['pump'],
      base: 'rare',
      fix: { does: 'O-ring or new ram; bore trued.', minutes: 180, parts: 'O-ring, ram' },
      retest: 'Strokes for half a litre are within a tenth of the sum.'
    },
    {
      key: 'pump-hot',
      is: 'The pump is heated and steam-locked',
      why: 'Hot water flashes on the suction stroke and fills the barrel with vapour.',
      for: ['turned pump'],
      base: 'usual',
      fix: { does: 'Cool it with a wet rag; see to the clack that passes.', minutes: 20 },
      retest: 'Delivers an hour after lighting.'
    },
    {
      key: 'pump-drive',
      is: 'What drives the pump has come loose',
      why: 'The eccentric turns and the ram stands.',
      for: ['turned pump'],
      base: 'rare',
      fix: { does: 'Set and pin the eccentric, new pin.', minutes: 60 },
      retest: 'The ram moves its whole stroke.'
    },
    {
      key: 'pump-small',
      is: 'The pump is too small for what the boiler evaporates',
      why: 'Bore, stroke and turns give less than goes out as steam.',
      for: ['turned pump'],
      base: 'rare',
      fix: { does: 'Use another feed beside it; work the sum of bore, stroke and turns before it is made larger.', minutes: 240 },
      retest: 'The level holds over a quarter of an hour at usual work.'
    },
    {
      key: 'too-much-steam',
      is: 'More steam is used than usual',
      why: 'A leak, blowing valves or heavy work takes more water than the pump was ever to give.',
      base: 'usual',
      fix: { does: 'Find what takes it: valves, glands, drains, a notch too far out.', minutes: 30 },
      retest: 'Water of an hour’s run is what it was.'
    },
    {
      key: 'delivery-shut',
      is: 'A stop valve in the delivery is shut',
      why: 'Water does not give way.',
      for: ['feed'],
      base: 'usual',
      fix: { does: 'Open it, and put it into the procedure as a thing that is open in steam.', minutes: 2 },
      retest: 'The glass rises by strokes.'
    }
  ],
  checks: [
    {
      key: 'tank-look',
      how: 'Look into the tank: how much, and is the end of the suction pipe well under?',
      results: ['low, or the pipe nearly bare', 'well filled'],
      minutes: 1,
      when: 'any',
      for: ['tank'],
      shows: { 'tank-low': 'always' }
    },
    {
      key: 'tank-hand',
      how: 'Hold a hand, or a thermometer, in the tank.',
      results: ['warm, over about 35 °C', 'lukewarm', 'cold'],
      minutes: 1,
      when: 'in steam',
      for: ['tank'],
      shows: {
        'tank-warm': ['usually', 'half', 'never'],
        'clack-passing': ['half', 'half', 'half'],
        'clack-dirt': ['half', 'half', 'half'],
        'pump-hot': ['half', 'half', 'rarely'],
        'bypass-open': ['rarely', 'half', 'half']
      }
    },
    {
      key: 'overflow-water',
      of: ['injector'],
      how: 'Water on, steam shut: does a full stream run from the overflow?',
      results: ['nothing', 'a dribble, or in spurts', 'a full stream'],
      minutes: 1,
      when: 'any',
      for: ['injector'],
      shows: {
        'water-shut': ['always', 'rarely', 'never'],
        'tank-low': ['half', 'half', 'rarely'],
        strainer: ['rarely', 'usually', 'rarely'],
        'suction-air': ['never', 'half', 'half'],
        'overflow-stuck': ['half', 'rarely', 'half'],
        'cone-dirt': ['never', 'half', 'half'],
        'cone-scaled': ['never', 'half', 'half']
      }
    },
    {
      key: 'union-flow',
      how: 'Undo the suction union at the feed, over a measure: how fast does it fill?',
      results: ['slowly, or not at all', 'in spurts with air', 'as it always did'],
      minutes: 5,
      when: 'cold',
      for: ['tank'],
      tools: 'Spanners, measure',
      shows: {
        strainer: ['always', 'never', 'never'],
        'water-shut': ['always', 'never', 'never'],
        'tank-low': ['half', 'half', 'rarely'],
        'suction-air': ['never', 'half', 'half']
      }
    },
    {
      key: 'handle-spindle',
      how: 'Turn each water valve and watch its spindle, not its handle.',
      results: ['shut, or the handle slips', 'open'],
      minutes: 1,
      when: 'any',
      shows: { 'water-shut': 'always', 'delivery-shut': 'half' }
    },
    {
      key: 'suction-soap',
      how: 'Wet the suction joints and the water valve’s gland with oil or soap while it draws; or hold a wet rag round each.',
      results: ['it draws there, or feeds with the rag on', 'no change'],
      minutes: 4,
      when: 'in steam',
      for: ['feed'],
      shows: { 'suction-air': 'usually', 'pump-gland': 'half' }
    },
    {
      key: 'order-again',
      of: ['injector'],
      how: 'Try once more, water fully on first, then steam slowly.',
      results: ['it picks up', 'it does not'],
      minutes: 2,
      when: 'in steam',
      for: ['injector'],
      shows: {
        'wrong-order': 'always',
        'suction-air': 'rarely',
        'cone-scaled': 'rarely',
        shaken: 'half',
        'pressure-low': 'never',
        'tank-warm': 'never',
        'cone-dirt': 'never',
        'water-shut': 'never',
        'clack-stuck': 'never'
      }
    },
    {
      key: 'tries-order',
      of: ['injector'],
      how: 'How was it tried: which came first?',
      results: ['steam first', 'water first'],
      minutes: 1,
      when: 'any',
      for: ['injector'],
      shows: { 'wrong-order': 'always' }
    },
    {
      key: 'needle-try',
      of: ['injector'],
      how: 'Read the needle as it is tried, beside what this feed works from.',
      results: ['under what it works from', 'only just over it', 'well over it'],
      minutes: 1,
      when: 'in steam',
      for: ['injector', 'gauge'],
      shows: {
        'pressure-low': ['usually', 'half', 'never'],
        'steam-starved': ['rarely', 'half', 'half'],
        'cone-scaled': ['rarely', 'half', 'half']
      }
    },
    {
      key: 'try-high',
      of: ['injector'],
      how: 'Try it again at working pressure.',
      results: ['it works there', 'it does not'],
      minutes: 6,
      when: 'in steam',
      for: ['injector'],
      shows: { 'pressure-low': 'always', 'cone-scaled': 'rarely', 'steam-starved': 'half', 'wet-steam': 'rarely', 'tank-warm': 'never' }
    },
    {
      key: 'body-hand',
      of: ['injector'],
      how: 'Touch the injector’s body before it is tried, quickly, with wet fingers.',
      results: ['hot', 'cool'],
      minutes: 1,
      when: 'in steam',
      for: ['injector'],
      care: 'Hot metal: wet fingers, the back of the hand.',
      shows: {
        'injector-hot': 'always',
        'clack-passing': 'usually',
        'clack-dirt': 'usually',
        'steam-passing': 'usually',
        'wrong-order': 'half'
      }
    },
    {
      key: 'overflow-shut',
      of: ['injector'],
      how: 'All valves of the injector shut: does anything come from the overflow?',
      results: ['steam', 'hot water', 'nothing'],
      minutes: 1,
      when: 'in steam',
      for: ['injector'],
      shows: {
        'steam-passing': ['always', 'rarely', 'rarely'],
        'clack-passing': ['rarely', 'usually', 'rarely'],
        'clack-dirt': ['rarely', 'usually', 'rarely'],
        'injector-hot': ['half', 'half', 'half'],
        'overflow-stuck': ['rarely', 'rarely', 'half']
      }
    },
    {
      key: 'pipe-hand',
      how: 'Feel along the feed pipe from the boiler backwards, quickly, after ten minutes with the feed off.',
      results: ['hot well back from the boiler', 'warm near the boiler only'],
      minutes: 1,
      when: 'in steam',
      for: ['feed'],
      care: 'Hot pipe: the back of the hand.',
      shows: { 'clack-passing': 'always', 'clack-dirt': 'always', 'pump-hot': 'usually', 'injector-hot': 'half', 'steam-passing': 'half' }
    },
    {
      key: 'feed-hard',
      how: 'Feed hard by hand pump or injector for ten seconds, then feel the pipe again.',
      results: ['it has stopped passing', 'it passes as before'],
      minutes: 12,
      when: 'in steam',
      for: ['feed'],
      changes: true,
      shows: { 'clack-dirt': 'usually', 'clack-passing': 'never', 'steam-passing': 'never' }
    },
    {
      key: 'blower-off',
      of: ['injector'],
      how: 'Shut the blower and whatever else is on the turret, open the steam valve fully, and try.',
      results: ['it picks up', 'no change'],
      minutes: 2,
      when: 'in steam',
      for: ['injector', 'solid'],
      shows: { 'steam-starved': 'usually', 'wet-steam': 'rarely', 'injector-large': 'never' }
    },
    {
      key: 'glass-low-try',
      of: ['injector'],
      how: 'Try it with the glass at a third, and with it at three quarters.',
      results: ['only when high', 'only when low', 'alike'],
      minutes: 20,
      when: 'in steam',
      for: ['injector', 'glass'],
      shows: {
        'cold-into-steam': ['always', 'never', 'never'],
        'wet-steam': ['never', 'usually', 'rarely'],
        'injector-large': ['half', 'rarely', 'half']
      }
    },
    {
      key: 'needle-while',
      of: ['injector'],
      how: 'Watch the needle while it feeds, or tries to.',
      results: ['falls fast, a tenth in half a minute', 'falls slowly'],
      minutes: 1,
      when: 'in steam',
      for: ['injector', 'gauge'],
      shows: { 'injector-large': 'always', 'cold-into-steam': 'half', 'steam-starved': 'rarely' }
    },
    {
      key: 'bucket',
      of: ['injector'],
      how: 'Feed it from a bucket of cold water by a hose on the suction.',
      results: ['it works', 'it does not'],
      minutes: 10,
      when: 'in steam',
      for: ['injector'],
      tools: 'Bucket, hose',
      shows: {
        'tank-warm': 'always',
        'tank-low': 'always',
        strainer: 'always',
        'water-shut': 'usually',
        'suction-air': 'half',
        shaken: 'half',
        'cone-dirt': 'never',
        'cone-scaled': 'rarely',
        'clack-stuck': 'never',
        'pressure-low': 'never',
        'cold-into-steam': 'rarely'
      }
    },
    {
      key: 'cone-look',
      of: ['injector'],
      how: 'Take the cones out and look through them against the light.',
      results: ['furred', 'something in it', 'bright and clear'],
      minutes: 25,
      when: 'cold',
      for: ['injector'],
      tools: 'Cone extractor',
      shows: { 'cone-scaled': ['always', 'rarely', 'never'], 'cone-dirt': ['rarely', 'usually', 'rarely'] }
    },
    {
      key: 'overflow-flap',
      of: ['injector'],
      how: 'Lift the overflow’s flap or ball with a straw.',
      results: ['sticks', 'free'],
      minutes: 3,
      when: 'any',
      for: ['injector'],
      shows: { 'overflow-stuck': 'always' }
    },
    {
      key: 'clack-blow',
      how: 'Boiler cold: undo the delivery and blow towards the boiler.',
      results: ['shut solid', 'air goes through'],
      minutes: 10,
      when: 'cold',
      for: ['feed'],
      tools: 'Spanners, hose',
      shows: { 'clack-stuck': 'always', 'delivery-shut': 'always' }
    },
    {
      key: 'delivery-valve',
      how: 'Turn the stop valve between feed and boiler.',
      results: ['shut', 'open'],
      minutes: 1,
      when: 'any',
      for: ['feed'],
      shows: { 'delivery-shut': 'always', 'water-shut': 'rarely' }
    },
    {
      key: 'bypass-tank',
      of: ['pump'],
      how: 'Look where the bypass enters the tank, pump turning and bypass shut.',
      results: ['the whole of it comes back', 'some comes back', 'nothing'],
      minutes: 2,
      when: 'running',
      for: ['bypass'],
      shows: {
        'bypass-open': ['always', 'rarely', 'never'],
        'bypass-passing': ['never', 'always', 'never'],
        'clack-stuck': ['half', 'half', 'rarely'],
        strainer: ['never', 'never', 'always'],
        'pump-ball': ['never', 'rarely', 'usually']
      }
    },
    {
      key: 'bypass-handle',
      of: ['pump', 'hand pump'],
      how: 'Trace which way the bypass stands: its spindle, not its label.',
      results: ['open to the tank', 'shut'],
      minutes: 1,
      when: 'any',
      for: ['bypass'],
      shows: { 'bypass-open': 'always' }
    },
    {
      key: 'thumb',
      of: ['pump', 'hand pump'],
      how: 'Delivery union undone, turn or stroke the pump with a thumb over it, boiler cold.',
      results: ['no push at all', 'push, then it sinks back', 'a firm push that holds'],
      minutes: 6,
      when: 'cold',
      for: ['pump'],
      tools: 'Spanners',
      shows: {
        'pump-ball': ['half', 'usually', 'never'],
        'pump-worn': ['rarely', 'usually', 'never'],
        'pump-gland': ['rarely', 'half', 'half'],
        'pump-drive': ['always', 'never', 'never'],
        strainer: ['usually', 'rarely', 'rarely'],
        'suction-air': ['half', 'half', 'rarely'],
        'water-shut': ['always', 'never', 'never'],
        'tank-low': ['usually', 'rarely', 'rarely']
      }
    },
    {
      key: 'ram-look',
      of: ['pump'],
      how: 'Watch the ram while the engine is turned.',
      results: ['stands, or does part of its stroke', 'moves its whole stroke'],
      minutes: 2,
      when: 'any',
      for: ['turned pump'],
      shows: { 'pump-drive': 'always' }
    },
    {
      key: 'gland-drip',
      of: ['pump', 'hand pump'],
      how: 'Watch the pump’s gland over some strokes.',
      results: ['drips, or sucks', 'dry'],
      minutes: 2,
      when: 'any',
      for: ['pump'],
      shows: { 'pump-gland': 'always', 'pump-worn': 'half' }
    },
    {
      key: 'gland-slack',
      of: ['hand pump'],
      how: 'Slacken the gland a third of a turn and try.',
      results: ['it moves', 'no change'],
      minutes: 3,
      when: 'cold',
      for: ['hand pump'],
      changes: true,
      shows: { 'pump-gland-tight': 'always' }
    },
    {
      key: 'kick-back',
      of: ['hand pump'],
      how: 'Let go of the lever at half stroke.',
      results: ['it is pushed back', 'it stays'],
      minutes: 1,
      when: 'in steam',
      for: ['hand pump'],
      shows: { 'clack-passing': 'always', 'clack-dirt': 'usually', 'pump-ball': 'half' }
    },
    {
      key: 'pump-hand',
      of: ['pump'],
      how: 'Touch the pump’s body, quickly.',
      results: ['hot', 'cool'],
      minutes: 1,
      when: 'in steam',
      for: ['turned pump'],
      care: 'Moving parts: standing only.',
      shows: { 'pump-hot': 'always', 'clack-passing': 'usually' }
    },
    {
      key: 'pump-sum',
      of: ['pump'],
      how: 'Work the sum: bore, stroke, turns a minute against what this boiler evaporates.',
      results: ['gives less than it evaporates', 'gives enough'],
      minutes: 3,
      when: 'any',
      for: ['turned pump'],
      shows: {
        'pump-small': 'always',
        'too-much-steam': 'rarely',
        'pump-worn': 'never',
        'bypass-passing': 'never',
        strainer: 'never',
        'pump-ball': 'never'
      }
    },
    {
      key: 'injector-sum',
      of: ['injector'],
      how: 'Work the sum: what the injector gives against what this boiler evaporates.',
      results: ['over four times as much', 'up to about three times'],
      minutes: 3,
      when: 'any',
      for: ['injector'],
      shows: { 'injector-large': 'usually' }
    },
    {
      key: 'delivery-where',
      of: ['injector'],
      how: 'Trace where the delivery enters the boiler, and where the injector takes its steam.',
      results: ['into the steam space, near its own steam', 'into the water space'],
      minutes: 5,
      when: 'any',
      for: ['injector'],
      shows: {
        'cold-into-steam': 'always',
        'tank-warm': 'never',
        'wet-steam': 'never',
        'tank-low': 'never',
        'suction-air': 'never',
        'pressure-low': 'never'
      }
    },
    {
      key: 'water-lap',
      how: 'Compare the water of an hour’s run with what it used to take.',
      results: ['a quarter more or worse', 'as it was'],
      minutes: 15,
      when: 'running',
      for: ['feed'],
      shows: { 'too-much-steam': 'always' }
    },
    {
      key: 'standing-try',
      of: ['injector'],
      how: 'Try it standing, on smooth track.',
      results: ['it holds there', 'it drops out there too'],
      minutes: 4,
      when: 'in steam',
      for: ['injector', 'rails'],
      shows: { shaken: 'always', 'suction-air': 'rarely', strainer: 'rarely' }
    },
    {
      key: 'tries-tank',
      of: ['injector'],
      how: 'From its tries: did those that worked have the colder tank?',
      results: ['works cold, fails warm', 'no such pattern'],
      minutes: 5,
      when: 'any',
      for: ['injector', 'tank'],
      shows: { 'tank-warm': 'always', 'injector-hot': 'rarely', 'cold-into-steam': 'never', 'wet-steam': 'never', 'cone-dirt': 'never' }
    },
    {
      key: 'tries-glass',
      of: ['injector'],
      how: 'From its tries: did those that worked have the higher glass?',
      results: ['works high, fails low', 'works low, fails high', 'no such pattern'],
      minutes: 5,
      when: 'any',
      for: ['injector', 'glass'],
      shows: {
        'cold-into-steam': ['always', 'never', 'never'],
        'wet-steam': ['never', 'usually', 'rarely'],
        'injector-large': ['rarely', 'rarely', 'usually']
      }
    },
    {
      key: 'tries-pressure',
      of: ['injector'],
      how: 'From its tries: did those that worked have the higher needle?',
      results: ['works high, fails low', 'works low, fails high', 'no such pattern'],
      minutes: 5,
      when: 'any',
      for: ['injector', 'gauge'],
      shows: {
        'pressure-low': ['always', 'never', 'never'],
        'steam-starved': ['half', 'rarely', 'half'],
        'tank-warm': ['never', 'half', 'half'],
        'cone-scaled': ['half', 'rarely', 'half']
      }
    }
  ]
};
