/** Kinds of papers that clubs keep. Any other name may be used; these are offered. */
export const paperKinds = [
  'Boiler certificate',
  'Hydraulic test',
  'Steam test',
  'Insurance',
  'Gas system check',
  'Electrical test',
  'Fusible plug renewed'
] as const;
