import type { Family } from './family';

/** Water and steam where they should not be. Which take up as it warms, and which mean stop. */
export const leaks: Family = {
  name: 'Leaks',
  symptoms: [
    {
      key: 'leaks-cold',
      says: ['It leaks cold and takes up', 'weeps until it is warm', 'drips before steam'],
      causes: {
        'seam-weeps': 'usually',
        'tube-weeps': 'half',
        'door-joint': 'usually',
        'fitting-thread': 'usually',
        'stay-weeps': 'half',
        'gland-packing': 'half'
      }
    },
    {
      key: 'leaks-hot',
      says: ['A leak grows with pressure', 'leaks more as it warms', 'weep gets worse in steam'],
      floor: 'steaming',
      causes: {
        'tube-weeps': 'usually',
        'plug-weeps': 'usually',
        'stay-weeps': 'usually',
        'door-joint': 'usually',
        'fitting-thread': 'usually',
        'crack-shell': 'usually',
        'seam-weeps': 'half',
        'foundation-weeps': 'usually'
      }
    },
    {
      key: 'wet-firebox',
      says: ['The firebox is wet', 'drips into the fire', 'white fur round a tube', 'hiss in the firebox'],
      for: ['firebox'],
      floor: 'steaming',
      causes: {
        'tube-weeps': 'always',
        'plug-weeps': 'usually',
        'stay-weeps': 'usually',
        'foundation-weeps': 'half',
        'crack-shell': 'half',
        'clean-water': 'usually'
      }
    },
    {
      key: 'wet-smokebox',
      for: ['tubes'],
      says: ['The smokebox is wet', 'water in the smokebox', 'drips at the front'],
      causes: {
        'tube-weeps': 'usually',
        'steam-pipe-joint': 'always',
        'blower-pipe': 'usually',
        'rain-chimney': 'usually',
        'cold-sweat': 'usually',
        'element-weeps': 'half'
      }
    },
    {
      key: 'water-lost',
      says: ['Water goes and nobody sees where', 'loses water overnight', 'glass falls standing'],
      floor: 'passengers',
      causes: {
        'clack-passing': 'half',
        'blow-down-passes': 'usually',
        'tube-weeps': 'half',
        'cooled-level': 'always',
        'steam-leak': 'usually',
        'filled-glass-false': 'half'
      }
    }
  ],
  causes: [
    {
      key: 'seam-weeps',
      is: 'A seam or rivet weeps',
      why: 'A lap opens a little cold and closes as it grows.',
      for: ['riveted'],
      base: 'usual',
      fix: {
        does: 'Watched at each pressure. Caulked only by whom the boiler code allows.',
        minutes: 120,
        by: 'boiler repairer',
        modifies: true
      },
      retest: 'Dry at working pressure; no worse cold than before.',
      floor: 'passengers'
    },
    {
      key: 'tube-weeps',
      is: 'A tube end weeps',
      why: 'The tube is loose in its plate; heat and steam cut the way wider.',
      for: ['tubes'],
      base: 'common',
      fix: {
        does: 'Fire out if it grows. Expanded or renewed by whom the boiler code allows.',
        minutes: 240,
        by: 'boiler repairer',
        modifies: true
      },
      retest: 'Hydraulic test, dry.',
      floor: 'steaming'
    },
    {
      key: 'plug-weeps',
      is: 'The fusible plug weeps',
      why: 'Its alloy is loose or its thread is cut: it may let go, or not let go when it must.',
      for: ['plug'],
      base: 'usual',
      fix: { does: 'Fire out. New plug, its date stamped.', minutes: 60, parts: 'Fusible plug', by: 'as the boiler code asks' },
      retest: 'Dry at working pressure.',
      floor: 'steaming'
    },
    {
      key: 'stay-weeps',
      is: 'A stay weeps',
      why: 'Loose in its thread, or cracked through.',
      for: ['firebox'],
      base: 'usual',
      fix: {
        does: 'Fire out. Examined; renewed by whom the boiler code allows.',
        minutes: 300,
        by: 'boiler repairer, examined',
        modifies: true
      },
      retest: 'Hydraulic test, witnessed.',
      floor: 'steaming'
    },
    {
      key: 'foundation-weeps',
      is: 'The foundation ring weeps',
      why: 'Ash that lies wet against it eats its joint.',
      for: ['firebox'],
      base: 'usual',
      fix: { does: 'Examined; repaired by whom the boiler code allows.', minutes: 300, by: 'boiler repairer', modifies: true },
      retest: 'Hydraulic test, dry.',
      floor: 'steaming'
    },
    {
      key: 'crack-shell',
      is: 'A crack in a plate or a soldered joint',
      why: 'A line that is wet is a plate that has parted.',
      base: 'rare',
      fix: { does: 'Fire out. Nobody presses it again before the examiner has seen it.', minutes: 600, by: 'examiner', modifies: true },
      retest: 'As the examiner asks.',
      floor: 'steaming'
    },
    {
      key: 'door-joint',
      is: 'A door or plug joint leaks',
      why: 'It was disturbed, or its joint has set.',
      for: ['doors'],
      base: 'common',
      fix: { does: 'Cold, empty of pressure: new joint, faces cleaned. Never nipped up under pressure.', minutes: 60, parts: 'Joint' },
      retest: 'Dry at working pressure, again at the next steaming.',
      floor: 'passengers'
    },
    {
      key: 'fitting-thread',
      is: 'A fitting leaks at its thread',
      why: 'A thread seals by its washer or paste, and one of them is old.',
      base: 'common',
      fix: { does: 'Cold, empty of pressure: out, cleaned, made anew.', minutes: 40, parts: 'Washer' },
      retest: 'Dry at working pressure.'
    },
    {
      key: 'steam-pipe-joint',
      is: 'A steam pipe joint in the smokebox leaks',
      why: 'Heat works at it, and it kills the draught too.',
      base: 'usual',
      fix: { does: 'Remade, cold.', minutes: 90, parts: 'Joint' },
      retest: 'Dry on air with the regulator open.',
      floor: 'passengers'
    },
    {
      key: 'element-weeps',
      is: 'A superheater element leaks',
      why: 'Its end in the flue is burnt thin.',
      for: ['superheated'],
      base: 'rare',
      fix: { does: 'Out, tested, renewed.', minutes: 240, parts: 'Element' },
      retest: 'Dry on air with the regulator open.',
      floor: 'passengers'
    },
    {
      key: 'rain-chimney',
      for: ['solid'],
      is: 'Rain came down the chimney',
      why: 'It stood outside without a cap.',
      base: 'usual',
      fix: { does: 'Dried; a cap.', minutes: 10 },
      retest: 'Dry after a day under cover.'
    },
    {
      key: 'cold-sweat',
      is: 'It sweats: gas condenses on cold plates',
      why: 'A fire makes water, and cold metal takes it up until it is warm.',
      base: 'common',
      fix: { does: 'Nothing: gone by half pressure.', minutes: 1 },
      retest: 'Dry at half pressure.'
    },
    {
      key: 'clean-water',
      is: 'It is water of the wash-out',
      why: 'It hangs in corners for a day.',
      base: 'usual',
      fix: { does: 'Dried.', minutes: 10 },
      retest: 'Dry before lighting.'
    },
    {
      key: 'blow-down-passes',
      is: 'The blow-down valve passes',
      why: 'Scale sits on its seat.',
      for: ['blow-down'],
      base: 'usual',
      fix: { does: 'Opened and shut once in steam, people clear; if it stays, ground in cold.', minutes: 60 },
      retest: 'Its pipe is cold after ten minutes.',
      floor: 'passengers'
    },
    {
      key: 'cooled-level',
      is: 'Cold water takes less room',
      why: 'From working heat to cold it shrinks by about a tenth.',
      base: 'common',
      fix: { does: 'Nothing: read cold beside cold.', minutes: 1 },
      retest: 'Same level two mornings running.'
    },
    {
      key: 'filled-glass-false',
      is: 'The glass was wrong, not the water',
      why: 'A way that clears by itself overnight shows another level.',
      for: ['blow-through'],
      base: 'usual',
      fix: { does: 'Blown through before it is believed.', minutes: 5 },
      retest: 'Comes back at once, three times.',
      floor: 'steaming'
    }
  ],
  checks: [
    {
      key: 'leak-pressures',
      how: 'Look at it cold, at a third, two thirds and working pressure, from the side.',
      results: ['grows with pressure', 'the same at all', 'takes up', 'dry everywhere'],
      minutes: 15,
      when: 'in steam',
      care: 'Never nipped up under pressure.',
      shows: {
        'tube-weeps': ['half', 'rarely', 'half', 'never'],
        'plug-weeps': ['always', 'half', 'never', 'never'],
        'stay-weeps': ['usually', 'rarely', 'half', 'never'],
        'seam-weeps': ['rarely', 'rarely', 'always', 'never'],
        'door-joint': ['half', 'rarely', 'half', 'never'],
        'fitting-thread': ['half', 'half', 'half', 'never'],
        'crack-shell': ['always', 'rarely', 'never', 'never'],
        'gland-packing': ['half', 'rarely', 'half', 'never'],
        'foundation-weeps': ['usually', 'half', 'rarely', 'never'],
        'cold-sweat': ['never', 'never', 'always', 'rarely'],
        'clean-water': ['never', 'never', 'usually', 'half']
      }
    },
    {
      key: 'leak-place',
      how: 'Wipe it dry, chalk round it, look where the first drop stands.',
      results: [
        'at a tube end',
        'at the plug',
        'at a stay',
        'at a seam or rivet',
        'at a door or plug joint',
        'at a fitting',
        'a line in the plate',
        'at the bottom ring',
        'nowhere'
      ],
      minutes: 8,
      when: 'in steam',
      tools: 'Chalk, lamp, mirror',
      shows: {
        'tube-weeps': ['always', 'rarely', 'rarely', 'never', 'never', 'never', 'never', 'rarely', 'never'],
        'plug-weeps': ['rarely', 'always', 'rarely', 'never', 'never', 'never', 'never', 'never', 'never'],
        'stay-weeps': ['never', 'rarely', 'always', 'never', 'never', 'never', 'rarely', 'rarely', 'never'],
        'seam-weeps': ['never', 'never', 'never', 'always', 'never', 'never', 'rarely', 'rarely', 'never'],
        'door-joint': ['never', 'never', 'never', 'never', 'always', 'rarely', 'never', 'never', 'never'],
        'fitting-thread': ['never', 'never', 'never', 'never', 'rarely', 'always', 'never', 'never', 'never'],
        'crack-shell': ['never', 'never', 'rarely', 'rarely', 'never', 'never', 'always', 'rarely', 'never'],
        'foundation-weeps': ['never', 'never', 'rarely', 'rarely', 'never', 'never', 'never', 'always', 'never'],
        'gland-packing': ['never', 'never', 'never', 'never', 'never', 'always', 'never', 'never', 'rarely']
      }
    },
    {
      key: 'fire-ends',
      how: 'Fire out, cold: look at every tube end, stay and the plug with lamp and mirror.',
      results: ['white fur round a tube', 'a wet or bulged plug', 'fur at a stay', 'fur low at the ring', 'clean and dry'],
      minutes: 12,
      when: 'cold',
      for: ['firebox'],
      tools: 'Lamp, mirror',
      shows: {
        'tube-weeps': ['always', 'rarely', 'rarely', 'rarely', 'never'],
        'plug-weeps': ['rarely', 'always', 'never', 'rarely', 'never'],
        'stay-weeps': ['rarely', 'never', 'always', 'rarely', 'never'],
        'foundation-weeps': ['never', 'never', 'rarely', 'always', 'never'],
        'crack-shell': ['rarely', 'never', 'half', 'rarely', 'half']
      }
    },
    {
      key: 'leak-record',
      how: 'Look up this place over the last steamings.',
      results: ['worse each time', 'the same for long', 'never seen before'],
      minutes: 2,
      when: 'any',
      shows: {
        'crack-shell': ['usually', 'never', 'half'],
        'tube-weeps': ['usually', 'rarely', 'half'],
        'seam-weeps': ['rarely', 'usually', 'rarely'],
        'plug-weeps': ['half', 'never', 'usually'],
        'cold-sweat': ['never', 'usually', 'half']
      }
    },
    {
      key: 'disturbed',
      how: 'What was undone since it was last dry?',
      results: ['this very joint', 'nothing near it'],
      minutes: 1,
      when: 'any',
      shows: { 'door-joint': 'usually', 'fitting-thread': 'usually', 'steam-pipe-joint': 'usually', 'tube-weeps': 'rarely' }
    },
    {
      key: 'washed-out',
      how: 'Was it washed out, swept wet or rained on since it last steamed?',
      results: ['washed out or swept wet', 'stood in the rain', 'neither'],
      minutes: 1,
      when: 'any',
      shows: { 'clean-water': ['always', 'rarely', 'never'], 'rain-chimney': ['rarely', 'always', 'never'] }
    },
    {
      key: 'dry-wait',
      how: 'Wipe it dry, wait an hour, cold and full of water.',
      results: ['wet again', 'dry'],
      minutes: 8,
      when: 'cold',
      shows: {
        'tube-weeps': 'usually',
        'plug-weeps': 'usually',
        'stay-weeps': 'usually',
        'foundation-weeps': 'always',
        'seam-weeps': 'usually',
        'door-joint': 'always',
        'crack-shell': 'usually',
        'rain-chimney': 'never',
        'cold-sweat': 'never',
        'clean-water': 'never',
        'steam-pipe-joint': 'never',
        'blower-pipe': 'never'
      }
    },
    {
      key: 'half-pressure',
      how: 'Is it still wet at half pressure?',
      results: ['wet', 'dry'],
      minutes: 2,
      when: 'in steam',
      shows: {
        'cold-sweat': 'never',
        'clean-water': 'never',
        'rain-chimney': 'never',
        'steam-pipe-joint': 'always',
        'tube-weeps': 'usually',
        'element-weeps': 'usually',
        'blower-pipe': 'usually'
      }
    },
    {
      key: 'smokebox-open-reg',
      how: 'Held and chocked, smokebox open, face away: regulator cracked, then blower cracked. With which does it come?',
      results: ['with the regulator', 'with the blower', 'with neither'],
      minutes: 5,
      when: 'in steam',
      for: ['regulator', 'brake'],
      danger: 'Live steam in an open smokebox, and it may move: held, chocked, face away, at a quarter of its pressure.',
      shows: {
        'steam-pipe-joint': ['always', 'never', 'never'],
        'element-weeps': ['always', 'never', 'never'],
        'blower-pipe': ['never', 'always', 'never']
      }
    },
    {
      key: 'smokebox-where',
      how: 'Cold, lamp in: where is it wettest?',
      results: ['under the tubes', 'under a pipe joint', 'under the chimney', 'all over'],
      minutes: 3,
      when: 'cold',
      tools: 'Lamp',
      shows: {
        'tube-weeps': ['always', 'rarely', 'never', 'never'],
        'steam-pipe-joint': ['rarely', 'always', 'rarely', 'rarely'],
        'blower-pipe': ['rarely', 'usually', 'half', 'never'],
        'rain-chimney': ['never', 'never', 'always', 'rarely'],
        'cold-sweat': ['rarely', 'never', 'rarely', 'always'],
        'element-weeps': ['usually', 'half', 'never', 'never']
      }
    },
    {
      key: 'steam-pipe-air',
      how: 'Cold, smokebox open: a little air in the steam pipe, regulator open, soapy water at the joints.',
      results: ['bubbles at a joint', 'bubbles in a flue', 'none'],
      minutes: 25,
      when: 'cold',
      tools: 'Air, soapy water',
      care: 'A few psi only.',
      shows: { 'steam-pipe-joint': ['always', 'never', 'never'], 'element-weeps': ['never', 'always', 'never'] }
    },
    {
      key: 'blow-down-hand',
      how: 'Touch the blow-down’s pipe ten minutes after it was last used, quickly.',
      results: ['hot, or it drips', 'cold'],
      minutes: 1,
      when: 'in steam',
      for: ['blow-down'],
      shows: { 'blow-down-passes': 'always' }
    },
    {
      key: 'night-cold',
      how: 'Mark the level cold on two mornings, nothing done between.',
      results: ['lower on the second', 'the same'],
      minutes: 3,
      when: 'cold',
      for: ['glass'],
      shows: {
        'blow-down-passes': 'always',
        'tube-weeps': 'usually',
        'cooled-level': 'never',
        'filled-glass-false': 'rarely',
        'clack-passing': 'half'
      }
    },
    {
      key: 'glass-twice',
      how: 'Blow the glass through, read it, and again.',
      results: ['another level than before it was blown', 'the same'],
      minutes: 3,
      when: 'in steam',
      for: ['blow-through'],
      care: 'Guard on, face aside.',
      shows: { 'filled-glass-false': 'always', 'glass-bottom': 'half', 'glass-top': 'half' }
    },
    {
      key: 'night-tank',
      how: 'Has the tank risen overnight, or is it warm?',
      results: ['risen or warm', 'as it was'],
      minutes: 1,
      when: 'any',
      for: ['tank'],
      shows: { 'clack-passing': 'always', 'blow-down-passes': 'never' }
    },
    {
      key: 'hot-cold',
      how: 'Was the first level read hot and the second cold?',
      results: ['one hot, one cold', 'both alike'],
      minutes: 1,
      when: 'any',
      shows: { 'cooled-level': 'always' }
    }
  ]
};
