import type { Sheet } from './sheet';
import { gauge } from './sheets/gauge';
import { hydraulic } from './sheets/hydraulic';
import { valves } from './sheets/valves';

export * from './chain';
export * from './rules';
export * from './sheet';

/** Every worksheet, in the order in which they are made. */
export const sheets: readonly Sheet[] = [hydraulic, gauge, valves];
export const sheetOf = (key: string): Sheet | undefined => sheets.find((s) => s.key === key);
