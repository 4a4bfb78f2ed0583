import type { Content, TDocumentDefinitions } from 'pdfmake/interfaces';
import type { Carried } from '../log';
import type { DayPlan, Whole } from '../plan';
import { clockIn, dayIn, printGlass, printMarks, printText, type Quantity, type UnitChoice, zoneWords } from '../units';

/** Fractions that the sheet's type does not have are written out. */
const plain = (text: string): string =>
  text
    .replace(/[⅛⅓⅜⅝⅔⅞]/g, (f) => ({ '⅛': '1/8', '⅓': '1/3', '⅜': '3/8', '⅝': '5/8', '⅔': '2/3', '⅞': '7/8' })[f]!)
    .replace(/\u2009/g, ' ')
    .replace(/[■▲]/g, '!');

const lines = {
  hLineWidth: (i: number) => (i === 0 ? 0 : 0.5),
  vLineWidth: () => 0,
  hLineColor: () => '#999',
  paddingLeft: () => 0,
  paddingTop: () => 2,
  paddingBottom: () => 2
};

/** What a printed day sheet is made from. */
export interface SheetPdf {
  engine: string;
  purpose: string;
  whole: Whole;
  plan: DayPlan;
  carried: readonly Carried[];
  units: UnitChoice;
  /** The club's: named on the sheet. */
  zone: string;
}

/**
 * A day sheet as the definition of a PDF: A4, the steps at their times at the left, what to fill to and to bring at the right.
 */
export function sheetPdf({ engine, purpose, whole, plan, carried, units, zone }: SheetPdf): TDocumentDefinitions {
  const { sheet, level } = whole;
  const clock = (ms: number) => clockIn(ms, zone);
  const day = dayIn(plan.wants[0]!.at, zone);
  const text = (t: string) => plain(printMarks(t, units));
  const head = (t: string): Content => ({ text: t.toUpperCase(), fontSize: 7, color: '#555', margin: [0, 8, 0, 2] });
  /** A line to be ticked, with its tick when it has been. */
  const box = (t: string, done: boolean): Content => ({
    columns: [
      {
        width: 9,
        canvas: [
          { type: 'rect', x: 0, y: 2, w: 7, h: 7, lineWidth: 0.6 },
          ...(done
            ? [
                {
                  type: 'polyline' as const,
                  lineWidth: 1,
                  points: [
                    { x: 1.5, y: 5.5 },
                    { x: 3, y: 7.5 },
                    { x: 6, y: 3 }
                  ]
                }
              ]
            : [])
        ]
      },
      { text: plain(t) }
    ],
    columnGap: 4,
    margin: [0, 1, 0, 1]
  });

  const steam =
    sheet.steam.late < Infinity
      ? `steam ${clock(sheet.steam.early)} to ${clock(sheet.steam.late)}, nine times in ten before ${clock(sheet.steam.late)}`
      : sheet.steam.middle < Infinity
        ? `steam about ${clock(sheet.steam.middle)}, not before ${clock(sheet.steam.early)}, and perhaps not at all`
        : 'steam not to be expected by what is known';
  return {
    info: { title: `${engine}, day sheet` },
    pageSize: 'A4',
    pageMargins: [34, 34, 34, 40],
    defaultStyle: { font: 'Barlow', fontSize: 9 },
    footer: (page, pages) => ({
      text: `${engine}, ${day}. Times: ${zoneWords(sheet.ready, zone)}. Page ${page} of ${pages}. Estimates; the club’s boiler code and the boiler examiner come first.`,
      fontSize: 7,
      color: '#555',
      margin: [34, 10, 34, 0]
    }),
    content: [
      {
        layout: { hLineWidth: () => 1, vLineWidth: () => 0.5 },
        table: {
          widths: ['*', 'auto', 'auto', 'auto'],
          body: [
            [
              { text: [{ text: engine.toUpperCase(), bold: true, fontSize: 14 }, purpose ? `  ${plain(purpose)}` : ''] },
              { text: day, bold: true, margin: [0, 3, 0, 0] },
              { text: `light ${clock(sheet.light)}`, bold: true, margin: [0, 3, 0, 0] },
              { text: `ready ${clock(sheet.ready)}`, bold: true, margin: [0, 3, 0, 0] }
            ]
          ]
        }
      },
      {
        text: `Begin at ${clock(sheet.begin)}, light at ${clock(sheet.light)} (${steam}). Wanted: ${plan.wants.map((w) => `${w.what} ${clock(Date.parse(w.at))}`).join(', ')}.`,
        margin: [0, 6, 0, 2]
      },
      ...sheet.problems.map((p): Content => ({
        text: text(p.replace(/\{at:(-?[\d.e+]+)\}/g, (_, at: string) => clock(Number(at)))),
        bold: true
      })),
      {
        columns: [
          {
            width: '*',
            stack: [
              head('Steps, at their times (L: at the latest, E: expected)'),
              {
                layout: lines,
                table: {
                  headerRows: 1,
                  dontBreakRows: true,
                  widths: [36, '*', 'auto', 20],
                  body: [
                    ['At', 'Step', 'Who', 'Min'].map((t) => ({ text: t, fontSize: 7, color: '#555' })),
                    ...[...sheet.stations, ...sheet.after].map((s) => [
                      { text: `${clock(s.start)}${s.by === 'plan' ? '' : s.by === 'latest' ? ' L' : ' E'}`, bold: true },
                      { text: text(s.what) },
                      { text: s.who.split(' ')[0]!, color: '#555' },
                      { text: String(Math.round((s.end - s.start) / 60_000)), alignment: 'right' as const }
                    ])
                  ]
                }
              }
            ]
          },
          {
            width: 190,
            stack: [
              ...(whole.runs?.runs.length
                ? [
                    head('Runs: water, fuel and time'),
                    ...whole.runs.runs.map((r): Content => ({
                      text: plain(
                        `${r.what}: match ${clock(r.light)}, up ${clock(r.up)}, over by ${clock(r.stop)}; ${printText(r.fill, 'volume', units)}${r.charge === undefined ? '' : `, ${printText(r.charge, 'mass', units)}`}`
                      ),
                      margin: [0, 1, 0, 1]
                    }))
                  ]
                : []),
              ...(carried.length
                ? [
                    head('Carried over: first'),
                    ...carried.map((c) =>
                      box(`${printMarks(c.what, units)} (${c.how})`, plan.packed.includes(`carried: ${c.what}`.slice(0, 120)))
                    )
                  ]
                : []),
              head('Fill, cold'),
              {
                text: plain(
                  level.fill.kind === 'glass'
                    ? `${printGlass(level.fill.value)} of the glass, ${printText(whole.fill, 'volume', units)}`
                    : `${printText(whole.fill, 'volume', units)}, measured`
                ),
                bold: true
              },
              ...(level.refused ? [{ text: level.refused, bold: true }] : []),
              head('Quantities'),
              ...whole.needs.map((n) =>
                box(`${n.name}: ${printText(n.worked.value, n.worked.kind as Quantity, units)}`, plan.packed.includes(n.key))
              ),
              head('Kit to pack'),
              ...whole.kit.map((k) => box(printMarks(k.what, units), plan.packed.includes(k.what.slice(0, 120))))
            ]
          }
        ],
        columnGap: 18
      }
    ]
  };
}
