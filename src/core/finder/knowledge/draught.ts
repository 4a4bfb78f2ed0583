import type { Family } from './family';

/** Air in at the ashpan, gas out at the chimney. */
export const draught: Family = {
  name: 'Draught',
  symptoms: [
    {
      key: 'will-not-draw',
      says: ['The fire will not draw', 'no draught', 'smoke comes out of the door', 'smoke in the face', 'fire does not go the right way'],
      for: ['solid'],
      causes: {
        'fan-off': 'always',
        'fan-flat': 'usually',
        'second-bore': 'always',
        'smokebox-air': 'usually',
        'tubes-choked': 'usually',
        'grate-choked': 'usually',
        'damper-shut': 'always',
        'chimney-cold': 'half',
        'wood-packed': 'half',
        'petticoat-off': 'half',
        'door-open': 'half',
        'spark-arrester': 'usually',
        'ashpan-full': 'half'
      }
    },
    {
      key: 'lights-and-dies',
      says: [
        'It lights and dies',
        'fire goes out after lighting',
        'will not stay alight',
        'start fuel burns away and the coal does not catch'
      ],
      for: ['solid'],
      causes: {
        'fan-flat': 'usually',
        'wood-packed': 'usually',
        'coal-large': 'usually',
        'fuel-damp': 'usually',
        'damper-shut': 'usually',
        'grate-choked': 'half',
        'start-little': 'usually',
        'second-bore': 'half',
        'smokebox-air': 'half',
        'door-open': 'half',
        'coal-soon': 'usually'
      }
    },
    {
      key: 'blower-weak',
      says: ['The blower is weak', 'blower does not pull', 'fire dulls when the fan comes off', 'blower whispers'],
      for: ['solid'],
      causes: {
        'blower-jet-dirt': 'usually',
        'blower-valve': 'usually',
        'blower-pipe': 'usually',
        'smokebox-air': 'half',
        'changeover-early': 'always',
        'petticoat-off': 'usually',
        'blower-aim': 'usually',
        'tubes-choked': 'rarely',
        'blower-wet': 'half'
      }
    },
    {
      key: 'blows-back',
      says: ['Flame comes out of the fire door', 'blow back', 'flash at the door when the regulator shuts'],
      for: ['solid'],
      floor: 'passengers',
      causes: {
        'blower-shut-off': 'always',
        'blower-jet-dirt': 'half',
        'tubes-choked': 'usually',
        'smokebox-air': 'usually',
        'ring-open': 'half',
        'tube-burst': 'rarely',
        'damper-wind': 'half'
      }
    }
  ],
  causes: [
    {
      key: 'fan-off',
      is: 'The fan stands, or blows the wrong way',
      why: 'With the poles changed over the motor turns backwards and draws little.',
      for: ['fan'],
      base: 'usual',
      fix: { does: 'Right poles, clean clips, marked red and black.', minutes: 5 },
      retest: 'A strip of paper at the fire hole is drawn in.'
    },
    {
      key: 'fan-flat',
      is: 'The fan’s battery is weak',
      why: 'At half the volts a fan gives a quarter of its pull.',
      for: ['fan'],
      base: 'usual',
      fix: { does: 'Charge or change the battery; load it when it is measured.', minutes: 10, parts: 'Battery' },
      retest: 'The volts hold for a whole raise.'
    },
    {
      key: 'second-bore',
      is: 'The second chimney bore is open',
      why: 'The fan draws air down the other bore and none through the fire.',
      for: ['two bores'],
      base: 'common',
      fix: { does: 'Plug it while the fan is on; hang the plug on the fan.', minutes: 2 },
      retest: 'Paper at the fire hole is drawn in with the plug in, not without.'
    },
    {
      key: 'smokebox-air',
      is: 'The smokebox draws air',
      why: 'Air that comes in at the door, a pipe or a seam need not come through the fire.',
      base: 'common',
      fix: { does: 'Reseal the door, the pipes and the base; tighten the dart.', minutes: 45, parts: 'Sealing rope or paste' },
      retest: 'A flame held round the door does not lean in with the blower on.'
    },
    {
      key: 'tubes-choked',
      is: 'The tubes are choked with soot or ash',
      why: 'The gas has nowhere to go and what passes gives no heat.',
      for: ['tubes'],
      base: 'common',
      fix: { does: 'Sweep every tube with the brush of its bore.', minutes: 20 },
      retest: 'Light shows through every tube.'
    },
    {
      key: 'grate-choked',
      is: 'The grate is choked with ash or clinker',
      why: 'Air comes in under the fire or it does not come.',
      base: 'common',
      fix: { does: 'Clean the fire, rake the bars through, lift the clinker.', minutes: 15 },
      retest: 'Light shows through the bars from below; the fire is bright all over.'
    },
    {
      key: 'ashpan-full',
      is: 'The ashpan is full',
      why: 'Ash up to the bars keeps the air out, and the bars get no cooling: they burn.',
      base: 'usual',
      fix: { does: 'Rake it out, damped.', minutes: 10 },
      retest: 'A hand’s breadth is free under the bars.'
    },
    {
      key: 'damper-shut',
      is: 'The damper is shut, or has come off its rod',
      why: 'No air under the grate.',
      for: ['damper'],
      base: 'usual',
      fix: { does: 'Open it; new pin.', minutes: 10 },
      retest: 'The flap is seen to move with the handle.'
    },
    {
      key: 'chimney-cold',
      is: 'A cold, damp chimney with a downdraught',
      why: 'Heavy cold air in the chimney stands against the little warm gas of a start.',
      base: 'rare',
      fix: { does: 'Fan or blower on first, a burning rag at the chimney’s foot; turn the engine from the wind.', minutes: 5 },
      retest: 'Smoke lifts from the chimney.'
    },
    {
      key: 'wood-packed',
      is: 'The start fuel is packed too tight',
      why: 'Air has to pass between the pieces.',
      base: 'usual',
      fix: { does: 'Lay it loose, criss-cross, to the depth of a finger or a hand by the size of the grate.', minutes: 10 },
      retest: 'Well alight in three minutes.'
    },
    {
      key: 'petticoat-off',
      is: 'The blast pipe and the chimney are out of line',
      why: 'A jet that strikes the chimney’s side does not fill it and draws little.',
      base: 'rare',
      fix: { does: 'Line it up with a rod down the chimney.', minutes: 60 },
      retest: 'A rod through the chimney stands in the middle of the nozzle.'
    },
    {
      key: 'door-open',
      is: 'The fire door stands open',
      why: 'Air goes over the fire in place of through it.',
      base: 'common',
      fix: { does: 'Shut it; see that its catch holds.', minutes: 1 },
      retest: 'The fire brightens with it shut.'
    },
    {
      key: 'spark-arrester',
      is: 'The spark arrester is choked',
      why: 'Its mesh is tarred up.',
      base: 'rare',
      fix: { does: 'Brush it, burn it off.', minutes: 15 },
      retest: 'Light through every mesh.'
    },
    {
      key: 'coal-large',
      is: 'The coal is too large for this grate',
      why: 'A large piece takes long to heat through and leaves holes in the bed.',
      for: ['coal'],
      base: 'usual',
      fix: { does: 'Break it to size for the first rounds.', minutes: 10 },
      retest: 'Each charge is alight in two or three minutes.'
    },
    {
      key: 'coal-soon',
      is: 'The coal went on before the start fuel was well alight',
      why: 'A young fire has no heat to spare for a cold round.',
      for: ['coal'],
      base: 'common',
      fix: { does: 'Begin again, a little coal at a time, each charge alight before the next.', minutes: 20 },
      retest: 'The bed glows through before the second round.'
    },
    {
      key: 'start-little',
      is: 'Too little start fuel',
      why: 'It burns out before it has lit what lies on it.',
      base: 'usual',
      fix: { does: 'A deeper first bed.', minutes: 10 },
      retest: 'The coal catches with start fuel still burning.'
    },
    {
      key: 'fuel-damp',
      is: 'The fuel is damp',
      why: 'It has to be dried by the little heat there is.',
      base: 'usual',
      fix: { does: 'Dry fuel, kept under cover.', minutes: 5 },
      retest: 'It catches without hissing.'
    },
    {
      key: 'blower-jet-dirt',
      is: 'The blower’s jets are choked',
      why: 'Soot and scale close a hole of a millimetre.',
      base: 'common',
      fix: { does: 'Clear each jet with a pricker of its own size, cold.', minutes: 15 },
      retest: 'A jet of air or steam from each, alike.'
    },
    {
      key: 'blower-valve',
      is: 'The blower’s valve opens too little',
      why: 'The handle has slipped, or its seat is loose on the spindle.',
      base: 'rare',
      fix: { does: 'Take the valve out cold; pin it.', minutes: 40 },
      retest: 'A full turn can be heard at the chimney.'
    },
    {
      key: 'blower-pipe',
      is: 'The blower’s pipe leaks or is choked inside',
      why: 'The steam comes out somewhere else, or not at all.',
      base: 'rare',
      fix: { does: 'Remake the joint, renew the pipe.', minutes: 90, parts: 'Pipe, cone' },
      retest: 'On air, all of it comes out of the jets.'
    },
    {
      key: 'blower-aim',
      is: 'The blower’s jets point aside',
      why: 'They have to fill the chimney, not strike it.',
      base: 'rare',
      fix: { does: 'Bend or turn them to the chimney’s axis.', minutes: 40 },
      retest: 'Steam stands in the middle of the chimney.'
    },
    {
      key: 'blower-wet',
      is: 'Water comes through the blower',
      why: 'Its pipe takes water from a full boiler or holds condensate; water spits and draws nothing.',
      base: 'usual',
      fix: { does: 'Open it slowly and let it clear; fill less.', minutes: 5 },
      retest: 'It hisses dry within half a minute.'
    },
    {
      key: 'changeover-early',
      is: 'The fan came off too early',
      why: 'At little pressure the jets have little speed.',
      for: ['fan'],
      base: 'common',
      fix: { does: 'Fan back on; change over at a higher needle, and keep that figure.', minutes: 5 },
      retest: 'The needle rises on the blower alone.'
    },
    {
      key: 'blower-shut-off',
      is: 'The blower was shut as the regulator closed',
      why: 'With neither exhaust nor blower the gas turns back.',
      base: 'common',
      fix: { does: 'Blower on before the regulator shuts; opened a little in tunnels and stations.', minutes: 1 },
      retest: 'Seen to be so at three stops.'
    },
    {
      key: 'ring-open',
      is: 'Too much air at the door with the damper shut',
      why: 'Gas that finds air only at the door burns there.',
      for: ['damper'],
      base: 'rare',
      fix: { does: 'Damper open before the door.', minutes: 1 },
      retest: 'No flame at the door.'
    },
    {
      key: 'tube-burst',
      is: 'A tube or a superheater element has failed',
      why: 'Steam let into the firebox or smokebox has nowhere to go but the door.',
      for: ['tubes'],
      base: 'rare',
      fix: {
        does: 'Fire out. The boiler is examined; tubes or elements renewed.',
        minutes: 600,
        by: 'boiler repairer, examined',
        modifies: true
      },
      retest: 'Hydraulic test, witnessed.',
      floor: 'steaming'
    },
    {
      key: 'damper-wind',
      is: 'Wind blows into the ashpan from behind',
      why: 'It lifts the fire towards the door.',
      for: ['damper'],
      base: 'rare',
      fix: { does: 'The other damper, or less of it.', minutes: 1 },
      retest: 'No flame at the door running the other way.'
    }
  ],
  checks: [
    {
      key: 'paper-door',
      how: 'Hold a strip of paper at the fire hole.',
      results: ['blown out', 'hangs', 'drawn in'],
      minutes: 1,
      when: 'cold',
      for: ['solid'],
      shows: {
        'fan-off': ['half', 'usually', 'never'],
        'fan-flat': ['rarely', 'half', 'half'],
        'second-bore': ['rarely', 'always', 'rarely'],
        'chimney-cold': ['always', 'half', 'never'],
        'wood-packed': ['rarely', 'half', 'half'],
        'smokebox-air': ['rarely', 'usually', 'rarely'],
        'tubes-choked': ['rarely', 'usually', 'rarely'],
        'damper-shut': ['never', 'rarely', 'usually'],
        'grate-choked': ['never', 'rarely', 'usually']
      }
    },
    {
      key: 'fan-turns',
      how: 'Look at the fan: does it turn, and does it draw at its inlet?',
      results: ['stands, or blows back', 'turns slowly', 'turns and draws'],
      minutes: 1,
      when: 'any',
      for: ['fan'],
      shows: { 'fan-off': ['always', 'rarely', 'never'], 'fan-flat': ['rarely', 'usually', 'rarely'] }
    },
    {
      key: 'battery-volts',
      how: 'Measure the battery with the fan running.',
      results: ['more than a tenth under its figure', 'up to its figure'],
      minutes: 2,
      when: 'any',
      for: ['fan'],
      tools: 'Voltmeter',
      shows: { 'fan-flat': 'always', 'fan-off': 'rarely' }
    },
    {
      key: 'bore-look',
      how: 'Look down the second bore.',
      results: ['open', 'plugged'],
      minutes: 1,
      when: 'any',
      for: ['two bores'],
      shows: { 'second-bore': 'always' }
    },
    {
      key: 'flame-round',
      how: 'Carry a small flame round the smokebox door, the pipes and the seams, blower or fan on.',
      results: ['leans in somewhere', 'stands straight'],
      minutes: 3,
      when: 'any',
      for: ['solid'],
      tools: 'Taper',
      shows: { 'smokebox-air': 'always' }
    },
    {
      key: 'light-tubes',
      how: 'Look through the tubes from the smokebox, a light in the firebox.',
      results: ['some are dark', 'light in each'],
      minutes: 4,
      when: 'cold',
      for: ['tubes'],
      tools: 'Lamp, mirror',
      shows: { 'tubes-choked': 'always', 'tube-burst': 'half' }
    },
    {
      key: 'under-grate',
      how: 'Look up at the bars from below.',
      results: ['dark patches, clinker', 'ash up to the bars', 'open all over'],
      minutes: 2,
      when: 'any',
      for: ['solid'],
      shows: { 'grate-choked': ['always', 'rarely', 'never'], 'ashpan-full': ['rarely', 'always', 'never'] }
    },
    {
      key: 'damper-flap',
      how: 'Watch the damper’s flap while the handle is moved.',
      results: ['shut, or does not follow', 'opens'],
      minutes: 1,
      when: 'any',
      for: ['damper'],
      shows: { 'damper-shut': 'always' }
    },
    {
      key: 'chimney-rod',
      how: 'Put a rod down the chimney: where does it meet the nozzle?',
      results: ['off the middle', 'in the middle'],
      minutes: 5,
      when: 'cold',
      for: ['blast'],
      tools: 'Straight rod',
      shows: { 'petticoat-off': 'always', 'blower-aim': 'rarely' }
    },
    {
      key: 'arrester-look',
      how: 'Look at the spark arrester against the light.',
      results: ['tarred up, or half of it', 'clear, or there is none'],
      minutes: 3,
      when: 'cold',
      for: ['solid'],
      shows: { 'spark-arrester': 'always' }
    },
    {
      key: 'door-look',
      how: 'Is the fire door shut, and does its catch hold?',
      results: ['open, or falls open', 'shut'],
      minutes: 1,
      when: 'any',
      for: ['solid'],
      shows: { 'door-open': 'always' }
    },
    {
      key: 'bed-spread',
      how: 'Loosen the start fuel with the pricker: does it take?',
      results: ['flames come at once', 'no change'],
      minutes: 2,
      when: 'any',
      for: ['solid'],
      changes: true,
      shows: { 'wood-packed': 'always', 'coal-soon': 'half', 'fuel-damp': 'never', 'second-bore': 'never', 'fan-off': 'never' }
    },
    {
      key: 'coal-size',
      how: 'Look at the pieces: beside a walnut for a small grate, a fist for a large one.',
      results: ['much larger', 'as they should be'],
      minutes: 1,
      when: 'any',
      for: ['coal'],
      shows: { 'coal-large': 'always' }
    },
    {
      key: 'fuel-hiss',
      how: 'Put a piece of the fuel on something hot.',
      results: ['hisses and steams', 'lies dry'],
      minutes: 2,
      when: 'any',
      for: ['solid'],
      shows: { 'fuel-damp': 'always' }
    },
    {
      key: 'start-depth',
      how: 'How deep was the start fuel, and what was left of it when the coal went on?',
      results: ['thin, or not yet well alight', 'burnt down when the coal went on', 'deep and well alight'],
      minutes: 1,
      when: 'any',
      for: ['solid'],
      shows: { 'start-little': ['half', 'usually', 'never'], 'coal-soon': ['always', 'never', 'never'] }
    },
    {
      key: 'jets-air',
      how: 'Blow air, or steam at little pressure, through the blower, smokebox open.',
      results: ['one or more are dead', 'weak from all', 'aside of the chimney', 'even and up the middle'],
      minutes: 6,
      when: 'cold',
      for: ['solid'],
      care: 'Steam in an open smokebox: face away.',
      shows: {
        'blower-jet-dirt': ['always', 'half', 'rarely', 'never'],
        'blower-valve': ['never', 'always', 'never', 'rarely'],
        'blower-pipe': ['rarely', 'always', 'never', 'never'],
        'blower-aim': ['never', 'never', 'always', 'never']
      }
    },
    {
      key: 'blower-ear',
      how: 'Open the blower fully and listen at the chimney, then at its pipe.',
      results: ['hisses along the pipe', 'spits water', 'hardly a sound', 'a full note at the chimney'],
      minutes: 1,
      when: 'in steam',
      for: ['solid'],
      shows: {
        'blower-pipe': ['always', 'never', 'half', 'never'],
        'blower-wet': ['never', 'always', 'never', 'rarely'],
        'blower-valve': ['never', 'never', 'always', 'never'],
        'blower-jet-dirt': ['never', 'rarely', 'always', 'rarely'],
        'changeover-early': ['never', 'rarely', 'usually', 'rarely'],
        'smokebox-air': ['never', 'never', 'never', 'always'],
        'petticoat-off': ['never', 'never', 'never', 'always'],
        'tubes-choked': ['never', 'never', 'never', 'always']
      }
    },
    {
      key: 'changeover-needle',
      how: 'At what needle did the fan come off, beside what it took on other days?',
      results: ['lower', 'as on other days'],
      minutes: 1,
      when: 'any',
      for: ['fan', 'gauge'],
      shows: { 'changeover-early': 'always' }
    },
    {
      key: 'blower-when',
      how: 'Was the blower open as the regulator was shut?',
      results: ['no', 'yes'],
      minutes: 1,
      when: 'any',
      for: ['solid'],
      shows: { 'blower-shut-off': 'always' }
    },
    {
      key: 'damper-door',
      how: 'Open the damper before the door and look again.',
      results: ['no flame at the door', 'flame as before'],
      minutes: 2,
      when: 'in steam',
      for: ['damper'],
      care: 'Stand beside the door, not before it.',
      shows: { 'ring-open': 'always', 'damper-wind': 'rarely', 'blower-shut-off': 'rarely', 'tube-burst': 'never', 'tubes-choked': 'never' }
    },
    {
      key: 'turned-wind',
      how: 'Does it do it running the other way too?',
      results: ['only with the wind behind', 'either way'],
      minutes: 5,
      when: 'running',
      for: ['damper'],
      shows: { 'damper-wind': 'always', 'chimney-cold': 'half' }
    },
    {
      key: 'smokebox-wet',
      how: 'Fire out, boiler cold: is the smokebox or the firebox wet, or furred white round a tube?',
      results: ['wet or white round a tube', 'dry'],
      minutes: 4,
      when: 'cold',
      for: ['tubes'],
      shows: { 'tube-burst': 'always' }
    }
  ]
};
