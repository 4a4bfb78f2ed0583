import type { FitOut } from '../engine';
import { type Entry, fold, type State } from '../log';
import { compose } from '../procedure';
import { printMarks, printText, usualUnits } from '../units';
import { drillsOf, type DrillStep, lowWater, saidOf } from '../watch';

const listed = (steps: readonly DrillStep[]): string =>
  steps
    .map((s, i) => {
      const does = typeof s === 'string' ? '' : s.count ? ` (counted: ${printText(s.count, 'time', usualUnits)})` : ' (one touch logs it)';
      return `${i + 1}. ${printMarks(saidOf(s), usualUnits)}${does}`;
    })
    .join('\n');

/** A minute in steam: lit, warm, at four fifths of working pressure where a needle shows it. */
function inSteam(fitOut: FitOut): State {
  const at = '2026-06-13T10:00:00.000Z';
  const made = [
    ['water', { act: 'in', volume: fitOut.fill ?? 1, warm: 'warm' }],
    ['fire', { act: 'light' }],
    ...(fitOut.gauge ? [['reading', { pressure: 0.8 * fitOut.workingPressure }] as const] : [])
  ] as const;
  const entries = made.map(([kind, body], i) => ({ id: `0${i}`, kind, body, at, by: '', source: 'person' }) as Entry);
  return fold({ fitOut, procedure: compose(fitOut), keeper: '' }, fitOut.glasses.length ? entries.slice(1) : entries).state;
}

/** The drills of engines as a page to read, each as it stands on its Footplate in steam. */
export const drillsPage = (fitOuts: readonly FitOut[]): string =>
  [
    '# Drills\n\nWhat Joram says when something is wrong, for each of the ten patterns, printed by `npx tsx tools/procedures.ts` and held by a test. The club’s own emergency rules come first where they differ.',
    ...fitOuts.map((fitOut) => {
      const state = inSteam(fitOut);
      const { question } = lowWater(fitOut, state, Date.parse(state.fire.litAt!) + 60_000);
      return [
        `## ${fitOut.name}`,
        `### Low water\n\n${question!.ask}`,
        ...question!.answers.map((a) => `**${a.answer}**\n\n${listed(a.steps)}${a.then ? `\n\n${printMarks(a.then, usualUnits)}` : ''}`),
        ...drillsOf(fitOut).map((d) => `### ${d.title}\n\n${listed(d.steps ?? [])}${d.then ? `\n\n${printMarks(d.then, usualUnits)}` : ''}`)
      ].join('\n\n');
    })
  ].join('\n\n') + '\n';
