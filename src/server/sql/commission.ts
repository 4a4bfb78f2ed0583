import {
  baselinesOf,
  type Build,
  type BuildEntry,
  type BuildFacts,
  buildOf,
  buildStands,
  cellsFrom,
  type CellSaid,
  condensed,
  isBuilding,
  namedIn,
  type Pictured,
  type OccasionKey,
  type RigSaid,
  type Rigs,
  type SweepSaid,
  type Swept,
  withRig
} from '$core/commission';
import type { FitOut } from '$core/engine';
import { accumulationsOf, type Commissioned, fold } from '$core/log';
import type { InBook } from '$core/plan';
import { isoDayIn } from '$core/units';
import { entriesIn, unstruck } from './entry';
import type { Tx } from './json';
import { contextOf, steamingIn } from './steaming';

/** WHAT SESSIONS HAVE SHOWN OF AN ENGINE: its matrix, its sweeps, its rigs, and how its build stands by them. */

interface Row {
  engineId: string;
  steamingId: string;
  kind: 'cell' | 'sweep' | 'rig' | 'photo';
  at: Date;
  /** When its session began, by the server. */
  startedAt: Date;
  by: string;
  body: unknown;
}

/** What was logged of these engines, unstruck, the oldest first. */
async function saidOf(tx: Tx, club: string, engineIds: readonly string[]): Promise<Map<string, Row[]>> {
  const rows = await tx<Row[]>`
    select s.engine_id, e.steaming_id, e.kind, e.at, s.started_at, e.by_name as by, e.body from entry e join steaming s using (club_id, steaming_id)
    where e.club_id = ${club} and s.engine_id = any(${engineIds as string[]}::uuid[]) and e.kind in ('cell', 'sweep', 'rig', 'photo')
      and (e.kind <> 'photo' or e.body ? 'place')
      and s.thrown_away is null and s.joined_to is null and e.at > now() - interval '3 years'
      and ${unstruck(tx)}
    order by e.at, e.seq`;
  const by = new Map<string, Row[]>();
  for (const r of rows) by.set(r.engineId, [...(by.get(r.engineId) ?? []), r]);
  return by;
}

const made = ({ at, by }: Row) => ({ at: at.toISOString(), by });
const sweptBy = ({ body, at, by }: Row): Swept => ({ ...(body as SweepSaid), when: at.toISOString(), by });

/** What its places are held against: for as long as each is as it was, and not for one build. */
function picturedBy(rows: readonly Row[]): Pictured[] {
  const pictures = rows
    .filter((r) => r.kind === 'photo')
    .map((r) => {
      const { place, sum, what, fault } = r.body as Pick<Pictured, 'place' | 'sum' | 'what'> & { fault?: string };
      return { place, sum, what, ...(fault === undefined ? {} : { fault }), ...made(r) };
    });
  return [...baselinesOf(pictures, rows.filter((r) => r.kind === 'sweep').map(sweptBy)).values()];
}

/** The picture that a place of an engine is held against; nothing where it was not pictured since it was last taken apart. */
export const picturedIn = async (tx: Tx, club: string, engineId: string, place: string): Promise<Pictured | undefined> =>
  picturedBy((await saidOf(tx, club, [engineId])).get(engineId) ?? []).find((p) => p.place === place);

/** What sessions showed: of a build what was seen since it began; else what was swept last and what is on. */
function commissioned(rows: readonly Row[], build: Build | undefined): Commissioned {
  // By when its session began: a phone whose clock is behind is in the same build.
  const of = (kind: Row['kind']) =>
    rows.filter((r) => r.kind === kind && (!build || kind === 'rig' || r.startedAt.toISOString() >= build.since));
  const swept = of('sweep').map(sweptBy);
  const cells = build ? of('cell').map((r) => ({ ...(r.body as CellSaid), ...made(r) })) : [];
  const pictured = picturedBy(rows);
  return {
    ...(isBuilding(build) ? { built: true } : {}),
    cells: Object.values(cellsFrom(cells)),
    swept: condensed(swept),
    rigs: of('rig').reduce<Rigs>((on, r) => withRig(on, r.body as RigSaid, made(r)), {}),
    own: namedIn(swept),
    ...(pictured.length ? { pictured } : {})
  };
}
const isEmpty = ({ built, swept, rigs, pictured }: Commissioned) => !built && !swept.length && !Object.keys(rigs).length && !pictured;

export interface CommissionedIn {
  readonly before: Commissioned;
  /** Its build, open or ended, with its log. */
  readonly log: readonly BuildEntry[];
  /** All that its build is judged by; of one that is ended where it was asked for. */
  readonly facts?: BuildFacts;
}

