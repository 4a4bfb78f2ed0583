import type { FitOut } from '../engine';
import { fold } from '../log';
import { compose } from '../procedure';
import { printMarks, usualUnits } from '../units';
import { drillsOf, type DrillStep, lowWater, saidOf } from '../watch';

const listed = (steps: readonly DrillStep[]): string =>
  steps
    .map((s, i) => {
      const does = typeof s === 'string' ? '' : s.count ? ` (counted: ${s.count} s)` : ' (one touch logs it)';
      return `${i + 1}. ${printMarks(saidOf(s), usualUnits)}${does}`;
    })
    .join('\n');

/** The drills of engines as a page to read, each as it stands on its Footplate before it is lit. */
export const drillsPage = (fitOuts: readonly FitOut[]): string =>
  [
    '# Drills\n\nWhat Joram says when something is wrong, for each of the ten patterns, printed by `npx tsx tools/procedures.ts` and held by a test. The club’s own emergency rules come first where they differ.',
    ...fitOuts.map((fitOut) => {
      const { state } = fold({ fitOut, procedure: compose(fitOut), keeper: '' }, []);
      const { question } = lowWater(fitOut, state);
      return [
        `## ${fitOut.name}`,
        `### Low water\n\n${question!.ask}`,
        ...question!.answers.map((a) => `**${a.answer}**\n\n${listed(a.steps)}${a.then ? `\n\n${printMarks(a.then, usualUnits)}` : ''}`),
        ...drillsOf(fitOut).map((d) => `### ${d.title}\n\n${listed(d.steps ?? [])}${d.then ? `\n\n${printMarks(d.then, usualUnits)}` : ''}`)
      ].join('\n\n');
    })
  ].join('\n\n') + '\n';
