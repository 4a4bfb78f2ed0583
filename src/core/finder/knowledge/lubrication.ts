import type { Family } from './family';

/** Steam oil to the cylinders, motion oil everywhere else. */
export const lubrication: Family = {
  name: 'Lubrication',
  symptoms: [
    {
      key: 'lubricator-nothing',
      says: ['The lubricator does not feed', 'no oil to the cylinders', 'oil level does not go down', 'cylinders run dry'],
      for: ['lubricator'],
      floor: 'passengers',
      causes: {
        'lubricator-water': 'usually',
        'lubricator-shut': 'always',
        'lubricator-check': 'usually',
        'lubricator-hole': 'usually',
        'lubricator-drive': 'always',
        'oil-cold': 'usually',
        'lubricator-empty': 'always',
        'lubricator-air': 'usually',
        'sight-glass': 'half'
      }
    },
    {
      key: 'lubricator-fast',
      says: ['The lubricator empties too fast', 'uses too much oil', 'oil out of the chimney', 'oil all over the boiler'],
      for: ['lubricator'],
      causes: {
        'lubricator-open-wide': 'always',
        'lubricator-hole-large': 'usually',
        'oil-thin': 'usually',
        'lubricator-stroke': 'always',
        'lubricator-cap': 'usually',
        'lubricator-blown': 'half'
      }
    },
    {
      key: 'bearing-hot',
      says: ['A bearing runs hot', 'axle box hot', 'big end hot', 'smell of hot oil', 'smoke from a bearing'],
      floor: 'passengers',
      causes: {
        'bearing-forgotten': 'usually',
        'trimming-bad': 'usually',
        'bearing-tight': 'usually',
        'bearing-grit': 'usually',
        'oil-thin': 'half',
        'oil-way': 'usually',
        'brass-worn': 'rarely',
        'box-weight': 'half'
      }
    }
  ],
  causes: [
    {
      key: 'lubricator-water',
      is: 'The lubricator is full of water',
      why: 'Condensate has taken the oil’s place; there is none left to push.',
      for: ['displacement'],
      base: 'common',
      fix: { does: 'Shut its steam, drain it, fill with oil to the top.', minutes: 8 },
      retest: 'Water drained after an hour is what was used of oil.'
    },
    {
      key: 'lubricator-shut',
      is: 'The lubricator’s valve is shut',
      why: 'No steam in, no oil out.',
      for: ['lubricator'],
      base: 'common',
      fix: { does: 'Open it as far as it was set; into the procedure.', minutes: 1 },
      retest: 'A smear at the chimney within ten minutes.'
    },
    {
      key: 'lubricator-empty',
      is: 'It was not filled',
      why: 'It was forgotten.',
      for: ['lubricator'],
      base: 'usual',
      fix: { does: 'Fill it; the step asks for the level.', minutes: 4 },
      retest: 'Level read before and after.'
    },
    {
      key: 'lubricator-check',
      is: 'A check valve of the lubricator sticks',
      why: 'Shut, nothing passes; open, steam comes back into the oil.',
      for: ['lubricator'],
      base: 'usual',
      fix: { does: 'Out, cleaned, ball and spring seen.', minutes: 40 },
      retest: 'Oil at the union against a thumb.'
    },
    {
      key: 'lubricator-hole',
      is: 'The hole to the steam pipe is choked',
      why: 'A hole of half a millimetre closes with carbon.',
      for: ['displacement'],
      base: 'usual',
      fix: { does: 'Clear it with a wire of its size, cold.', minutes: 15 },
      retest: 'Air passes.'
    },
    {
      key: 'lubricator-hole-large',
      is: 'The hole to the steam pipe is too large',
      why: 'Each breath of the regulator exchanges oil for water.',
      for: ['displacement'],
      base: 'rare',
      fix: { does: 'A bush with a smaller hole.', minutes: 60 },
      retest: 'Oil of an hour measured.'
    },
    {
      key: 'lubricator-drive',
      is: 'The lubricator’s ratchet or drive slips',
      why: 'The arm moves and the pump does not.',
      for: ['mechanical'],
      base: 'usual',
      fix: { does: 'Clean the clutch, new spring; pin the arm.', minutes: 40, parts: 'Spring' },
      retest: 'The wheel turns a tooth at each stroke.'
    },
    {
      key: 'lubricator-stroke',
      is: 'The lubricator’s stroke is set too long',
      why: 'It gives what it is set to.',
      for: ['mechanical'],
      base: 'usual',
      fix: { does: 'Arm moved to a longer hole.', minutes: 10 },
      retest: 'Oil of an hour measured.'
    },
    {
      key: 'lubricator-air',
      is: 'Air stands in the lubricator’s pump',
      why: 'A ram of six millimetres only presses the bubble.',
      for: ['mechanical'],
      base: 'usual',
      fix: { does: 'Turned by hand with the union open until oil comes without a bubble.', minutes: 10 },
      retest: 'A drop at each stroke.'
    },
    {
      key: 'lubricator-open-wide',
      is: 'The lubricator’s valve is open too far',
      why: 'It changes oil for water as fast as steam condenses.',
      for: ['displacement'],
      base: 'common',
      fix: { does: 'Set to a quarter turn; mark it.', minutes: 2 },
      retest: 'Oil of an hour measured.'
    },
    {
      key: 'lubricator-cap',
      is: 'The cap or drain of the lubricator leaks',
      why: 'Oil goes on the engine and not into it.',
      for: ['lubricator'],
      base: 'usual',
      fix: { does: 'New washer.', minutes: 10, parts: 'Washer' },
      retest: 'Dry outside.'
    },
    {
      key: 'lubricator-blown',
      is: 'It was filled with its steam on',
      why: 'What was put in was blown out as the regulator opened.',
      for: ['displacement'],
      base: 'usual',
      fix: { does: 'Valve shut, drained without pressure, filled.', minutes: 8 },
      retest: 'Level an hour later.'
    },
    {
      key: 'sight-glass',
      is: 'The sight feed is dirty, and drops are not seen',
      why: 'Oil that sticks to the glass hides them.',
      for: ['sight feed'],
      base: 'usual',
      fix: { does: 'Glass cleaned and filled with water.', minutes: 20 },
      retest: 'Drops counted in a minute.'
    },
    {
      key: 'oil-cold',
      is: 'The oil is too thick when cold',
      why: 'Steam oil is like honey at ten degrees.',
      for: ['lubricator'],
      base: 'usual',
      fix: { does: 'Warm the can; let the lubricator warm before it works.', minutes: 5 },
      retest: 'Feeds when warm.'
    },
    {
      key: 'oil-thin',
      is: 'The wrong oil',
      why: 'Motion oil leaves a hot cylinder and steam oil does not creep into a bearing.',
      base: 'usual',
      fix: { does: 'Right oil in the right can; cans marked.', minutes: 20, parts: 'Oil' },
      retest: 'Cool after a quarter of an hour’s run, a smear at the chimney.'
    },
    {
      key: 'bearing-forgotten',
      is: 'It was not oiled',
      why: 'One of thirty places was left out.',
      base: 'common',
      fix: { does: 'Cooled, oiled; the round goes by number.', minutes: 10 },
      retest: 'Cool after a quarter of an hour’s run.'
    },
    {
      key: 'trimming-bad',
      is: 'A trimming does not lift the oil',
      why: 'Too tight, too dirty or too short a wick.',
      for: ['wick oilers'],
      base: 'usual',
      fix: { does: 'New trimming, loose in its pipe.', minutes: 15, parts: 'Worsted' },
      retest: 'A drop at the end of the pipe in a minute.'
    },
    {
      key: 'bearing-tight',
      is: 'It was taken up too tight',
      why: 'No room for a film of oil.',
      base: 'usual',
      fix: { does: 'Eased, a thin shim.', minutes: 45 },
      retest: 'Turns by hand; cool after a quarter of an hour’s run.'
    },
    {
      key: 'bearing-grit',
      is: 'Ash or grit got into it',
      why: 'It cuts what it should carry.',
      base: 'usual',
      fix: { does: 'Opened, cleaned, scraped; ashpan and felt seen to.', minutes: 120 },
      retest: 'Cool after an hour’s run.'
    },
    {
      key: 'oil-way',
      is: 'The oil way is stopped',
      why: 'Old oil and dust bake in it.',
      base: 'usual',
      fix: { does: 'Cleared with wire and paraffin.', minutes: 20 },
      retest: 'Oil runs through.'
    },
    {
      key: 'box-weight',
      is: 'One axle carries too much',
      why: 'Springs unevenly set load one box.',
      for: ['rails'],
      base: 'rare',
      fix: { does: 'Springs set by weighing or by the height of the frames.', minutes: 90 },
      retest: 'Heights alike; cool after an hour’s run.'
    }
  ],
  checks: [
    {
      key: 'lubricator-drain',
      how: 'Its steam shut, no pressure in it: open its drain. What comes?',
      results: ['water only', 'nothing', 'water, then oil'],
      minutes: 3,
      when: 'in steam',
      for: ['displacement'],
      care: 'Shut its steam first: hot oil spits.',
      shows: {
        'lubricator-water': ['always', 'never', 'rarely'],
        'lubricator-empty': ['half', 'half', 'never'],
        'lubricator-hole': ['never', 'half', 'half'],
        'lubricator-open-wide': ['always', 'never', 'rarely'],
        'lubricator-hole-large': ['usually', 'never', 'half'],
        'lubricator-blown': ['always', 'rarely', 'never'],
        'lubricator-shut': ['never', 'rarely', 'usually']
      }
    },
    {
      key: 'lubricator-valve',
      how: 'How does its valve stand?',
      results: ['shut', 'more than half a turn open', 'as it was set'],
      minutes: 1,
      when: 'any',
      for: ['lubricator'],
      shows: { 'lubricator-shut': ['always', 'never', 'never'], 'lubricator-open-wide': ['never', 'always', 'never'] }
    },
    {
      key: 'lubricator-level',
      how: 'Oil level before the day and now?',
      results: ['was never filled', 'no lower', 'lower by a day’s use'],
      minutes: 1,
      when: 'any',
      for: ['lubricator'],
      shows: {
        'lubricator-empty': ['always', 'rarely', 'never'],
        'lubricator-drive': ['never', 'always', 'never'],
        'lubricator-air': ['never', 'usually', 'rarely'],
        'lubricator-check': ['never', 'usually', 'rarely'],
        'lubricator-hole': ['never', 'always', 'never'],
        'sight-glass': ['never', 'never', 'always'],
        'oil-cold': ['never', 'usually', 'rarely']
      }
    },
    {
      key: 'ratchet-look',
      how: 'Watch the lubricator’s wheel as the arm moves.',
      results: ['stands or slips', 'turns a tooth'],
      minutes: 1,
      when: 'any',
      for: ['mechanical'],
      shows: { 'lubricator-drive': 'always' }
    },
    {
      key: 'union-drop',
      how: 'Oil union undone at the cylinder: turn the pump by hand.',
      results: ['nothing', 'bubbles', 'oil at each stroke'],
      minutes: 6,
      when: 'cold',
      for: ['mechanical'],
      shows: {
        'lubricator-air': ['half', 'always', 'never'],
        'lubricator-check': ['usually', 'rarely', 'rarely'],
        'oil-cold': ['half', 'rarely', 'half'],
        'lubricator-empty': ['usually', 'half', 'never'],
        'lubricator-stroke': ['never', 'never', 'always']
      }
    },
    {
      key: 'hole-wire',
      how: 'Put a wire through the hole to the steam pipe, cold.',
      results: ['it will not go', 'goes with room', 'goes snug'],
      minutes: 8,
      when: 'cold',
      for: ['displacement'],
      tools: 'Wire of its size',
      shows: { 'lubricator-hole': ['always', 'never', 'never'], 'lubricator-hole-large': ['never', 'always', 'never'] }
    },
    {
      key: 'check-ball',
      how: 'Check valve out: does its ball move and seat?',
      results: ['sticks', 'free and tight'],
      minutes: 15,
      when: 'cold',
      for: ['lubricator'],
      shows: { 'lubricator-check': 'always' }
    },
    {
      key: 'oil-feel',
      how: 'Which can did it come from? Let a drop run over a cold plate.',
      results: ['runs like water', 'will not run', 'runs as it should'],
      minutes: 2,
      when: 'any',
      shows: { 'oil-thin': ['always', 'never', 'never'], 'oil-cold': ['never', 'always', 'never'] }
    },
    {
      key: 'filled-how',
      how: 'How was it filled: its steam shut, and drained without pressure?',
      results: ['with its steam on', 'shut and drained'],
      minutes: 1,
      when: 'any',
      for: ['displacement'],
      shows: { 'lubricator-blown': 'always' }
    },
    {
      key: 'arm-hole',
      how: 'Look in which hole the lubricator’s arm is.',
      results: ['the one of longest stroke', 'as its record says'],
      minutes: 1,
      when: 'any',
      for: ['mechanical'],
      shows: { 'lubricator-stroke': 'always' }
    },
    {
      key: 'lubricator-wipe',
      how: 'Wipe it dry, look after ten minutes in steam.',
      results: ['oil outside', 'dry'],
      minutes: 10,
      when: 'in steam',
      for: ['lubricator'],
      shows: { 'lubricator-cap': 'always' }
    },
    {
      key: 'sight-clean',
      how: 'Look across the sight feed with a lamp behind.',
      results: ['filmed over', 'clear, drops are seen'],
      minutes: 1,
      when: 'in steam',
      for: ['sight feed'],
      tools: 'Lamp',
      shows: { 'sight-glass': 'always' }
    },
    {
      key: 'oil-round',
      how: 'Go through the oiling round of today: was this place in it?',
      results: ['left out', 'oiled'],
      minutes: 1,
      when: 'any',
      shows: { 'bearing-forgotten': 'always' }
    },
    {
      key: 'trimming-look',
      how: 'Lift the trimming: does its tail drip?',
      results: ['dry or hard', 'drips'],
      minutes: 2,
      when: 'any',
      for: ['wick oilers'],
      shows: { 'trimming-bad': 'always' }
    },
    {
      key: 'taken-up',
      how: 'Was this bearing touched since it last ran cool?',
      results: ['taken up', 'not touched'],
      minutes: 1,
      when: 'any',
      shows: { 'bearing-tight': 'always', 'bearing-grit': 'rarely' }
    },
    {
      key: 'oil-through',
      how: 'Pour oil in: does it come out at the journal?',
      results: ['stands', 'runs through'],
      minutes: 4,
      when: 'cold',
      shows: { 'oil-way': 'always', 'trimming-bad': 'half', 'bearing-tight': 'rarely' }
    },
    {
      key: 'oil-out-dark',
      how: 'Rub what comes out between two fingers.',
      results: ['gritty', 'smooth'],
      minutes: 1,
      when: 'any',
      shows: { 'bearing-grit': 'always' }
    },
    {
      key: 'frame-heights',
      how: 'Measure the frames’ height over each box, on level track.',
      results: ['differ by millimetres', 'alike'],
      minutes: 6,
      when: 'any',
      for: ['rails'],
      tools: 'Rule',
      shows: { 'box-weight': 'always' }
    }
  ]
};
