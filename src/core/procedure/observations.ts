/**
 * What can be seen, heard or felt on an engine, with or without instruments. Each is logged by its key; some open steps.
 */
export const observations = {
  'start fuel alight': 'start fuel well alight',
  'coal alight': 'the last charge alight all over',
  'flame heard': 'flame heard at the burner',
  'all burners lit': 'all burners lit',
  'glass moving': 'glass bobbing: it is boiling',
  'needle moving': 'needle off its stop',
  simmer: 'simmering',
  'good draught': 'smoke lifts straight from the chimney',
  'no draught': 'smoke hangs at the door',
  vapour: 'vapour, not water, at the drains',
  'water at drains': 'water at the drains',
  feather: 'feather at the safety valve',
  'blowing off': 'safety valve blowing off',
  'whistle note': 'whistle sounds its full note',
  'spring stiff': 'flywheel springs back against the finger',
  'thermostat cycling': 'thermostat light cycling',
  'fire bright': 'fire bright and even',
  'fire dull': 'fire dull or black in places',
  'smoke black': 'black smoke at the chimney',
  priming: 'water carried over with the steam',
  'water returns': 'water returns briskly to the glass',
  'glasses agree': 'both glasses agree',
  'pressure gone': 'let down: nothing is left to let off',
  'another run': 'there is to be another run',
  'simmer begins': 'begins to sing',
  'whistle wet': 'whistle spits water',
  'whistle thin': 'whistle sounds thin',
  'spring soft': 'flywheel gives against the finger',
  'exhaust wet': 'water at the exhaust',
  'exhaust oily': 'oily water at the exhaust',
  'exhaust dry': 'vapour at the exhaust',
  'flame steady': 'flame steady, a soft hush',
  'flame roars': 'flame roars or lifts',
  'touch warm': 'warm to the hand',
  'touch hot': 'too hot to touch',
  'burner down': 'burner turned down',
  'tray emptied': 'tray emptied',
  'standing by': 'standing by: fire banked, held still',
  'running again': 'running again',
  'fire outside': 'fire outside the boiler',
  'fire outside out': 'fire outside is out',
  'running ends': 'the running is ending',
  'fire out': 'fire seen to be out',
  'engine cold': 'cold to the hand'
} as const;

export type Observation = keyof typeof observations;

/**
 * What shows on the way up, by the share of the pressure in steam at which it does: an engine without a gauge is waited for by these. What a
 * keeper tells a rough time by, and no reading.
 */
export const showsAt: Partial<Record<Observation, number>> = {
  'needle moving': 0.03,
  'spring stiff': 0.4,
  'whistle note': 0.6,
  simmer: 0.97,
  feather: 0.97,
  'blowing off': 1
};
export const observationKeys = Object.keys(observations) as Observation[];
