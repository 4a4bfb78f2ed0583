import type { OccasionKey } from '../commission';
import { type FitOut, inSteamAt } from '../engine';
import { library, libraryVersion } from './library';
import { libraryOf } from './library/occasions';
import { showsAt } from './observations';
import { type Gate, opensAtPressure, type Phase, type Procedure, type Step, type StepRule } from './step';

const of = <T>(value: T | ((f: FitOut) => T), fitOut: FitOut): T =>
  typeof value === 'function' ? (value as (f: FitOut) => T)(fitOut) : value;

/** Without a pressure gauge a pressure cannot be waited for: what tells instead is waited for. */
const told: Record<FitOut['tellTale'], Gate[]> = {
  none: [],
  whistle: [{ kind: 'seen', what: 'whistle note' }],
  feather: [{ kind: 'seen', what: 'feather' }],
  spring: [{ kind: 'seen', what: 'spring stiff' }]
};

/** Steam is let on by a cock on some: what is said of a regulator is said of that. */
export const byControl = (text: string, { control }: FitOut): string =>
  control === 'steam cock' ? text.replaceAll('regulator', 'steam cock').replaceAll('Regulator', 'Steam cock') : text;

/** Phases in which the needle climbs: whatever an engine’s own figures are, no step stands behind one that opens at more. */
const rising: ReadonlySet<Phase> = new Set(['Raise', 'Prove']);

function step(rule: StepRule, phase: Phase, fitOut: FitOut): Step {
  const gates = of(rule.gates ?? [], fitOut).flatMap((gate) =>
    gate.kind === 'pressure' && !fitOut.gauge ? told[fitOut.tellTale] : [gate]
  );
  // Without a needle nothing else keeps it from being said while it is cold.
  if (!fitOut.gauge && rule.sees && showsAt[rule.sees] !== undefined && rising.has(phase) && !gates.some((g) => g.kind === 'seen'))
    gates.push({ kind: 'comes', what: rule.sees });
  const caution = rule.caution && of(rule.caution, fitOut);
  const proof = rule.proof?.(fitOut);
  const said = (text: string) => byControl(text, fitOut);
  return {
    key: rule.key,
    phase,
    what: said(of(rule.what, fitOut)),
    how: said(of(rule.how, fitOut)),
    why: said(of(rule.why, fitOut)),
    ...(caution ? { caution: said(caution) } : {}),
    gates: gates.filter((g) => g.kind !== 'pressure falls' || fitOut.gauge),
    needs: rule.needs ?? [],
    evidence:
      rule.evidence === 'glass reading' && fitOut.glasses.length === 0
        ? 'tick'
        : rule.evidence === 'pressure reading' && !fitOut.gauge
          ? 'tick'
          : (rule.evidence ?? 'tick'),
    ...(proof ? { proof } : {}),
    ...(rule.again ? { again: true } : {}),
    ...(rule.round ? { round: rule.round } : {}),
    ...(rule.asks?.(fitOut).length ? { asks: rule.asks(fitOut) } : {}),
    ...(rule.shown ? { shown: rule.shown } : {}),
    opens: of(rule.opens ?? [], fitOut),
    closes: of(rule.closes ?? [], fitOut),
    sets: of(rule.sets ?? [], fitOut),
    ...(rule.act ? { act: rule.act } : {}),
    ...(rule.purge?.(fitOut) ? { purge: rule.purge(fitOut) } : {}),
    ...(rule.sees ? { sees: rule.sees } : {}),
    ...(rule.proves ? { proves: rule.proves(fitOut) } : {}),
    chore: rule.chore ?? false,
    ...(rule.kept ? { kept: true } : {}),
    ...(rule.flammable ? { flammable: true } : {}),
    ...(rule.away ? { away: true } : {}),
    must: rule.must ?? false,
    ...(rule.ends ? { ends: true } : {}),
    ...(rule.cycle ? { cycle: rule.cycle } : {}),
    minutes: of(rule.minutes, fitOut),
    who: rule.who ?? 'keeper',
    materials: of(rule.materials ?? [], fitOut)
  };
}

/** The pressure from which each step can be done on the way up, Pa: its own gate’s, and never less than that of what it needs. */
export function opensFrom(steps: readonly Step[], fitOut: FitOut): ReadonlyMap<string, number> {
  const inSteam = inSteamAt(fitOut);
  const from = new Map<string, number>();
  for (const { key, gates, needs } of steps)
    from.set(key, Math.max(0, ...gates.map((g) => opensAtPressure(g, inSteam) ?? 0), ...needs.map((need) => from.get(need) ?? 0)));
  return from;
}

const risen = (steps: readonly Step[], fitOut: FitOut): readonly Step[] => {
  const from = opensFrom(steps, fitOut);
  // What waits for nothing belongs behind the step it stands behind in the library.
  let place = 0;
  const placed = steps.map((step) => ({ step, place: (place = from.get(step.key) || place) }));
  return placed.sort((a, b) => a.place - b.place).map(({ step }) => step);
};

/**
 * The procedure that fits an engine: the library's steps whose fit-out it has, in the library's order, worded for it.
 * A step never waits for one that this engine does not have. @param occasion what it is worked on for
 */
export function compose(fitOut: FitOut, occasion: OccasionKey = 'running'): Procedure {
  const of = libraryOf(library, occasion);
  const has = new Set(of.flatMap(({ rules }) => rules.filter((rule) => rule.when?.(fitOut) ?? true).map((rule) => rule.key)));
  const steps = of.flatMap(({ phase, rules }) => {
    const composed = rules
      .filter((rule) => has.has(rule.key))
      .map((rule) => step(rule, phase, fitOut))
      .map((s) => ({
        ...s,
        needs: s.needs.filter((key) => has.has(key)),
        gates: s.gates.filter((g) => g.kind !== 'minutes' || has.has(g.after))
      }));
    return rising.has(phase) ? risen(composed, fitOut) : composed;
  });
  return { library: libraryVersion, steps };
}
