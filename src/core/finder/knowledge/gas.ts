import type { Family } from './family';

/** Gas, its tank, its jets and its flame. Leaks are never looked for with a flame. */
export const gas: Family = {
  name: 'Gas',
  symptoms: [
    {
      key: 'gas-pops-back',
      says: ['The burner pops back', 'flame runs back to the jet', 'bang and it burns in the tube', 'burns at the jet'],
      for: ['gas'],
      floor: 'passengers',
      causes: {
        'gas-low': 'usually',
        'jet-part': 'usually',
        'burner-hot': 'usually',
        'gas-air-much': 'usually',
        'burner-hole': 'usually',
        'gas-shut-slow': 'usually',
        'gas-mix': 'half'
      }
    },
    {
      key: 'gas-howls',
      says: ['The burner howls', 'burner sings', 'roars and hums', 'flame lifts off'],
      for: ['gas'],
      causes: {
        'gas-high': 'usually',
        'gas-air-much': 'usually',
        'jet-large': 'usually',
        'burner-cold': 'usually',

        'gas-mix': 'rarely'
      }
    },
    {
      key: 'gas-goes-out',
      says: ['The burner goes out', 'flame dies', 'will not stay lit', 'goes out in the wind'],
      for: ['gas'],
      floor: 'passengers',
      causes: {
        'gas-empty': 'always',
        'gas-tank-cold': 'usually',
        'gas-liquid': 'usually',
        'jet-part': 'half',
        'gas-wind': 'usually',
        'gas-choked-box': 'usually',
        'gas-filter': 'usually',
        'gas-high': 'half'
      }
    },
    {
      key: 'gas-weak',
      says: ['The burner is weak', 'flame is small', 'pressure does not rise on gas', 'burner fades'],
      for: ['gas'],
      causes: {
        'gas-tank-cold': 'usually',
        'jet-part': 'always',
        'gas-filter': 'usually',
        'gas-low': 'usually',
        'gas-empty': 'half',
        'gas-mix': 'usually',
        'gas-regulator-set': 'usually',
        'gas-air-little': 'half'
      }
    },
    {
      key: 'gas-second-starved',
      says: ['One burner starves the other', 'second burner goes small', 'burners are not alike', 'one burner weak'],
      for: ['two burners'],
      causes: { 'gas-shared': 'always', 'jet-part': 'usually', 'jet-large': 'usually', 'gas-tank-cold': 'half', 'gas-filter': 'half' }
    },
    {
      key: 'gas-smell',
      says: ['It smells of gas', 'gas leak', 'bubbles at a gas joint', 'hiss at the gas tank'],
      for: ['gas'],
      floor: 'steaming',
      causes: {
        'gas-joint': 'always',
        'gas-valve-passes': 'usually',
        'gas-filler': 'always',
        'gas-hose': 'usually',
        'gas-unlit': 'usually'
      }
    }
  ],
  causes: [
    {
      key: 'gas-low',
      is: 'Too little gas pressure at the jet',
      why: 'A slow mixture lets the flame walk back into the tube.',
      for: ['gas'],
      base: 'common',
      fix: { does: 'Open the valve quickly past the low place; never idle that low.', minutes: 2 },
      retest: 'Steady from its lowest set to full.'
    },
    {
      key: 'gas-high',
      is: 'Too much gas pressure',
      why: 'The mixture leaves faster than it burns.',
      for: ['gas'],
      base: 'usual',
      fix: { does: 'Down at the valve or the regulator; a tank that lay in the sun shaded.', minutes: 2 },
      retest: 'Flame sits on the burner.'
    },
    {
      key: 'jet-part',
      is: 'The jet is part choked',
      why: 'A hair in a hole of a fifth of a millimetre takes half of it.',
      for: ['gas'],
      base: 'common',
      fix: { does: 'Jet out, cold; soaked and blown through. No wire through a jet.', minutes: 20 },
      retest: 'Needle rise in ten minutes beside its record.'
    },
    {
      key: 'jet-large',
      is: 'The jet is too large, or has been pricked',
      why: 'More gas than the air that it draws.',
      for: ['gas'],
      base: 'usual',
      fix: { does: 'New jet of the number in the fit-out.', minutes: 15, parts: 'Jet' },
      retest: 'Blue, sits on the burner; what the valves must pass is worked again.',
      floor: 'passengers'
    },
    {
      key: 'burner-hot',
      is: 'The burner tube is too hot',
      why: 'Hot mixture burns faster than it comes.',
      for: ['gas'],
      base: 'usual',
      fix: { does: 'Off; let it cool; more secondary air round it.', minutes: 15 },
      retest: 'Runs half an hour.'
    },
    {
      key: 'burner-cold',
      is: 'The burner is cold',
      why: 'It sings until its face is hot.',
      for: ['gas'],
      base: 'common',
      fix: { does: 'Start low for a minute.', minutes: 2 },
      retest: 'Quiet after a minute.'
    },
    {
      key: 'burner-hole',
      is: 'The burner’s gauze or slots are burnt',
      why: 'A hole wider than the rest lets the flame through.',
      for: ['gas'],
      base: 'rare',
      fix: { does: 'New gauze or burner.', minutes: 60, parts: 'Gauze' },
      retest: 'Even flame, no pop when shut.'
    },
    {
      key: 'gas-air-much',
      is: 'The air sleeve is too far open',
      why: 'Much air makes a fast, loud flame.',
      for: ['gas'],
      base: 'common',
      fix: { does: 'Sleeve in until blue with no yellow; locked.', minutes: 4 },
      retest: 'Quiet, blue.'
    },
    {
      key: 'gas-air-little',
      is: 'The air sleeve is too far shut, or fluff is in it',
      why: 'Yellow flame gives soot and less heat.',
      for: ['gas'],
      base: 'usual',
      fix: { does: 'Opened, cleaned.', minutes: 6 },
      retest: 'Blue; tubes swept.'
    },
    {
      key: 'gas-shut-slow',
      is: 'It was turned down slowly',
      why: 'It passes the speed at which the flame runs back.',
      for: ['gas'],
      base: 'usual',
      fix: { does: 'Shut smartly.', minutes: 1 },
      retest: 'No pop at three shuttings.'
    },
    {
      key: 'gas-mix',
      is: 'Another mixture of gas than it was set for',
      why: 'Propane and butane want other air and give other pressure.',
      for: ['gas'],
      base: 'usual',
      fix: { does: 'The mixture of the fit-out; the tank is only for what it is made for.', minutes: 10 },
      retest: 'As its record.',
      floor: 'passengers'
    },
    {
      key: 'gas-empty',
      is: 'The gas is empty',
      why: 'What is left does not press.',
      for: ['gas'],
      base: 'common',
      fix: { does: 'Burner off, engine away from flames; filled in the open.', minutes: 10 },
      retest: 'Minutes of a fill beside its record.'
    },
    {
      key: 'gas-tank-cold',
      is: 'The gas tank is cold',
      why: 'Evaporating gas chills itself until it presses no more.',
      for: ['gas'],
      base: 'common',
      fix: { does: 'A tray of hand-warm water, never a flame.', minutes: 10 },
      retest: 'Holds for a whole fill.'
    },
    {
      key: 'gas-liquid',
      is: 'Liquid gas comes to the jet',
      why: 'An overfilled or tilted tank gives liquid, which flares and dies.',
      for: ['gas'],
      base: 'usual',
      fix: { does: 'Off; let it vent in the open; filled to four fifths.', minutes: 15 },
      retest: 'Steady from lighting on.',
      floor: 'passengers'
    },
    {
      key: 'gas-wind',
      is: 'Wind blows it out',
      why: 'A gust in the chimney turns the gas back.',
      for: ['gas'],
      base: 'usual',
      fix: { does: 'Turned from the wind, a shield.', minutes: 5 },
      retest: 'Holds where it stood.'
    },
    {
      key: 'gas-choked-box',
      is: 'The firebox or flue gets no air',
      why: 'A flame without a way out eats its own gas.',
      for: ['gas'],
      base: 'usual',
      fix: { does: 'Flue swept, openings cleared.', minutes: 20 },
      retest: 'Holds ten minutes at full.'
    },
    {
      key: 'gas-filter',
      is: 'The gas filter or the pipe is choked',
      why: 'Oil out of the cartridge gathers in it.',
      for: ['gas'],
      base: 'usual',
      fix: { does: 'Filter renewed, pipe blown through.', minutes: 20, parts: 'Filter' },
      retest: 'Gauge at the jet beside the tank’s.'
    },
    {
      key: 'gas-regulator-set',
      is: 'The gas regulator is set too low, or follows wrongly',
      why: 'It shuts the gas before the boiler has what is wanted.',
      for: ['gas regulator'],
      base: 'usual',
      fix: { does: 'Set by its maker’s way, in steps.', minutes: 20 },
      retest: 'Needle holds where it should.'
    },
    {
      key: 'gas-shared',
      is: 'Both burners hang on one thin pipe',
      why: 'What one takes the other lacks.',
      for: ['two burners'],
      base: 'usual',
      fix: { does: 'A pipe of its own or a larger one; leak test after.', minutes: 90, parts: 'Pipe' },
      retest: 'Both at full, alike.'
    },
    {
      key: 'gas-joint',
      is: 'A gas joint leaks',
      why: 'Gas is heavy, runs down into the ashpan and waits for a flame.',
      for: ['gas'],
      base: 'common',
      fix: { does: 'Gas off, no flame near. Remade and tested with leak fluid.', minutes: 30, parts: 'Seal' },
      retest: 'Leak fluid at every joint, full pressure, no bubble in two minutes.',
      floor: 'steaming'
    },
    {
      key: 'gas-valve-passes',
      is: 'The gas valve does not shut',
      why: 'A worn seat feeds an unlit burner.',
      for: ['gas'],
      base: 'usual',
      fix: { does: 'New valve.', minutes: 40, parts: 'Valve' },
      retest: 'No bubble at the jet, valve shut.',
      floor: 'steaming'
    },
    {
      key: 'gas-filler',
      is: 'The filler valve leaks',
      why: 'Its seal is hard or dirt is in it.',
      for: ['gas'],
      base: 'usual',
      fix: { does: 'New filler valve.', minutes: 20, parts: 'Valve' },
      retest: 'No bubble under fluid.',
      floor: 'steaming'
    },
    {
      key: 'gas-hose',
      is: 'The gas hose is cracked',
      why: 'Rubber ages with heat and oil.',
      for: ['gas'],
      base: 'usual',
      fix: { does: 'New hose with its date.', minutes: 15, parts: 'Hose' },
      retest: 'No bubble when bent.',
      floor: 'steaming'
    },
    {
      key: 'gas-unlit',
      is: 'Unburnt gas from a try at lighting',
      why: 'It came out and did not light.',
      for: ['gas'],
      base: 'common',
      fix: { does: 'Gas off, wait, fan the firebox out, light before the gas is opened.', minutes: 5 },
      retest: 'Lights at once.'
    }
  ],
  checks: [
    {
      key: 'gas-turn-up',
      how: 'Turn the gas up a little, quickly.',
      results: ['burns steadily', 'lifts off', 'as before'],
      minutes: 1,
      when: 'in steam',
      for: ['gas'],
      shows: {
        'gas-low': ['always', 'never', 'never'],
        'jet-part': ['half', 'never', 'half'],
        'burner-hole': ['rarely', 'never', 'usually'],
        'burner-hot': ['half', 'never', 'half'],
        'gas-air-much': ['rarely', 'half', 'half'],
        'gas-high': ['never', 'always', 'never'],
        'jet-large': ['never', 'always', 'never']
      }
    },
    {
      key: 'gas-turn-down',
      how: 'Turn the gas down a third.',
      results: ['quiet, flame sits', 'as before'],
      minutes: 1,
      when: 'in steam',
      for: ['gas'],
      shows: { 'gas-high': 'always', 'jet-large': 'usually', 'gas-air-much': 'half', 'burner-cold': 'half' }
    },
    {
      key: 'sleeve-shut',
      how: 'Close the air sleeve a little.',
      results: ['quiet and blue', 'yellow', 'as before'],
      minutes: 2,
      when: 'in steam',
      for: ['gas'],
      changes: true,
      shows: {
        'gas-air-much': ['always', 'never', 'never'],
        'gas-air-little': ['never', 'always', 'never'],
        'gas-high': ['half', 'never', 'half'],
        'jet-large': ['rarely', 'usually', 'rarely']
      }
    },
    {
      key: 'flame-colour',
      how: 'Look at the flame, shaded.',
      results: ['yellow tips', 'pale, lifted', 'uneven', 'blue all over'],
      minutes: 1,
      when: 'in steam',
      for: ['gas'],
      shows: {
        'gas-air-little': ['always', 'never', 'never', 'never'],
        'gas-choked-box': ['usually', 'never', 'half', 'rarely'],
        'jet-large': ['half', 'usually', 'rarely', 'never'],
        'gas-air-much': ['never', 'usually', 'rarely', 'rarely'],
        'burner-hole': ['rarely', 'rarely', 'always', 'never'],
        'gas-liquid': ['usually', 'half', 'half', 'never'],
        'jet-part': ['rarely', 'rarely', 'half', 'half']
      }
    },
    {
      key: 'gas-weigh',
      how: 'Weigh the tank or shake it: how much is in?',
      results: ['empty or nearly', 'over four fifths', 'between'],
      minutes: 2,
      when: 'any',
      for: ['gas'],
      tools: 'Scale',
      shows: { 'gas-empty': ['always', 'never', 'never'], 'gas-liquid': ['never', 'usually', 'rarely'] }
    },
    {
      key: 'gas-tank-hand',
      how: 'Touch the gas tank: cold, wet, or white with frost?',
      results: ['frost or wet and cold', 'as the air'],
      minutes: 1,
      when: 'in steam',
      for: ['gas'],
      shows: { 'gas-tank-cold': 'always' }
    },
    {
      key: 'gas-tray',
      how: 'Set the tank in hand-warm water for five minutes.',
      results: ['the flame comes back', 'no change'],
      minutes: 7,
      when: 'in steam',
      for: ['gas'],
      care: 'Hand-warm only, no flame near.',
      shows: { 'gas-tank-cold': 'always', 'gas-mix': 'half', 'gas-empty': 'rarely' }
    },
    {
      key: 'jet-light',
      how: 'Jet out, cold: look through it against the light with a glass.',
      results: ['part closed', 'wide or oval', 'round and clear'],
      minutes: 12,
      when: 'cold',
      for: ['gas'],
      tools: 'Spanner, magnifier',
      care: 'Gas off, line empty.',
      shows: { 'jet-part': ['always', 'never', 'rarely'], 'jet-large': ['never', 'usually', 'rarely'] }
    },
    {
      key: 'jet-number',
      how: 'Read the jet’s number beside the fit-out.',
      results: ['another', 'the same'],
      minutes: 10,
      when: 'cold',
      for: ['gas'],
      care: 'Gas off, line empty.',
      shows: { 'jet-large': 'usually' }
    },
    {
      key: 'gas-cartridge',
      how: 'Which gas went in last?',
      results: ['another mixture', 'the usual'],
      minutes: 1,
      when: 'any',
      for: ['gas'],
      shows: { 'gas-mix': 'always' }
    },
    {
      key: 'burner-minutes',
      how: 'When does it do it?',
      results: ['in the first minute', 'after ten minutes', 'as it is shut', 'at any time'],
      minutes: 1,
      when: 'in steam',
      for: ['gas'],
      shows: {
        'burner-cold': ['always', 'never', 'never', 'rarely'],
        'burner-hot': ['never', 'always', 'rarely', 'never'],
        'gas-tank-cold': ['never', 'always', 'never', 'rarely'],
        'gas-shut-slow': ['never', 'never', 'always', 'never'],
        'gas-liquid': ['usually', 'rarely', 'never', 'half'],
        'gas-choked-box': ['half', 'half', 'never', 'half']
      }
    },
    {
      key: 'gauze-look',
      how: 'Burner out, cold: look over gauze or slots.',
      results: ['a hole or a wide slot', 'even'],
      minutes: 15,
      when: 'cold',
      for: ['gas'],
      shows: { 'burner-hole': 'always' }
    },
    {
      key: 'gas-shield',
      how: 'Shield it from the wind, or turn the engine.',
      results: ['holds', 'goes out as before'],
      minutes: 3,
      when: 'in steam',
      for: ['gas'],
      shows: { 'gas-wind': 'always', 'gas-choked-box': 'rarely' }
    },
    {
      key: 'flue-way',
      how: 'Look through the flue and at the openings for air.',
      results: ['sooted or covered', 'clear'],
      minutes: 4,
      when: 'cold',
      for: ['gas'],
      shows: { 'gas-choked-box': 'always', 'gas-air-little': 'half' }
    },
    {
      key: 'filter-blow',
      how: 'Pipe off at the jet, in the open, no flame within three metres: open the valve for a second.',
      results: ['a weak breath', 'spits wet', 'a sharp hiss'],
      minutes: 6,
      when: 'cold',
      for: ['gas'],
      danger: 'Loose gas: in the open, no flame or spark within three metres, gloves.',
      shows: {
        'gas-filter': ['always', 'never', 'never'],
        'gas-empty': ['usually', 'never', 'rarely'],
        'gas-liquid': ['never', 'always', 'rarely'],
        'jet-part': ['never', 'rarely', 'always']
      }
    },
    {
      key: 'regulator-gas-by',
      how: 'Turn the gas regulator up by a quarter: does the flame follow?',
      results: ['flame grows', 'no change'],
      minutes: 3,
      when: 'in steam',
      for: ['gas regulator'],
      changes: true,
      shows: { 'gas-regulator-set': 'always', 'gas-filter': 'never', 'jet-part': 'rarely' }
    },
    {
      key: 'burner-alone',
      how: 'Burn each alone: is it as large as both ought to be?',
      results: ['each is full alone', 'the one is weak alone too'],
      minutes: 3,
      when: 'in steam',
      for: ['two burners'],
      shows: { 'gas-shared': 'always', 'gas-tank-cold': 'half', 'jet-part': 'never', 'jet-large': 'half', 'gas-filter': 'half' }
    },
    {
      key: 'jets-swap',
      how: 'Cold, gas off: change the two jets over.',
      results: ['the weakness moves with the jet', 'it stays'],
      minutes: 25,
      when: 'cold',
      for: ['two burners'],
      changes: true,
      shows: { 'jet-part': 'always', 'jet-large': 'usually', 'gas-shared': 'never' }
    },
    {
      key: 'gas-fluid',
      how: 'All flames out: leak fluid at every joint, valve, filler and hose. Where does it bubble?',
      results: ['at a joint', 'at the filler', 'at the hose', 'at the jet, valve shut', 'nowhere'],
      minutes: 6,
      when: 'cold',
      for: ['gas'],
      tools: 'Leak fluid',
      care: 'Never with a flame.',
      shows: {
        'gas-joint': ['always', 'rarely', 'rarely', 'never', 'never'],
        'gas-filler': ['rarely', 'always', 'never', 'never', 'never'],
        'gas-hose': ['rarely', 'never', 'always', 'never', 'never'],
        'gas-valve-passes': ['never', 'never', 'never', 'always', 'never']
      }
    },
    {
      key: 'gas-aired',
      how: 'Gas off, fanned out, ten minutes: does it smell again, unlit?',
      results: ['it smells again', 'no more'],
      minutes: 12,
      when: 'cold',
      for: ['gas'],
      shows: { 'gas-joint': 'always', 'gas-filler': 'always', 'gas-valve-passes': 'usually', 'gas-hose': 'usually', 'gas-unlit': 'never' }
    },
    {
      key: 'gas-tried',
      how: 'Was it tried to be lit just before, or turned on before there was a flame?',
      results: ['yes', 'no'],
      minutes: 1,
      when: 'any',
      for: ['gas'],
      shows: { 'gas-unlit': 'always' }
    }
  ]
};
