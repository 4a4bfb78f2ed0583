import type { FitOut } from '../engine';
import { type Bodies, type Event, type Kind, type Log, openFor, type State } from '../log';
import { bypassed, carries, feedsAt, turned, wheels } from '../procedure';
import { mark } from '../units';
import { glance, nextGlance } from './glance';
import { inSteam, lubricators } from './view';

/** DUTIES: what comes round while it runs. A run is no list: each is kept, late by so much, or put off once with a reason. */

/** What is known beside the log: how fast it uses water, kg/s, and when the day wants it. */
export interface Day {
  readonly water?: number;
  /** Moments of the day sheet, ISO 8601. */
  readonly wants?: readonly { readonly what: string; readonly at: string }[];
}

export interface Duty {
  readonly key: string;
  readonly what: string;
  readonly how: string;
  /** One touch that keeps it, where no reading does: what it says, and what it logs. */
  readonly touch?: Touch;
  /** When it falls due, ms since 1970; undefined while what it is timed by stands still. */
  readonly due?: number;
  readonly state: 'waiting' | 'due' | 'late';
  /** ms over its time. */
  readonly late: number;
  /** Put off already since it was kept last: not twice. */
  readonly put?: string;
}

const minute = 60_000;

/** What one touch says, and what it logs. */
export interface Touch {
  readonly word: string;
  readonly made: readonly MadeHere[];
}
type MadeHere = { [K in Kind]: { readonly kind: K; readonly body: Bodies[K] } }[Kind];

interface Rule {
  readonly key: string;
  readonly what: string;
  readonly how: string;
  /** ms between one and the next, or the moment itself. */
  readonly every: number | { readonly at: number };
  /** When it is due now, where that is told elsewhere, ms since 1970. */
  readonly due?: number;
  /** Timed by the regulator open. */
  readonly running?: true;
  /** Of the stand-by: banked, chocked, somebody by it. */
  readonly idle?: 'only' | 'too';
  readonly kept?: (event: Event) => boolean;
  readonly touch?: Touch;
}

const fireLook: Record<FitOut['size'], number> = { tabletop: 6 * minute, small: 6 * minute, medium: 10 * minute, full: 15 * minute };
/** Of a tank, what is left when it is filled at the latest. */
const tankLeft = 0.25;
/** Where steam works and no lubricator feeds: it is stopped for. */
const inSteamByHand = ({ kind, oil }: FitOut['lubrication'][number]) => oil === 'steam' && (kind === 'hand' || kind === 'cup');

/** What is oiled at one interval, as one duty. */
function oiling({ lubrication }: FitOut): Rule[] {
  const by = new Map<string, FitOut['lubrication'][number][]>();
  for (const p of lubrication) {
    const key = `${lubricators.has(p.kind) ? 'lubricator' : inSteamByHand(p) ? 'oil stop' : 'oil'} ${p.every}`;
    by.set(key, [...(by.get(key) ?? []), p]);
  }
  return [...by].map(([key, points]): Rule => {
    const names = points.map((p) => p.point);
    const [lubricator, stop] = [key.startsWith('lubricator'), key.startsWith('oil stop')];
    return {
      key,
      what: `${lubricator ? 'Lubricator' : stop ? 'Oil stop' : 'Oil'}: ${names.join(', ').toLowerCase()}`,
      how: `${stop ? 'Steam off, at rest: nothing brings oil there with the steam. ' : ''}${lubricator && points.some((p) => p.kind === 'displacement') ? 'Drain it first, then fill. ' : ''}Every ${mark(points[0]!.every, 'time')} of running.`,
      every: points[0]!.every * 1000,
      running: true,
      kept: (e) => e.is === 'oil' && (names.includes(e.what) || (!lubricator && e.what === 'oil round')),
      touch: { word: lubricator ? 'Filled' : 'Oiled', made: names.map((what) => ({ kind: 'oil', body: { what } })) }
    };
  });
}

