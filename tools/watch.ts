// Writes docs/watch.md: how often the watch speaks on healthy days, and what it says first on days on which something goes wrong.
import { writeFileSync } from 'node:fs';
import { resolve } from 'node:path';
import { patterns } from '../src/core/engine';
import { toldBy, watching } from '../src/core/watch';
import { aloud, type Judged, judged, type Mishap, mishaps, ofTheClock } from '../tests/mishaps';
import { dayOf } from '../tests/watched';

/** Days of each engine with a glass, by seed; of a day so many minutes are run. */
export const healthyDays = 6;
const running = 150;
export const seeds = 40;
/** Seeds that nothing was settled on. */
const fresh = 1000;

export interface Load {
  readonly engine: string;
  readonly hours: number;
  readonly acts: number;
  readonly looks: number;
  /** Of those, marks of the clock. */
  readonly marks: number;
  readonly by: Readonly<Record<string, number>>;
  /** s between the two that came closest. */
  readonly closest: number;
}

/** What is said on healthy days of an engine. */
export function loadOf(name: string, from: number, days = healthyDays): Load {
  const { fitOut } = patterns.find((p) => p.fitOut.name === name)!;
  const by: Record<string, number> = {};
  let [hours, acts, looks, marks, closest] = [0, 0, 0, 0, Infinity];
  for (let seed = from; seed < from + days; seed++) {
    const day = dayOf(fitOut, seed, running);
    hours += (day.end - day.lit) / 3.6e6;
    let last = -Infinity;
    for (const t of aloud(toldBy(watching(day.log), day.end))) {
      if (t.rank === 'act now') acts++;
      else looks++;
      if (ofTheClock.has(t.key)) marks++;
      by[t.key] = (by[t.key] ?? 0) + 1;
      closest = Math.min(closest, (t.at - last) / 1000);
      last = t.at;
    }
  }
  return { engine: name, hours, acts, looks, marks, by, closest };
}

export const watched = patterns.map((p) => p.fitOut).filter((f) => f.glasses.length).map((f) => f.name); // prettier-ignore

const share = (n: number, of: number) => `${n} of ${of}`;

export function loadRow({ engine, hours, acts, looks, marks, by }: Load): string {
  const most = Object.entries(by).sort((a, b) => b[1] - a[1]);
  const said = most.map(([key, n]) => `${key} ${n}`).join(', ');
  return `| ${engine} | ${hours.toFixed(1)} | ${acts} | ${(looks / hours).toFixed(1)} | ${((looks - marks) / hours).toFixed(1)} | ${said} |`;
}

export function mishapRow(m: Mishap, all: readonly Judged[]): string {
  const came = all.filter((j) => j.came);
  const after = came.flatMap((j) => j.after ?? []).sort((a, b) => a - b);
  const right = came.filter((j) => j.right).length;
  const other = [...new Set(came.filter((j) => !j.right).map((j) => j.first?.key ?? 'nothing'))].join(', ');
  const minutes = (n: number | undefined) => (n === undefined ? '' : n.toFixed(1));
  return `| ${m.what} | ${m.right[0]} | ${share(right, came.length)} | ${share(came.filter((j) => j.inTime).length, came.length)} | ${minutes(after[after.length >> 1])} | ${minutes(after.at(-1))} | ${other} |`;
}

/** The document. */
export function watchDocument(
  healthy: readonly Load[],
  other: readonly Load[],
  first: ReadonlyMap<string, readonly Judged[]>,
  again: ReadonlyMap<string, readonly Judged[]>
): string {
  const sums = (loads: readonly Load[]) => {
    const total = (of: (l: Load) => number) => loads.reduce((sum, l) => sum + of(l), 0);
    const hours = total((l) => l.hours);
    return `${hours.toFixed(0)} h in steam: ${total((l) => l.acts)} act now; ${(total((l) => l.looks) / hours).toFixed(2)} look an hour, ${(total((l) => l.looks - l.marks) / hours).toFixed(2)} without the marks of a countdown`;
  };
  const table = (of: readonly Mishap[], by: ReadonlyMap<string, readonly Judged[]>) =>
    [
      '| what goes wrong | its rule | first said is right | in time | min, middle | min, latest | else |',
      '|---|---|---|---|---|---|---|',
      ...of.map((m) => mishapRow(m, by.get(m.key)!))
    ].join('\n');
  return `# What the watch says

Days made by our own model and logged as an ordinary keeper logs them: a needle read to a pound or two, a glass to a sixteenth, within the interval; fed,
fired, oiled and filled in time. The watch has that log and nothing else. It is no foreign ground: no logged mishaps of real engines are at hand. Printed by
\`npx tsx tools/watch.ts\`, held by \`load.test\`.

## Healthy days

Seeds 1 to ${healthyDays}, on which rules were settled. **${sums(healthy)}.**

| engine | hours | act now | look an hour | without marks | which |
|---|---|---|---|---|---|
${healthy.map(loadRow).join('\n')}

Seeds ${fresh + 1} to ${fresh + healthyDays}, looked at once afterwards. **${sums(other)}.**

| engine | hours | act now | look an hour | without marks | which |
|---|---|---|---|---|---|
${other.map(loadRow).join('\n')}

A countdown has two marks, half of its time and two minutes, told once in each run. Two sounds are kept twenty seconds apart by whoever makes them; what comes
between is shown at once and heard then.

## Mishaps

Each by ${seeds} seeds: what is said first after it began, of what is not said on the same day without it, and whether its own rule spoke in time: before the water was out of sight
or the tank dry, and within the time that the mishap allows. A mishap that did not come about (a valve that never had to lift) is not counted.

Seeds 1 to ${seeds}, on which rules were settled.

${table(
  mishaps.filter((m) => !m.apart),
  first
)}

Seeds ${fresh + 1} to ${fresh + seeds}, looked at once afterwards.

${table(
  mishaps.filter((m) => !m.apart),
  again
)}

Kept apart: mishaps that no rule was settled on, by the same fresh seeds.

${table(
  mishaps.filter((m) => m.apart),
  again
)}
`;
}

export const judgedAll = (from: number, of: readonly Mishap[] = mishaps, n = seeds): Map<string, Judged[]> =>
  new Map(of.map((m) => [m.key, Array.from({ length: n }, (_, i) => judged(m, from + i))]));

if (process.argv[1] === resolve(import.meta.dirname, 'watch.ts')) {
  const file = resolve(import.meta.dirname, '../docs/watch.md');
  writeFileSync(
    file,
    watchDocument(
      watched.map((n) => loadOf(n, 1)),
      watched.map((n) => loadOf(n, fresh + 1)),
      judgedAll(
        1,
        mishaps.filter((m) => !m.apart)
      ),
      judgedAll(fresh + 1)
    )
  );
}
