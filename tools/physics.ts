// Writes the tables of docs/physics.md that come out of the model, so that nobody types them.
import { readFileSync, writeFileSync } from 'node:fs';
import { resolve } from 'node:path';
import { type Move, movesOf, plantOf, raise, usualFill } from '../src/core/boiler';
import { patterns } from '../src/core/engine';
import { ahead, type Band, classHeating, startRaise } from '../src/core/forecast';
import { sums } from '../src/core/sums';

/** What ordinary raisings of a class take, min, from general practice: the model must land inside. */
const plausible: Record<string, [low: number, high: number, from: number, as: string]> = {
  'large-tank': [40, 80, 15, '7¼ in gauge, coal'],
  tender: [13, 40, 15, '5 in gauge, coal'],
  'small-tank': [8, 18, 15, '3½ in gauge, coal'],
  'gas-tank': [6, 12, 15, '45 mm gauge, gas'],
  'road-roller': [45, 90, 15, '4 in scale, coal'],
  'full-size': [75, 180, 15, 'full size, kept to its pace'],
  'vertical-plant': [20, 45, 15, 'vertical, about 16 l'],
  'electric-set': [15, 30, 15, 'electric, 1 to 1.5 kW, 2 l'],
  'launch-plant': [7, 15, 15, 'launch plant, gas'],
  tabletop: [3, 6, 60, 'tabletop with tablets, from warm']
};

export interface Row {
  readonly name: string;
  readonly as: string;
  /** By ordinary practice and the model, and the band of eight in ten of an engine of which only the drawing is known. */
  readonly minutes: number;
  readonly band: Band;
  readonly low: number;
  readonly high: number;
  readonly moves: readonly Move[];
}

export const raiseRows = (): Row[] =>
  patterns.map(({ key, fitOut }) => {
    const [low, high, from, as] = plausible[key]!;
    const plant = plantOf(fitOut);
    const start = { water: usualFill(fitOut, plant), T: from + 273.15 };
    const { reached } = raise(plant, start, {}, { dt: 1 });
    const [band] = ahead(startRaise({ plant, heating: classHeating(fitOut, plant, start), ...start, litAt: 0 }), [plant.inSteam]);
    const { moves } = movesOf(fitOut, start.T);
    return { name: fitOut.name, as, minutes: (reached ?? Infinity) / 60, band: band!, low, high, moves };
  });

const minutes = (s: number) => (s === Infinity ? 'never' : (s / 60).toFixed(0));
const moved = ({ name, longer }: Move) =>
  `${name} ${longer === Infinity ? 'not at all' : `${longer < 0 ? '−' : '+'}${Math.abs(longer * 100).toFixed(0)} %`}`;

export const raiseTable = (rows: readonly Row[]): string =>
  [
    '| engine | class | in steam, min: early, middle, late | by ordinary practice | plausible | | what moves it most |',
    '|---|---|---|---|---|---|---|',
    ...rows.map(
      (r) =>
        `| ${r.name} | ${r.as} | ${minutes(r.band.early)}, ${minutes(r.band.middle)}, ${minutes(r.band.late)} | ${r.minutes.toFixed(1)} | ${r.low} to ${r.high} | ${r.minutes >= r.low && r.minutes <= r.high ? 'inside' : '**outside**'} | ${r.moves.slice(0, 4).map(moved).join(', ')} |`
    )
  ].join('\n');

const shown = {
  engine: 'with the engine’s figures',
  day: 'on its day sheets',
  asked: 'where somebody asks, and on the bench',
  bench: 'on the bench'
} as const;

/** Every sum of the registry: what it is asked with, and the lines of its working for the first engine that asks for it. */
export const sumsTable = (): string =>
  [
    '| sum | shown | asked with | worked as |',
    '|---|---|---|---|',
    ...Object.entries(sums).flatMap(([place, list]) =>
      list.map((s) => {
        const engine = patterns.map(({ fitOut }) => ({ fitOut, plant: plantOf(fitOut) })).find((e) => s.when?.(e) ?? true)!;
        const { steps } = s.work(s.usual(engine), engine);
        const inputs = Object.values(s.inputs.fields).map((f) => f.label.toLowerCase());
        return `| ${s.name} | ${shown[place as keyof typeof shown]} | ${inputs.join(', ') || 'nothing'} | ${steps.map((l) => l.formula).join('; ')} |`;
      })
    )
  ].join('\n');

/** A document with the tables between its markers made anew. */
export const withTables = (document: string, tables: Readonly<Record<string, string>>): string =>
  Object.entries(tables).reduce(
    (text, [name, table]) =>
      text.replace(new RegExp(`(<!-- ${name} -->\\n)[\\s\\S]*?(\\n<!-- end -->)`), (_, from: string, to: string) => from + table + to),
    document
  );

if (process.argv[1] === import.meta.filename) {
  const file = resolve('docs/physics.md');
  writeFileSync(file, withTables(readFileSync(file, 'utf8'), { 'raise times': raiseTable(raiseRows()), sums: sumsTable() }));
}