function tankRule(f: FitOut, { events }: Log, { water }: Day, from: number): Rule[] {
  const holds = f.tanks.reduce((sum, t) => sum + t.capacity, 0);
  if (!holds || !water) return [];
  const read = events.findLast((e) => e.is === 'reading' && e.tank !== undefined);
  const share = read?.is === 'reading' ? read.tank! : 1;
  // Litres and kilograms of cold water are the same to as near as a tank is read.
  const lasts = (Math.max(0, share - tankLeft) * holds * 1000) / water;
  return [
    {
      key: 'tank',
      what: `Fill the ${f.tanks.length > 1 ? 'tanks' : f.tanks[0]!.name.toLowerCase()}`,
      how: 'By what this engine uses, a quarter is left then. Log how full it stands.',
      every: { at: (read ? Date.parse(read.at) : from) + lasts * 1000 },
      kept: (e) => e.is === 'reading' && e.tank !== undefined,
      touch: { word: 'Filled', made: [{ kind: 'reading', body: { tank: 1 } }] }
    }
  ];
}

const fireSeen = (e: Event) =>
  (e.is === 'fire' && e.act !== 'light') || (e.is === 'seen' && (e.seen === 'fire bright' || e.seen === 'fire dull'));
const bright: Touch = { word: 'Bright and even', made: [{ kind: 'observation', body: { seen: 'fire bright' } }] };

/** Rules that hold where an engine has what they speak of. */
const where = (has: unknown, ...rules: readonly Rule[]): readonly Rule[] => (has ? rules : []);

/** What comes round on this engine, in the order in which it is looked after. */
function rulesOf(log: Log, day: Day, from: number): Rule[] {
  const { fitOut: f } = log.context;
  const due = nextGlance(f, log.state);
  const rides = carries(f) && log.state.steps.passengers?.outcome === 'done';
  return [
    ...where(f.glasses.length, {
      key: 'glass',
      what: 'Look at the glass',
      how: 'And log it: touch it where the water stands.',
      every: glance[f.size],
      // Sooner while it is fed, as the glance is.
      ...(due === undefined ? {} : { due }),
      idle: 'too',
      kept: (e) => e.is === 'reading' && e.glass !== undefined
    }),
    ...where(
      f.fire.with === 'solid',
      {
        key: 'fire',
        what: 'Look at the fire',
        how: 'Thin, bright and even. Fuel on, raked, or say how it looks.',
        every: fireLook[f.size],
        kept: fireSeen,
        touch: bright
      },
      {
        key: 'banked',
        what: 'Look at the banked fire',
        how: 'In, not burning through; blower a whisper.',
        every: 15 * minute,
        idle: 'only',
        kept: fireSeen,
        touch: bright
      }
    ),
    ...where(turned(f).length && bypassed(f), {
      key: 'balance',
      what: 'Where the water goes',
      how: 'Boiler, both or tank, for a level that holds. Say where it goes now.',
      every: 15 * minute,
      kept: (e) => e.is === 'feed'
    }),
    ...where(
      feedsAt(f).some((x) => x.kind === 'hand pump'),
      {
        key: 'hand pump',
        what: 'A few strokes of the hand pump',
        how: 'It is the feed for when nothing turns: keep it proven.',
        every: 60 * minute,
        kept: (e) => e.is === 'feed' && e.strokes !== undefined
      }
    ),
    ...oiling(f),
    ...tankRule(f, log, day, from),
    ...where(f.fire.with === 'gas', {
      key: 'gas',
      what: 'Gas: enough for the rest?',
      how: 'Lift the canister, or count the minutes.',
      every: 20 * minute
    }),
    ...where(rides, {
      key: 'train',
      what: f.brakes.length ? 'This train: seated, guard, brake tried' : 'This train: seated, guard',
      how: `Each train anew.${f.brakes.length ? ' The brake is tried in its first ten yards.' : ''}`,
      every: 30 * minute
    }),
    ...(day.wants ?? []).map((want, i): Rule => ({
      key: `want ${i + 1}`,
      what: want.what,
      how: 'The day sheet has it.',
      every: { at: Date.parse(want.at) }
    })),
    {
      key: 'by it',
      what: 'Somebody by it',
      how: wheels(f) ? 'Chocked, and never left.' : 'It is never left.',
      every: 15 * minute,
      idle: 'only'
    }
  ];
}

/** Banked and waiting: since when, or undefined. */
export const standingBy = ({ seen }: Pick<State, 'seen'>): string | undefined =>
  seen['standing by'] && seen['standing by'] > (seen['running again'] ?? '') ? seen['standing by'] : undefined;

/** From when duties are counted: it runs. */
const runsFrom = ({ state }: Log): number | undefined => {
  const moved = state.steps['first-move'] ?? state.steps['first-turn'];
  const at = moved?.outcome === 'done' ? moved.at : state.phase === 'Run' ? state.phaseSince : undefined;
  return at === undefined ? undefined : Date.parse(at);
};

