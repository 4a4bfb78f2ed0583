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
/** Heavy enough, and on rails, to carry people. */
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
/** A second bore to be plugged while the fan draws on the first. */
export const bores = (f: FitOut) => fan(f) && f.fire.with === 'solid' && f.fire.chimneyBores === 2;
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
export const onItsPin = psi(1);
/** Nothing is opened, drained or turned by hand before the pressure is gone; without a gauge, before it is cold to the hand. */
export const depressured = (f: FitOut): readonly Gate[] => [
  { kind: 'fire out' },
  f.gauge ? { kind: 'pressure falls', atMost: onItsPin } : { kind: 'seen', what: 'engine cold' }
];
/** Holds its heat for hours after the needle is down, and is strained when it is opened to cold air: riveted, or large. */
export const slow = (f: FitOut): boolean => f.shell.joints === 'riveted' || f.size === 'full';
/** The same, and cold to the hand where the boiler is slow to cool. */
export const cooled = (f: FitOut): readonly Gate[] => [
  ...depressured(f),
  ...(f.gauge && slow(f) ? [{ kind: 'seen', what: 'engine cold' } as const] : [])
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

/** Sentences that hold for this engine, one after the other. */
export const sentences = (...of: readonly (string | false | undefined)[]): string => of.filter(Boolean).join(' ');
/** As it is said in a sentence: “a”, “a and b”, “a, b and c”. */
export const listed = (of: readonly (string | false | undefined)[], and = 'and'): string => {
  const said = of.filter((x): x is string => Boolean(x));
  return said.length < 2 ? said.join('') : `${said.slice(0, -1).join(', ')} ${and} ${said.at(-1)!}`;
};
/** With a capital, at the head of a sentence. */
export const capital = (said: string): string => said.replace(/^\p{L}/u, (c) => c.toUpperCase());
export const pumps = (f: FitOut) => f.feeds.some((x) => x.plumbed && x.kind.endsWith('pump'));
/** A pump that the engine turns. */
export const turned = (f: FitOut) => feeds(f, 'axle pump', 'crosshead pump', 'crankshaft pump');
/** A feed whose water goes to the boiler or back to the tank. */
export const bypassed = (f: FitOut) => f.feeds.some((x) => x.plumbed && x.bypassShutSendsTo !== 'none');
/** Turned by an engine that can run without moving off: proven standing. */
export const standingPump = (f: FitOut) => (f.drive === 'gears' || f.drive === 'clutch' ? feeds(f, 'crankshaft pump') : []);
/** Proven only once it moves, or works. */
export const movingPump = (f: FitOut) => turned(f).filter((x) => !standingPump(f).includes(x));
/** What holds it where it stands. */
export const held = (f: FitOut): string =>
  capital(
    listed([
      f.brakes.length > 0 && 'brake on',
      wheels(f) && 'chocked',
      f.drive === 'gears' ? 'out of gear' : f.drive === 'clutch' ? 'clutch out' : !wheels(f) && 'nothing in its way'
    ])
  );
/** What lets steam or air out at the top, for a moment, and does no work. */
export const outlet = (f: FitOut) => (f.whistle ? 'whistle' : f.vent ? 'vent' : solid(f) ? 'blower' : 'regulator');

/** Can be turned by hand: put out of gear, its clutch out, or standing on no wheels. What weighs tonnes is turned by its flywheel, if at all. */
export const turning = (f: FitOut): boolean => f.drive === 'gears' || f.drive === 'clutch' || !wheels(f);
/**
 * How the water leaves after a day: hot for the sludge, or cool; undefined where it stays in. A boiler that is to be stored dry has to be
 * run out, whatever else its owner does.
 */
export const emptied = (f: FitOut): 'hot' | 'cool' | undefined =>
  !f.blowDown || (f.storage === 'full' && f.habits.blowDown === 'full') ? undefined : f.habits.blowDown === 'hot' ? 'hot' : 'cool';
/** What breaks the vacuum of a boiler that has cooled. */
export const openedCold = (f: FitOut) => (f.vent ? 'vent' : outlet(f));
/** Filled for the night while there is pressure to do it, and left so. */
export const kept = (f: FitOut): boolean => f.storage === 'full' && emptied(f) === undefined && glass(f) && fed(f);
/** What it burns, as it is called on the shovel. */
export const fuelOf = (f: FitOut): string =>
  f.fire.with !== 'solid' ? '' : f.fire.fuel === 'charcoal' || f.fire.fuel === 'wood' ? f.fire.fuel : 'coal';
/** Feeds that work with the boiler in steam. */
export const feedsAt = (f: FitOut) => f.feeds.filter((x) => x.plumbed && x.kind !== 'bottle');
/** Any feed that works with the boiler in steam. */
export const fed = (f: FitOut): boolean => feedsAt(f).length > 0;
