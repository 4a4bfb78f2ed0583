import Ajv from 'ajv';
import addFormats from 'ajv-formats';
import { readFileSync } from 'node:fs';
import ICAL from 'ical.js';
import Papa from 'papaparse';
import { describe, expect, it } from 'vitest';
import { tell } from '../../../demo/story';
import { pages } from '../../../tools/procedures';
import { published, schemaText } from '../../../tools/schemas';
import { patterns } from '../engine';
import { type Entry, fold } from '../log';
import { planWhole, usualPlan } from '../plan';
import { compose } from '../procedure';
import { psi } from '../units';
import { checkRecord, columns, dueCalendar, type KeptEntry, logCsv, recordDocument, type RecordDocument, sheetCsv } from '.';

const told = tell(patterns[1]!.fitOut, { seed: 4, keeper: 'Jory Quillfeather', begins: Date.parse('2026-05-03T08:10:00Z'), running: 30 });
const kept = (e: Entry): KeptEntry => ({ ...e, receivedAt: e.at });
const made: RecordDocument = recordDocument({
  club: 'Osier Fen Steam Society',
  steaming: {
    id: '0196a000-0000-7000-8000-000000000001',
    engine: 'Little Bittern',
    keeper: 'Jory Quillfeather',
    purpose: 'Members’ day',
    wantedAt: null,
    startedAt: told.entries[0]!.at,
    endedAt: told.state.endedAt!,
    override: null
  },
  fitOut: told.context.fitOut,
  procedure: told.context.procedure,
  entries: [...told.entries].reverse().map(kept)
});
const fresh = (): Record<string, never> & RecordDocument => JSON.parse(JSON.stringify(made));

describe('a record as one document', () => {
  it('goes out in the order of the log and comes back as it was', () => {
    const back = checkRecord(fresh());
    expect(back).toEqual({ record: made });
    expect('record' in back && fold(told.context, back.record.entries).state).toEqual(told.state);
  });

  it.each<[string, (d: Record<string, never> & RecordDocument) => void, string, RegExp]>([
    ['another format', (d) => Object.assign(d, { format: 'joram.record/99' }), 'format', /read here is “joram.record\/2” or older/],
    ['a missing part', (d) => Reflect.deleteProperty(d, 'procedure'), 'procedure', /missing/],
    ['a misspelt part', (d) => Object.assign(d, { entires: [] }), 'entires', /spelling/],
    ['an entry of no kind', (d) => Object.assign(d.entries[3]!, { kind: 'explosion' }), 'entries.3.kind', /one of/],
    [
      'an entry with a bad body',
      (d) => Object.assign(d.entries[3]!, { kind: 'reading', body: { pressure: 'lots' } }),
      'entries.3.body.pressure',
      /number/
    ],
    ['an entry at no time', (d) => Object.assign(d.entries[3]!, { at: 'noon' }), 'entries.3.at', /not a time/],
    ['an entry twice', (d) => Object.assign(d.entries[3]!, { id: d.entries[2]!.id }), 'entries.3.id', /earlier one/],
    [
      'a boiler that cannot be',
      (d) => Object.assign(d.fitOut, { workingPressure: psi(900) }),
      'fitOut.workingPressure',
      /between 5 psi and 300 psi/
    ],
    ['a step of no phase', (d) => Object.assign(d.procedure.steps[0]!, { phase: 'Lunch' }), 'procedure.steps.0.phase', /one of/]
  ])('refuses %s, naming the path', (_, spoil, path, sentence) => {
    const document = fresh();
    spoil(document);
    const checked = checkRecord(document);
    expect('problems' in checked && checked.problems[0]).toMatchObject({ path, sentence: expect.stringMatching(sentence) });
  });

  it.each([null, 3, 'text', [], { entries: 'none' }])('refuses %j without falling over', (nonsense) => {
    expect(checkRecord(nonsense)).toHaveProperty('problems');
  });
});

describe('the procedures that are printed for reading', () => {
  it.each(pages)('docs/procedures/%s is what is composed', (name, text) => {
    expect(readFileSync(`docs/procedures/${name}`, 'utf8')).toBe(text);
  });
});

describe('the published schemas', () => {
  const ajv = addFormats(new Ajv({ strict: false, allErrors: true }));
  it.each(Object.entries(published))('%s is the one that is checked with', (name, schema) => {
    expect(readFileSync(`docs/formats/${name}`, 'utf8')).toBe(schemaText(schema));
  });
  it('an independent validator accepts what goes out and refuses what is wrong', () => {
    const record = ajv.compile(JSON.parse(readFileSync('docs/formats/record.schema.json', 'utf8')));
    expect(record(fresh()), JSON.stringify(record.errors?.slice(0, 3))).toBe(true);
    expect(record({ ...fresh(), format: 'joram.record/99' })).toBe(false);
    const fitOut = ajv.compile(JSON.parse(readFileSync('docs/formats/fit-out.schema.json', 'utf8')));
    for (const p of patterns) expect(fitOut(p.fitOut), `${p.fitOut.name} ${JSON.stringify(fitOut.errors?.slice(0, 3))}`).toBe(true);
    expect(fitOut({ ...patterns[0]!.fitOut, mass: -1 })).toBe(false);
  });
});

