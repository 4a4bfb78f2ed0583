/** What an engine does on a day, in a word: share of the hour in which it moves, cut-off, and share of working pressure in its chest. */
export const duties = {
  light: { moving: 0.4, cutOff: 0.25, chest: 1 / 3 },
  passengers: { moving: 0.65, cutOff: 0.4, chest: 1 / 2 },
  hard: { moving: 0.8, cutOff: 0.5, chest: 2 / 3 }
} as const;
export type Duty = keyof typeof duties;
export const usualDuty: Duty = 'passengers';
