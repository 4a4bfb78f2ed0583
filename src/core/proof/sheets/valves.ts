import { group, list, optional, quantity, text } from '../../form';
import type { FitOut } from '../../engine';
import { mostMade, valveDischarge } from '../../sums';
import { plantFor } from '../../boiler';
import { above, dayWords, given, line, mark, minus, over, plus, psi, Refusal } from '../../units';
import { type Before, type Finding, judged, sheet } from '../sheet';

interface Lift {
  readonly lifted: number;
  readonly shut: number;
  readonly seat?: number;
  readonly opens?: number;
}

/** Where a valve lifted the last time, beside now. */
function drift(name: string, { lifted }: Lift, i: number, error: number, before: Before | undefined): Finding[] {
  const then = (before?.body.lifts as Lift[] | undefined)?.[i]?.lifted;
  if (then === undefined) return [];
  const moved = lifted - then;
  return [
    {
      verdict: 'measured',
      says: `${name} lifted at ${mark(then, 'pressure')} on ${dayWords(before!.day)}: ${Math.abs(moved) <= 2 * error ? 'no more apart than two readings are' : moved > 0 ? 'it lifts later than then' : 'it lifts sooner than then'}.`,
      steps: [
        line(
          'later than then',
          'pressure',
          minus(given('now', lifted, 'pressure', 'measured'), given('then', then, 'pressure', 'measured'))
        )
      ]
    }
  ];
}

/** Of a plain valve; what stands in the way of its steam takes the rest. */
const through = 0.65;

/** What they pass together by their sizes, beside the most that its fire makes; nothing where a size was not written down. */
function capacity(lifts: readonly Lift[], fitOut: FitOut): Finding[] {
  const made = { fitOut, plant: plantFor(fitOut) };
  const passes = lifts.flatMap(({ seat, opens }, i) =>
    seat === undefined || opens === undefined
      ? []
      : [valveDischarge.work({ set: fitOut.safetyValves[i]!.set, seat, lift: opens, cd: through }, made)]
  );
  if (passes.length < lifts.length) return [];
  const of = passes.map((p, i) => ({ ...above(p.steps.at(-1)!), name: `valve ${i + 1}` }));
  const together = line('pass together', 'mass flow', of.length > 1 ? plus(...of) : of[0]!);
  const { lines, most } = mostMade(made);
  const [all, fire] = [together.result.value, most.value];
  return [
    {
      verdict: 'measured',
      says: `By their sizes they pass ${mark(all, 'mass flow')} a tenth over their set; it makes ${mark(fire, 'mass flow')} at the most${all < fire ? ': they pass less than that' : ''}. Only an accumulation test shows what they pass.`,
      steps: [
        ...passes.flatMap((p) => p.steps),
        together,
        ...lines,
        line('passed, over what is made', 'ratio', over(above(together), most))
      ]
    }
  ];
}

/** Each safety valve by itself: where it lifts, and where it shuts again. */
export const valves = sheet({
  key: 'valves',
  name: 'Safety valves, set',
  how: [
    'In steam, by a compared gauge, each valve seen to lift and to shut by itself, the others held only under the examiner’s eye.',
    'Three lifts of each; the one that is furthest off is written down.',
    'Its sizes are for what it passes beside the fire that the engine has now: taken with the valve apart, and left open where they were not.'
  ],
  every: 'steamEvery',
  fields: ({ safetyValves: { length } }) =>
    group('Safety valves', {
      gauge: text('Which gauge, and when it was compared', 1, 200),
      error: quantity('Gauge read to, either way', 'pressure', 0, psi(20)),
      lifts: list(
        'Valves',
        'Valve',
        group('Valve', {
          lifted: quantity('Lifted at', 'pressure', 0, psi(700)),
          shut: quantity('Shut at', 'pressure', 0, psi(700)),
          seat: optional(quantity('Bore of its seat, if measured', 'length', 0.001, 0.15)),
          opens: optional(quantity('Its valve rises, if measured', 'length', 0.00005, 0.05))
        }),
        Math.max(1, length),
        Math.max(1, length)
      )
    }),
  starts: ({ safetyValves }) => ({ gauge: '', error: '', lifts: safetyValves.map(() => ({ lifted: '', shut: '' })) }),
  judge: ({ lifts, error }, fitOut, rules, before) => {
    const { safetyValves } = fitOut;
    if (lifts.length !== safetyValves.length)
      throw new Refusal(
        'lifts',
        `This engine has ${safetyValves.length} safety valve${safetyValves.length === 1 ? '' : 's'}: write each of them down.`
      );
    const each = lifts.flatMap((lift, i): Finding[] => {
      const { lifted, shut } = lift;
      if (shut > lifted) throw new Refusal(`lifts.${i}.shut`, 'A valve shuts under where it lifted: read both again.');
      const { set } = safetyValves[i]!;
      const name = `Valve ${i + 1}`;
      const was = given('lifted at', lifted, 'pressure', 'measured');
      const off = line('off its set', 'pressure', minus(was, given('set to', set, 'pressure', 'fit-out')));
      const down = line('shut under its lift', 'ratio', over(minus(was, given('shut at', shut, 'pressure', 'measured')), was));
      return [
        {
          verdict: judged((rules.valveWithin / 100) * set - Math.abs(lifted - set), error),
          says: `${name} lifted at ${mark(lifted, 'pressure')} and is set to ${mark(set, 'pressure')}; ${rules.valveWithin} % either way is allowed.`,
          steps: [off]
        },
        {
          verdict: judged(shut - (1 - rules.reseat / 100) * lifted, error),
          says: `${name} shut at ${mark(shut, 'pressure')}; ${rules.reseat} % under its lift is allowed.`,
          steps: [down]
        },
        ...drift(name, lift, i, error, before)
      ];
    });
    return [...each, ...capacity(lifts, fitOut)];
  }
});
