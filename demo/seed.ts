// Puts the Osier Fen scenario into a migrated database: JORAM_SEED_URL names a role that may write every table.
import { hash } from '@node-rs/argon2';
import postgres from 'postgres';
import { type FitOut, patterns } from '../src/core/engine';
import { type Begun, type Carried, carriedOver, type Log } from '../src/core/log';
import { derivedOf, derivedVersion, type Fit } from '../src/core/learn';
import type { DayPlan } from '../src/core/plan';
import { timeOrderedId } from '../src/core/log/id';
import { compose } from '../src/core/procedure';
import { chance } from '../src/core/chance';
import { derivePlans } from '../src/server/sql/plan';
import demo from './people.json' with { type: 'json' };
import { type FaultEntry, faultState, mayTell } from '../src/core/faults';
import { ageing, faults, oddities, papers, rules, seasons } from './scenario';
import type { Day } from './day';
import { tell } from './story';

const url = process.env.JORAM_SEED_URL;
if (!url) throw new Error('JORAM_SEED_URL is not set.');
const sql = postgres(url, { max: 1, onnotice: () => {} });
const dayMs = 86_400_000;
/** The fen keeps the time of the machine that the demo runs on. */
const zone = Intl.DateTimeFormat().resolvedOptions().timeZone;
const now = Date.now();
const luck = chance(20261125);
const id = (at = now) => timeOrderedId(at, luck.bytes(10));
const isoDay = (days: number) => new Date(now + days * dayMs).toISOString().slice(0, 10);
/** So many days ago at an hour of that day. */
const at = (days: number, hour: number) => {
  const d = new Date(now + days * dayMs);
  d.setHours(Math.floor(hour), Math.round((hour % 1) * 60), 0, 0);
  return d.getTime();
};

if (process.argv.includes('--fresh')) {
  const real = await sql<{ name: string }[]>`select name from club where not demo`;
  if (real.length) {
    console.error(`This database has a club that is no demo (${real.map((c) => c.name).join(', ')}): it is not made anew.`);
    process.exit(1);
  }
  await sql`truncate club cascade`;
}

