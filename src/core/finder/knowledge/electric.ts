import type { Family } from './family';

/** Elements, sensors and thermostats. Mains is a matter for an electrician. */
export const electric: Family = {
  name: 'Electric',
  symptoms: [
    {
      key: 'element-sags',
      says: ['Pressure sags with the element on', 'element does not keep up', 'pressure falls with full power'],
      for: ['electric'],
      causes: {
        'draw-above': 'usually',
        'element-part': 'usually',
        'element-scaled': 'half',
        'volts-low': 'usually',
        'steam-leak': 'usually',
        'valve-open': 'half',
        'cut-out-cycling': 'half'
      }
    },
    {
      key: 'element-cycles',
      says: ['It cycles all the time', 'thermostat clicks on and off', 'short cycles', 'element on and off every minute'],
      for: ['electric'],
      causes: {
        'band-narrow': 'usually',
        'sensor-loose': 'usually',
        'sensor-shell': 'usually',
        'element-strong': 'half',
        'cut-out-cycling': 'usually',
        'water-little': 'usually'
      }
    },
    {
      key: 'element-reads-wrong',
      says: ['Temperature and pressure do not agree', 'reads wrong', 'display is wrong for the needle', 'stops short of pressure'],
      for: ['electric'],
      causes: {
        'sensor-shell': 'always',
        'sensor-loose': 'usually',
        'sensor-offset': 'usually',
        'air-in-steam': 'usually',
        'gauge-low': 'half',
        'gauge-high': 'half'
      }
    },
    {
      key: 'element-dead',
      says: ['The element does not heat', 'trips as it is switched on', 'no heat', 'breaker trips'],
      for: ['electric'],
      floor: 'steaming',
      causes: {
        'element-open': 'always',
        'element-earth': 'usually',
        'cut-out-open': 'always',
        'supply-off': 'always',
        'thermostat-dead': 'usually',
        'water-little': 'half'
      }
    }
  ],
  causes: [
    {
      key: 'draw-above',
      is: 'More steam is drawn than the element can make',
      why: 'A kilowatt makes about a kilogram and a half of steam an hour, whatever is asked of it.',
      for: ['electric'],
      base: 'common',
      fix: { does: 'Less load or rests; work the sum of watts against steam.', minutes: 5 },
      retest: 'Holds at the load that the sum gives.'
    },
    {
      key: 'element-part',
      is: 'A part of the element is dead',
      why: 'One of two or three circuits is open.',
      for: ['electric'],
      base: 'usual',
      fix: { does: 'New element, fitted and tested by an electrician.', minutes: 120, parts: 'Element', by: 'electrician' },
      retest: 'Amps at full power beside its plate; insulation test.'
    },
    {
      key: 'element-scaled',
      is: 'The element is furred',
      why: 'Scale keeps its heat in until the cut-out opens.',
      for: ['electric'],
      base: 'usual',
      fix: { does: 'Descaled; better water.', minutes: 120 },
      retest: 'Minutes to pressure beside its record.'
    },
    {
      key: 'volts-low',
      is: 'The supply is low',
      why: 'Power goes with the square of the volts: a tenth less is a fifth less heat.',
      for: ['electric'],
      base: 'usual',
      fix: { does: 'A heavier and shorter lead, wound off its drum.', minutes: 10 },
      retest: 'Volts at the element under load.'
    },
    {
      key: 'cut-out-cycling',
      is: 'The cut-out opens and shuts',
      why: 'It sees more heat than the thermostat does.',
      for: ['cut-out'],
      base: 'usual',
      fix: { does: 'Find why it is hot there: water, scale, its seat. Never bridged.', minutes: 40 },
      retest: 'Stays shut through a raise.',
      floor: 'steaming'
    },
    {
      key: 'cut-out-open',
      is: 'The cut-out has opened',
      why: 'It opened because it was too hot or too dry.',
      for: ['cut-out'],
      base: 'common',
      fix: { does: 'Cause found and written down before it is reset. Never bridged.', minutes: 20 },
      retest: 'Opens at its figure, shown.',
      floor: 'steaming'
    },
    {
      key: 'band-narrow',
      is: 'The thermostat’s band is too narrow',
      why: 'Half a degree is half a minute.',
      for: ['thermostat'],
      base: 'usual',
      fix: { does: 'Set wider, as its maker allows.', minutes: 5 },
      retest: 'Over two minutes a cycle.'
    },
    {
      key: 'sensor-loose',
      is: 'The sensor does not sit tight',
      why: 'It reads the air beside it.',
      for: ['electric'],
      base: 'common',
      fix: { does: 'Clamped anew, with paste.', minutes: 15, parts: 'Paste' },
      retest: 'Follows the needle by the steam table.',
      floor: 'passengers'
    },
    {
      key: 'sensor-shell',
      is: 'The sensor is on the shell',
      why: 'Metal lags behind the water as it heats, and loses to the air.',
      for: ['shell sensor'],
      base: 'usual',
      fix: { does: 'Go by the needle; learn how far it lags.', minutes: 2 },
      retest: 'The lag is in the record.'
    },
    {
      key: 'sensor-offset',
      is: 'The sensor has drifted',
      why: 'It is wrong by some degrees everywhere.',
      for: ['electric'],
      base: 'usual',
      fix: { does: 'Checked in boiling water for the day’s air pressure; offset set or renewed.', minutes: 30, parts: 'Sensor' },
      retest: 'Within a degree in boiling water.',
      floor: 'passengers'
    },
    {
      key: 'air-in-steam',
      is: 'Air is still in the boiler',
      why: 'Air and steam together press more than steam of that temperature.',
      for: ['electric'],
      base: 'usual',
      fix: { does: 'Vent open until steam has blown for a minute.', minutes: 5 },
      retest: 'Needle and sensor agree by the table.'
    },
    {
      key: 'element-strong',
      is: 'The element is strong for so little load',
      why: 'It heats past the band in seconds.',
      for: ['electric'],
      base: 'usual',
      fix: { does: 'A lower stage while standing.', minutes: 2 },
      retest: 'Over two minutes a cycle.'
    },
    {
      key: 'water-little',
      is: 'Too little water over the element',
      why: 'A bare element heats itself.',
      for: ['electric'],
      base: 'usual',
      fix: { does: 'Off at the wall. Cooled, filled, element looked at.', minutes: 60 },
      retest: 'Level well over the element before it is switched on.',
      floor: 'steaming'
    },
    {
      key: 'element-open',
      is: 'The element is burnt through',
      why: 'It was dry once, or is old.',
      for: ['electric'],
      base: 'usual',
      fix: { does: 'New element, fitted and tested by an electrician.', minutes: 120, parts: 'Element', by: 'electrician' },
      retest: 'Insulation and earth test.',
      floor: 'steaming'
    },
    {
      key: 'element-earth',
      is: 'The element leaks to earth',
      why: 'Damp in its ends, or a cracked sheath.',
      for: ['electric'],
      base: 'usual',
      fix: { does: 'Off. Dried or renewed, tested by an electrician.', minutes: 120, parts: 'Element', by: 'electrician' },
      retest: 'Insulation and earth test.',
      floor: 'steaming'
    },
    {
      key: 'supply-off',
      is: 'The supply is off',
      why: 'A lead, a plug, a fuse.',
      for: ['electric'],
      base: 'common',
      fix: { does: 'Lead and fuse.', minutes: 5, parts: 'Fuse' },
      retest: 'Lamp on.'
    },
    {
      key: 'thermostat-dead',
      is: 'The thermostat does not switch',
      why: 'Contacts burnt, relay dead.',
      for: ['thermostat'],
      base: 'usual',
      fix: { does: 'Renewed by an electrician.', minutes: 60, parts: 'Thermostat', by: 'electrician' },
      retest: 'Switches at its figure both ways.',
      floor: 'passengers'
    }
  ],
  checks: [
    {
      key: 'element-sum',
      how: 'Work the sum: its watts against the steam that is drawn.',
      results: ['less than is drawn', 'enough'],
      minutes: 3,
      when: 'any',
      for: ['electric'],
      shows: { 'draw-above': 'always', 'element-strong': 'never' }
    },
    {
      key: 'load-off',
      how: 'Engine stopped, all shut: does the needle rise at its usual rate?',
      results: ['does not rise', 'rises slowly', 'rises as usual'],
      minutes: 6,
      when: 'in steam',
      for: ['electric', 'gauge'],
      shows: {
        'draw-above': ['never', 'never', 'always'],
        'element-part': ['rarely', 'always', 'never'],
        'volts-low': ['never', 'always', 'never'],
        'element-scaled': ['rarely', 'usually', 'rarely'],
        'steam-leak': ['half', 'usually', 'rarely'],
        'valve-open': ['half', 'half', 'rarely'],
        'cut-out-cycling': ['rarely', 'usually', 'rarely']
      }
    },
    {
      key: 'meter-watts',
      how: 'A plug meter: what does it take at full, and at how many volts?',
      results: ['watts low, volts low', 'watts low, volts right', 'comes and goes', 'as on its plate'],
      minutes: 4,
      when: 'in steam',
      for: ['electric'],
      tools: 'Plug meter',
      shows: {
        'volts-low': ['always', 'never', 'never', 'never'],
        'element-part': ['never', 'always', 'never', 'never'],
        'cut-out-cycling': ['never', 'never', 'always', 'rarely'],
        'element-scaled': ['never', 'never', 'half', 'half']
      }
    },
    {
      key: 'lead-warm',
      how: 'Feel the lead and the drum.',
      results: ['warm, or wound on a drum', 'cool and laid out'],
      minutes: 1,
      when: 'any',
      for: ['electric'],
      shows: { 'volts-low': 'always' }
    },
    {
      key: 'element-eye',
      how: 'Cold and unplugged: look at the element through a plug.',
      results: ['furred', 'blued or cracked', 'clean'],
      minutes: 20,
      when: 'cold',
      for: ['electric'],
      tools: 'Lamp, mirror',
      shows: {
        'element-scaled': ['always', 'rarely', 'never'],
        'water-little': ['rarely', 'usually', 'rarely'],
        'element-open': ['rarely', 'half', 'half'],
        'element-earth': ['rarely', 'half', 'half']
      }
    },
    {
      key: 'cycle-watch',
      how: 'Time five cycles, and see which lamp goes out.',
      results: ['the cut-out’s', 'the thermostat’s, under two minutes', 'over two minutes'],
      minutes: 8,
      when: 'in steam',
      for: ['electric'],
      tools: 'Watch',
      shows: {
        'cut-out-cycling': ['always', 'never', 'never'],
        'water-little': ['usually', 'rarely', 'rarely'],
        'band-narrow': ['never', 'always', 'never'],
        'sensor-loose': ['rarely', 'half', 'half'],
        'element-strong': ['rarely', 'usually', 'rarely'],
        'sensor-shell': ['never', 'half', 'half']
      }
    },
    {
      key: 'element-stage',
      how: 'Switch to a lower stage, standing.',
      results: ['cycles become long', 'no change'],
      minutes: 6,
      when: 'in steam',
      for: ['electric'],
      changes: true,
      shows: { 'element-strong': 'always', 'band-narrow': 'rarely', 'sensor-loose': 'rarely' }
    },
    {
      key: 'sensor-press',
      how: 'Press the sensor on with a dry stick: does the reading rise?',
      results: ['it rises', 'no change'],
      minutes: 2,
      when: 'in steam',
      for: ['electric'],
      care: 'Hot shell; no bare wires.',
      shows: { 'sensor-loose': 'always', 'sensor-shell': 'rarely' }
    },
    {
      key: 'sensor-steady',
      how: 'Hold one pressure for ten minutes: do they agree then, by the steam table?',
      results: ['they agree when steady', 'reads low by the same', 'needle is higher than its temperature', 'agree always'],
      minutes: 12,
      when: 'in steam',
      for: ['electric', 'gauge'],
      shows: {
        'sensor-shell': ['always', 'half', 'never', 'never'],
        'sensor-offset': ['never', 'always', 'rarely', 'never'],
        'air-in-steam': ['half', 'never', 'always', 'never'],
        'sensor-loose': ['never', 'usually', 'rarely', 'never'],
        'gauge-high': ['never', 'rarely', 'always', 'never'],
        'gauge-low': ['never', 'half', 'never', 'half']
      }
    },
    {
      key: 'vent-again',
      how: 'Open the vent for ten seconds: do they come together?',
      results: ['they come together', 'no change'],
      minutes: 3,
      when: 'in steam',
      for: ['electric', 'vent'],
      care: 'Steam: from the side.',
      shows: { 'air-in-steam': 'always', 'sensor-offset': 'never', 'gauge-high': 'never' }
    },
    {
      key: 'vented-how',
      how: 'Was the vent left open until steam had blown?',
      results: ['no', 'yes'],
      minutes: 1,
      when: 'any',
      for: ['electric', 'vent'],
      shows: { 'air-in-steam': 'always' }
    },
    {
      key: 'boil-sensor',
      how: 'Hold the sensor in boiling water.',
      results: ['off by more than two degrees', 'within a degree or two'],
      minutes: 15,
      when: 'cold',
      for: ['electric'],
      tools: 'Kettle',
      shows: { 'sensor-offset': 'always' }
    },
    {
      key: 'level-element',
      how: 'Where does the water stand over the element?',
      results: ['near it, or not to be seen', 'well over it'],
      minutes: 1,
      when: 'any',
      for: ['electric', 'glass'],
      shows: { 'water-little': 'always', 'cut-out-open': 'half' }
    },
    {
      key: 'other-lamp',
      how: 'Another thing in the same socket: does it work?',
      results: ['no', 'yes'],
      minutes: 1,
      when: 'any',
      for: ['electric'],
      shows: { 'supply-off': 'always' }
    },
    {
      key: 'cut-out-button',
      how: 'Is the cut-out’s button out?',
      results: ['out', 'in'],
      minutes: 1,
      when: 'any',
      for: ['cut-out'],
      care: 'Look only: it is reset when the cause is known.',
      shows: { 'cut-out-open': 'always', 'water-little': 'usually' }
    },
    {
      key: 'element-ohms',
      how: 'An electrician measures the element, unplugged: ohms, and to earth.',
      results: ['open', 'to earth', 'as its plate'],
      minutes: 15,
      when: 'cold',
      for: ['electric'],
      tools: 'Insulation meter',
      care: 'Electrician.',
      shows: {
        'element-open': ['always', 'rarely', 'never'],
        'element-earth': ['rarely', 'always', 'never'],
        'element-part': ['half', 'never', 'half']
      }
    },
    {
      key: 'trip-when',
      how: 'When does the breaker trip?',
      results: ['at once', 'after minutes', 'does not trip'],
      minutes: 2,
      when: 'cold',
      for: ['electric'],
      danger: 'Mains, perhaps on the metal: once only, nobody touches the engine, an electrician first where one is to be had.',
      shows: {
        'element-earth': ['usually', 'half', 'never'],
        'element-open': ['never', 'rarely', 'always'],
        'supply-off': ['never', 'never', 'always']
      }
    },
    {
      key: 'thermostat-lamp',
      how: 'Set far over the reading: does its lamp or relay answer?',
      results: ['no', 'it answers'],
      minutes: 2,
      when: 'any',
      for: ['thermostat'],
      shows: { 'thermostat-dead': 'always', 'supply-off': 'always' }
    }
  ]
};
