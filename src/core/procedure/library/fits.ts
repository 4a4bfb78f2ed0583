import { type FitOut, inSteamAt } from '../../engine';
import { mark, psi } from '../../units';
import type { Gate } from '../step';

// Questions that many steps ask of a fit-out.
export const solid = (f: FitOut) => f.fire.with === 'solid';
export const gas = (f: FitOut) => f.fire.with === 'gas';
export const electric = (f: FitOut) => f.fire.with === 'electric';
export const spirit = (f: FitOut) => f.fire.with === 'spirit';
export const wheels = (f: FitOut) =>
  f.kind === 'tank locomotive' || f.kind === 'tender locomotive' || f.kind === 'road engine' || f.kind === 'portable';
export const rails = (f: FitOut) => f.kind === 'tank locomotive' || f.kind === 'tender locomotive';
export const road = (f: FitOut) => f.kind === 'road engine' || f.kind === 'portable';
export const carries = (f: FitOut) => rails(f) && f.mass > 12;
export const glass = (f: FitOut) => f.glasses.length > 0;
export const feeds = (f: FitOut, ...kinds: FitOut['feeds'][number]['kind'][]) => f.feeds.filter((x) => x.plumbed && kinds.includes(x.kind));
export const hasFeed =
  (...kinds: FitOut['feeds'][number]['kind'][]) =>
  (f: FitOut) =>
    feeds(f, ...kinds).length > 0;
export const lubricated = (kind: FitOut['lubrication'][number]['kind']) => (f: FitOut) => f.lubrication.some((p) => p.kind === kind);
export const both =
  (...tests: ((f: FitOut) => boolean)[]) =>
  (f: FitOut) =>
    tests.every((test) => test(f));
export const not = (test: (f: FitOut) => boolean) => (f: FitOut) => !test(f);
export const bores = (f: FitOut) => f.fire.with === 'solid' && f.fire.chimneyBores === 2;
export const fan = (f: FitOut) => f.fire.with === 'solid' && f.fire.draught === 'fan';
export const air = (f: FitOut) => f.fire.with === 'solid' && f.fire.draught === 'compressed air';
export const damper = (f: FitOut) => f.fire.with === 'solid' && f.fire.damper;
export const drains = (f: FitOut) => f.cylinders.drains !== 'none';

export const valveOut = (f: FitOut) => f.safetyValves.some((v) => v.unscrewsToFill);
/** A boiler filled through a hole that is then shut: a safety valve's, or a filler of its own. */
export const filledThroughTop = (f: FitOut) => valveOut(f) || f.feeds.some((x) => x.kind === 'bottle');

/** Big boilers are filled by a hose that has to come off again before fire. */
export const byHose = (f: FitOut) => f.size === 'full';

// Pressures, as gates and as words: marked, so that each reader sees their own units.
export const p = (pascal: number) => mark(pascal, 'pressure');
export const names = (list: readonly { name: string }[]) => list.map((x) => x.name.toLowerCase()).join(', ');
export const at = (pascal: number): readonly Gate[] => [{ kind: 'pressure', atLeast: pascal }];
/** A share of working pressure in whole psi, and never more than an engine whose valves lift early comes to. */
export const wp = (f: FitOut, share = 1) =>
  at(Math.min(Math.round((f.workingPressure * share) / psi(1)), Math.floor(inSteamAt(f) / psi(1))) * psi(1));
/** A needle on its pin, to as near as it is read, Pa at the gauge. */
const onItsPin = psi(1);
/** Nothing is opened, drained or turned by hand before the pressure is gone; without a gauge, before it is cold to the hand. */
export const cooled = (f: FitOut): readonly Gate[] => [
  { kind: 'fire out' },
  f.gauge ? { kind: 'pressure falls', atMost: onItsPin } : { kind: 'seen', what: 'engine cold' }
];
/** Pressure at which the blower takes over from the fan: the owner's own figure, or 30 psi; late is half working pressure. */
export const changeover = (f: FitOut): number =>
  f.fire.with !== 'solid'
    ? 0
    : f.habits.changeover === 'late'
      ? Math.max(f.fire.blower ?? 0, f.workingPressure / 2)
      : (f.fire.blower ?? psi(30));
/** Blow-down pressure: 20 to 30 psi, and never more than a third of working pressure for small boilers. */
export const blowDownAt = (f: FitOut): number => Math.min(psi(25), f.workingPressure / 3);
