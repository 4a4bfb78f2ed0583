/**
 * ROUNDS: points that stand beside each other and are looked at or done in one go. One touch says that all of a round is as it should
 * be; a touch on a point says what is not. The log keeps every point.
 */
export const rounds = {
  fireside: { what: 'Fire side, front to back', all: 'All found right' },
  around: { what: 'Round the engine', all: 'All found right' },
  'before water': { what: 'Before the water goes in', all: 'All found right' },
  in: { what: 'Water moves; tanks and oil filled', all: 'All done' },
  still: { what: 'Held still', all: 'All tried and held' },
  laid: { what: 'Fire laid, draught ready', all: 'All done' },
  taken: { what: 'The fire has taken', all: 'Alight, and the first is on' },
  wait: { what: 'While it warms', all: 'All done' },
  changeover: { what: 'It draws its own fire', all: 'All done' },
  near: { what: 'Near working pressure', all: 'All done' },
  answers: { what: 'What must answer', all: 'All answer' },
  feeds: { what: 'Each feed proven', all: 'Each was seen to feed' },
  warm: { what: 'Warmed through, oil feeding', all: 'All done' },
  quenched: { what: 'Fire out: leave it so', all: 'All done' },
  cleaned: { what: 'Clean while warm', all: 'All done' },
  left: { what: 'Left as it should be found', all: 'All done' },
  written: { what: 'Written down', all: 'All written' }
} as const;

export type RoundKey = keyof typeof rounds;