/** One that is put off comes again after this long, at the latest, ms. */
const putOffFor = 15 * minute;

function dutyOf(rule: Rule, log: Log, now: number, from: number): Duty {
  const { key, what, how } = rule;
  const touch: Touch | undefined =
    rule.touch ?? (rule.kept ? undefined : { word: 'Done', made: [{ kind: 'duty', body: { duty: key, what } }] });
  const mine = (e: Event) => (e.is === 'duty' && e.duty === key && !e.put) || (rule.kept?.(e) ?? false);
  const last = log.events.findLast((e) => mine(e) && Date.parse(e.at) <= now);
  const since = Math.max(from, last ? Date.parse(last.at) : from);
  // Put off once: whoever says it again, and by whatever way, puts off nothing more.
  const put = log.events.find((e) => e.is === 'duty' && e.duty === key && e.put !== undefined && Date.parse(e.at) >= since);
  let due: number | undefined;
  if (typeof rule.every === 'object') due = last && Date.parse(last.at) >= rule.every.at ? undefined : rule.every.at;
  else if (rule.due !== undefined) due = rule.due;
  else if (rule.running) {
    const left = rule.every - openFor(log.events, since, now);
    const turns = (log.state.valves.regulator?.open ?? 0) > 0;
    due = turns || left <= 0 ? now + left : undefined;
  } else due = since + rule.every;
  const putTill = put && Date.parse(put.at) + Math.min(putOffFor, typeof rule.every === 'number' ? rule.every : putOffFor);
  if (putTill !== undefined && due !== undefined) due = Math.max(due, putTill);
  const late = due === undefined ? 0 : Math.max(0, now - due);
  return {
    key,
    what,
    how,
    ...(touch ? { touch } : {}),
    ...(due === undefined ? {} : { due }),
    state: due === undefined || due > now ? 'waiting' : late < minute ? 'due' : 'late',
    late,
    ...(put?.is === 'duty' ? { put: put.put! } : {})
  };
}

/**
 * What comes round now, the most overdue first; none before it runs and none once its fire is out.
 * @param now ms since 1970
 */
export function dutiesOf(log: Log, now: number, day: Day = {}): Duty[] {
  const from = runsFrom(log);
  if (from === undefined || log.state.phase !== 'Run' || !inSteam(log.state)) return [];
  const idle = standingBy(log.state);
  return rulesOf(log, day, from)
    .filter((r) => (idle ? r.idle !== undefined : r.idle !== 'only'))
    .map((r) => dutyOf(r, log, now, idle && r.idle === 'only' ? Date.parse(idle) : from))
    .filter((d) => d.due !== undefined || d.state !== 'waiting' || !d.key.startsWith('want'))
    .sort((a, b) => (a.due ?? Infinity) - (b.due ?? Infinity));
}

/** How a duty was looked after over a run. */
export interface Kept {
  readonly what: string;
  readonly times: number;
  /** Times more than a minute over, and the worst of them, ms. */
  readonly late: number;
  readonly worst: number;
  readonly putOff: number;
}

/** For the record: each duty, how often it was kept, how often late and by how much, and how often put off. */
export function dutiesKept(log: Log, day: Day = {}): Kept[] {
  const from = runsFrom(log);
  if (from === undefined) return [];
  const end = Date.parse(log.state.fire.outAt ?? log.state.endedAt ?? log.entries.at(-1)!.at);
  return rulesOf(log, day, from).flatMap((rule) => {
    if (rule.idle === 'only' || typeof rule.every === 'object') return [];
    const { every } = rule;
    const all = log.events.filter((e) => Date.parse(e.at) > from && Date.parse(e.at) <= end);
    const times = [
      ...new Set(all.filter((e) => (e.is === 'duty' && e.duty === rule.key && !e.put) || rule.kept?.(e)).map((e) => Date.parse(e.at)))
    ];
    const gaps = [from, ...times].map((since, i) => {
      const till = times[i] ?? end;
      return (rule.running ? openFor(log.events, since, till) : till - since) - every;
    });
    const over = gaps.filter((g) => g > minute);
    const putOff = all.filter((e) => e.is === 'duty' && e.duty === rule.key && e.put !== undefined).length;
    return times.length || over.length
      ? [{ what: rule.what, times: times.length, late: over.length, worst: Math.max(0, ...over), putOff }]
      : [];
  });
}