await sql.begin(async (tx) => {
  const json = (value: unknown) => tx.json(value as postgres.JSONValue);
  const secret = await hash(demo.password);
  const clubs = new Map<string, string>();
  const members = new Map<string, string>();
  for (const person of demo.people) {
    if (!clubs.has(person.club)) {
      clubs.set(person.club, id());
      await tx`insert into club (club_id, name, zone, demo, created_at) values (${clubs.get(person.club)!}, ${person.club}, ${zone}, true, ${new Date(now + clubs.size)})`;
    }
    members.set(person.name, id());
    await tx`insert into member (club_id, member_id, sign_in, name, roles, secret) values (${clubs.get(person.club)!}, ${members.get(person.name)!}, ${person.signIn}, ${person.name}, ${person.roles}, ${secret})`;
  }
  const club = clubs.get('Osier Fen Steam Society')!;

  const engines = new Map<string, { id: string; fitOut: FitOut }>();
  for (const { fitOut } of patterns) {
    const engine = { id: id(), fitOut };
    engines.set(fitOut.name, engine);
    await tx`insert into engine (club_id, engine_id, name, fit_out, created_at) values (${club}, ${engine.id}, ${fitOut.name}, ${json(fitOut)}, ${new Date(at(-900, 19))})`;
    for (const [kind, number, issued, expires] of papers[fitOut.name] ?? [])
      await tx`insert into paper (club_id, paper_id, engine_id, kind, number, issued, expires) values (${club}, ${id()}, ${engine.id}, ${kind}, ${number}, ${isoDay(issued)}, ${isoDay(expires)})`;
  }
  await tx`insert into rules (club_id, version, document, at, by_name) values (${club}, 1, ${json(rules)}, ${new Date(at(-400, 20))}, 'Hesper Vane-Oddie')`;
  for (const f of faults) {
    const fault = id();
    await tx`insert into fault (club_id, fault_id, engine_id, text, forbids, raised_at, raised_by, fixed_at, fixed_by, fix)
      values (${club}, ${fault}, ${engines.get(f.engine)!.id}, ${f.text}, ${f.forbids}, ${new Date(at(f.raised, 16.5))}, ${f.by}, ${f.fixed === undefined ? null : new Date(at(f.fixed, 11))}, ${f.fixed === undefined ? null : f.by}, ${f.fix ?? null})`;
    // As its page would have taken it: what it refuses is not written here.
    const told: FaultEntry[] = [];
    for (const [days, by, kind, body] of f.log ?? []) {
      const entry = { id: id(), kind, at: new Date(at(f.raised + days, 17)).toISOString(), by, body } as FaultEntry;
      mayTell(faultState(told), entry, { may: () => true, fitOut: engines.get(f.engine)!.fitOut, forbids: f.forbids, facts: [] });
      told.push(entry);
      await tx`insert into fault_entry (club_id, entry_id, fault_id, kind, at, by_id, by_name, body)
        values (${club}, ${entry.id}, ${fault}, ${kind}, ${entry.at}, ${members.get(by)!}, ${by}, ${json(body)})`;
    }
  }

  /** What the book had of an engine: its papers as they are now, and whether it was public. */
  const begunOf = (engine: string, purpose: string): Begun => ({
    public: purpose === 'Public running' || purpose === 'Sluice Weekend',
    feedsAsked: 2,
    faults: [],
    papers: (papers[engine] ?? []).map(([kind, , , expires]) => ({ kind, expires: isoDay(expires) }))
  });

  /** What past raisings showed, by engine, oldest first. */
  const fits = new Map<string, Fit[]>();
  async function store(engine: { id: string; fitOut: FitOut }, keeper: string, purpose: string, log: Log, steamingId: string) {
    const ended = log.state.endedAt ?? null;
    const derived = ended ? derivedOf(log, fits.get(engine.fitOut.name) ?? []) : undefined;
    const raised = derived?.raised;
    if (raised) fits.set(engine.fitOut.name, [...(fits.get(engine.fitOut.name) ?? []), raised.fit]);
    await tx`insert into steaming (club_id, steaming_id, engine_id, keeper_id, purpose, started_at, ended_at, fit_out, procedure, begun, summary, raised, derived, created_at)
      values (${club}, ${steamingId}, ${engine.id}, ${members.get(keeper)!}, ${purpose}, ${log.entries[0]!.at}, ${ended}, ${json(engine.fitOut)}, ${json(log.context.procedure)}, ${json(log.context.begun ?? null)}, ${derived ? json(derived.summary) : null}, ${raised ? json(raised) : null}, ${derivedVersion}, ${log.entries[0]!.at})`;
    const rows = log.entries.map((e) => ({
      club_id: club,
      entry_id: e.id,
      steaming_id: steamingId,
      kind: e.kind,
      at: e.at,
      received_at: e.at,
      by_id: members.get(e.by)!,
      by_name: e.by,
      source: e.source,
      body: json(e.body) as never,
      strikes: e.strikes ?? null
    }));
    for (let i = 0; i < rows.length; i += 1000) await tx`insert into entry ${tx(rows.slice(i, i + 1000))}`;
    for (const e of log.entries)
      if (e.kind === 'fault')
        await tx`insert into fault (club_id, fault_id, engine_id, steaming_id, text, forbids, raised_at, raised_by, fixed_at, fixed_by, fix)
          values (${club}, ${e.id}, ${engine.id}, ${steamingId}, ${e.body.text}, ${e.body.forbids}, ${e.at}, ${e.by}, ${new Date(Date.parse(e.at) + 6 * dayMs)}, ${e.by}, ${'Joint remade, tight at working pressure'})`;
  }

  // Three seasons: for each of the last three years, days between seven months and three weeks back, told in their order.
  let seed = 1;
  for (const season of seasons) {
    const engine = engines.get(season.engine)!;
    let left: Carried[] = [];
    const backs = Array.from({ length: season.steamings }, (_, i) =>
      Math.round(22 + (i % 3) * 365 + ((Math.floor(i / 3) + luck.between(0.1, 0.9)) * 185) / Math.ceil(season.steamings / 3))
    ).sort((a, b) => b - a);
    for (const [i, back] of backs.entries()) {
      const usual = luck.pick(oddities);
      const purpose = luck.pick(season.purposes);
      const day: Day = {
        begun: begunOf(season.engine, purpose),
        left,
        seed: seed++,
        keeper: season.keeper,
        begins: at(-back, luck.between(8, 10.5)),
        running: luck.between(...season.running),
        ...(season.runs ? { runs: season.runs } : {}),
        ...usual,
        ...ageing(season.engine, i)
      };
      const log = tell(engine.fitOut, day);
      left = carriedOver(log);
      await store(engine, season.keeper, purpose, log, id(day.begins));
    }
  }

  // Marsh Hen is in steam now, a good while into her running, her keeper having just looked at the glass.
  const marshHen = engines.get('Marsh Hen')!;
  const whole = { seed: 77, keeper: 'Wenna Thrale', begins: 0, running: 600, begun: begunOf('Marsh Hen', 'Public running') };
  const probe = tell(marshHen.fitOut, whole);
  const moved = probe.entries.find((e) => e.kind === 'tick' && e.body.step === 'first-move')!;
  const cut = probe.entries.find(
    (e) => e.kind === 'reading' && e.body.glass !== undefined && Date.parse(e.at) > Date.parse(moved.at) + 38 * 60_000
  )!;
  const begins = now - 50_000 - Date.parse(cut.at);
  const live = tell(marshHen.fitOut, { ...whole, begins, until: begins + Date.parse(cut.at) + 20_000 });
  await store(marshHen, 'Wenna Thrale', 'Public running', live, id(begins));

  // Peat Presser is planned for this afternoon; tomorrow three engines share their people.
  const people = (keeper: string, ...helpers: string[]): DayPlan['people'] => [
    { name: keeper, as: 'keeper', from: null },
    ...helpers.map((name) => ({ name, as: 'helper' as const, from: null }))
  ];
  async function plan(engineName: string, purpose: string, day: Pick<DayPlan, 'wants' | 'people' | 'running'> & Partial<DayPlan>) {
    const engine = engines.get(engineName)!;
    const asked: DayPlan = { end: null, water: 284.15, air: 286.15, tests: [], minutes: {}, without: [], packed: [], ...day };
    await tx`insert into steaming (club_id, steaming_id, engine_id, keeper_id, purpose, wanted_at, fit_out, procedure, plan)
      values (${club}, ${id()}, ${engine.id}, ${members.get(asked.people[0]!.name)!}, ${purpose}, ${asked.wants[0]!.at}, ${json(engine.fitOut)}, ${json(compose(engine.fitOut))}, ${json(asked)})`;
  }
  const quarter = (ms: number) => new Date(Math.ceil(ms / 9e5) * 9e5).toISOString();
  await plan('Peat Presser', 'Rolling the field path', {
    wants: [
      { what: 'rolling the path', at: quarter(now + 4.2 * 3.6e6) },
      { what: 'demonstration', at: quarter(now + 6 * 3.6e6) }
    ],
    people: people('Corrin Sallow', 'Jory Quillfeather'),
    running: 150,
    packed: ['water', 'start-fuel']
  });
  const tomorrow = (hour: number) => new Date(at(1, hour)).toISOString();
  await plan('Little Bittern', 'Members’ day', {
    wants: [
      { what: 'first train', at: tomorrow(11) },
      { what: 'last train', at: tomorrow(15.5) }
    ],
    end: tomorrow(18.25),
    people: people('Jory Quillfeather', 'Tamsel Bewick-Drane'),
    running: 180
  });
  await plan('Snipe', 'Members’ day', {
    wants: [{ what: 'afternoon run', at: tomorrow(13) }],
    people: people('Corrin Sallow'),
    running: 40
  });
  await plan('Tin Heron', 'School visit', {
    wants: [
      { what: 'first show', at: tomorrow(11) },
      { what: 'second show', at: tomorrow(12) },
      { what: 'third show', at: tomorrow(14) }
    ],
    people: people('Wenna Thrale'),
    water: 318.15,
    running: 25
  });
  await plan('Water Rail', 'Members’ day', {
    wants: [{ what: 'garden line', at: tomorrow(12.5) }],
    people: people('Tamsel Bewick-Drane'),
    running: 30
  });
});
// What the plans say is worked out by the server's own hand, as when somebody makes one.
const planned = await sql<{ club: string; engine: string }[]>`
  select distinct club_id as club, engine_id as engine from steaming where plan is not null and started_at is null`;
await sql.end();
const served = postgres(url, { max: 1, onnotice: () => {}, transform: { column: { from: postgres.toCamel, to: postgres.fromCamel } } });
for (const { club, engine } of planned) await served.begin((tx) => derivePlans(tx, club, engine));
await served.end();
