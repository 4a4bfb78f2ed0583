import { waters } from '$core/engine';
import type { Bodies, Treated } from '$core/log';
import type { Watered } from '$core/proof';
import { isoDayIn } from '$core/units';
import type { Tx } from './json';
import { unstruck } from './entry';

/** The signed sessions of an engine, as far as their water goes: the last two hundred. */
export async function wateredIn(tx: Tx, club: string, engineId: string, zone: string): Promise<Watered[]> {
  const rows = await tx<
    {
      at: Date;
      occasion: string | null;
      steamed: boolean;
      measured: Pick<Bodies['measured'], 'what' | 'volume' | 'product' | 'changed' | 'water'>[] | null;
      filled: keyof typeof waters | null;
    }[]
  >`
    select s.ended_at as at, s.begun->>'occasion' as occasion, coalesce(s.summary->>'inSteam', s.summary->>'raise') is not null as steamed,
      (select jsonb_agg(e.body || jsonb_build_object('what', coalesce(e.body->>'what', 'water in')) order by e.at) from entry e
        where e.club_id = s.club_id and e.steaming_id = s.steaming_id
        and (e.kind = 'measured' and e.body->>'what' in ('treatment', 'water in') or e.kind = 'water' and e.body->>'act' = 'in')
        and ${unstruck(tx)}) as measured,
      (select e.body->>'water' from entry e where e.club_id = s.club_id and e.steaming_id = s.steaming_id and e.kind = 'filled' and ${unstruck(tx)}
        order by e.at desc limit 1) as filled
    from steaming s where s.club_id = ${club} and s.engine_id = ${engineId} and s.ended_at is not null and s.thrown_away is null and s.joined_to is null
    order by s.ended_at desc limit 200`;
  return rows.map(({ at, occasion, steamed, measured, filled }) => {
    const of = (what: string) => (measured ?? []).filter((m) => m.what === what);
    const sum = (what: string) => of(what).reduce<number | undefined>((a, m) => (a ?? 0) + (m.volume ?? 0), undefined);
    const last = of('treatment').at(-1);
    // What was said to have been changed; where nothing was, what was measured in. Doses with and without it are of no one water.
    const changed = of('treatment').flatMap((m) => m.changed ?? []);
    const said = changed.length
      ? changed.length === of('treatment').length
        ? changed.reduce((a, b) => a + b)
        : undefined
      : sum('water in');
    const [water, dose, product, kind] = [said, sum('treatment'), last?.product, last?.water];
    return {
      at: at.toISOString(),
      day: isoDayIn(at, zone),
      washOut: occasion === 'wash-out',
      steamed,
      ...(water === undefined ? {} : { water }),
      ...(dose === undefined ? {} : { dose }),
      ...(product ? { product } : {}),
      ...(kind ? { kind: waters[kind] } : {}),
      ...((filled ?? kind) ? { filled: waters[(filled ?? kind)!] } : {})
    };
  });
}

/** The treatment that went into each of these engines last, as far as it was said for how much water: of their last thirty sessions. */
export async function treatedIn(tx: Tx, club: string, engineIds: readonly string[]): Promise<Map<string, Treated>> {
  const rows = await tx<{ id: string; at: Date; each: number; product: string | null }[]>`
    select g.id, t.* from unnest(${engineIds as string[]}::uuid[]) as g (id) cross join lateral (
      select e.at, (e.body->>'volume')::float8 / (e.body->>'changed')::float8 as each, e.body->>'product' as product
      from (select steaming_id from steaming where club_id = ${club} and engine_id = g.id and started_at is not null and thrown_away is null
          and joined_to is null order by started_at desc limit 30) s
      join entry e on e.club_id = ${club} and e.steaming_id = s.steaming_id and e.kind = 'measured' and e.body->>'what' = 'treatment'
        and e.body ? 'changed' and (e.body->>'volume')::float8 > 0
      where ${unstruck(tx)} order by e.at desc limit 1) t`;
  return new Map(rows.map(({ id, at, each, product }) => [id, { at: at.toISOString(), each, ...(product ? { product } : {}) }]));
}
