/**
 * THIRTY FAULTS, each with what is the matter and what any check would have shown, thought through from how the engine works and not from
 * the odds of the knowledge base. A check that is not named shows what it shows where nothing is the matter. Nine have an answer that
 * misleads, as hands and eyes do.
 */
export interface FinderCase {
  readonly tale: string;
  readonly pattern: string;
  readonly symptom: string;
  readonly cause: string;
  /** What each check shows, by the place of its result. */
  readonly shows: Readonly<Record<string, number>>;
  /** Which of them is not what it seems. */
  readonly misleads?: string;
  readonly now?: 'cold' | 'in steam';
}

export const cases: readonly FinderCase[] = [
  {
    tale: 'Third train of a hot afternoon; the bypass of the other feed has been running into the tank.',
    pattern: 'large-tank',
    symptom: 'injector-nothing',
    cause: 'tank-warm',
    now: 'in steam',
    shows: { 'tank-hand': 0, 'body-hand': 0, bucket: 0, 'tries-tank': 0, 'tries-pressure': 1, 'overflow-shut': 2 },
    misleads: 'body-hand'
  },
  {
    tale: 'A handle whose pin has sheared turns on its spindle.',
    pattern: 'tender',
    symptom: 'injector-nothing',
    cause: 'water-shut',
    now: 'in steam',
    shows: { 'overflow-water': 0, 'handle-spindle': 0, 'union-flow': 0, bucket: 1 }
  },
  {
    tale: 'A clack laid up wet over the winter has grown onto its seat.',
    pattern: 'full-size',
    symptom: 'injector-nothing',
    cause: 'clack-stuck',
    now: 'in steam',
    shows: { 'clack-blow': 0, 'bypass-tank': 1, 'try-high': 1, 'body-hand': 0, 'tank-hand': 1 },
    misleads: 'body-hand'
  },
  {
    tale: 'A cracked cone at the suction union.',
    pattern: 'road-roller',
    symptom: 'injector-knocks-off',
    cause: 'suction-air',
    now: 'in steam',
    shows: { 'overflow-water': 1, 'union-flow': 1, 'suction-soap': 0, 'tank-hand': 1 }
  },
  {
    tale: 'Leaves of last autumn round the strainer in the side tank.',
    pattern: 'large-tank',
    symptom: 'injector-knocks-off',
    cause: 'strainer',
    now: 'in steam',
    shows: { 'overflow-water': 1, 'union-flow': 0, bucket: 0, 'tank-hand': 1 }
  },
  {
    tale: 'A clack put back into the shell above the water, a hand from the turret.',
    pattern: 'large-tank',
    symptom: 'injector-only-full',
    cause: 'cold-into-steam',
    now: 'in steam',
    shows: { 'glass-low-try': 0, 'needle-while': 0, 'delivery-where': 0, 'tries-glass': 0, 'tank-hand': 1, 'needle-try': 1 },
    misleads: 'needle-try'
  },
  {
    tale: 'A splinter of swarf under the suction ball.',
    pattern: 'small-tank',
    symptom: 'pump-nothing',
    cause: 'pump-ball',
    now: 'cold',
    shows: { thumb: 1, 'bypass-tank': 2, 'gland-drip': 1, 'tank-hand': 1 }
  },
  {
    tale: 'The bypass valve’s face is cut; a thread of water runs back with it shut.',
    pattern: 'vertical-plant',
    symptom: 'pump-weak',
    cause: 'bypass-passing',
    now: 'in steam',
    shows: { 'bypass-tank': 1, 'gland-drip': 0, 'tank-hand': 1 },
    misleads: 'gland-drip'
  },
  {
    tale: 'The poles of the battery changed over.',
    pattern: 'small-tank',
    symptom: 'will-not-draw',
    cause: 'fan-off',
    now: 'cold',
    shows: { 'paper-door': 0, 'fan-turns': 0, 'fire-eye': 3 }
  },
  {
    tale: 'A sack that stood in the rain beside the shed.',
    pattern: 'large-tank',
    symptom: 'lights-and-dies',
    cause: 'fuel-damp',
    now: 'cold',
    shows: { 'fuel-hiss': 0, 'lot-new': 0, 'other-lot': 0, 'fire-eye': 0, 'paper-door': 2 }
  },
  {
    tale: 'Two of four jets are closed with soot.',
    pattern: 'tender',
    symptom: 'blower-weak',
    cause: 'blower-jet-dirt',
    now: 'in steam',
    shows: { 'jets-air': 0, 'blower-ear': 2, 'paper-door': 1, 'changeover-needle': 0 },
    misleads: 'changeover-needle'
  },
  {
    tale: 'The seal of the smokebox door went with the last tube sweep.',
    pattern: 'large-tank',
    symptom: 'steams-poorly',
    cause: 'smokebox-air',
    now: 'in steam',
    shows: { 'flame-round': 0, 'paper-door': 1, 'fire-eye': 3, 'blast-ear': 2, 'smoke-colour': 1 }
  },
  {
    tale: 'Clinker over half of the grate after three hours of rolling.',
    pattern: 'road-roller',
    symptom: 'spiral',
    cause: 'grate-choked',
    now: 'in steam',
    shows: { 'under-grate': 0, 'fire-eye': 3, 'blower-down': 1, 'paper-door': 1, 'smoke-colour': 1 }
  },
  {
    tale: 'A new lot whose ash runs.',
    pattern: 'full-size',
    symptom: 'clinkers',
    cause: 'coal-ash',
    now: 'in steam',
    shows: { 'lot-new': 0, 'fire-eye': 3, 'under-grate': 0, 'other-lot': 0, 'smoke-colour': 1 }
  },
  {
    tale: 'Steam oil comes back with the condensate of the feed heater.',
    pattern: 'large-tank',
    symptom: 'primes',
    cause: 'oil-in-water',
    now: 'in steam',
    shows: {
      'glass-froth': 0,
      'film-jar': 0,
      'glass-lamp': 0,
      'prime-level': 1,
      'shake-jar': 1,
      'ten-turns': 1,
      'open-slowly': 1,
      'lower-glass': 1
    }
  },
  {
    tale: 'Opened across the valves by a new driver, twice.',
    pattern: 'tender',
    symptom: 'primes',
    cause: 'regulator-snatched',
    now: 'in steam',
    shows: { 'prime-how': 0, 'open-slowly': 0, 'ten-turns': 0, 'prime-level': 1, 'glass-froth': 1 }
  },
  {
    tale: 'A dip in the pipe along the tank holds a spoonful.',
    pattern: 'large-tank',
    symptom: 'whistle-gargles',
    cause: 'whistle-drain',
    now: 'in steam',
    shows: { 'whistle-ten': 0, 'whistle-twice': 0, 'whistle-dribble': 1, 'whistle-stop': 1, 'prime-level': 1 }
  },
  {
    tale: 'The upper way of the left glass has scaled to a pinhole.',
    pattern: 'large-tank',
    symptom: 'glass-differ',
    cause: 'glass-top',
    now: 'in steam',
    shows: { 'blow-glass': 2, 'glass-ways': 0, 'draw-steam': 1, 'turn-round': 1, 'glass-pricker': 0, 'glass-twice': 0 }
  },
  {
    tale: 'Left with the feed’s stop valve open; by morning the tank was a third down.',
    pattern: 'road-roller',
    symptom: 'glass-full',
    cause: 'filled-itself',
    now: 'cold',
    shows: { 'night-level': 0, 'pencil-glass': 1, 'blow-down-show': 0 }
  },
  {
    tale: 'The gauge lost five psi when it was dropped; the valves are right.',
    pattern: 'large-tank',
    symptom: 'valve-lifts-early',
    cause: 'gauge-low',
    now: 'in steam',
    shows: { 'needle-lift': 0, 'second-gauge': 1, 'gauge-five': 0, 'zero-cold': 1, 'valve-record': 2 }
  },
  {
    tale: 'A scale on one wing makes the stem hang.',
    pattern: 'tender',
    symptom: 'valve-not-reseat',
    cause: 'valve-binds',
    now: 'in steam',
    shows: { 'lift-repeat': 0, 'reseat-read': 0, 'valve-hand': 1, 'valve-apart': 2, 'needle-lift': 1, 'valve-side': 1 }
  },
  {
    tale: 'Left for the night with the drains shut: both cylinders are full.',
    pattern: 'full-size',
    symptom: 'will-not-start',
    cause: 'water-locked',
    now: 'in steam',
    shows: { 'turn-hand': 0, 'drains-pour': 0, 'knock-drains': 0, 'start-needle': 0 },
    misleads: 'start-needle'
  },
  {
    tale: 'A grub screw has let the right eccentric turn.',
    pattern: 'large-tank',
    symptom: 'beat-uneven',
    cause: 'eccentric-slipped',
    now: 'in steam',
    shows: { 'beat-count': 1, 'one-side': 1, 'valve-open-ends': 1, 'reverser-look': 2 }
  },
  {
    tale: 'Steam oil and soot have set hard in two drains.',
    pattern: 'large-tank',
    symptom: 'drains-fail',
    cause: 'drain-scaled',
    now: 'in steam',
    shows: { 'drains-pour': 1, 'drain-air': 0, 'drain-pipe-off': 1, 'drain-slot': 1 }
  },
  {
    tale: 'Its cup was filled yesterday and never drained of the day before.',
    pattern: 'full-size',
    symptom: 'lubricator-nothing',
    cause: 'lubricator-check',
    now: 'cold',
    shows: { 'lubricator-level': 1, 'union-drop': 0, 'check-ball': 0, 'oil-feel': 2 }
  },
  {
    tale: 'A cold wind, a small tank and twenty minutes at full: white with frost.',
    pattern: 'gas-tank',
    symptom: 'gas-goes-out',
    cause: 'gas-tank-cold',
    now: 'in steam',
    shows: { 'gas-tank-hand': 0, 'gas-tray': 0, 'burner-minutes': 1, 'gas-shield': 0 },
    misleads: 'gas-shield'
  },
  {
    tale: 'Both burners hang on a pipe of three millimetres.',
    pattern: 'vertical-plant',
    symptom: 'gas-second-starved',
    cause: 'gas-shared',
    now: 'in steam',
    shows: { 'burner-alone': 0, 'jets-swap': 1, 'gas-turn-up': 0 }
  },
  {
    tale: 'The clip of the sensor has sprung.',
    pattern: 'electric-set',
    symptom: 'element-reads-wrong',
    cause: 'sensor-loose',
    now: 'in steam',
    shows: { 'sensor-press': 0, 'sensor-steady': 1, 'cycle-watch': 1, 'second-gauge': 2, 'vented-how': 0 },
    misleads: 'vented-how'
  },
  {
    tale: 'The spring nut came back half a turn in its box.',
    pattern: 'tabletop',
    symptom: 'tabletop-slow',
    cause: 'spring-slack',
    now: 'in steam',
    shows: { 'face-steam': 0, 'spring-finger': 0, 'spring-half-turn': 0, flick: 2, 'drop-oil': 1, 'exhaust-water': 1 },
    misleads: 'exhaust-water'
  },
  {
    tale: 'The joint under the petticoat was never nipped up after the wash-out.',
    pattern: 'tender',
    symptom: 'wet-smokebox',
    cause: 'steam-pipe-joint',
    now: 'cold',
    shows: {
      'smokebox-where': 1,
      disturbed: 0,
      'dry-wait': 1,
      'half-pressure': 0,
      'leak-pressures': 0,
      'steam-pipe-air': 0,
      'smokebox-open-reg': 0,
      'leak-place': 5,
      'washed-out': 0
    },
    misleads: 'washed-out'
  }
];

