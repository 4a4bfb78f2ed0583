import { type Plant, plantOf } from '../boiler';
import { inSteamAt } from '../engine';
import { brief, type Hole, isHole, startOf, type UsedWater, waterUsed } from '../forecast';
import { litAt, type Log, upAt } from '../log';
import { saturationAtGauge } from '../steam';
import { type Duty, usualDuty } from '../sums';
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
  /** What stood open from when on, all holes together: s after the match, CdA in m². Air leaves by it. */
  readonly open: readonly { readonly at: number; readonly area: number }[];
  /** s after the match to working pressure, as far as the readings tell. */
  readonly reached?: number;
  /** s after the match at which the fire was out. */
  readonly out?: number;
  /** Readings after the fire was out, s after it was. */
  readonly cooling: readonly Read[];
  /** Where each valve was seen to lift, Pa at the gauge; its number from 1. */
  readonly lifts?: readonly { readonly valve: number; readonly lifted: number }[];
  /** What the fire burns and how strong it is: another fire is another chapter. */
  readonly fire: string;
  /** Tubes were swept when it was put away, or just before it. */
  readonly swept: boolean;
  /** Water that it used in steam, and the work of that day. */
  readonly used?: UsedWater & { readonly duty: Duty };
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

/** The raising in a log, and the water of its day; undefined when there is no match or too little was read to learn from. */
export function pastOf(log: Log, duty: Duty = usualDuty): Past | undefined {
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
  const reached = up ? toSteam(readings, after(up), inSteamAt(fitOut)) : undefined;
  const raising = readings.filter((r) => r.at <= (reached ?? Infinity) + 1);
  if (raising.filter((r) => r.value > 0).length < 2) return undefined;

  const plant = plantOf(fitOut);
  const start = startOf(log, plant);
  const used = waterUsed(log, plant);
  // Opened for a moment it lets air out; opened and left it takes over from the fan.
  const blows = log.events.flatMap((e) => (e.is === 'valve' && e.valve === 'blower' && e.at > lit ? [e] : []));
  const blower = blows.find((e, i) => e.open > 0.05 && blows[i + 1]?.entry !== e.entry);
  return {
    litAt: from,
    water: start.water,
    waterFrom: start.level ? 'glass' : 'usual fill',
    T: start.T,
    TFrom: start.read ? 'read' : 'taken as usual',
    ambient: start.ambient,
    readings: raising,
    ...(blower ? { blowerAt: after(blower.at) } : {}),
    open: openOf(log, plant, from),
    ...(reached === undefined ? {} : { reached }),
    ...(out ? { out: after(out) } : {}),
    cooling: out
      ? log.events.flatMap((e) =>
          e.is === 'reading' && (e.pressure ?? 0) > 0 && e.at > out ? [{ at: after(e.at, Date.parse(out)), value: e.pressure! }] : []
        )
      : [],
    lifts: log.state.lifts.flatMap(({ valve, lifted }) => (lifted === undefined ? [] : [{ valve, lifted }])),
    fire: fireOf(fitOut),
    swept: log.state.steps['tubes-swept']?.outcome === 'done',
    ...(used ? { used: { ...used, duty } } : {})
  };
}

/** Holes as they were opened and shut; one that is told as opened and shut in one breath stood open for a moment. */
function openOf({ events }: Log, plant: Plant, lit: number): Past['open'] {
  const stands: Partial<Record<Hole, number>> = {};
  const list: { at: number; area: number }[] = [];
  const set = (at: number, hole: Hole, area: number) => {
    stands[hole] = area;
    list.push({ at: Math.max(0, at), area: Object.values(stands).reduce((a, x) => a + x, 0) });
  };
  events.forEach((e, i) => {
    if (e.is !== 'valve' || !isHole(e.valve)) return;
    const at = (Date.parse(e.at) - lit) / 1000;
    set(at + (e.open === 0 && stands[e.valve] && events[i - 1]?.at === e.at ? brief : 0), e.valve, e.open * plant[e.valve]);
  });
  return list.sort((a, b) => a.at - b.at);
}

/** When the needle passed the pressure in steam: between the readings on either side by temperature, which rises evenly. */
function toSteam(readings: readonly Read[], near: number, inSteam: number): number {
  const before = readings.findLast((r) => r.at < near && r.value < inSteam);
  const past = readings.find((r) => r.at >= near);
  if (!past || !before || past.value <= before.value) return near;
  const T = (p: number) => saturationAtGauge(p as Gauge).T;
  const share = (T(inSteam) - T(before.value)) / (T(past.value) - T(before.value));
  return before.at + Math.min(1.6, Math.max(0, share)) * (past.at - before.at);
}
