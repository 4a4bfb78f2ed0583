// Any fit-out that the door takes: `./joram bench fit-outs [HOW MANY]`, 600 for each way of setting valves when left out.
import { plantOf, raise, usualFill } from '../src/core/boiler';
import { chance } from '../src/core/chance';
import { inSteamAt } from '../src/core/engine';
import { classHeating } from '../src/core/forecast';
import { planRaise } from '../src/core/plan';
import { compose } from '../src/core/procedure';
import { dayNeeds, engineFigures, fillOf, startingSum } from '../src/core/sums';
import { Refusal } from '../src/core/units';
import { anyFitOut, schools } from '../tests/fit-outs';

const many = Number(process.argv[2] ?? 600);

for (const school of Object.keys(schools) as (keyof typeof schools)[]) {
  const luck = chance(77_000 + school.length);
  const seen = { 'comes into steam': 0, 'says why it cannot': 0, 'does not come, and its forecast says so': 0 };
  const wrong: string[] = [];
  let longest = 0;
  for (let i = 0; i < many; i++) {
    const fitOut = anyFitOut(luck, school);
    const from = performance.now();
    try {
      const plant = plantOf(fitOut);
      const given = { fitOut, plant };
      const level = startingSum(given);
      const day = { running: 5400, fill: fillOf(level, plant), runs: 1, duty: 'passengers', water: 283, air: 286 } as const;
      for (const { name, worked } of [...engineFigures(given), ...dayNeeds(day, given)])
        if (worked.steps.some((s) => !Number.isFinite(s.result.value))) wrong.push(`${fitOut.name}: ${name}`);
      const T = fitOut.fire.with === 'spirit' ? 333.15 : 288.15;
      const start = { water: usualFill(fitOut, plant), T, ambient: 288.15 };
      const { reached, moments } = raise(plant, start, {}, { dt: 2 });
      if (moments.some((m) => !Number.isFinite(m.gauge + m.T + m.heat))) wrong.push(`${fitOut.name}: a moment that is no number`);
      if (reached !== undefined) {
        seen['comes into steam']++;
        continue;
      }
      const { up } = planRaise(fitOut, compose(fitOut), plant, classHeating(fitOut, plant, start), { water: T, air: 288.15 });
      if (up.sure < 0.9) seen['does not come, and its forecast says so']++;
      else
        wrong.push(
          `${fitOut.name}, ${Math.round(inSteamAt(fitOut) / 6895)} psi: does not come, and is forecast to (${up.sure.toFixed(2)})`
        );
    } catch (error) {
      if (error instanceof Refusal && error.sentence.length > 20) seen['says why it cannot']++;
      else wrong.push(`${fitOut.name}: ${String(error)}`);
    } finally {
      longest = Math.max(longest, performance.now() - from);
    }
  }
  console.log(
    `valves ${school.padEnd(6)} ${many} fit-outs: ${Object.entries(seen)
      .map(([what, n]) => `${n} ${what}`)
      .join(', ')}; ${wrong.length} wrong; the longest took ${(longest / 1000).toFixed(1)} s`
  );
  for (const w of wrong.slice(0, 12)) console.log(`  ${w}`);
}
