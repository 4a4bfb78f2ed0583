import type { Sheet } from '../sheet';
import { blowDown } from './blow-down';
import { brakes } from './brakes';
import { drains } from './drains';
import { electric } from './electric';
import { feeds } from './feeds';
import { gas } from './gas';
import { gauge } from './gauge';
import { glasses } from './glasses';
import { hydraulic } from './hydraulic';
import { plug } from './plug';
import { selfStart } from './self-start';
import { slow } from './slow';
import { steam } from './steam';
import { valves } from './valves';
import { water } from './water';
import { whistle } from './whistle';

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
