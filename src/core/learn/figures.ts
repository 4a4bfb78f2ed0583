import type { Plant } from '../boiler';
import type { FitOut } from '../engine';
import type { Heating } from '../forecast';
import type { Kind } from '../units';
import { before, fitTogether } from './burners';
import { lossFrom } from './cooling';
import type { Past } from './past';
import type { Fit, Learnt } from './raising';
import type { Judged } from './told';

/** One figure of an engine as its past shows it. */
export interface Figure {
  readonly key: 'heat' | 'lag' | 'boost' | 'loss' | 'metal' | 'day';
  readonly name: string;
  readonly kind: Kind;
  readonly value: number;
  /** Edges between which it lies eight times in ten. */
  readonly low: number;
  readonly high: number;
  /** What its class would have. */
  readonly usual: number;
  /** How much was learnt: 1 − variance after ÷ variance before. */
  readonly learnt: number;
  readonly how: string;
}

const z = 1.2816;
/** What more raisings do not tell better, as logarithms: the same wrong water level every time, leaks that follow pressure and not warmth. */
const never = { heat: 0.05, loss: 0.03, boost: 0.12, steadyHeat: 0.02, steadyLoss: 0.06 } as const;
const asPercent = (l: Learnt): Learnt => ({ ...l, value: l.value + Math.log(100) });
const withFloor = (l: Learnt, floor: number): Learnt => ({ value: l.value, spread: Math.hypot(l.spread, floor) });

/** The figures that a past can tell, and only those: a figure of which nothing was learnt is left to its class. */
export function figuresOf(
  fitOut: FitOut,
  plant: Plant,
  usual: Heating,
  heating: Heating,
  counted: readonly Judged[],
  pasts: readonly Past[]
): Figure[] {
  if (!counted.length) return [];
  const figure = (key: Figure['key'], name: string, kind: Kind, l: Learnt, prior: Learnt, how: string): Figure => ({
    key,
    name,
    kind,
    value: Math.exp(l.value),
    low: Math.exp(l.value - z * l.spread),
    high: Math.exp(l.value + z * l.spread),
    usual: Math.exp(prior.value),
    learnt: Math.max(0, 1 - (l.spread / prior.spread) ** 2),
    how
  });
  const pooled = (of: (f: Fit) => Learnt | undefined, prior: Learnt, day: number): Learnt | undefined => {
    const seen = counted.flatMap((j) => of(j.fit) ?? []);
    if (!seen.length) return undefined;
    const weights = seen.map((s) => 1 / (s.spread ** 2 + day ** 2));
    const precision = 1 / prior.spread ** 2 + weights.reduce((a, w) => a + w, 0);
    const value = (prior.value / prior.spread ** 2 + seen.reduce((a, s, i) => a + weights[i]! * s.value, 0)) / precision;
    return { value, spread: Math.sqrt(1 / precision) };
  };
  const out: Figure[] = [];
  const lossPrior: Learnt = { value: Math.log(plant.vessel.loss), spread: before.loss };
  const cooled = pasts.flatMap((p) => lossFrom(plant, p, lossPrior) ?? []);
  const together = fitOut.fire.with === 'solid' ? undefined : fitTogether(plant, usual, pasts);
  const heatPrior: Learnt = { value: usual.lnHeat, spread: usual.heatSpread };
  const heat = together?.lnMean ?? pooled((f) => f.lnMean, heatPrior, 0.4 * usual.heatSpread);
  if (heat)
    out.push(
      figure(
        'heat',
        'Heat that reaches the water',
        'power',
        withFloor(heat, together ? never.steadyHeat : never.heat),
        heatPrior,
        together
          ? 'several raisings read together'
          : fitOut.pace
            ? 'each raising read by itself, then their mean; what its fire could give beyond its pace does not show'
            : 'each raising read by itself, then their mean'
      )
    );
  const lagPrior: Learnt = { value: Math.log(usual.lag), spread: usual.lagSpread };
  const lag = together?.lnLag ?? pooled((f) => f.lnLag, lagPrior, 0.5 * usual.lagSpread);
  if (lag) out.push(figure('lag', 'Time the fire takes to come up', 'time', lag, lagPrior, 'from how late the needle began to move'));
  const boostPrior: Learnt = { value: usual.lnBoost, spread: usual.boostSpread };
  const boost = usual.boostSpread > 0 ? pooled((f) => f.lnGain, boostPrior, 0.75 * usual.boostSpread) : undefined;
  if (boost)
    out.push(
      figure(
        'boost',
        'Heat on the blower, of that on the fan',
        'percent',
        asPercent(withFloor(boost, never.boost)),
        asPercent(boostPrior),
        'from before and after the changeover'
      )
    );
  const weights = cooled.map((c) => 1 / (c.spread ** 2 + 0.03 ** 2));
  const precision = 1 / lossPrior.spread ** 2 + weights.reduce((a, w) => a + w, 0);
  const loss: Learnt | undefined = together
    ? together.lnLoss
    : cooled.length
      ? {
          value: (lossPrior.value / lossPrior.spread ** 2 + cooled.reduce((a, c, i) => a + weights[i]! * c.value, 0)) / precision,
          spread: Math.sqrt(1 / precision)
        }
      : undefined;
  if (loss)
    out.push(
      figure(
        'loss',
        'Heat lost while it cools, per kelvin',
        'loss',
        withFloor(loss, together ? never.steadyLoss : never.loss),
        lossPrior,
        cooled.length
          ? 'from how it cooled with the fire out: to the air, by small leaks, by draught through the tubes'
          : 'several raisings read together'
      )
    );
  if (together)
    out.push(
      figure(
        'metal',
        'Heat held by the metal, per kelvin',
        'heat capacity',
        together.lnMetal,
        { value: Math.log(plant.vessel.metal), spread: before.metal },
        'hardly to be told from its heat: mostly its drawing'
      )
    );
  const scatter = Math.sqrt(Math.max(0, heating.heatSpread ** 2 - (heat?.spread ?? 0) ** 2));
  out.push({
    key: 'day',
    name: 'One day differs from the next by',
    kind: 'percent',
    value: scatter * 100,
    low: scatter * 100,
    high: scatter * 100,
    usual: 40 * usual.heatSpread,
    learnt: counted.length / (counted.length + 4),
    how: 'scatter of the heat of its raisings'
  });
  return out.filter((f) => f.key === 'heat' || f.key === 'day' || (f.learnt > 0.1 && (f.key !== 'lag' || f.value > 30)));
}
