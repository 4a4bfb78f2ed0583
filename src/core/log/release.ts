import type { FitOut } from '../engine';
import { feedsAt, things } from '../procedure';
import { mark } from '../units';
import { openFaults, type State } from './state';

/** RELEASE TO RUN: what was seen of each thing that must work, from the log and nothing else. */

/** One thing that must work, and what is known of it today. */
export interface Item {
  /** As it is called on this engine; a test of it is logged under this name. */
  readonly name: string;
  readonly result: 'passed' | 'failed' | 'not tested';
  /** What showed it, or why not. */
  readonly how?: string;
  readonly at?: string;
  readonly by?: string;
}

const within = (text: string, name: string): boolean => text.toLowerCase().includes(name.toLowerCase());

/** A feed that was seen to work today, or was tested and passed, with no fault open that names it. */
export function isProven(state: State, feed: string): boolean {
  const tested = state.tests[feed]?.result;
  const seen = state.feeds[feed]?.proven || tested === 'pass';
  return Boolean(seen) && tested !== 'fail' && !openFaults(state).some((f) => within(f.text, feed));
}

/** The feeds that work with the boiler in steam, and which of them are proven. */
export function feedsProven(fitOut: FitOut, state: State) {
  const able = feedsAt(fitOut).map((x) => x.name);
  return { able, proven: able.filter((name) => isProven(state, name)) };
}

/** What was seen of each, by the steps that look at it. */
function seenBy(name: string, keys: readonly string[], { steps }: State): Item {
  const told = keys.map((key) => steps[key]).find((s) => s !== undefined);
  if (told?.outcome !== 'done' || told.against)
    return { name, result: 'not tested', ...(told?.reason ? { how: told.reason } : {}), ...(told?.against ? { how: told.against } : {}) };
  return { name, result: 'passed', at: told.at, by: told.by, ...(told.reason ? { how: told.reason } : {}) };
}

function valveSeen(name: string, n: number, { lifts }: State): Item {
  const of = lifts.filter((l) => l.valve === n);
  const [lifted, shut] = [of.find((l) => l.lifted !== undefined), of.find((l) => l.reseated !== undefined)];
  if (!lifted) return { name, result: 'not tested', how: 'not seen to lift' };
  const at = mark(lifted.lifted!, 'pressure');
  return shut
    ? { name, result: 'passed', how: `lifted at ${at}, shut at ${mark(shut.reseated!, 'pressure')}`, at: shut.at }
    : { name, result: 'not tested', how: `lifted at ${at}, not seen to shut` };
}

const lubricators = { displacement: 'displacement', mechanical: 'mechanical', 'sight feed': 'sight-feed' } as const;

/** Everything of an engine that is released, in the order in which it is looked at. */
function looked(f: FitOut, state: State): Item[] {
  const { able } = feedsProven(f, state);
  const many = (list: readonly unknown[], one: string) => list.map((_, i) => (list.length > 1 ? `${one} ${i + 1}` : one));
  const kinds = [...new Set(f.lubrication.map((p) => p.kind))].filter((k): k is keyof typeof lubricators => k in lubricators);
  return [
    ...able.map((name): Item => {
      const of = state.feeds[name];
      return of?.proven ? { name, result: 'passed', how: 'seen to feed', ...(of.provenAt ?? {}) } : { name, result: 'not tested' };
    }),
    ...(f.gauge
      ? many(f.safetyValves, 'Safety valve').map((name, i) => valveSeen(name, i + 1, state))
      : [seenBy('Relief valve', ['relief'], state)]),
    ...(f.fire.with === 'gas' ? [seenBy('Gas joints', ['gas-leak'], state)] : []),
    ...many(f.glasses, 'Gauge glass').map((name) => seenBy(name, ['blow-through', 'glass-follows'], state)),
    ...(f.gauge ? [seenBy('Pressure gauge', ['gauge-agrees'], state)] : []),
    ...f.brakes.map(({ kind }) =>
      seenBy(`${kind[0]!.toUpperCase()}${kind.slice(1)} brake`, [kind === 'hand' ? 'brakes' : 'brake-proof'], state)
    ),
    ...(f.whistle ? [seenBy('Whistle', ['whistle', 'spirit-steam'], state)] : []),
    ...(f.fire.with === 'solid' ? [seenBy('Blower', ['blower-proof'], state)] : []),
    ...kinds.map((kind) => seenBy(`${kind[0]!.toUpperCase()}${kind.slice(1)} lubricator`, [lubricators[kind]], state)),
    ...(f.cylinders.drains === 'none' ? [] : [seenBy('Drains', ['warm-through'], state)])
  ];
}

/** What is said of each outright, or is open against it, stands over what a step showed. */
function judged(item: Item, state: State): Item {
  const fault = openFaults(state).find((f) => within(f.text, item.name));
  if (fault) return { ...item, result: 'failed', how: fault.text };
  const test = state.tests[item.name];
  if (!test || test.result === 'noted') return test?.text ? { ...item, how: test.text } : item;
  const { at, by } = test;
  return { name: item.name, result: test.result === 'pass' ? 'passed' : 'failed', at, by, ...(test.text ? { how: test.text } : {}) };
}

export const released = (fitOut: FitOut, state: State): Item[] => looked(fitOut, state).map((item) => judged(item, state));

/** What still stands open, as it is said. */
export const standingOpen = ({ open }: State): string[] =>
  Object.keys(open).flatMap((key) =>
    key === 'fire' || key === 'canister' || key === 'mains' ? [] : [things[key as keyof typeof things].open]
  );