describe('the log as CSV', () => {
  const struck: KeptEntry[] = [
    ...made.entries,
    kept({
      id: '0196a000-0000-7000-8000-00000000aaaa',
      kind: 'reading',
      at: '2026-05-03T20:00:00.000Z',
      by: 'Jory Quillfeather',
      source: 'person',
      body: { pressure: psi(660), glass: 'top nut', glassAt: null }
    }),
    kept({
      id: '0196a000-0000-7000-8000-00000000aaab',
      kind: 'strike',
      at: '2026-05-03T20:00:01.000Z',
      by: 'Jory Quillfeather',
      source: 'person',
      strikes: '0196a000-0000-7000-8000-00000000aaaa',
      body: {}
    }),
    kept({
      id: '0196a000-0000-7000-8000-00000000aaac',
      kind: 'note',
      at: '2026-05-03T20:00:02.000Z',
      by: '=cmd',
      source: 'person',
      body: { text: '=HYPERLINK("x"), “said”, and\na new line' }
    })
  ];
  const { data, errors } = Papa.parse<Record<string, string>>(logCsv(struck, fold(told.context, struck), 'Asia/Kolkata'), {
    header: true,
    skipEmptyLines: true
  });

  it('is read by another reader, one row an entry, in the documented columns', () => {
    expect(errors).toEqual([]);
    expect(data).toHaveLength(struck.length);
    expect(Object.keys(data[0]!)).toEqual(columns.map((c) => c.name));
    const described = readFileSync('docs/formats/README.md', 'utf8');
    for (const c of columns) expect(described).toContain(`| \`${c.name}\` | ${c.means} |`);
  });

  it('carries the figures in stated units, and the whole body', () => {
    const i = struck.findIndex((e) => e.kind === 'reading' && e.body.pressure !== undefined && typeof e.body.glass === 'number');
    const body = struck[i]!.body as { pressure: number; glass: number; glassAt: number };
    expect(Number(data[i]!.pressure_psi)).toBeCloseTo(body.pressure / 6894.757293, 2);
    expect(Number(data[i]!.pressure_kpa)).toBeCloseTo(body.pressure / 1000, 2);
    expect(Number(data[i]!.glass)).toBe(body.glass);
    expect(JSON.parse(data[i]!.body!)).toEqual(body);
  });

  it('says what was struck, and lets no text become a formula', () => {
    expect(data.at(-3)).toMatchObject({ struck: 'true', glass: 'top nut' });
    expect(data.at(-2)).toMatchObject({ strikes: '0196a000-0000-7000-8000-00000000aaaa', struck: 'false' });
    expect(data.at(-1)!.by).toBe("'=cmd");
    expect(data.at(-1)!.said).toMatch(/^'=HYPERLINK/);
    expect(JSON.parse(data.at(-1)!.body!)).toEqual({ text: '=HYPERLINK("x"), “said”, and\na new line' });
  });
});

describe('a day sheet as CSV', () => {
  const { fitOut } = patterns[1]!;
  const at = '2026-06-13T11:00:00.000Z';
  const plan = {
    ...usualPlan('=HYPERLINK("x")', at, 'first train'),
    tests: [{ what: '+A1', minutes: 10 }]
  };
  const { sheet } = planWhole({ fitOut, procedure: compose(fitOut), fits: [], used: [] }, plan);
  const { data } = Papa.parse<Record<string, string>>(sheetCsv(sheet, 'Europe/London'), { header: true, skipEmptyLines: true });

  it('guards every cell that a spreadsheet would work out: a person and a test named like a formula', () => {
    expect(data.length).toBe(sheet.stations.length + sheet.after.length);
    for (const row of data) for (const cell of Object.values(row)) expect(cell).not.toMatch(/^[=+@\t\r]|^-(?!\d)/);
    expect(data[0]!.who).toBe(`'=HYPERLINK("x")`);
    expect(data.some((row) => row.step === "'+A1")).toBe(true);
  });

  it('has each step once, in order, by the club’s clock with its offset', () => {
    expect(data[0]!.start).toMatch(/^2026-06-13T\d\d:\d\d:\d\d\+01:00$/);
    const starts = data.slice(0, sheet.stations.length).map((row) => Date.parse(row.start!));
    expect(starts).toEqual([...starts].sort((a, b) => a - b));
    expect(Date.parse(data[0]!.start!)).toBe(sheet.begin);
    const gated = data.find((row) => row['opens at psi'])!;
    expect(Number(gated['opens at psi'])).toBe(Math.round(sheet.stations.find((s) => s.opensAt)!.opensAt! / psi(1)));
  });
});

describe('what runs out, as iCalendar', () => {
  const text = dueCalendar(
    [
      { id: 'p1', engine: 'Little Bittern', what: 'Boiler certificate', day: '2027-02-28', past: false },
      { id: 'e1-gauge', engine: 'Marsh Hen', what: 'Gauge comparison', day: '2026-12-31', past: true }
    ],
    Date.parse('2026-12-02T01:00:00Z')
  );
  const events = new ICAL.Component(ICAL.parse(text) as unknown[]).getAllSubcomponents('vevent');
  it('is a whole day each, by the calendar and not by a clock, and reminds a month and a week before', () => {
    expect(
      events.map((e) => [
        String(e.getFirstPropertyValue('summary')),
        String(e.getFirstPropertyValue('dtstart')),
        String(e.getFirstPropertyValue('dtend')),
        e.getAllSubcomponents('valarm').map((a) => String(a.getFirstPropertyValue('trigger')))
      ])
    ).toEqual([
      ['Little Bittern: Boiler certificate, last day', '2027-02-28', '2027-03-01', ['-P30D', '-P7D']],
      ['Marsh Hen: Gauge comparison, last day', '2026-12-31', '2027-01-01', ['-P30D', '-P7D']]
    ]);
  });
  it('taken in again replaces what it was', () =>
    expect(events.map((e) => String(e.getFirstPropertyValue('uid')))).toEqual(['p1@joram', 'e1-gauge@joram']));
});
