/** The Footplate's keys, as the help overlay lists them. */
export const keys: readonly (readonly [string, string])[] = [
  ['D', 'Done: the step at NOW'],
  ['/', 'Quick line'],
  ['W', 'Water: the gauge glass (arrows, Enter)'],
  ['P', 'Pressure scale (arrows, Enter)'],
  ['C', 'Fuel on'],
  ['F', 'Feed'],
  ['B', 'Blower'],
  ['A', 'Damper (air)'],
  ['R', 'Fire: raked, thinned, bright, dull'],
  ['N', 'Drains'],
  ['G', 'Regulator'],
  ['V', 'Safety valve lifts or reseats'],
  ['O', 'Oil'],
  ['S', 'Seen: what is heard and observed'],
  ['X', 'Fault'],
  ['M', 'Note'],
  ['U', 'Undo, within ten seconds'],
  ['T', 'All steps'],
  ['L', 'Low water and the other drills'],
  ['?', 'These keys']
];
