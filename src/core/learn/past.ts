import { plantOf } from '../boiler';
import { startOf } from '../forecast';
import { litAt, type Log, upAt } from '../log';
import { saturationAtGauge } from '../steam';
import type { Gauge } from '../units';

/** A raising as it was logged: what learning needs of a steaming, small enough to be kept with its summary. */
export interface Past {
  /** ms since 1970 */ readonly litAt: number;
  /** kg of water at the match. */ readonly water: number;
  readonly waterFrom: 'glass' | 'usual fill';
  /** K, of the water at the match and of the air; `TFrom` says whether it was read or taken as usual. */
  readonly T: number;
  readonly TFrom: 'read' | 'taken as usual';
  readonly ambient: number;
  /** s after the match, Pa at the gauge. */
  readonly readings: readonly Read[];
  /** s after the match at which the blower took over. */
  readonly blowerAt?: number;
  /** The air was let out: whistle, vent or blower before there was much pressure. */
  readonly airOut: boolean;
  /** s after the match to working pressure, as far as the readings tell. */
  readonly reached?: number;
  /** Readings after the fire was out, s after it was. */
  readonly cooling: readonly Read[];
  /** Where each valve was seen to lift, Pa at the gauge; its number from 1. */
  readonly lifts?: readonly { readonly valve: number; readonly lifted: number }[];
  /** What the fire burns and how strong it is: another fire is another chapter. */
  readonly fire: string;
  /** Tubes were swept when it was put away, or just before it. */
  readonly swept: boolean;
}
export interface Read {
  readonly at: number;
  readonly value: number;
}

/** What was raised with: an engine whose fire changes begins a new chapter. */
export const fireOf = ({ fire }: Log['context']['fitOut']): string =>
  fire.with === 'solid'
    ? `${fire.fuel}, ${Math.round(fire.grateLength * fire.grateWidth * 1e4)} cm²`
    : `${fire.with}, ${'power' in fire ? Math.round(fire.power) : fire.fuel}`;

/** The raising in a log; undefined when there is no match or too little was read to learn from. */
export function pastOf(log: Log): Past | undefined {
  const { fitOut } = log.context;
  const lit = litAt(log);
  if (!lit) return undefined;
  const from = Date.parse(lit);
  const after = (at: string, zero = from) => (Date.parse(at) - zero) / 1000;
  const out = log.state.fire.outAt;
  const readings = log.events.flatMap((e) =>
    e.is === 'reading' && e.pressure !== undefined && e.at > lit && (!out || e.at < out) ? [{ at: after(e.at), value: e.pressure }] : []
  );
  const up = upAt(log);
  const reached = up ? toWorkingPressure(readings, after(up), fitOut.workingPressure) : undefined;
  const raising = readings.filter((r) => r.at <= (reached ?? Infinity) + 1);
  if (raising.filter((r) => r.value > 0).length < 2) return undefined;

  const start = startOf(log, plantOf(fitOut));
  // Opened for a moment it lets air out; opened and left it takes over from the fan.
  const blows = log.events.flatMap((e) => (e.is === 'valve' && e.valve === 'blower' && e.at > lit ? [e] : []));
  const blower = blows.find((e, i) => e.open > 0.05 && blows[i + 1]?.entry !== e.entry);
  const airOut = log.events.some(
    (e) =>
      e.at > lit &&
      e.is === 'valve' &&
      ['whistle', 'vent'].includes(e.valve) &&
      e.open > 0 &&
      (reached === undefined || after(e.at) < reached)
  );
  return {
    litAt: from,
    water: start.water,
    waterFrom: start.level ? 'glass' : 'usual fill',
    T: start.T,
    TFrom: start.read ? 'read' : 'taken as usual',
    ambient: start.ambient,
    readings: raising,
    ...(blower ? { blowerAt: after(blower.at) } : {}),
    airOut,
    ...(reached === undefined ? {} : { reached }),
    cooling: out
      ? log.events.flatMap((e) =>
          e.is === 'reading' && (e.pressure ?? 0) > 0 && e.at > out ? [{ at: after(e.at, Date.parse(out)), value: e.pressure! }] : []
        )
      : [],
    lifts: log.state.lifts.flatMap(({ valve, lifted }) => (lifted === undefined ? [] : [{ valve, lifted }])),
    fire: fireOf(fitOut),
    swept: log.state.steps['tubes-swept']?.outcome === 'done'
  };
}

/** When the needle passed working pressure: between the readings on either side by temperature, which rises evenly. */
function toWorkingPressure(readings: readonly Read[], near: number, workingPressure: number): number {
  const before = readings.findLast((r) => r.at < near && r.value < workingPressure);
  const past = readings.find((r) => r.at >= near);
  if (!past || !before || past.value <= before.value) return near;
  const T = (p: number) => saturationAtGauge(p as Gauge).T;
  const share = (T(workingPressure) - T(before.value)) / (T(past.value) - T(before.value));
  return before.at + Math.min(1.6, Math.max(0, share)) * (past.at - before.at);
}
