import { feedsOf } from '../../engine';
import { waterIn } from '../../forecast';
import { psi } from '../../units';
import { falls, lookError, rises, trendOf } from '../trend';
import type { Rule, View } from '../rule';
import { attended, fedTill, glassLine, lately, minute, ms, perGlass, stopped } from '../view';

/** By so much of the glass in ten minutes, with nothing that would do it. */
const much = 0.1;
const back = 11;
const shortest = 3 * minute;
const tooOld = 12 * minute;

/** How the water goes, as shares of a glass, with what swelling and shrinking do to a glass taken out: the last minutes' looks. */
function drift(view: View, since: number) {
  const { plant, looks, at } = view;
  const last = lately(looks, at, back).filter((l) => l.at >= since && l.gauge > psi(5));
  if (last.length < 2 || (last.at(-1)!.at - last[0]!.at) * 1000 < shortest) return undefined;
  const glass = perGlass(plant, last[0]!);
  const t = trendOf(
    last.map((l) => ({ at: l.at, value: waterIn(plant, l) / glass })),
    1.3 * lookError
  );
  return t && { t, last, inTen: t.rate * 600 };
}

/** When something last drew steam or let water go, s since 1970. */
function drewAt({ recent, state }: View): number {
  const open = (['regulator', 'blower', 'whistle', 'drains', 'blow-down', 'vent'] as const).some((v) => (state.valves[v]?.open ?? 0) > 0);
  if (open || state.open.drains) return Infinity;
  const last = recent.findLast(
    (e) => e.is === 'valve' || e.is === 'lift' || (e.is === 'seen' && (e.seen === 'blowing off' || e.seen === 'whistle note'))
  );
  return last ? ms(last.at) / 1000 : 0;
}

/** The glass falls and nothing takes it. */
export const falling: Rule = {
  key: 'falling',
  rank: 'look',
  clears: 'The glass steady.',
  on: (f) => f.glasses.length > 0,
  finds: (view) => {
    const { fitOut: f, state } = view;
    if (!attended(state) || !stopped(state)) return undefined;
    const found = drift(view, Math.max(drewAt(view), fedTill(view)));
    if (!found || found.inTen > -much || !falls(found.t)) return undefined;
    return {
      from: found.last.at(-1)!.at * 1000,
      till: found.last.at(-1)!.at * 1000 + tooOld,
      since: state.glass!.at,
      what: 'The glass falls, and nothing takes it that was logged',
      first: `Look for it: ${[
        ...(feedsOf(f).length ? ['a clack passing back, its pipe hot'] : []),
        ...(f.blowDown ? ['the blow-down weeping'] : []),
        'a leak'
      ].join('; ')}. In this order.`,
      evidence: [glassLine(found.last)]
    };
  }
};

/** The glass rises and nothing feeds it. */
export const rising: Rule = {
  key: 'rising',
  rank: 'look',
  clears: 'The glass steady, or a feed logged.',
  on: (f) => f.glasses.length > 0 && feedsOf(f).length > 0,
  finds: (view) => {
    const { fitOut: f, state, recent } = view;
    if (!attended(state)) return undefined;
    const { regulator } = state.valves;
    // Bubbles lift it when the regulator is opened: from there on it is another glass.
    const found = drift(view, Math.max(regulator ? ms(regulator.at) / 1000 : 0, fedTill(view)));
    if (!found || found.inTen < much || !rises(found.t)) return undefined;
    if (recent.some((e) => e.is === 'proven' && ms(e.at) / 1000 >= found.last[0]!.at)) return undefined;
    const bypass = f.feeds.some((x) => x.turning && x.bypassShutSendsTo !== 'none');
    return {
      from: found.last.at(-1)!.at * 1000,
      till: found.last.at(-1)!.at * 1000 + tooOld,
      since: state.glass!.at,
      what: 'The glass rises, and no feed is on that was logged',
      first: `${bypass ? 'See which way the bypass stands; then a feed or its clack passing.' : 'See whether a feed or its clack passes.'} It may be priming, and the glass not true.`,
      evidence: [glassLine(found.last)]
    };
  }
};
