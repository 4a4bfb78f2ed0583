// How the forecasts do on days that another model made: `npx tsx bench/foreign.ts [fit|check] [FILE]`, the days for scoring when left out.
import { pathToFileURL } from 'node:url';
import { foreignDays, type Use } from './foreign/days';
import { learningScores } from './foreign/learning';
import { ownDays } from './foreign/own';
import { raiseScores, type Score, stages } from './foreign/raise';
import { minutes, waterScores } from './foreign/water';

const [use = 'check', file] = process.argv.slice(2);
const days = foreignDays(use as Use, file ? pathToFileURL(file) : undefined);
const middle = (list: readonly number[]) => [...list].sort((a, b) => a - b)[Math.floor(list.length / 2)] ?? NaN;
const share = (n: number, of: number) => `${Math.round((100 * n) / Math.max(1, of))} %`;

const said = (s: Score) =>
  `${middle(s.off).toFixed(2)} min, held ${share(s.held, s.of).padStart(5)} (sooner ${share(s.sooner, s.of)}, later ${share(s.later, s.of)}; ${s.of})`;
const raisings = (title: string, engines: Parameters<typeof raiseScores>[0]) => {
  console.log(`${title}: error in the middle, band of eight in ten, by parts of the way to the target`);
  for (const [kind, cases] of Object.entries(raiseScores(engines)))
    for (const [name, scores] of Object.entries(cases))
      console.log(
        `  ${kind.padEnd(14)} ${name.padEnd(21)} ${stages.map((part, i) => `${part}: ${said(scores[i]!)}`.padEnd(62)).join(' ')}`
      );
};
raisings(`raisings, days for “${use}”`, days.engines);
raisings('raisings, days of our own model', ownDays(use === 'check' ? 12 : 8));
console.log(`water, days for “${use}”: by minutes truly left`);
for (const [kind, scores] of Object.entries(waterScores(days.running)))
  console.log(
    `  ${kind.padEnd(9)} ${scores
      .map(
        (s, i) =>
          `${minutes[i]}: off ${(100 * middle(s.off)).toFixed(0)} %, held ${share(s.held, s.of)}, gone before the early edge ${share(s.gone, s.of)}, later ${share(s.later, s.of)} (${s.of})`
      )
      .join('; ')}`
  );

console.log(`learned from four days, days for “${use}”: error, half of the band, how often the truth lay in it`);
for (const [kind, figures] of Object.entries(learningScores(days.learning)))
  console.log(
    `  ${kind.padEnd(9)} ${Object.entries(figures)
      .map(
        ([key, s]) =>
          `${key}: off ${(100 * middle(s.off.map(Math.abs))).toFixed(0)} %, ± ${(100 * middle(s.spread)).toFixed(0)} %, held ${s.held} of ${s.off.length}`
      )
      .join('; ')}`
  );
