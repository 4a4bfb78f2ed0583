import type { Family } from './family';

/** Safety valves. Nothing here is set by anybody but those whom the club’s boiler code allows. */
export const valves: Family = {
  name: 'Safety valves',
  symptoms: [
    {
      key: 'valve-simmers',
      says: ['A safety valve simmers', 'valve weeps', 'valve dribbles', 'valve feathers under working pressure'],
      floor: 'passengers',
      causes: {
        'valve-seat': 'always',
        'valve-dirt': 'always',
        'valve-tired': 'usually',
        'valve-early': 'half',
        'water-high': 'rarely',
        'valve-cocked': 'usually'
      }
    },
    {
      key: 'valve-lifts-early',
      says: ['A safety valve lifts early', 'valve blows below the mark', 'valve lifts too soon'],
      floor: 'passengers',
      causes: {
        'valve-early': 'always',
        'valve-tired': 'usually',
        'gauge-low': 'usually',
        'valve-seat': 'half',
        'valve-locknut': 'usually'
      }
    },
    {
      key: 'valve-lifts-late',
      says: ['A safety valve lifts late', 'valve does not lift', 'valve does not blow at the mark', 'needle over the red line'],
      floor: 'steaming',
      causes: {
        'valve-late': 'always',
        'valve-stuck': 'always',
        'gauge-high': 'usually',
        'valve-binds': 'usually',
        'valve-gagged': 'always',
        'valve-other-first': 'half'
      }
    },
    {
      key: 'valve-not-reseat',
      says: ['A safety valve will not reseat', 'valve stays open', 'valve hangs', 'valve blows down too far'],
      floor: 'passengers',
      causes: {
        'valve-dirt': 'usually',
        'valve-cocked': 'always',
        'valve-binds': 'usually',
        'valve-spring-soft': 'usually',
        'valve-blowdown': 'always',
        'water-high': 'half'
      }
    },
    {
      key: 'valve-not-hold',
      says: ['Pressure goes on rising with the valves open', 'valves do not keep up', 'over pressure with valves blowing'],
      floor: 'steaming',
      causes: {
        'valve-small': 'always',
        'valve-lift-little': 'usually',
        'valve-one-dead': 'usually',
        'fire-stronger': 'usually',
        'gauge-high': 'half'
      }
    }
  ],
  causes: [
    {
      key: 'valve-seat',
      is: 'The valve’s seat is cut',
      why: 'Steam through a scratch makes it deeper.',
      base: 'common',
      fix: { does: 'Lap valve and seat; set and sealed again as the boiler code asks.', minutes: 90, by: 'as the boiler code asks' },
      retest: 'Dry to nine tenths of its set; lift and reseat in the record.',
      floor: 'passengers'
    },
    {
      key: 'valve-dirt',
      is: 'Dirt sits on the valve’s seat',
      why: 'A speck holds it off.',
      base: 'common',
      fix: { does: 'Lift it by its lever or by pressure, once or twice; if it stays, clean it, cold.', minutes: 20 },
      retest: 'Dry after a lift.'
    },
    {
      key: 'valve-tired',
      is: 'The valve’s spring has set',
      why: 'A spring that was hot for years gives way a little.',
      for: ['spring valve'],
      base: 'usual',
      fix: { does: 'New spring; set and sealed as the boiler code asks.', minutes: 90, parts: 'Spring', by: 'as the boiler code asks' },
      retest: 'Lift and reseat in the record.',
      floor: 'passengers'
    },
    {
      key: 'valve-early',
      is: 'The valve is set too low',
      why: 'It lifts where it was set to.',
      base: 'usual',
      fix: { does: 'Set and sealed as the boiler code asks, beside a compared gauge.', minutes: 60, by: 'as the boiler code asks' },
      retest: 'Lift within the code’s figure of the set pressure.',
      floor: 'passengers'
    },
    {
      key: 'valve-locknut',
      is: 'The valve’s locknut is loose',
      why: 'What is not locked turns as it shakes.',
      for: ['spring valve'],
      base: 'usual',
      fix: { does: 'Set, locked and sealed as the boiler code asks.', minutes: 45, by: 'as the boiler code asks' },
      retest: 'Lift in the record; seal seen.',
      floor: 'steaming'
    },
    {
      key: 'valve-late',
      is: 'The valve is set too high',
      why: 'It waits for more than the boiler may have.',
      base: 'usual',
      fix: { does: 'Fire down. Set and sealed as the boiler code asks.', minutes: 60, by: 'as the boiler code asks' },
      retest: 'Lift within the code’s figure.',
      floor: 'steaming'
    },
    {
      key: 'valve-stuck',
      is: 'The valve is stuck on its seat',
      why: 'Scale or a soft seat has glued it over a winter.',
      base: 'usual',
      fix: { does: 'Fire down. Taken apart, cleaned, set and sealed.', minutes: 90, by: 'as the boiler code asks' },
      retest: 'Lifts three times within the code’s figure.',
      floor: 'steaming'
    },
    {
      key: 'valve-binds',
      is: 'The valve’s stem or wings bind',
      why: 'Bent, scaled or tight, it moves by jerks.',
      base: 'usual',
      fix: { does: 'Ease and clean it; set and sealed.', minutes: 90, by: 'as the boiler code asks' },
      retest: 'Lift and reseat alike three times.',
      floor: 'steaming'
    },
    {
      key: 'valve-gagged',
      is: 'Something holds the valve down',
      why: 'A gag from a test, a cover, a plate that touches the lever.',
      base: 'rare',
      fix: { does: 'Fire down. Take it away; write down who put it there and why.', minutes: 5 },
      retest: 'Lifts at its set.',
      floor: 'steaming'
    },
    {
      key: 'valve-other-first',
      is: 'The other valve lifts first and holds it',
      why: 'Two valves set apart: the lower one is enough for this fire.',
      for: ['two valves'],
      base: 'usual',
      fix: { does: 'Nothing, if both were seen to lift this year; each is proven by itself.', minutes: 30 },
      retest: 'Each lifts with the other held, under the examiner’s eye.'
    },
    {
      key: 'valve-cocked',
      is: 'The valve comes down askew',
      why: 'Its spring bears on one side.',
      for: ['spring valve'],
      base: 'usual',
      fix: { does: 'Ends of the spring ground square; set and sealed.', minutes: 90, by: 'as the boiler code asks' },
      retest: 'Reseats dry three times.',
      floor: 'passengers'
    },
    {
      key: 'valve-spring-soft',
      is: 'A spring of the wrong rate',
      why: 'Too soft, it is pressed together by a little more and comes back late.',
      for: ['spring valve'],
      base: 'rare',
      fix: {
        does: 'Spring by the sum of its diameter and lift; set and sealed.',
        minutes: 120,
        parts: 'Spring',
        by: 'as the boiler code asks'
      },
      retest: 'Lift and reseat in the record.',
      floor: 'passengers'
    },
    {
      key: 'valve-blowdown',
      is: 'A pop valve’s ring is set for too long a blow',
      why: 'The ring holds the steam under the lip until well below the set.',
      for: ['spring valve'],
      base: 'usual',
      fix: { does: 'The ring set as its maker says; sealed.', minutes: 60, by: 'as the boiler code asks' },
      retest: 'Reseats within a tenth of its set.'
    },
    {
      key: 'valve-small',
      is: 'The valves are too small for this fire',
      why: 'What they pass at their lift is less than the boiler makes.',
      base: 'rare',
      fix: {
        does: 'Fire down. Larger or another valve, by the sum, with the examiner.',
        minutes: 300,
        parts: 'Valve',
        by: 'examined',
        modifies: true
      },
      retest: 'Accumulation test.',
      floor: 'steaming'
    },
    {
      key: 'valve-lift-little',
      is: 'The valve’s lift is held short',
      why: 'A quarter of the seat’s diameter is wanted; a short spring or a stop allows less.',
      base: 'usual',
      fix: { does: 'Fire down. Lift measured and freed; set and sealed.', minutes: 90, by: 'as the boiler code asks' },
      retest: 'Accumulation test.',
      floor: 'steaming'
    },
    {
      key: 'valve-one-dead',
      is: 'One of two valves does not lift',
      why: 'One alone has to carry the whole fire.',
      for: ['two valves'],
      base: 'usual',
      fix: { does: 'Fire down. The dead one taken apart, cleaned, set and sealed.', minutes: 90, by: 'as the boiler code asks' },
      retest: 'Both seen to lift; accumulation test.',
      floor: 'steaming'
    },
    {
      key: 'fire-stronger',
      is: 'The fire has more in it than it was proven with',
      why: 'Another fuel, burner, element or blast makes more steam than the valves were shown.',
      base: 'usual',
      fix: { does: 'Back to what it was proven with, or proven anew.', minutes: 60, by: 'examined' },
      retest: 'Accumulation test with the fire as it is now.',
      floor: 'steaming'
    }
  ],
  checks: [
    {
      key: 'lift-dirt',
      how: 'Let it lift once, by pressure: is it dry afterwards?',
      results: ['dry now', 'simmers as before'],
      minutes: 5,
      when: 'in steam',
      for: ['gauge'],
      shows: { 'valve-dirt': 'usually', 'valve-seat': 'never', 'valve-tired': 'never', 'valve-cocked': 'half' }
    },
    {
      key: 'needle-lift',
      how: 'Read the needle as it lifts, beside its set pressure.',
      results: ['lower than its set', 'higher than its set, or no lift', 'at its set'],
      minutes: 3,
      when: 'in steam',
      for: ['gauge'],
      shows: {
        'valve-early': ['always', 'never', 'never'],
        'valve-tired': ['usually', 'never', 'rarely'],
        'valve-locknut': ['usually', 'rarely', 'rarely'],
        'valve-late': ['never', 'always', 'never'],
        'valve-stuck': ['never', 'always', 'never'],
        'valve-binds': ['never', 'usually', 'half'],
        'valve-gagged': ['never', 'always', 'never'],
        'gauge-low': ['always', 'never', 'never'],
        'gauge-high': ['never', 'always', 'never']
      }
    },
    {
      key: 'lift-repeat',
      how: 'Three lifts, one after another: do they agree?',
      results: ['differ by more than the needle can be read', 'agree'],
      minutes: 15,
      when: 'in steam',
      for: ['gauge'],
      shows: { 'valve-binds': 'always', 'valve-stuck': 'half', 'valve-dirt': 'half', 'valve-cocked': 'half' }
    },
    {
      key: 'seal-look',
      how: 'Look at the seal and the locknut.',
      results: ['seal broken or nut loose', 'sealed and tight'],
      minutes: 1,
      when: 'any',
      shows: { 'valve-locknut': 'always', 'valve-late': 'half', 'valve-early': 'half' }
    },
    {
      key: 'valve-record',
      how: 'Look up its lifts of this year and last.',
      results: ['drifts down', 'drifts up', 'steady'],
      minutes: 3,
      when: 'any',
      shows: {
        'valve-tired': ['always', 'never', 'never'],
        'valve-stuck': ['never', 'usually', 'rarely'],
        'valve-seat': ['half', 'never', 'half'],
        'gauge-low': ['half', 'never', 'half']
      }
    },
    {
      key: 'reseat-read',
      how: 'Read the needle as it shuts.',
      results: ['over a fifth under its lift', 'a tenth to a fifth under', 'within a tenth'],
      minutes: 4,
      when: 'in steam',
      for: ['gauge'],
      shows: {
        'valve-blowdown': ['half', 'usually', 'never'],
        'valve-spring-soft': ['usually', 'half', 'never'],
        'valve-cocked': ['half', 'half', 'rarely'],
        'valve-binds': ['usually', 'half', 'rarely'],
        'valve-dirt': ['half', 'half', 'rarely']
      }
    },
    {
      key: 'valve-side',
      how: 'Look where it simmers: on one side, or all round?',
      results: ['one side', 'all round'],
      minutes: 1,
      when: 'in steam',
      care: 'From the side, never over it.',
      shows: { 'valve-cocked': 'always', 'valve-dirt': 'usually', 'valve-seat': 'half', 'valve-tired': 'rarely', 'valve-early': 'rarely' }
    },
    {
      key: 'valve-cover',
      how: 'Look for anything on or against the valve: cover, gag, cladding, wire.',
      results: ['something touches it', 'free'],
      minutes: 1,
      when: 'any',
      shows: { 'valve-gagged': 'always' }
    },
    {
      key: 'valve-hand',
      how: 'Cold: press the valve up with a finger or a stick.',
      results: ['does not move', 'moves by jerks', 'moves freely'],
      minutes: 3,
      when: 'cold',
      shows: {
        'valve-stuck': ['always', 'rarely', 'never'],
        'valve-binds': ['rarely', 'always', 'never'],
        'valve-gagged': ['usually', 'rarely', 'rarely']
      }
    },
    {
      key: 'valve-apart',
      how: 'Taken apart by whom the code allows: what do seat and spring look like?',
      results: ['seat cut', 'spring short or not square', 'scaled', 'clean and square'],
      minutes: 60,
      when: 'cold',
      tools: 'As the boiler code asks',
      care: 'Sealed: only who may.',
      shows: {
        'valve-seat': ['always', 'rarely', 'rarely', 'never'],
        'valve-tired': ['rarely', 'always', 'rarely', 'never'],
        'valve-cocked': ['rarely', 'always', 'rarely', 'rarely'],
        'valve-stuck': ['rarely', 'rarely', 'always', 'never'],
        'valve-binds': ['rarely', 'rarely', 'usually', 'rarely'],
        'valve-spring-soft': ['never', 'half', 'never', 'half']
      }
    },
    {
      key: 'which-lifts',
      how: 'Which of the two lifts, and does the other ever?',
      results: ['only one, ever', 'one first, then the other', 'both together'],
      minutes: 3,
      when: 'in steam',
      for: ['two valves'],
      shows: {
        'valve-one-dead': ['always', 'never', 'never'],
        'valve-other-first': ['usually', 'half', 'never'],
        'valve-late': ['half', 'half', 'rarely'],
        'valve-stuck': ['usually', 'rarely', 'never']
      }
    },
    {
      key: 'valve-sum',
      how: 'Work the sum: what the valves pass at their lift against what this fire can make.',
      results: ['less than the fire makes', 'more'],
      minutes: 3,
      when: 'any',
      shows: { 'valve-small': 'always', 'fire-stronger': 'half' }
    },
    {
      key: 'fire-changed',
      how: 'What was changed since the last accumulation test: fuel, burner, element, nozzle?',
      results: ['something was', 'nothing'],
      minutes: 1,
      when: 'any',
      shows: { 'fire-stronger': 'always', 'valve-small': 'half' }
    },
    {
      key: 'lift-measure',
      how: 'Cold: measure how far the valve can lift, beside a quarter of its seat.',
      results: ['clearly less', 'a quarter or more'],
      minutes: 10,
      when: 'cold',
      tools: 'Depth gauge',
      care: 'Sealed: only who may.',
      shows: { 'valve-lift-little': 'always', 'valve-spring-soft': 'rarely' }
    },
    {
      key: 'spray-valve',
      how: 'Is it steam that it blows, or water?',
      results: ['water with it', 'dry steam'],
      minutes: 1,
      when: 'in steam',
      care: 'From the side.',
      shows: { 'water-high': 'always', 'water-dirty': 'half', 'oil-in-water': 'half' }
    }
  ]
};
