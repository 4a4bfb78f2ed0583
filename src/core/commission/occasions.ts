/** WHAT AN ENGINE IS WORKED ON FOR. Each has a procedure of its own, and needs a fire, steam of another boiler, air, or nothing. */
export interface Occasion {
  /** As it is chosen. */
  readonly name: string;
  /** In one line, what it is. */
  readonly says: string;
  /** What moves it or is in it. */
  readonly by: 'own fire' | 'borrowed steam' | 'air' | 'nothing';
}

export const occasions = {
  running: { name: 'Steaming', says: 'raised, proven and run', by: 'own fire' },
  air: { name: 'On air', says: 'the chassis turned on compressed air, no boiler to it', by: 'air' },
  borrowed: { name: 'On borrowed steam', says: 'the chassis turned on another engine’s steam', by: 'borrowed steam' },
  first: { name: 'First steaming', says: 'a boiler’s first fire: swept for leaks on the way up, everything touched', by: 'own fire' },
  'steam test': { name: 'Steam test', says: 'raised and proven, and not run', by: 'own fire' },
  'wash-out': { name: 'Wash-out', says: 'cold, opened, washed and closed again', by: 'nothing' },
  'lay-up': { name: 'Lay-up', says: 'put away for months', by: 'nothing' },
  return: { name: 'Return to service', says: 'looked over after months, before the first fire', by: 'nothing' },
  'tube sweep': { name: 'Tube sweep', says: 'tubes, smokebox and grate cleaned', by: 'nothing' }
} as const satisfies Record<string, Occasion>;

export type OccasionKey = keyof typeof occasions;
export const occasionKeys = Object.keys(occasions) as OccasionKey[];
/** One by its key; a steaming where none was said: that is all there was before they were told apart. */
export const occasionOf = (key: OccasionKey | undefined): Occasion => occasions[key ?? 'running'];
