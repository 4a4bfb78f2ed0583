import { type Feed, feedsOf, type FitOut } from '../engine';
import { openFaults, type State } from '../log';
import { psi } from '../units';

/**
 * The feeds that can be worked as it is now: that work at this pressure, standing or moving as it is, with no fault open that names them;
 * those seen to work today first, and among them those that do not need the engine to turn.
 */
export function feedsNow(
  { feeds }: Pick<FitOut, 'feeds'>,
  state: Pick<State, 'pressure' | 'valves' | 'phase' | 'feeds' | 'faults' | 'before'>
): Feed[] {
  const pressure = (state.pressure?.value ?? 0) + psi(0.5);
  const { regulator } = state.valves;
  const moves = regulator ? regulator.open > 0 : state.phase === 'Run';
  const faulty = ({ name }: Feed) =>
    openFaults(state).some((x) => x.forbids !== 'nothing' && x.text.toLowerCase().includes(name.toLowerCase()));
  const rank = (x: Feed) => (state.feeds[x.name]?.proven ? 0 : 2) + (x.turning ? 1 : 0);
  return feedsOf({ feeds })
    .filter((x) => x.from <= pressure && (!x.turning || moves) && !faulty(x))
    .sort((a, b) => rank(a) - rank(b));
}

/** A feed by name, with which way its bypass stands for the water to go to the boiler. */
export const feedWords = ({ name, bypassShutSendsTo: to }: Feed): string =>
  `${name.toLowerCase()}${to === 'none' ? '' : `, bypass ${to === 'boiler' ? 'shut' : 'open'}`}`;

/** Which feed now, and which if it will not. */
export function feedNow(fitOut: FitOut, state: State): string {
  const [first, next] = feedsNow(fitOut, state);
  if (first) return `Feed now: ${feedWords(first)}${next ? `; if it will not, ${feedWords(next)}` : ''}.`;
  return feedsOf(fitOut).length ? 'No feed on this engine works as it is now: fire down.' : 'Nothing feeds this engine: fire out.';
}
