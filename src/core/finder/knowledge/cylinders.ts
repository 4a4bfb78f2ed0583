import type { Family } from './family';

/** Steam into work: cylinders, valve gear, rods. */
export const cylinders: Family = {
  name: 'Cylinders and motion',
  symptoms: [
    {
      key: 'will-not-start',
      says: ['The engine will not start', 'does not move off', 'stuck, will not turn', 'opens the regulator and nothing happens'],
      causes: {
        'water-locked': 'usually',
        'motion-stiff': 'usually',
        'dead-centre': 'always',
        'reverser-mid': 'always',
        'drain-frozen': 'half',
        'brake-on': 'always',
        'pressure-little': 'usually',
        'regulator-linkage': 'half',
        'load-large': 'half',
        'rings-stuck': 'half',
        'valve-off-face': 'usually',
        'wheels-chocked': 'always',
        'isolator-main': 'usually'
      }
    },
    {
      key: 'knocks',
      says: ['It knocks', 'thumps at each stroke', 'a bang in the cylinder', 'rattles as it runs'],
      causes: {
        'water-locked': 'half',
        'brass-worn': 'usually',
        'piston-loose': 'usually',
        'pin-loose': 'usually',
        'box-worn': 'usually',
        'wheel-loose': 'half',
        'timing-late': 'half',
        'crosshead-worn': 'usually',
        'motion-dry': 'half'
      }
    },
    {
      key: 'beat-uneven',
      says: ['The beat is uneven', 'lame', 'off beat', 'one beat missing', 'beats are not alike'],
      for: ['slide valves'],
      causes: {
        'valve-set': 'always',
        'eccentric-slipped': 'always',
        'valve-nut': 'usually',
        'rings-stuck': 'usually',
        'valve-off-face': 'half',
        'steam-one-side': 'usually',
        'gear-worn': 'usually',
        'reverser-loose': 'half'
      }
    },
    {
      key: 'blows-through',
      says: ['It blows at the chimney all the time', 'steady blow with the regulator open', 'blows through', 'uses steam standing'],
      for: ['slide valves'],
      causes: {
        'valves-blow': 'always',
        'rings-stuck': 'usually',
        'valve-off-face': 'always',
        'port-scored': 'usually',
        'cylinder-scored': 'usually',
        'chest-joint': 'half'
      }
    },
    {
      key: 'drains-fail',
      says: [
        'The drains will not open',
        'drain cocks stuck',
        'steam drains do nothing',
        'drains will not shut',
        'one drain blows all the time'
      ],
      for: ['drains'],
      causes: {
        'drain-scaled': 'usually',
        'drain-isolator-shut': 'always',
        'drain-no-load': 'usually',
        'drain-linkage': 'always',
        'drain-ring': 'usually',
        'drain-pipe': 'half',
        'drain-frozen': 'half'
      }
    },
    {
      key: 'weak-pull',
      says: ['It has no pull', 'weak on the bank', 'does not pull what it did', 'slips'],
      causes: {
        'valves-blow': 'usually',
        'rings-stuck': 'usually',
        'regulator-linkage': 'half',
        'valve-set': 'half',
        'brake-drags': 'usually',
        'rail-greasy': 'usually',
        'load-large': 'usually',
        'exhaust-choked': 'usually',
        'pressure-little': 'half'
      }
    },
    {
      key: 'gland-blows',
      says: ['A gland blows', 'piston rod leaks steam', 'valve spindle leaks', 'steam in front of the cylinder'],
      causes: { 'gland-packing': 'always', 'rod-scored': 'usually', 'rod-bent': 'half', 'cover-joint': 'half', 'drain-ring': 'rarely' }
    }
  ],
  causes: [
    {
      key: 'water-locked',
      is: 'Water stands in the cylinder',
      why: 'Water does not give way: the piston stops on it, or breaks what is in front of it.',
      base: 'common',
      fix: { does: 'Drains open, turned by hand or eased to and fro, until only steam comes.', minutes: 5 },
      retest: 'A whole turn by hand, drains open.',
      floor: 'passengers'
    },
    {
      key: 'motion-stiff',
      is: 'The motion is stiff',
      why: 'Cold grease, rust of a winter or a tight gland takes all that little steam gives.',
      base: 'usual',
      fix: { does: 'Oil everywhere, turn by hand; slacken what was made too tight.', minutes: 20 },
      retest: 'Turns by hand through a whole turn.'
    },
    {
      key: 'motion-dry',
      is: 'A bearing runs dry',
      why: 'Metal on metal rings before it runs hot.',
      base: 'usual',
      fix: { does: 'Stop, feel each bearing, oil; a hot one is opened before it is run again.', minutes: 15 },
      retest: 'All cool after a quarter of an hour’s run.'
    },
    {
      key: 'dead-centre',
      is: 'It stands on a dead centre',
      why: 'One crank in line with its rod gives no turn.',
      for: ['one cylinder'],
      base: 'common',
      fix: { does: 'Barred or pushed off it, regulator shut, drains open.', minutes: 2 },
      retest: 'Starts from a quarter turn further.'
    },
    {
      key: 'reverser-mid',
      is: 'The reverser stands in mid gear',
      why: 'The ports hardly open.',
      for: ['reverser'],
      base: 'common',
      fix: { does: 'Full gear, latched.', minutes: 1 },
      retest: 'Starts in full gear both ways.'
    },
    {
      key: 'reverser-loose',
      is: 'The reverser’s latch or nut does not hold',
      why: 'It creeps to where the gear pushes it.',
      for: ['reverser'],
      base: 'usual',
      fix: { does: 'New latch or spring.', minutes: 45, parts: 'Latch' },
      retest: 'Stays in each notch over a quarter of an hour’s run.'
    },
    {
      key: 'drain-frozen',
      for: ['drains'],
      is: 'Ice in a drain or pipe',
      why: 'Water that was left in froze.',
      base: 'rare',
      fix: { does: 'Thaw with warm water, never a flame; look for what has burst.', minutes: 30 },
      retest: 'Each drain passes air.'
    },
    {
      key: 'brake-on',
      is: 'A brake is on',
      why: 'It holds, as it should.',
      for: ['brake'],
      base: 'common',
      fix: { does: 'Off; and into the checklist before the regulator.', minutes: 1 },
      retest: 'Pushed by hand it rolls.'
    },
    {
      key: 'brake-drags',
      is: 'A brake drags',
      why: 'A block that does not come off is a load of its own.',
      for: ['brake'],
      base: 'usual',
      fix: { does: 'Set the rigging, oil the pins, new spring.', minutes: 30 },
      retest: 'Blocks free by a finger’s nail.'
    },
    {
      key: 'wheels-chocked',
      for: ['moves'],
      is: 'It is still chocked',
      why: 'A chock was left under.',
      base: 'usual',
      fix: { does: 'Regulator shut first, then take it away.', minutes: 1 },
      retest: 'Chocks hang on their hook.'
    },
    {
      key: 'pressure-little',
      is: 'Too little pressure at the cylinders',
      why: 'Force is pressure times area.',
      base: 'common',
      fix: { does: 'Wait for the gate; look that the regulator opens.', minutes: 10 },
      retest: 'Starts at its usual needle.'
    },
    {
      key: 'isolator-main',
      for: ['regulator'],
      is: 'A stop valve in the main steam pipe is shut',
      why: 'The regulator opens behind a shut door.',
      base: 'rare',
      fix: { does: 'Open it, slowly; into the procedure.', minutes: 2 },
      retest: 'Steam at the drains.'
    },
    {
      key: 'load-large',
      for: ['moves'],
      is: 'The load is too large',
      why: 'More than it ever pulled here.',
      base: 'usual',
      fix: { does: 'Less behind it; note what it does pull here.', minutes: 5 },
      retest: 'Starts without it.'
    },
    {
      key: 'rings-stuck',
      is: 'Piston rings are stuck or worn',
      why: 'Steam goes past the piston to the chimney.',
      base: 'usual',
      fix: { does: 'Covers off, rings freed or renewed.', minutes: 240, parts: 'Rings' },
      retest: 'Held on steam at each end, nothing blows past.'
    },
    {
      key: 'valve-off-face',
      is: 'A slide valve stands off its face',
      why: 'Water, dirt or a broken spring lifted it; steam blows through both ports.',
      for: ['slide valves'],
      base: 'usual',
      fix: { does: 'Regulator shut and opened smartly once; if it stays, chest off.', minutes: 120 },
      retest: 'Nothing at the chimney in mid gear.'
    },
    {
      key: 'valve-set',
      is: 'A valve is out of set',
      why: 'One end gets more steam than the other.',
      for: ['slide valves'],
      base: 'usual',
      fix: { does: 'Set by equal openings at both dead centres.', minutes: 120 },
      retest: 'Four even beats at a walk.'
    },
    {
      key: 'valve-nut',
      is: 'The nut or buckle on a valve spindle is loose',
      why: 'The valve comes late at both ends.',
      for: ['slide valves'],
      base: 'usual',
      fix: { does: 'Chest off, lock it.', minutes: 90 },
      retest: 'No lost motion at the spindle.'
    },
    {
      key: 'eccentric-slipped',
      is: 'An eccentric or a return crank has slipped',
      why: 'The valve of that side comes at the wrong time.',
      for: ['slide valves'],
      base: 'usual',
      fix: { does: 'Set and pinned.', minutes: 90 },
      retest: 'Even beats.'
    },
    {
      key: 'timing-late',
      is: 'The valves open late',
      why: 'Without steam before the end of the stroke nothing cushions the piston.',
      base: 'rare',
      fix: { does: 'Lead set by the drawing.', minutes: 120 },
      retest: 'Quiet at its usual speed.'
    },
    {
      key: 'gear-worn',
      is: 'The valve gear is worn',
      why: 'Slack in six pins is a quarter of a small valve’s travel.',
      for: ['slide valves'],
      base: 'usual',
      fix: { does: 'New pins and bushes.', minutes: 300, parts: 'Pins, bushes' },
      retest: 'Lost motion under half a millimetre.'
    },
    {
      key: 'steam-one-side',
      is: 'One side gets less steam',
      why: 'A pipe or an element is choked or leaks.',
      for: ['two cylinders'],
      base: 'rare',
      fix: { does: 'Pipes off, blown through.', minutes: 180 },
      retest: 'Beats alike.'
    },
    {
      key: 'port-scored',
      is: 'A port face is scored',
      why: 'Steam goes along the groove under the valve.',
      for: ['slide valves'],
      base: 'usual',
      fix: { does: 'Faced and scraped; more steam oil.', minutes: 300 },
      retest: 'Nothing at the chimney in mid gear.'
    },
    {
      key: 'cylinder-scored',
      is: 'A cylinder is scored',
      why: 'Rings cannot seal a groove.',
      base: 'rare',
      fix: { does: 'Honed or bored, new rings.', minutes: 600, parts: 'Rings' },
      retest: 'Held on steam, nothing blows past.'
    },
    {
      key: 'chest-joint',
      is: 'A joint between chest and exhaust leaks inside',
      why: 'Steam has a way past everything.',
      base: 'rare',
      fix: { does: 'Remake the joint.', minutes: 240, parts: 'Joint' },
      retest: 'Nothing at the chimney in mid gear.'
    },
    {
      key: 'brass-worn',
      is: 'A big or small end is worn',
      why: 'The rod hammers over its slack at each dead centre.',
      base: 'common',
      fix: { does: 'Brasses taken up or renewed.', minutes: 120, parts: 'Brasses' },
      retest: 'Quiet; cool after a quarter of an hour’s run.'
    },
    {
      key: 'piston-loose',
      is: 'The piston is loose on its rod',
      why: 'It moves before its rod does, and will come off.',
      base: 'rare',
      fix: { does: 'Stopped at once. Cover off, nut locked.', minutes: 150 },
      retest: 'Quiet; clearance the same at both ends.',
      floor: 'steaming'
    },
    {
      key: 'pin-loose',
      is: 'A crank pin is loose',
      why: 'It works in its wheel or crank at every stroke.',
      base: 'rare',
      fix: { does: 'Stopped at once. Pressed in anew or renewed.', minutes: 240, by: 'machine shop' },
      retest: 'No movement under a bar.',
      floor: 'passengers'
    },
    {
      key: 'wheel-loose',
      for: ['moves'],
      is: 'A wheel is loose on its axle',
      why: 'The key works in its way.',
      base: 'rare',
      fix: { does: 'Stopped at once. Wheel and key renewed.', minutes: 300, by: 'machine shop' },
      retest: 'A line across wheel and axle stays a line.',
      floor: 'passengers'
    },
    {
      key: 'box-worn',
      for: ['moves'],
      is: 'Axle boxes are worn',
      why: 'The whole axle shifts with each stroke.',
      base: 'usual',
      fix: { does: 'Wedges up, or boxes bushed.', minutes: 300, parts: 'Bushes' },
      retest: 'Quiet with the brake on, to and fro on steam.'
    },
    {
      key: 'crosshead-worn',
      is: 'A crosshead or its guide is worn',
      why: 'The rod’s angle lifts it over its slack.',
      base: 'usual',
      fix: { does: 'Shimmed or new slippers.', minutes: 150, parts: 'Slippers' },
      retest: 'Under a tenth and a half of lift.'
    },
    {
      key: 'drain-scaled',
      is: 'A drain is scaled up',
      why: 'Steam oil and dirt bake in it.',
      for: ['drains'],
      base: 'common',
      fix: { does: 'Out, cold, and cleaned.', minutes: 30 },
      retest: 'Passes air, shut tight.'
    },
    {
      key: 'drain-isolator-shut',
      is: 'The isolator of the drain gear is shut',
      why: 'The gear is worked by steam that does not come.',
      for: ['drain isolator'],
      base: 'common',
      fix: { does: 'Open it; into the procedure.', minutes: 1 },
      retest: 'Drains follow the handle.'
    },
    {
      key: 'drain-no-load',
      is: 'Steam-worked drains without load',
      why: 'Some open only against steam in the cylinders; standing they do nothing.',
      for: ['steam drains'],
      base: 'usual',
      fix: { does: 'Nothing, if they open under load: write that into the matrix.', minutes: 5 },
      retest: 'Open under load, seen.'
    },
    {
      key: 'drain-linkage',
      is: 'The drain linkage is off or bent',
      why: 'The handle moves and the cock does not.',
      for: ['hand drains'],
      base: 'usual',
      fix: { does: 'Pin and set it.', minutes: 20, parts: 'Pin' },
      retest: 'Each cock’s slot follows the handle.'
    },
    {
      key: 'drain-ring',
      is: 'A ring or seat of a drain passes',
      why: 'It leaks as it is shut, or the piston in it does not move.',
      for: ['drains'],
      base: 'usual',
      fix: { does: 'New ring.', minutes: 45, parts: 'Ring' },
      retest: 'Dry, shut.'
    },
    {
      key: 'drain-pipe',
      is: 'A drain pipe is choked or squashed',
      why: 'The cock opens, and nothing gets out.',
      for: ['drains'],
      base: 'usual',
      fix: { does: 'Clear or renew it.', minutes: 20, parts: 'Pipe' },
      retest: 'A full jet from each pipe.'
    },
    {
      key: 'rail-greasy',
      is: 'Greasy rail',
      why: 'Oil or wet leaves halve what a wheel holds.',
      for: ['rails'],
      base: 'common',
      fix: { does: 'Wipe the rail, sand, a gentler regulator.', minutes: 10 },
      retest: 'Same load on a dry rail.'
    },
    {
      key: 'exhaust-choked',
      is: 'The exhaust is choked',
      why: 'Carbon in the nozzle or a full separator holds the piston back.',
      base: 'usual',
      fix: { does: 'Nozzle and pipe cleaned; separator emptied.', minutes: 45 },
      retest: 'Free exhaust beside before.'
    },
    {
      key: 'gland-packing',
      is: 'The packing is worn',
      why: 'It has lost what pressed it on the rod.',
      base: 'common',
      fix: { does: 'Nip up a sixth; repack at the end.', minutes: 30, parts: 'Packing' },
      retest: 'A drip, no blow.'
    },
    {
      key: 'rod-scored',
      is: 'The rod is scored',
      why: 'New packing is cut in a day.',
      base: 'usual',
      fix: { does: 'Polished or renewed.', minutes: 240, parts: 'Rod' },
      retest: 'Dry after three days.'
    },
    {
      key: 'rod-bent',
      is: 'The rod is bent or out of line',
      why: 'It wipes the packing aside at one place.',
      base: 'rare',
      fix: { does: 'Trued or renewed; guides lined up.', minutes: 300, parts: 'Rod' },
      retest: 'Runs within a tenth.'
    },
    {
      key: 'cover-joint',
      is: 'A cover’s joint leaks, and no gland',
      why: 'It comes out beside the gland and looks the same.',
      base: 'usual',
      fix: { does: 'Remake it.', minutes: 60, parts: 'Joint' },
      retest: 'Dry round the cover.'
    }
  ],
  checks: [
    {
      key: 'turn-hand',
      how: 'Regulator shut, drains open, brake off and chocks away: turn or push it through a whole turn.',
      results: ['solid at one place', 'stiff all round', 'turns'],
      minutes: 3,
      when: 'cold',
      care: 'Nobody in the motion.',
      shows: {
        'water-locked': ['usually', 'rarely', 'rarely'],
        'motion-stiff': ['never', 'always', 'never'],
        'brake-on': ['rarely', 'always', 'never'],
        'brake-drags': ['never', 'usually', 'rarely'],
        'wheels-chocked': ['usually', 'rarely', 'never'],
        'rod-bent': ['half', 'half', 'rarely'],
        'rings-stuck': ['never', 'half', 'half']
      }
    },
    {
      key: 'drains-pour',
      how: 'Open the drains and ease it to and fro: what comes?',
      results: ['water, for long', 'nothing at all', 'a spit, then steam'],
      minutes: 2,
      when: 'in steam',
      for: ['drains'],
      shows: {
        'water-locked': ['always', 'rarely', 'never'],
        'drain-frozen': ['never', 'always', 'never'],
        'drain-scaled': ['never', 'usually', 'rarely'],
        'isolator-main': ['never', 'always', 'never'],
        'regulator-linkage': ['never', 'usually', 'rarely'],
        'pressure-little': ['rarely', 'half', 'half']
      }
    },
    {
      key: 'crank-look',
      how: 'Where does the crank stand?',
      results: ['in line with its rod', 'between'],
      minutes: 1,
      when: 'any',
      for: ['one cylinder'],
      shows: { 'dead-centre': 'always' }
    },
    {
      key: 'reverser-look',
      how: 'Where does the reverser stand, and does the valve follow it?',
      results: ['mid gear', 'full gear, valve does not follow', 'full gear, follows'],
      minutes: 1,
      when: 'any',
      for: ['reverser'],
      shows: {
        'reverser-mid': ['always', 'never', 'never'],
        'reverser-loose': ['half', 'half', 'rarely'],
        'valve-nut': ['never', 'usually', 'rarely'],
        'eccentric-slipped': ['never', 'half', 'half']
      }
    },
    {
      key: 'brake-look',
      how: 'Look at brake and chocks.',
      results: ['one is on or under', 'all off'],
      minutes: 1,
      when: 'any',
      shows: { 'brake-on': 'always', 'wheels-chocked': 'always', 'brake-drags': 'half' }
    },
    {
      key: 'blocks-warm',
      how: 'After a quarter of an hour’s run, hold a hand near each brake block.',
      results: ['one is hot', 'cool'],
      minutes: 2,
      when: 'running',
      for: ['brake'],
      care: 'Stopped and chocked.',
      shows: { 'brake-drags': 'always' }
    },
    {
      key: 'coach-off',
      for: ['moves'],
      how: 'Try without its load, or with less of it.',
      results: ['starts', 'does not'],
      minutes: 4,
      when: 'in steam',
      shows: {
        'load-large': 'always',
        'pressure-little': 'half',
        'brake-drags': 'rarely',
        'rail-greasy': 'half',
        'rings-stuck': 'half',
        'valves-blow': 'half',
        'water-locked': 'never',
        'dead-centre': 'never',
        'reverser-mid': 'never'
      }
    },
    {
      key: 'start-needle',
      how: 'Read the needle, beside what it started at on other days.',
      results: ['lower', 'as on other days'],
      minutes: 1,
      when: 'in steam',
      for: ['gauge'],
      shows: { 'pressure-little': 'always' }
    },
    {
      key: 'steam-chest',
      how: 'Crack the regulator, held and chocked: is the steam chest warm, does a drain blow?',
      results: ['cold, nothing comes', 'warm'],
      minutes: 2,
      when: 'in steam',
      for: ['regulator'],
      care: 'Held and chocked.',
      shows: { 'isolator-main': 'always', 'regulator-linkage': 'usually', 'drain-frozen': 'rarely' }
    },
    {
      key: 'valve-mid',
      how: 'Held and chocked, mid gear, regulator cracked: what comes at the chimney?',
      results: ['a steady blow', 'nothing or a wisp'],
      minutes: 3,
      when: 'in steam',
      for: ['slide valves', 'reverser', 'brake'],
      care: 'Held, chocked, nobody before or behind.',
      shows: {
        'valves-blow': 'always',
        'valve-off-face': 'always',
        'port-scored': 'usually',
        'chest-joint': 'usually',
        'rings-stuck': 'rarely',
        'cylinder-scored': 'rarely'
      }
    },
    {
      key: 'piston-held',
      how: 'Held and chocked, full gear, crank up: does the far drain blow as steam goes in at the other?',
      results: ['the far drain blows', 'only the near one'],
      minutes: 5,
      when: 'in steam',
      for: ['drains', 'brake'],
      care: 'Held, chocked, nobody before or behind.',
      shows: { 'rings-stuck': 'always', 'cylinder-scored': 'always', 'valve-off-face': 'half', 'valves-blow': 'half' }
    },
    {
      key: 'smart-open',
      how: 'Held and chocked: open and shut the regulator smartly once.',
      results: ['it has stopped blowing', 'blows as before'],
      minutes: 2,
      when: 'in steam',
      for: ['regulator', 'brake'],
      changes: true,
      care: 'Held, chocked, drains open.',
      shows: { 'valve-off-face': 'usually', 'port-scored': 'never', 'chest-joint': 'never', 'rings-stuck': 'never' }
    },
    {
      key: 'beat-count',
      how: 'At a walk, count the beats against the crank: is one weak, one missing, or are they only unevenly spaced?',
      results: ['one weak or missing', 'spaced unevenly', 'even'],
      minutes: 3,
      when: 'running',
      for: ['slide valves'],
      shows: {
        'valve-set': ['rarely', 'always', 'never'],
        'eccentric-slipped': ['half', 'usually', 'never'],
        'valve-nut': ['usually', 'half', 'never'],
        'rings-stuck': ['usually', 'rarely', 'rarely'],
        'valve-off-face': ['always', 'never', 'never'],
        'steam-one-side': ['usually', 'rarely', 'rarely'],
        'gear-worn': ['rarely', 'usually', 'rarely']
      }
    },
    {
      key: 'one-side',
      how: 'Is it the same side at every turn, in both gears?',
      results: ['one side, both gears', 'only in one gear', 'both sides'],
      minutes: 3,
      when: 'running',
      for: ['two cylinders', 'reverser'],
      shows: {
        'steam-one-side': ['always', 'never', 'rarely'],
        'rings-stuck': ['usually', 'never', 'half'],
        'eccentric-slipped': ['half', 'usually', 'never'],
        'valve-set': ['half', 'half', 'half'],
        'valve-nut': ['usually', 'rarely', 'rarely'],
        'gear-worn': ['rarely', 'rarely', 'usually']
      }
    },
    {
      key: 'rod-rock',
      how: 'Cold and chocked: bar each rod to and fro and feel pin, brass, crosshead and box in turn.',
      results: ['slack at a rod’s end', 'slack at a pin in its wheel', 'slack at crosshead', 'slack at a box', 'no slack'],
      minutes: 8,
      when: 'cold',
      tools: 'Bar',
      shows: {
        'brass-worn': ['always', 'rarely', 'never', 'never', 'never'],
        'pin-loose': ['rarely', 'always', 'never', 'never', 'never'],
        'crosshead-worn': ['never', 'never', 'always', 'never', 'rarely'],
        'box-worn': ['never', 'never', 'never', 'always', 'rarely'],
        'wheel-loose': ['never', 'half', 'never', 'half', 'rarely']
      }
    },
    {
      key: 'wheel-line',
      for: ['moves'],
      how: 'Is there a line of rust or oil where wheel meets axle, or a scribed line that has parted?',
      results: ['yes', 'no'],
      minutes: 2,
      when: 'cold',
      shows: { 'wheel-loose': 'always' }
    },
    {
      key: 'piston-ends',
      how: 'Bar it to both ends: is the piston’s clearance alike, and the rod tight in it?',
      results: ['unlike, or it turns', 'alike and tight'],
      minutes: 15,
      when: 'cold',
      shows: { 'piston-loose': 'always' }
    },
    {
      key: 'knock-drains',
      how: 'Run with the drains open: does it still knock?',
      results: ['quiet with drains open', 'knocks as before'],
      minutes: 3,
      when: 'running',
      for: ['drains'],
      shows: { 'water-locked': 'always', 'timing-late': 'rarely' }
    },
    {
      key: 'knock-when',
      how: 'When does it knock?',
      results: ['only in one gear', 'coasting too', 'under steam only'],
      minutes: 2,
      when: 'running',
      shows: {
        'brass-worn': ['never', 'half', 'usually'],
        'box-worn': ['never', 'half', 'usually'],
        'piston-loose': ['never', 'usually', 'half'],
        'timing-late': ['usually', 'never', 'half'],
        'pin-loose': ['rarely', 'half', 'half'],
        'crosshead-worn': ['rarely', 'half', 'usually'],
        'motion-dry': ['rarely', 'usually', 'rarely']
      }
    },
    {
      key: 'bearings-hand',
      how: 'Stop, chock, and feel each bearing with the back of the hand.',
      results: ['one is hot', 'all cool'],
      minutes: 3,
      when: 'running',
      care: 'Stopped and chocked.',
      shows: { 'motion-dry': 'always', 'brass-worn': 'rarely' }
    },
    {
      key: 'valve-open-ends',
      how: 'Chest cover off: measure the port opening at both dead centres.',
      results: ['unlike front and back', 'unlike side to side', 'alike'],
      minutes: 60,
      when: 'cold',
      for: ['slide valves'],
      shows: {
        'valve-set': ['always', 'rarely', 'never'],
        'eccentric-slipped': ['rarely', 'always', 'never'],
        'valve-nut': ['half', 'half', 'rarely'],
        'timing-late': ['half', 'rarely', 'half']
      }
    },
    {
      key: 'chest-face',
      how: 'Chest cover off: look at face, valve and spring.',
      results: ['scored', 'spring broken or dirt under', 'bright'],
      minutes: 45,
      when: 'cold',
      for: ['slide valves'],
      shows: {
        'port-scored': ['always', 'rarely', 'never'],
        'valve-off-face': ['rarely', 'usually', 'rarely'],
        'valves-blow': ['half', 'rarely', 'half']
      }
    },
    {
      key: 'lost-motion',
      how: 'Hold the valve spindle and move the reverser: how much is lost?',
      results: ['over half a millimetre', 'under'],
      minutes: 4,
      when: 'cold',
      for: ['slide valves', 'reverser'],
      shows: { 'gear-worn': 'always', 'valve-nut': 'usually', 'reverser-loose': 'half' }
    },
    {
      key: 'drain-under-load',
      how: 'Open them under load, moving off: do they blow?',
      results: ['they blow under load', 'nothing there too'],
      minutes: 3,
      when: 'running',
      for: ['steam drains'],
      shows: { 'drain-no-load': 'always', 'drain-scaled': 'rarely', 'drain-isolator-shut': 'never' }
    },
    {
      key: 'drain-isolator-look',
      how: 'Look at the isolator of the drain gear.',
      results: ['shut', 'open'],
      minutes: 1,
      when: 'any',
      for: ['drain isolator'],
      shows: { 'drain-isolator-shut': 'always' }
    },
    {
      key: 'drain-slot',
      how: 'Watch the slot of each cock as the handle is moved.',
      results: ['one does not follow', 'all follow'],
      minutes: 1,
      when: 'any',
      for: ['hand drains'],
      shows: { 'drain-linkage': 'always', 'drain-frozen': 'half' }
    },
    {
      key: 'drain-air',
      how: 'Blow air through each drain, open, then shut.',
      results: ['nothing comes, open', 'comes, shut', 'open it comes, shut it does not'],
      minutes: 8,
      when: 'cold',
      for: ['drains'],
      shows: {
        'drain-scaled': ['always', 'rarely', 'never'],
        'drain-pipe': ['always', 'never', 'never'],
        'drain-frozen': ['always', 'never', 'never'],
        'drain-ring': ['rarely', 'always', 'never']
      }
    },
    {
      key: 'drain-pipe-off',
      how: 'Pipe off: does the cock itself pass?',
      results: ['it passes, the pipe does not', 'neither passes', 'both pass'],
      minutes: 6,
      when: 'cold',
      for: ['drains'],
      shows: { 'drain-pipe': ['always', 'never', 'never'], 'drain-scaled': ['never', 'always', 'rarely'] }
    },
    {
      key: 'rail-wipe',
      how: 'Wipe the rail ahead for a few lengths, or sand it.',
      results: ['holds', 'slips, or drags, as before'],
      minutes: 5,
      when: 'in steam',
      for: ['rails'],
      changes: true,
      shows: { 'rail-greasy': 'always' }
    },
    {
      key: 'nozzle-carbon',
      how: 'Look into the nozzle, and into the separator.',
      results: ['carbon, or full', 'clear'],
      minutes: 8,
      when: 'cold',
      shows: { 'exhaust-choked': 'always', 'blast-large': 'never' }
    },
    {
      key: 'gland-nip',
      how: 'Standing, chocked, cool enough to touch: nip the gland up a sixth.',
      results: ['it has stopped', 'it is at its end', 'blows as before'],
      minutes: 5,
      when: 'cold',
      changes: true,
      shows: {
        'gland-packing': ['usually', 'half', 'rarely'],
        'rod-scored': ['rarely', 'rarely', 'usually'],
        'rod-bent': ['rarely', 'rarely', 'usually'],
        'cover-joint': ['never', 'never', 'always']
      }
    },
    {
      key: 'rod-nail',
      how: 'Draw a finger’s nail along the rod.',
      results: ['it catches', 'smooth'],
      minutes: 1,
      when: 'cold',
      shows: { 'rod-scored': 'always', 'rod-bent': 'rarely' }
    },
    {
      key: 'rod-runs',
      how: 'Bar it through a turn with a pointer at the rod.',
      results: ['moves aside', 'runs true'],
      minutes: 6,
      when: 'cold',
      shows: { 'rod-bent': 'always', 'crosshead-worn': 'half' }
    },
    {
      key: 'gland-where',
      how: 'Mirror and lamp: from the gland, or beside it?',
      results: ['beside it, at the cover', 'from the gland'],
      minutes: 2,
      when: 'in steam',
      tools: 'Mirror, lamp',
      shows: { 'cover-joint': 'always', 'drain-ring': 'half' }
    },
    {
      key: 'piston-air',
      how: 'Cold, held: a little air in at each end in turn. Where does it come out again?',
      results: ['past the piston', 'past the valve', 'from a joint', 'hardly anywhere'],
      minutes: 20,
      when: 'cold',
      tools: 'Air, hose',
      care: 'A few psi; it turns unless it is held.',
      shows: {
        'rings-stuck': ['always', 'rarely', 'never', 'never'],
        'cylinder-scored': ['always', 'rarely', 'never', 'never'],
        'valves-blow': ['half', 'half', 'rarely', 'never'],
        'port-scored': ['never', 'always', 'never', 'rarely'],
        'valve-off-face': ['never', 'always', 'never', 'rarely'],
        'chest-joint': ['never', 'rarely', 'always', 'never']
      }
    },
    {
      key: 'bore-nail',
      how: 'Cover off: draw a finger’s nail along the bore, and move each ring in its groove.',
      results: ['the bore is scored', 'a ring is stuck or slack', 'smooth and free'],
      minutes: 60,
      when: 'cold',
      shows: {
        'cylinder-scored': ['always', 'half', 'never'],
        'rings-stuck': ['rarely', 'always', 'never'],
        'valves-blow': ['rarely', 'half', 'half']
      }
    },
    {
      key: 'valve-sizzles',
      how: 'Does the safety valve sizzle, as it does when it is ready to work?',
      results: ['not yet', 'it sizzles'],
      minutes: 1,
      when: 'in steam',
      shows: { 'pressure-little': 'always' }
    }
  ]
};
