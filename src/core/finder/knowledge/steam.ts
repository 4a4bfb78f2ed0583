import type { Family } from './family';

/** Steam on its way out of the boiler: wet, lost, or where nobody asked for it. */
export const steam: Family = {
  name: 'Steam',
  symptoms: [
    {
      key: 'primes',
      says: ['It primes', 'water comes out of the chimney', 'carries water over', 'spits water', 'wet steam'],
      floor: 'passengers',
      causes: {
        'water-high': 'usually',
        'water-dirty': 'usually',
        'boiler-new': 'usually',
        'oil-in-water': 'usually',
        'regulator-snatched': 'always',
        'treatment-much': 'usually',
        'pipe-low': 'usually',
        'on-gradient': 'half',
        'drains-not-open': 'usually',
        'salts-high': 'usually'
      }
    },
    {
      key: 'regulator-passes',
      says: ['It creeps with the regulator shut', 'regulator passes', 'moves off by itself', 'will not stay standing'],
      for: ['regulator'],
      floor: 'passengers',
      causes: {
        'regulator-face': 'always',
        'regulator-dirt': 'usually',
        'regulator-linkage': 'usually',
        'regulator-joint': 'usually',
        'lubricator-steam': 'rarely',
        'drain-feed': 'rarely'
      }
    },
    {
      key: 'regulator-stiff',
      says: ['The regulator is stiff', 'regulator sticks', 'regulator will not shut', 'regulator handle turns and nothing happens'],
      for: ['regulator'],
      floor: 'passengers',
      causes: {
        'regulator-gland': 'usually',
        'regulator-linkage': 'half',
        'regulator-dry': 'usually',
        'regulator-grows': 'half',
        'regulator-dirt': 'half'
      }
    },
    {
      key: 'whistle-gargles',
      says: ['The whistle gargles', 'whistle is hoarse', 'whistle spits water', 'whistle is weak', 'whistle dribbles'],
      for: ['whistle'],
      causes: {
        'whistle-cold': 'always',
        'water-high': 'usually',
        'whistle-valve': 'usually',
        'whistle-set': 'usually',
        'whistle-low': 'half',
        'whistle-drain': 'usually'
      }
    },
    {
      key: 'falls-standing',
      says: ['Pressure falls as it stands', 'loses pressure standing', 'will not hold pressure', 'needle drops while waiting'],
      causes: {
        'valve-open': 'usually',
        'steam-leak': 'usually',
        'valves-lift': 'half',
        'fire-thin': 'usually',
        'blower-robs': 'usually',
        'clack-passing': 'half',
        'feeds-too-much': 'half',
        'tube-weeps': 'half',
        'regulator-face': 'half',
        'lagging-off': 'half'
      }
    },
    {
      key: 'runs-away',
      says: ['Pressure runs away', 'too much steam', 'valves blow all the time', 'pressure rises and rises'],
      for: ['solid'],
      causes: { 'air-much': 'usually', 'blower-left': 'always', 'fire-for-work': 'usually', 'gauge-high': 'half', 'valve-early': 'half' }
    }
  ],
  causes: [
    {
      key: 'water-high',
      is: 'The water stands too high',
      why: 'With little room above it the water is lifted along with the steam.',
      base: 'common',
      fix: { does: 'Let it down to where it is run, by use or blow-down; feed later.', minutes: 10 },
      retest: 'Dry at the chimney with the glass at a half.'
    },
    {
      key: 'water-dirty',
      is: 'The water in the boiler is dirty',
      why: 'Solids and fats hold the bubbles together as a froth.',
      base: 'usual',
      fix: { does: 'Blow down, wash out, fill with clean water.', minutes: 90 },
      retest: 'The glass stands still and clear on full steam.'
    },
    {
      key: 'boiler-new',
      is: 'The boiler is new, or newly worked on',
      why: 'Flux and oil of its making are still in it.',
      base: 'rare',
      fix: { does: 'Boil out, drain hot, rinse, twice or until it is clean.', minutes: 120 },
      retest: 'Water drawn off does not froth when shaken.'
    },
    {
      key: 'oil-in-water',
      is: 'There is oil in the water',
      why: 'A film of oil makes froth of boiling water, and keeps heat from it where it burns on.',
      base: 'usual',
      fix: { does: 'Find where it comes from, wash out with a washing-soda solution that the boiler’s papers allow.', minutes: 120 },
      retest: 'No film on water drawn off and left to stand.'
    },
    {
      key: 'regulator-snatched',
      is: 'The regulator was snatched',
      why: 'Pressure that drops at once makes the whole of the water boil up.',
      for: ['regulator'],
      base: 'common',
      fix: { does: 'Open it a little, wait, then the rest; drains open.', minutes: 1 },
      retest: 'Three starts, opened slowly, dry.'
    },
    {
      key: 'treatment-much',
      is: 'Too much treatment',
      why: 'What softens water also makes it froth when there is too much of it.',
      for: ['treated'],
      base: 'usual',
      fix: { does: 'Change half the water; dose by the litres that were changed.', minutes: 30 },
      retest: 'Meter or strip within the maker’s range.'
    },
    {
      key: 'salts-high',
      is: 'Salts have gathered',
      why: 'Steam leaves them behind; each fill brings more, and over a figure it froths.',
      base: 'usual',
      fix: { does: 'Blow down a part of each day, wash out when due.', minutes: 30 },
      retest: 'Meter under the club’s figure.'
    },
    {
      key: 'pipe-low',
      is: 'Steam is taken too low',
      why: 'A pipe end near the water draws the spray in.',
      base: 'rare',
      fix: {
        does: 'Run with a lower glass; a collecting pipe at the top is a builder’s work.',
        minutes: 240,
        by: 'builder',
        modifies: true
      },
      retest: 'Dry at three quarters of a glass.'
    },
    {
      key: 'on-gradient',
      for: ['moves'],
      is: 'It stood or ran on a slope',
      why: 'The water lies deep under the dome at one end.',
      base: 'usual',
      fix: { does: 'Fill to the level that holds at both ends; slow over the change.', minutes: 1 },
      retest: 'Dry at the same place with a lower glass.'
    },
    {
      key: 'drains-not-open',
      is: 'It is condensate and no priming',
      why: 'Cold cylinders make water of the first steam; it looks the same at the chimney.',
      base: 'common',
      fix: { does: 'Warm through with the drains open until they blow dry.', minutes: 5 },
      retest: 'Dry after ten turns.'
    },
    {
      key: 'regulator-face',
      is: 'The regulator’s face or seat is worn',
      why: 'A scratch of a tenth passes enough to turn an engine without load.',
      for: ['regulator'],
      base: 'usual',
      fix: { does: 'Cold and empty of pressure: lap it in.', minutes: 180 },
      retest: 'Stands in gear, brake off and chocked, for five minutes at working pressure.',
      floor: 'passengers'
    },
    {
      key: 'regulator-dirt',
      is: 'Dirt sits under the regulator’s valve',
      why: 'It cannot come down on its face.',
      for: ['regulator'],
      base: 'usual',
      fix: { does: 'Open and shut smartly, held and drains open; if it stays, take it out cold.', minutes: 60 },
      retest: 'Stands in gear for five minutes.'
    },
    {
      key: 'regulator-linkage',
      is: 'The regulator’s linkage is worn, loose or out of set',
      why: 'The handle comes to its stop before the valve does.',
      for: ['regulator'],
      base: 'usual',
      fix: { does: 'Set it to shut before the stop; new pins.', minutes: 60, parts: 'Pins' },
      retest: 'Valve shut with the handle still short of its stop.'
    },
    {
      key: 'regulator-joint',
      is: 'A joint of the main steam pipe leaks inside',
      why: 'Steam gets into the pipe behind the regulator.',
      for: ['regulator'],
      base: 'rare',
      fix: { does: 'Remake it, boiler cold.', minutes: 240 },
      retest: 'Stands in gear for five minutes.'
    },
    {
      key: 'lubricator-steam',
      is: 'Steam comes through the lubricator',
      why: 'A displacement lubricator that is open is a small steam pipe past the regulator.',
      for: ['displacement'],
      base: 'rare',
      fix: { does: 'Shut its valve when standing; a smaller hole.', minutes: 30 },
      retest: 'Stands with it shut.'
    },
    {
      key: 'drain-feed',
      is: 'Steam of the drain gear passes into the cylinders',
      why: 'Steam-worked drains are fed from before the regulator.',
      for: ['steam drains'],
      base: 'rare',
      fix: { does: 'Shut its isolator; renew the rings of the drain valves.', minutes: 90, parts: 'Rings' },
      retest: 'Stands with the isolator shut.'
    },
    {
      key: 'regulator-gland',
      is: 'The regulator’s gland is too tight',
      why: 'Packing grips a rod that is dry.',
      for: ['regulator'],
      base: 'common',
      fix: { does: 'Slacken it until it just weeps, cold; oil.', minutes: 10 },
      retest: 'Opens and shuts with two fingers, cold and hot.'
    },
    {
      key: 'regulator-dry',
      is: 'The regulator’s valve is dry or scored',
      why: 'Full pressure presses it on its face; without oil it picks up.',
      for: ['regulator'],
      base: 'usual',
      fix: { does: 'Lap it, oil with steam oil; open it a little each day before pressure.', minutes: 120 },
      retest: 'Moves at working pressure with two fingers.'
    },
    {
      key: 'regulator-grows',
      is: 'The regulator’s rod binds when hot',
      why: 'Boiler and rod grow by different lengths.',
      for: ['regulator'],
      base: 'rare',
      fix: { does: 'Clearance at the end of the rod.', minutes: 60 },
      retest: 'Free cold and hot.'
    },
    {
      key: 'whistle-cold',
      is: 'The whistle and its pipe are cold',
      why: 'The first steam is water until they are hot.',
      for: ['whistle'],
      base: 'common',
      fix: { does: 'A short pull first, away from people.', minutes: 1 },
      retest: 'The second pull is clear.'
    },
    {
      key: 'whistle-valve',
      is: 'The whistle’s valve passes',
      why: 'What leaks condenses and stands in the pipe.',
      for: ['whistle'],
      base: 'usual',
      fix: { does: 'New seat or ball.', minutes: 45, parts: 'Seat' },
      retest: 'Dry at the whistle with its valve shut.'
    },
    {
      key: 'whistle-set',
      is: 'The whistle’s bell is out of set',
      why: 'The gap and the bell’s height belong to one pressure.',
      for: ['whistle'],
      base: 'rare',
      fix: { does: 'Turn the bell by half turns; lock it.', minutes: 15 },
      retest: 'Clear at working pressure.'
    },
    {
      key: 'whistle-low',
      is: 'The whistle is fed by too little',
      why: 'A long thin pipe or a half-open valve starves it.',
      for: ['whistle'],
      base: 'rare',
      fix: { does: 'Its stop valve fully open; a larger pipe.', minutes: 60, parts: 'Pipe' },
      retest: 'Holds its note for three seconds.'
    },
    {
      key: 'whistle-drain',
      is: 'Water lies in a dip of the whistle’s pipe',
      why: 'A pipe that sags cannot drain back.',
      for: ['whistle'],
      base: 'usual',
      fix: { does: 'Lead it with a fall, or drill a drain of one millimetre.', minutes: 60 },
      retest: 'The first pull after ten minutes is clear.'
    },
    {
      key: 'lagging-off',
      is: 'The lagging is off or wet',
      why: 'Bare metal in wind loses as much as a small leak.',
      base: 'rare',
      fix: { does: 'Dry it, put it back.', minutes: 60 },
      retest: 'Fall over ten minutes, fire banked, beside the day before.'
    },
    {
      key: 'air-much',
      is: 'Too much air under the fire for the work',
      why: 'A bright fire makes steam whether it is wanted or not.',
      for: ['damper'],
      base: 'common',
      fix: { does: 'Damper in, door on the crack, feed.', minutes: 1 },
      retest: 'Needle holds under the lift for ten minutes.'
    },
    {
      key: 'blower-left',
      is: 'The blower was left open',
      why: 'It draws as if it were working.',
      for: ['solid'],
      base: 'common',
      fix: { does: 'Down to a breath.', minutes: 1 },
      retest: 'Needle holds.'
    },
    {
      key: 'fire-for-work',
      is: 'A fire for a climb, before a stop',
      why: 'A full bed goes on giving for twenty minutes.',
      for: ['moves', 'solid'],
      base: 'usual',
      fix: { does: 'Last round well before the stop; feed as it stands.', minutes: 1 },
      retest: 'No lift over three stops.'
    },
    {
      key: 'gauge-high',
      is: 'The gauge reads high',
      why: 'The needle is at the mark and the boiler is not.',
      for: ['gauge'],
      base: 'rare',
      fix: { does: 'Compare with the test gauge over the range; renew it.', minutes: 30, parts: 'Gauge' },
      retest: 'Within its class at five points.',
      floor: 'steaming'
    }
  ],
  checks: [
    {
      key: 'prime-level',
      how: 'Where did the glass stand as it began?',
      results: ['over three quarters', 'between a half and three quarters', 'a half or less'],
      minutes: 1,
      when: 'any',
      for: ['glass'],
      shows: {
        'water-high': ['always', 'rarely', 'never'],
        'pipe-low': ['half', 'half', 'rarely'],
        'on-gradient': ['rarely', 'half', 'half']
      }
    },
    {
      key: 'prime-how',
      how: 'What was being done as it began?',
      results: ['regulator opened quickly', 'ran over a change of slope', 'nothing special'],
      minutes: 1,
      when: 'any',
      for: ['regulator'],
      shows: {
        'regulator-snatched': ['always', 'never', 'rarely'],
        'on-gradient': ['rarely', 'usually', 'rarely'],
        'drains-not-open': ['half', 'never', 'half']
      }
    },
    {
      key: 'open-slowly',
      how: 'Start again with the regulator opened over five seconds, drains open.',
      results: ['dry', 'wet as before'],
      minutes: 3,
      when: 'running',
      for: ['regulator'],
      shows: {
        'regulator-snatched': 'always',
        'drains-not-open': 'usually',
        'water-dirty': 'rarely',
        'oil-in-water': 'rarely',
        'water-high': 'rarely'
      }
    },
    {
      key: 'ten-turns',
      how: 'Is it dry after ten turns, drains open, and does it stay so?',
      results: ['dry, and stays dry', 'wet again and again'],
      minutes: 3,
      when: 'running',
      shows: { 'drains-not-open': 'always', 'regulator-snatched': 'half', 'whistle-cold': 'half' }
    },
    {
      key: 'glass-froth',
      how: 'Look at the glass on full steam: does the surface stand, or jump and cloud?',
      results: ['jumps and clouds', 'stands'],
      minutes: 2,
      when: 'running',
      for: ['glass'],
      shows: {
        'water-dirty': 'usually',
        'oil-in-water': 'usually',
        'boiler-new': 'usually',
        'treatment-much': 'usually',
        'salts-high': 'usually',
        'regulator-snatched': 'half'
      }
    },
    {
      key: 'shake-jar',
      how: 'Draw a jar of boiler water off, cold, and shake it: how long does froth stand?',
      results: ['a minute or more', 'gone at once'],
      minutes: 5,
      when: 'cold',
      tools: 'Jar',
      shows: { 'water-dirty': 'usually', 'oil-in-water': 'half', 'boiler-new': 'usually', 'treatment-much': 'always', 'salts-high': 'half' }
    },
    {
      key: 'film-jar',
      how: 'Leave the jar for an hour: what lies on top, and what below?',
      results: ['a film of oil', 'mud below', 'clear'],
      minutes: 4,
      when: 'cold',
      tools: 'Jar',
      shows: {
        'oil-in-water': ['usually', 'rarely', 'never'],
        'water-dirty': ['rarely', 'always', 'never'],
        'boiler-new': ['half', 'half', 'rarely'],
        'salts-high': ['never', 'half', 'half']
      }
    },
    {
      key: 'meter-water',
      how: 'Meter or strip: how does the boiler water stand beside the club’s figure?',
      results: ['over it', 'within it'],
      minutes: 4,
      when: 'any',
      tools: 'Meter or strips',
      shows: { 'salts-high': 'always', 'treatment-much': 'usually' }
    },
    {
      key: 'dose-book',
      how: 'Add up the doses since the last wash-out beside the litres that were changed.',
      results: ['more than the litres ask for', 'as they ask'],
      minutes: 3,
      when: 'any',
      for: ['treated'],
      shows: { 'treatment-much': 'usually', 'salts-high': 'rarely' }
    },
    {
      key: 'boiler-age',
      how: 'How many steamings since the boiler was made, soldered or tubed?',
      results: ['fewer than four', 'more'],
      minutes: 1,
      when: 'any',
      shows: { 'boiler-new': 'always' }
    },
    {
      key: 'lower-glass',
      how: 'Run with a quarter of a glass less, well over the nut.',
      results: ['dry now', 'wet as before'],
      minutes: 15,
      when: 'running',
      for: ['glass'],
      changes: true,
      care: 'Never near the bottom nut.',
      shows: { 'water-high': 'always', 'pipe-low': 'always', 'on-gradient': 'usually', 'water-dirty': 'rarely', 'oil-in-water': 'rarely' }
    },
    {
      key: 'stands-in-gear',
      how: 'Chocked, drains open, mid gear: regulator shut, what comes from the drains?',
      results: ['steam blows steadily', 'a wisp, then nothing'],
      minutes: 3,
      when: 'in steam',
      for: ['regulator'],
      care: 'Chocked and held, nobody before or behind.',
      shows: {
        'regulator-face': 'always',
        'regulator-dirt': 'always',
        'regulator-linkage': 'usually',
        'regulator-joint': 'always',
        'lubricator-steam': 'half'
      }
    },
    {
      key: 'regulator-smart',
      how: 'Held and chocked, drains open: open it a third and shut it smartly, twice.',
      results: ['it has stopped passing', 'passes as before'],
      minutes: 3,
      when: 'in steam',
      for: ['regulator', 'brake'],
      changes: true,
      care: 'It may move: nobody before or behind.',
      shows: { 'regulator-dirt': 'usually', 'regulator-face': 'never', 'regulator-joint': 'never' }
    },
    {
      key: 'regulator-stop',
      how: 'Handle shut: is there travel left, or does it come up on the stop?',
      results: ['on the stop, or slack in it', 'shuts short of the stop'],
      minutes: 2,
      when: 'any',
      for: ['regulator'],
      shows: { 'regulator-linkage': 'always', 'regulator-face': 'rarely' }
    },
    {
      key: 'lubricator-shut',
      how: 'Shut the lubricator’s steam and the drains’ isolator: does it still creep?',
      results: ['it stands now', 'it creeps as before'],
      minutes: 2,
      when: 'in steam',
      for: ['regulator', 'lubricator'],
      shows: { 'lubricator-steam': 'always', 'drain-feed': 'usually', 'regulator-face': 'never' }
    },
    {
      key: 'regulator-air',
      how: 'Cold, a few psi of air in the boiler, steam chest open: where does it come from?',
      results: ['through the regulator', 'from a joint', 'nowhere'],
      minutes: 45,
      when: 'cold',
      for: ['regulator'],
      tools: 'Compressor, hose',
      danger:
        'Air in a boiler is stored energy: a few psi, a gauge on it, nobody in front of an opening, and only as the boiler’s papers allow.',
      shows: {
        'regulator-face': ['always', 'never', 'never'],
        'regulator-dirt': ['usually', 'never', 'rarely'],
        'regulator-joint': ['rarely', 'always', 'never']
      }
    },
    {
      key: 'regulator-cold',
      how: 'Move the regulator cold: how is it beside hot?',
      results: ['stiff cold too', 'free cold, stiff hot', 'free'],
      minutes: 1,
      when: 'cold',
      for: ['regulator'],
      shows: {
        'regulator-gland': ['always', 'rarely', 'never'],
        'regulator-grows': ['never', 'always', 'rarely'],
        'regulator-dry': ['half', 'usually', 'rarely'],
        'regulator-linkage': ['rarely', 'rarely', 'half'],
        'regulator-dirt': ['half', 'rarely', 'half']
      }
    },
    {
      key: 'gland-regulator',
      how: 'Slacken the regulator’s gland a sixth, cold.',
      results: ['moves freely', 'no change'],
      minutes: 3,
      when: 'cold',
      for: ['regulator'],
      changes: true,
      shows: { 'regulator-gland': 'always', 'regulator-dry': 'rarely' }
    },
    {
      key: 'whistle-twice',
      how: 'Two pulls, ten seconds apart.',
      results: ['the second is clear', 'the second as the first'],
      minutes: 1,
      when: 'in steam',
      for: ['whistle'],
      shows: { 'whistle-cold': 'always', 'whistle-drain': 'half', 'water-high': 'never', 'whistle-set': 'never', 'whistle-low': 'never' }
    },
    {
      key: 'whistle-dribble',
      how: 'Look at the whistle with its valve shut.',
      results: ['drips or wisps', 'dry'],
      minutes: 1,
      when: 'in steam',
      for: ['whistle'],
      shows: { 'whistle-valve': 'always' }
    },
    {
      key: 'whistle-ten',
      how: 'First pull after ten minutes, beside one a minute later, both with the glass at a half.',
      results: ['only the first is wet', 'both are hoarse', 'both clear'],
      minutes: 12,
      when: 'in steam',
      for: ['whistle', 'glass'],
      shows: {
        'whistle-drain': ['always', 'rarely', 'never'],
        'whistle-cold': ['usually', 'never', 'rarely'],
        'whistle-valve': ['usually', 'rarely', 'rarely'],
        'whistle-set': ['never', 'always', 'never'],
        'whistle-low': ['never', 'always', 'never'],
        'water-high': ['never', 'never', 'always']
      }
    },
    {
      key: 'whistle-bell',
      how: 'Turn the bell half a turn up, and half down.',
      results: ['it clears', 'no change'],
      minutes: 6,
      when: 'in steam',
      for: ['whistle'],
      changes: true,
      care: 'Valve shut, gloves: it is hot.',
      shows: { 'whistle-set': 'always', 'whistle-low': 'rarely' }
    },
    {
      key: 'damper-needle',
      how: 'Damper in for five minutes: what does the needle do?',
      results: ['stops rising', 'rises as before'],
      minutes: 5,
      when: 'in steam',
      for: ['damper', 'gauge'],
      shows: { 'air-much': 'always', 'fire-for-work': 'rarely', 'blower-left': 'half' }
    },
    {
      key: 'blower-stands',
      how: 'Where does the blower stand?',
      results: ['open more than a breath', 'at a breath'],
      minutes: 1,
      when: 'any',
      for: ['solid'],
      shows: { 'blower-left': 'always', 'air-much': 'rarely' }
    },
    {
      key: 'bed-stop',
      how: 'How deep was the bed as it came to stand, and when was the last round?',
      results: ['deep, a round within ten minutes', 'burnt down'],
      minutes: 1,
      when: 'any',
      for: ['solid'],
      shows: { 'fire-for-work': 'always', 'air-much': 'half' }
    },
    {
      key: 'second-gauge',
      how: 'Put the test gauge beside it, at working pressure.',
      results: ['its own reads high', 'its own reads low', 'alike, within their class'],
      minutes: 8,
      when: 'in steam',
      for: ['gauge'],
      tools: 'Test gauge',
      shows: {
        'gauge-high': ['always', 'never', 'never'],
        'gauge-low': ['never', 'always', 'never'],
        'gauge-cock': ['never', 'always', 'never'],
        'valve-early': ['rarely', 'never', 'usually'],
        'valve-late': ['never', 'rarely', 'usually']
      }
    },
    {
      key: 'lag-hand',
      how: 'Hold a hand near the lagging, all round.',
      results: ['a bare or wet place', 'alike all round'],
      minutes: 2,
      when: 'in steam',
      shows: { 'lagging-off': 'always', 'seam-weeps': 'rarely' }
    },
    {
      key: 'pipe-where',
      how: 'Trace where the steam for the engine is taken from the boiler.',
      results: ['under the highest place, or near the water', 'at the highest place'],
      minutes: 4,
      when: 'any',
      shows: { 'pipe-low': 'always' }
    },
    {
      key: 'whistle-stop',
      how: 'Follow the whistle’s pipe: does its stop valve stand open, and is it as wide as the whistle’s own thread?',
      results: ['half shut, or thin', 'it dips on its way', 'open, wide and falling'],
      minutes: 2,
      when: 'any',
      for: ['whistle'],
      shows: { 'whistle-low': ['always', 'rarely', 'never'], 'whistle-drain': ['rarely', 'always', 'never'] }
    }
  ]
};
