import type { Rule } from '../rule';
import { airIn } from './air-in';
import { barred } from './barred';
import { blowBack } from './blow-back';
import { leakStops, rigLate } from './commissioning';
import { doorDraught } from './door-draught';
import { drains } from './drains';
import { falling, rising } from './drifts';
import { earlyLift } from './early-lift';
import { feedNotWorking, feedTooLow } from './feeds';
import { fireOutside } from './fire-outside';
import { fireWants } from './fire-wants';
import { flameLost, notHeard } from './flames';
import { fan, plug } from './forgotten';
import { gas } from './gas';
import { glanceRule } from './glance';
import { glassStill } from './glass-still';
import { high } from './high';
import { keeperGone } from './keeper-gone';
import { leaving } from './leaving';
import { litUnproven } from './lit-unproven';
import { low } from './low';
import { lubricator } from './lubricator';
import { mayBeLow } from './may-be-low';
import { noLift } from './no-lift';
import { noWater } from './no-water';
import { overPressure } from './over-pressure';
import { pace } from './pace';
import { sags } from './sags';
import { spiral } from './spiral';
import { stalled } from './stalled';
import { tank } from './tank';
import { thermometer } from './thermometer';
import { coldWaterIn, fuelOutlasts, half, noStop, runLimit, twoMinutes } from './timed';
import { twoFeeds } from './two-feeds';
import { vacuum } from './vacuum';

/** The rules, worst first within each rank. Each looks at one thing. */
export const rules: readonly Rule[] = [
  fireOutside,
  runLimit,
  noStop,
  flameLost,
  noWater,
  litUnproven,
  overPressure,
  leakStops,
  spiral,
  low,
  barred,
  feedTooLow,
  feedNotWorking,
  mayBeLow,
  falling,
  glassStill,
  rigLate,
  keeperGone,
  glanceRule,
  high,
  rising,
  noLift,
  earlyLift,
  thermometer,
  twoFeeds,
  blowBack,
  doorDraught,
  drains,
  plug,
  fan,
  sags,
  stalled,
  pace,
  fireWants,
  tank,
  lubricator,
  gas,
  fuelOutlasts,
  half,
  twoMinutes,
  notHeard,
  coldWaterIn,
  leaving,
  airIn,
  vacuum
];
