import type { Sheet } from './sheet';
import { blowDown } from './sheets/blow-down';
import { brakes } from './sheets/brakes';
import { drains } from './sheets/drains';
import { electric } from './sheets/electric';
import { feeds } from './sheets/feeds';
import { gas } from './sheets/gas';
import { gauge } from './sheets/gauge';
import { glasses } from './sheets/glasses';
import { hydraulic } from './sheets/hydraulic';
import { plug } from './sheets/plug';
import { selfStart } from './sheets/self-start';
import { slow } from './sheets/slow';
import { steam } from './sheets/steam';
import { valves } from './sheets/valves';
import { water } from './sheets/water';
import { whistle } from './sheets/whistle';

export * from './chain';
export * from './rules';
export * from './sheet';

/** Every worksheet, in the order in which they are made: cold, in steam, on the line, and what is measured beside. */
export const sheets: readonly Sheet[] = [
  hydraulic,
  gauge,
  plug,
  glasses,
  gas,
  electric,
  steam,
  valves,
  feeds,
  blowDown,
  whistle,
  drains,
  brakes,
  slow,
  selfStart,
  water
];
export const sheetOf = (key: string): Sheet | undefined => sheets.find((s) => s.key === key);
