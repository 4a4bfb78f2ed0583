import type { Plant } from '../src/core/boiler';
import type { FitOut } from '../src/core/engine';
import { type Bodies, isAsked, type Kind, type Log } from '../src/core/log';
import type { Step } from '../src/core/procedure';
import { isTimed, stopOf, usualFilling } from '../src/core/sums';

type Written = { [K in Kind]: { readonly kind: K; readonly body: Bodies[K] } }[Kind];

const ml = (volume: number) => Math.round(volume * 1e6) / 1e6;

/** Fuel that ends before the water, in whole grams, kg: a further run begins hot, and takes less. */
function charged(fitOut: FitOut, plant: Plant, further: boolean): number {
  const most = stopOf(usualFilling({ fitOut, plant }), { fitOut, plant });
  const charge = 'refused' in most ? 0 : (most.charge ?? 0);
  return Math.floor(charge * (further ? 0.62 : 0.96) * 1000) / 1000;
}

/** Numbers that a step asks for, as its card writes them. @param liquid kg of water truly in the boiler */
export function measured(
  { asks = [], proof, cycle }: Step,
  { state }: Log,
  fitOut: FitOut,
  plant: Plant,
  liquid: () => number | undefined
): Written[] {
  const { fire } = fitOut;
  const timed = isTimed(fitOut);
  const warm = cycle === 'further' ? ('hot' as const) : fitOut.habits.fill === 'warm' ? ('warm' as const) : undefined;
  if (proof?.kind === 'joints') return proof.names.map((test) => ({ kind: 'test', body: { test, result: 'pass' } }));
  return asks.flatMap((ask): Written[] => {
    if (ask === 'water in' && proof?.kind === 'water') {
      const volume = ml(proof.fill - (state.boiler?.sure ? state.boiler.volume : 0));
      return volume > 0 ? [{ kind: 'water', body: { act: 'in', volume, ...(warm ? { warm } : {}) } }] : [];
    }
    const found = ask === 'water left' || ask === 'water out' ? liquid() : undefined;
    if (found !== undefined) return [{ kind: 'water', body: { act: ask === 'water out' ? 'out' : 'left', volume: ml(found / 960) } }];
    const grams = charged(fitOut, plant, state.runs.length > 0);
    if (ask === 'charge' && fire.with === 'spirit')
      return [{ kind: 'charge', body: { mass: fire.weight ?? grams, fuel: fire.fuel, ...(fire.pieces ? { pieces: fire.pieces } : {}) } }];
    if (ask === 'charge') return [{ kind: 'charge', body: { mass: grams, fuel: 'gas' } }];
    if (fire.with !== 'gas' || fire.empty === null) return [];
    if (ask === 'canister')
      return [{ kind: 'measured', body: { what: 'canister', mass: fire.empty + (timed ? grams : 0.8 * fire.canister) } }];
    return ask === 'canister after' && state.fire.litAt
      ? [{ kind: 'measured', body: { what: 'canister after', mass: fire.empty + (timed ? 0 : 0.5 * fire.canister) } }]
      : [];
  });
}

/** On an engine that is timed, a step of its steam that nobody came to before the fire was out: it is left, and said to be. */
export function outOfTime({ context, state }: Log): string | undefined {
  const { fire, runs, steps } = state;
  if (!isTimed(context.fitOut) || !runs.length || fire.outAt === undefined) return undefined;
  return context.procedure.steps.find(
    (s) => (s.phase === 'Raise' || s.phase === 'Prove' || s.act === 'move') && !s.must && !s.cycle && !steps[s.key] && isAsked(s, state)
  )?.key;
}