type Stands = ReadonlyMap<
  string,
  Pick<BuildFacts, 'faults'> & { readonly papers: readonly { readonly kind: string; readonly expires: string }[] }
>;

/** Of each engine: what earlier sessions showed, and how its build stands. @param ended also of one that is ended, to be looked at */
export async function commissionedIn(
  tx: Tx,
  club: string,
  engines: readonly { readonly id: string; readonly fitOut: FitOut }[],
  stands: Stands,
  { ended = false } = {}
): Promise<Map<string, CommissionedIn>> {
  const ids = engines.map((e) => e.id);
  const [said, builds, [clock]] = await Promise.all([
    saidOf(tx, club, ids),
    tx<{ engineId: string; kind: string; at: Date; by: string; body: unknown }[]>`
      select engine_id, kind, at, by_name as by, body from build_entry where club_id = ${club} and engine_id = any(${ids}::uuid[]) order by seq`.execute(),
    tx<{ zone: string }[]>`select zone from club where club_id = ${club}`.execute()
  ]);
  const today = isoDayIn(Date.now(), clock!.zone);
  return new Map(
    await Promise.all(
      engines.map(async ({ id, fitOut }): Promise<[string, CommissionedIn]> => {
        const log = builds
          .filter((b) => b.engineId === id)
          .map(({ kind, at, by, body }) => ({ kind, body, by, at: at.toISOString() }) as BuildEntry);
        const build = buildOf(log);
        const before = commissioned(said.get(id) ?? [], build);
        if (!build || !(ended || isBuilding(build))) return [id, { log, before }];
        const { faults = [], papers = [] } = stands.get(id) ?? {};
        const { cells, built: _, ...shown } = before;
        const facts: BuildFacts = {
          ...shown,
          fitOut,
          has: build.has,
          skipped: build.skipped,
          sessions: await sessionsIn(tx, club, id, build.since),
          sheets: await sheetsIn(tx, club, id, build.since),
          cells: cellsFrom(cells),
          faults,
          papers: papers.filter((p) => p.expires >= today).map((p) => p.kind)
        };
        return [id, { log, before, facts }];
      })
    )
  );
}

/** What a session begins with of it; nothing where there is nothing to be told. */
export const beginsWith = ({ before, facts }: CommissionedIn): Pick<InBook, 'before' | 'build'> => ({
  ...(isEmpty(before) ? {} : { before }),
  ...(before.built && facts ? { build: buildStands(facts) } : {})
});

/** What was worked on since a build began and is signed, with what an accumulation test of it came to. */
async function sessionsIn(tx: Tx, club: string, engineId: string, since: string): Promise<BuildFacts['sessions']> {
  const rows = await tx<{ id: string; occasion: OccasionKey | null; endedAt: Date; tested: boolean }[]>`
    select steaming_id as id, begun->>'occasion' as occasion, ended_at,
      exists (select from entry e where e.club_id = s.club_id and e.steaming_id = s.steaming_id and e.kind = 'accumulation') as tested
    from steaming s where club_id = ${club} and engine_id = ${engineId} and ended_at is not null and thrown_away is null and joined_to is null and started_at >= ${since}
    order by ended_at limit 200`;
  return Promise.all(
    rows.map(async ({ id, occasion, endedAt, tested }) => {
      const accumulation = tested ? await accumulatedIn(tx, club, id, endedAt) : undefined;
      return { id, occasion: occasion ?? 'running', endedAt: endedAt.toISOString(), ...(accumulation ? { accumulation } : {}) };
    })
  );
}
/** What the last accumulation test of a session came to; nothing where it was given up. */
export async function accumulatedIn(tx: Tx, club: string, id: string, at: Date) {
  const found = (await steamingIn(tx, club, id))!;
  const last = accumulationsOf(fold(contextOf(found), (await entriesIn(tx, club, id)).entries), at.getTime()).at(-1)?.verdict;
  return last === 'stayed under' || last === 'over' || last === 'too close' ? last : undefined;
}

const sheetsIn = (tx: Tx, club: string, engineId: string, since: string): Promise<BuildFacts['sheets'][number][]> =>
  tx<BuildFacts['sheets'][number][]>`
    select proof_id as id, sheet, verdict, (select s.by_name from proof s where s.club_id = p.club_id and s.of_id = p.proof_id) as signed_by
    from proof p where club_id = ${club} and engine_id = ${engineId} and kind = 'worksheet' and at >= ${since} order by seq desc limit 100`.then(
    (r) => [...r]
  );