/** TEN MORE, written after the knowledge base had been mended by what the thirty showed, and played once: on ground that is foreign to it. */
export const fresh: readonly FinderCase[] = [
  {
    tale: 'The damper’s pin fell out on the way to the field.',
    pattern: 'road-roller',
    symptom: 'will-not-draw',
    cause: 'damper-shut',
    now: 'cold',
    shows: { 'damper-flap': 0, 'paper-door': 1, 'fire-eye': 3 }
  },
  {
    tale: 'A gland of the hand pump that has stood dry since spring.',
    pattern: 'tender',
    symptom: 'hand-pump-soft',
    cause: 'suction-air',
    now: 'cold',
    shows: { thumb: 0, 'union-flow': 1, 'suction-soap': 0, 'kick-back': 1 }
  },
  {
    tale: 'Soot of bituminous coal in the lower tubes.',
    pattern: 'large-tank',
    symptom: 'raise-slow',
    cause: 'tubes-choked',
    now: 'in steam',
    shows: { 'light-tubes': 0, 'paper-door': 1, 'smoke-colour': 1, 'fire-eye': 3 }
  },
  {
    tale: 'Small stuff from the bottom of the bunker goes up the chimney.',
    pattern: 'small-tank',
    symptom: 'eats-fuel',
    cause: 'coal-small',
    now: 'in steam',
    shows: { 'coal-sieve': 0, 'smokebox-char': 0, 'other-lot': 0, 'lot-new': 1 }
  },
  {
    tale: 'A cut across the seat after grit of a wash-out.',
    pattern: 'full-size',
    symptom: 'valve-simmers',
    cause: 'valve-seat',
    now: 'in steam',
    shows: { 'lift-dirt': 1, 'valve-side': 0, 'valve-apart': 0, 'needle-lift': 2, 'valve-record': 2 },
    misleads: 'valve-side'
  },
  {
    tale: 'The left big end has a millimetre.',
    pattern: 'tender',
    symptom: 'knocks',
    cause: 'brass-worn',
    now: 'cold',
    shows: { 'rod-rock': 0, 'knock-when': 2, 'knock-drains': 1, 'bearings-hand': 0 }
  },
  {
    tale: 'Idled for lunch on the last of the gas.',
    pattern: 'launch-plant',
    symptom: 'gas-pops-back',
    cause: 'gas-low',
    now: 'in steam',
    shows: { 'gas-turn-up': 0, 'flame-colour': 3, 'burner-minutes': 3, 'gas-weigh': 2 }
  },
  {
    tale: 'Thirty metres of thin lead, half of it on its drum.',
    pattern: 'electric-set',
    symptom: 'element-sags',
    cause: 'volts-low',
    now: 'in steam',
    shows: { 'lead-warm': 0, 'meter-watts': 0, 'load-off': 1, 'element-sum': 1 }
  },
  {
    tale: 'The steering chains have stretched over the season.',
    pattern: 'road-roller',
    symptom: 'steering-slack',
    cause: 'chain-slack',
    now: 'cold',
    shows: { 'steer-eighth': 0, 'chain-gauge': 1 }
  },
  {
    tale: 'One cup of the round was left out.',
    pattern: 'large-tank',
    symptom: 'bearing-hot',
    cause: 'bearing-forgotten',
    now: 'in steam',
    shows: { 'oil-round': 0, 'oil-through': 1, 'oil-out-dark': 0 },
    misleads: 'oil-out-dark'
  }
];
