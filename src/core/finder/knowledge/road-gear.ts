import type { Family } from './family';

/** Gears, clutches, steering and brakes of an engine that is driven. */
export const roadGear: Family = {
  name: 'Road gear and brakes',
  symptoms: [
    {
      key: 'gear-jumps',
      says: ['It jumps out of gear', 'gear will not stay in', 'pinion slides out'],
      for: ['gears'],
      floor: 'passengers',
      causes: { 'gear-pin': 'always', 'gear-worn-dogs': 'usually', 'gear-shaft': 'usually', 'gear-half': 'always' }
    },
    {
      key: 'gear-grinds',
      says: ['The gears grind', 'gears growl', 'rough in gear', 'gear noise'],
      for: ['gears'],
      causes: { 'gear-dry': 'usually', 'gear-mesh': 'usually', 'gear-tooth': 'usually', 'gear-shaft': 'half', 'gear-half': 'half' }
    },
    {
      key: 'steering-slack',
      says: ['The steering is slack', 'wanders on the road', 'steering chains loose', 'turns the wheel and nothing happens'],
      for: ['road'],
      floor: 'passengers',
      causes: { 'chain-slack': 'always', 'steering-worm': 'usually', 'axle-pin': 'usually', 'chain-link': 'half', 'wheel-bush': 'usually' }
    },
    {
      key: 'chain-slips',
      says: ['The drive chain jumps', 'chain comes off', 'chain slaps'],
      for: ['chain'],
      floor: 'passengers',
      causes: { 'drive-chain-long': 'always', 'drive-sprocket': 'usually', 'drive-line': 'usually' }
    },
    {
      key: 'clutch-slips',
      says: ['The clutch slips', 'clutch does not take', 'engine runs and it does not move'],
      for: ['clutch'],
      causes: { 'clutch-oil': 'usually', 'clutch-worn': 'always', 'clutch-set': 'usually' }
    },
    {
      key: 'brake-weak',
      says: ['The brake does not hold', 'brake is weak', 'takes too long to stop', 'brake pulls to one side'],
      for: ['brake'],
      floor: 'passengers',
      causes: {
        'brake-oil': 'usually',
        'brake-rigging': 'usually',
        'brake-block': 'usually',
        'brake-leak': 'usually',
        'brake-isolated': 'always',
        'brake-condensate': 'usually'
      }
    },
    {
      key: 'vacuum-falls',
      says: ['The vacuum will not hold', 'vacuum brake leaks off', 'cannot make vacuum', 'train brakes drag on'],
      for: ['vacuum brake'],
      floor: 'passengers',
      causes: {
        'vacuum-hose': 'always',
        'vacuum-ejector': 'usually',
        'vacuum-seal': 'usually',
        'vacuum-dummy': 'always',
        'vacuum-wet': 'half'
      }
    }
  ],
  causes: [
    {
      key: 'gear-pin',
      is: 'The gear’s pin or latch is missing or worn',
      why: 'What holds the pinion along its shaft does not.',
      for: ['gears'],
      base: 'common',
      fix: { does: 'Stopped, scotched; new pin with a chain to it.', minutes: 15, parts: 'Pin' },
      retest: 'Stays in, pulled both ways.',
      floor: 'passengers'
    },
    {
      key: 'gear-worn-dogs',
      is: 'Teeth or dogs are worn to a taper',
      why: 'The load pushes them apart.',
      for: ['gears'],
      base: 'usual',
      fix: { does: 'Dressed or renewed.', minutes: 300, by: 'machine shop' },
      retest: 'Stays in under load.',
      floor: 'passengers'
    },
    {
      key: 'gear-shaft',
      is: 'A gear shaft is slack in its bearings',
      why: 'Wheels that move apart mesh by their tips.',
      for: ['gears'],
      base: 'usual',
      fix: { does: 'Bushed.', minutes: 300, parts: 'Bushes' },
      retest: 'No lift under a bar.'
    },
    {
      key: 'gear-half',
      is: 'It was only half in',
      why: 'Half the tooth’s width carries all of it.',
      for: ['gears'],
      base: 'common',
      fix: { does: 'Stopped, scotched, put fully in by barring the flywheel.', minutes: 5 },
      retest: 'Faces flush.'
    },
    {
      key: 'gear-dry',
      is: 'The gears are dry',
      why: 'Open gears throw their grease off.',
      for: ['gears'],
      base: 'common',
      fix: { does: 'Stopped: greased.', minutes: 5, parts: 'Grease' },
      retest: 'Quiet.'
    },
    {
      key: 'gear-mesh',
      is: 'The gears mesh too deep or too shallow',
      why: 'Rubbing at the root or rattling at the tip.',
      for: ['gears'],
      base: 'usual',
      fix: { does: 'Set by a strip of paper.', minutes: 120 },
      retest: 'A strip of paper goes through creased and whole.'
    },
    {
      key: 'gear-tooth',
      is: 'A tooth is chipped or a stone is in it',
      why: 'It is heard once a turn.',
      for: ['gears'],
      base: 'usual',
      fix: { does: 'Stone out; a broken tooth built up or the wheel renewed.', minutes: 60, by: 'machine shop' },
      retest: 'Every tooth seen.',
      floor: 'passengers'
    },
    {
      key: 'chain-slack',
      is: 'The steering chains are slack',
      why: 'The barrel turns before the axle does.',
      for: ['road'],
      base: 'common',
      fix: { does: 'Taken up evenly, springs seen.', minutes: 20 },
      retest: 'An eighth of a turn at the wheel moves the axle.',
      floor: 'passengers'
    },
    {
      key: 'chain-link',
      is: 'A link is worn thin or stretched',
      why: 'Half of its thickness is a quarter of its strength left in hand.',
      for: ['road'],
      base: 'rare',
      fix: { does: 'New chain.', minutes: 90, parts: 'Chain' },
      retest: 'Every link gauged.',
      floor: 'steaming'
    },
    {
      key: 'steering-worm',
      is: 'Worm and wheel of the steering are worn',
      why: 'Slack between their teeth is slack at the road.',
      for: ['road'],
      base: 'usual',
      fix: { does: 'Meshed closer or renewed.', minutes: 180, parts: 'Worm' },
      retest: 'An eighth of a turn moves the axle.'
    },
    {
      key: 'axle-pin',
      is: 'The perch pin or its plate is worn',
      why: 'The axle walks before it turns.',
      for: ['road'],
      base: 'usual',
      fix: { does: 'Bushed, new pin.', minutes: 240, parts: 'Pin, bush' },
      retest: 'No rock under a bar.'
    },
    {
      key: 'wheel-bush',
      is: 'A wheel’s bush is worn',
      why: 'The wheel leans on its axle.',
      for: ['road'],
      base: 'usual',
      fix: { does: 'Bushed.', minutes: 240, parts: 'Bush' },
      retest: 'No rock at the rim.'
    },
    {
      key: 'drive-chain-long',
      is: 'The drive chain has grown',
      why: 'Worn pins make each link a little longer, and it rides up the teeth.',
      for: ['chain'],
      base: 'common',
      fix: { does: 'Taken up, or renewed with its sprockets.', minutes: 45, parts: 'Chain' },
      retest: 'A finger’s width of slack.',
      floor: 'passengers'
    },
    {
      key: 'drive-sprocket',
      is: 'A sprocket’s teeth are hooked',
      why: 'A hooked tooth holds the link back.',
      for: ['chain'],
      base: 'usual',
      fix: { does: 'New sprocket and chain together.', minutes: 120, parts: 'Sprocket, chain' },
      retest: 'Runs quietly.'
    },
    {
      key: 'drive-line',
      is: 'The sprockets are out of line',
      why: 'It is led off at the side.',
      for: ['chain'],
      base: 'usual',
      fix: { does: 'Lined up by a straight edge.', minutes: 40 },
      retest: 'A straight edge touches both.'
    },
    {
      key: 'clutch-oil',
      is: 'Oil is on the clutch',
      why: 'A film of oil halves what it holds.',
      for: ['clutch'],
      base: 'common',
      fix: { does: 'Washed and dried; the leak found.', minutes: 30 },
      retest: 'Takes at working pressure.'
    },
    {
      key: 'clutch-worn',
      is: 'The clutch lining is worn',
      why: 'It comes to its stop before it presses.',
      for: ['clutch'],
      base: 'usual',
      fix: { does: 'Relined.', minutes: 180, parts: 'Lining' },
      retest: 'Takes with travel to spare.'
    },
    {
      key: 'clutch-set',
      is: 'The clutch is out of set',
      why: 'The lever’s travel ends too soon.',
      for: ['clutch'],
      base: 'usual',
      fix: { does: 'Set.', minutes: 15 },
      retest: 'Takes with travel to spare.'
    },
    {
      key: 'brake-oil',
      is: 'Oil or water is on the brake',
      why: 'It slides where it should hold.',
      for: ['brake'],
      base: 'common',
      fix: { does: 'Washed, dried, the leak found.', minutes: 20 },
      retest: 'Holds against the regulator cracked, chocked.',
      floor: 'passengers'
    },
    {
      key: 'brake-rigging',
      is: 'The rigging is out of set or a pin is out',
      why: 'Travel goes into slack.',
      for: ['brake'],
      base: 'usual',
      fix: { does: 'Set; pins with split pins.', minutes: 30, parts: 'Pin' },
      retest: 'Blocks on with half the travel left.',
      floor: 'passengers'
    },
    {
      key: 'brake-block',
      is: 'The blocks or the band are worn',
      why: 'They touch by their ends.',
      for: ['brake'],
      base: 'usual',
      fix: { does: 'New blocks.', minutes: 60, parts: 'Blocks' },
      retest: 'Stopping length measured beside its record.',
      floor: 'passengers'
    },
    {
      key: 'brake-leak',
      is: 'The brake cylinder leaks',
      why: 'The force goes past the piston.',
      for: ['steam brake'],
      base: 'usual',
      fix: { does: 'New ring.', minutes: 90, parts: 'Ring' },
      retest: 'Leak-down over five minutes in its record.',
      floor: 'passengers'
    },
    {
      key: 'brake-condensate',
      is: 'Water stands in the brake cylinder',
      why: 'A cold cylinder fills before it presses.',
      for: ['steam brake'],
      base: 'common',
      fix: { does: 'Warmed through and drained before it is wanted.', minutes: 5 },
      retest: 'Answers at once, twice.'
    },
    {
      key: 'brake-isolated',
      is: 'The brake is isolated',
      why: 'A cock stands shut.',
      for: ['brake isolator'],
      base: 'usual',
      fix: { does: 'Open it; into the procedure.', minutes: 1 },
      retest: 'Answers.',
      floor: 'passengers'
    },
    {
      key: 'vacuum-hose',
      is: 'A hose or coupling leaks',
      why: 'Air comes in as fast as it is drawn out.',
      for: ['vacuum brake'],
      base: 'common',
      fix: { does: 'New washer or hose.', minutes: 10, parts: 'Washer' },
      retest: 'Leak-down in its record.',
      floor: 'passengers'
    },
    {
      key: 'vacuum-dummy',
      is: 'The last hose is not on its dummy',
      why: 'The train pipe is open at its end.',
      for: ['vacuum brake'],
      base: 'common',
      fix: { does: 'On its dummy; the rear is looked at last.', minutes: 1 },
      retest: 'Makes vacuum.'
    },
    {
      key: 'vacuum-ejector',
      is: 'The ejector is choked or out of set',
      why: 'Scale in its cone.',
      for: ['vacuum brake'],
      base: 'usual',
      fix: { does: 'Cone out, cleaned.', minutes: 45 },
      retest: 'Makes its figure with the train pipe shut off.'
    },
    {
      key: 'vacuum-seal',
      is: 'A brake cylinder’s seal leaks',
      why: 'One coach leaks for all.',
      for: ['vacuum brake'],
      base: 'usual',
      fix: { does: 'That coach out; seal renewed.', minutes: 60, parts: 'Seal' },
      retest: 'Leak-down of that coach alone.',
      floor: 'passengers'
    },
    {
      key: 'vacuum-wet',
      is: 'Water has gathered in the train pipe',
      why: 'It stands in the lowest hose and seals it.',
      for: ['vacuum brake'],
      base: 'rare',
      fix: { does: 'Drained at the lowest place.', minutes: 10 },
      retest: 'Answers at the last coach at once.'
    }
  ],
  checks: [
    {
      key: 'gear-look',
      how: 'Stopped and scotched: is the pinion fully in, its pin in and its latch over?',
      results: ['half in', 'pin or latch missing or worn', 'in and held'],
      minutes: 2,
      when: 'any',
      for: ['gears'],
      shows: { 'gear-half': ['always', 'rarely', 'never'], 'gear-pin': ['rarely', 'always', 'never'] }
    },
    {
      key: 'gear-teeth',
      how: 'Look at every tooth, turning by the flywheel.',
      results: ['tapered', 'chipped, or a stone', 'bright and dry', 'whole and greased'],
      minutes: 6,
      when: 'cold',
      for: ['gears'],
      care: 'Regulator shut, nobody else near the wheel.',
      shows: {
        'gear-worn-dogs': ['always', 'rarely', 'rarely', 'never'],
        'gear-tooth': ['never', 'always', 'rarely', 'never'],
        'gear-dry': ['rarely', 'never', 'always', 'never'],
        'gear-mesh': ['rarely', 'rarely', 'half', 'half']
      }
    },
    {
      key: 'gear-bar',
      how: 'Lift each shaft with a bar.',
      results: ['lifts', 'firm'],
      minutes: 4,
      when: 'cold',
      for: ['gears'],
      tools: 'Bar',
      shows: { 'gear-shaft': 'always' }
    },
    {
      key: 'gear-paper',
      how: 'Turn a strip of paper through the mesh.',
      results: ['cut through', 'hardly marked', 'creased and whole'],
      minutes: 2,
      when: 'cold',
      for: ['gears'],
      tools: 'Paper',
      shows: { 'gear-mesh': ['usually', 'usually', 'never'], 'gear-shaft': ['rarely', 'usually', 'rarely'] }
    },
    {
      key: 'gear-once',
      how: 'Is the noise once a turn, or all round?',
      results: ['once a turn', 'all round'],
      minutes: 2,
      when: 'running',
      for: ['gears'],
      shows: { 'gear-tooth': 'always', 'gear-dry': 'never', 'gear-mesh': 'rarely', 'gear-shaft': 'rarely' }
    },
    {
      key: 'steer-eighth',
      how: 'Turn the steering to and fro: where is it lost?',
      results: ['in the chains', 'at the worm', 'at the perch pin', 'at a wheel', 'nowhere'],
      minutes: 3,
      when: 'any',
      for: ['road'],
      shows: {
        'chain-slack': ['always', 'never', 'never', 'never', 'never'],
        'steering-worm': ['rarely', 'always', 'never', 'never', 'never'],
        'axle-pin': ['rarely', 'never', 'always', 'never', 'never'],
        'wheel-bush': ['never', 'never', 'rarely', 'always', 'rarely'],
        'chain-link': ['usually', 'never', 'never', 'never', 'half']
      }
    },
    {
      key: 'chain-gauge',
      how: 'Gauge every link where it bears.',
      results: ['one is thin', 'all within their figure'],
      minutes: 8,
      when: 'cold',
      for: ['road'],
      tools: 'Calliper',
      shows: { 'chain-link': 'always' }
    },
    {
      key: 'wheel-rock',
      how: 'Rock each front wheel at its rim.',
      results: ['rocks', 'firm'],
      minutes: 2,
      when: 'cold',
      for: ['road'],
      shows: { 'wheel-bush': 'always', 'axle-pin': 'half' }
    },
    {
      key: 'drive-lift',
      how: 'Lift the drive chain off the back of its sprocket.',
      results: ['half a tooth or more', 'hardly'],
      minutes: 1,
      when: 'any',
      for: ['chain'],
      shows: { 'drive-chain-long': 'always', 'drive-sprocket': 'half' }
    },
    {
      key: 'drive-teeth',
      how: 'Look at the sprockets’ teeth.',
      results: ['hooked', 'even'],
      minutes: 2,
      when: 'any',
      for: ['chain'],
      shows: { 'drive-sprocket': 'always' }
    },
    {
      key: 'drive-edge',
      how: 'Lay a straight edge across both sprockets.',
      results: ['touches one only', 'touches both'],
      minutes: 3,
      when: 'any',
      for: ['chain'],
      tools: 'Straight edge',
      shows: { 'drive-line': 'always' }
    },
    {
      key: 'clutch-wipe',
      how: 'Wipe the clutch with a white rag.',
      results: ['oily', 'dry'],
      minutes: 2,
      when: 'any',
      for: ['clutch'],
      care: 'Stopped and scotched.',
      shows: { 'clutch-oil': 'always' }
    },
    {
      key: 'clutch-travel',
      how: 'Lever fully over: is there travel left, and how thick is the lining?',
      results: ['no travel, lining thin', 'no travel, lining thick', 'travel left'],
      minutes: 3,
      when: 'any',
      for: ['clutch'],
      shows: { 'clutch-worn': ['always', 'rarely', 'never'], 'clutch-set': ['rarely', 'always', 'never'] }
    },
    {
      key: 'brake-travel',
      how: 'Put it on: how much travel is left, and do all blocks touch?',
      results: ['at its end', 'one does not touch', 'half left, all touch'],
      minutes: 2,
      when: 'any',
      for: ['brake'],
      shows: { 'brake-rigging': ['usually', 'half', 'never'], 'brake-block': ['usually', 'half', 'never'] }
    },
    {
      key: 'brake-rag',
      how: 'Wipe block, band or drum with a white rag.',
      results: ['oily or wet', 'dry'],
      minutes: 2,
      when: 'any',
      for: ['brake'],
      shows: { 'brake-oil': 'always' }
    },
    {
      key: 'brake-thick',
      how: 'Measure what is left of the blocks.',
      results: ['at their limit', 'more'],
      minutes: 3,
      when: 'any',
      for: ['brake'],
      shows: { 'brake-block': 'always' }
    },
    {
      key: 'brake-warmed',
      how: 'Two full applications with the drain open, then again.',
      results: ['holds now', 'weak as before'],
      minutes: 3,
      when: 'in steam',
      for: ['steam brake'],
      shows: { 'brake-condensate': 'always', 'brake-leak': 'never' }
    },
    {
      key: 'brake-hiss',
      how: 'On, standing: does it hiss or fall off over a minute?',
      results: ['it does', 'it holds'],
      minutes: 2,
      when: 'in steam',
      for: ['steam brake'],
      shows: { 'brake-leak': 'always', 'brake-condensate': 'rarely' }
    },
    {
      key: 'brake-cock',
      how: 'Look at every cock between boiler and brake.',
      results: ['one is shut', 'all open'],
      minutes: 1,
      when: 'any',
      for: ['brake isolator'],
      shows: { 'brake-isolated': 'always' }
    },
    {
      key: 'vacuum-alone',
      how: 'Train pipe shut off at the engine: does it make its figure?',
      results: ['it does not', 'it does'],
      minutes: 2,
      when: 'in steam',
      for: ['vacuum brake'],
      shows: { 'vacuum-ejector': 'always', 'vacuum-hose': 'rarely', 'vacuum-dummy': 'never', 'vacuum-seal': 'never' }
    },
    {
      key: 'vacuum-coaches',
      how: 'Couple up one coach after another: at which does it fall?',
      results: ['at one coach', 'at the last end', 'at none'],
      minutes: 8,
      when: 'in steam',
      for: ['vacuum brake'],
      shows: {
        'vacuum-seal': ['always', 'rarely', 'never'],
        'vacuum-dummy': ['never', 'always', 'never'],
        'vacuum-hose': ['usually', 'half', 'never'],
        'vacuum-wet': ['half', 'half', 'rarely']
      }
    },
    {
      key: 'vacuum-rear',
      how: 'Walk to the rear: is the last hose on its dummy?',
      results: ['off', 'on'],
      minutes: 2,
      when: 'any',
      for: ['vacuum brake'],
      shows: { 'vacuum-dummy': 'always' }
    },
    {
      key: 'vacuum-listen',
      how: 'Listen along the hoses with vacuum made.',
      results: ['one hisses', 'quiet'],
      minutes: 3,
      when: 'in steam',
      for: ['vacuum brake'],
      shows: { 'vacuum-hose': 'always', 'vacuum-seal': 'half' }
    },
    {
      key: 'vacuum-cone',
      how: 'Ejector’s cone out: how does it look?',
      results: ['furred', 'clear'],
      minutes: 20,
      when: 'cold',
      for: ['vacuum brake'],
      shows: { 'vacuum-ejector': 'always' }
    }
  ]
};
