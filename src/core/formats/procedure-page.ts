import { type FitOut, inSteamAt } from '../engine';
import { compose, type Gate, observations, opensAtPressure, phases, rounds, type Step, things } from '../procedure';
import { mark, printMarks, usualUnits } from '../units';

const gateWords = (gate: Gate, steps: readonly Step[]): string => {
  switch (gate.kind) {
    case 'pressure':
      return `from ${mark(gate.atLeast, 'pressure')}`;
    case 'pressure falls':
      return `once it has fallen to ${mark(gate.atMost, 'pressure')}`;
    case 'seen':
      return `once seen: ${observations[gate.what]}`;
    case 'comes':
      return 'no sooner than it can be there';
    case 'minutes':
      return `${gate.minutes} min after “${steps.find((s) => s.key === gate.after)?.what ?? gate.after}”`;
    case 'fire out':
      return 'once the fire is out';
    case 'ending':
      return 'as the running ends';
  }
};

function lines(step: Step, steps: readonly Step[], inSteam: number): string[] {
  const { what, how, why, caution, gates, needs, evidence, proof, opens, closes, must, round, shown } = step;
  const named = (key: string) => `“${steps.find((s) => s.key === key)?.what ?? key}”`;
  const marks = [
    ...gates.map((g) => gateWords(g, steps)),
    ...(needs.length ? [`after ${needs.map(named).join(', ')}`] : []),
    ...(evidence === 'tick' ? [] : [`shown by ${evidence === 'initials' ? 'initials' : `a ${evidence}`}`]),
    ...(proof ? ['judged by this engine’s figures'] : []),
    ...(shown ? ['not asked where the log shows it'] : []),
    ...opens.map((t) => `opens: ${things[t].open}`),
    ...closes.map((t) => `closes: ${things[t].open}`),
    ...(must ? ['not one to skip'] : []),
    ...(round ? [`round: ${rounds[round].what}`] : []),
    ...(gates.some((g) => g.kind === 'seen' && opensAtPressure(g, inSteam)) ? ['told without a gauge'] : [])
  ];
  return [
    `- [ ] **${what}** ${how}`,
    ...(caution ? [`  - ▲ ${caution}`] : []),
    `  - *${why}*`,
    ...(marks.length ? [`  - ${marks.join(' · ')}`] : [])
  ];
}

/** The composed procedure of an engine as a Markdown checklist, in the usual units: by phase, each point with its reason and what it waits for. */
export function procedurePage(fitOut: FitOut): string {
  const { library, steps } = compose(fitOut);
  const inSteam = inSteamAt(fitOut);
  const page = [
    `# ${fitOut.name}`,
    '',
    `${fitOut.description}, ${fitOut.scale}. Library ${library}, ${steps.length} points. The club’s boiler code and the examiner come before it.`,
    ...phases.flatMap((phase) => {
      const here = steps.filter((s) => s.phase === phase);
      return here.length ? ['', `## ${phase}`, '', ...here.flatMap((s) => lines(s, steps, inSteam))] : [];
    })
  ];
  return `${printMarks(page.join('\n'), usualUnits)}\n`;
}
