import type { Watered } from '$core/proof';
import { isoDayIn } from '$core/units';
import type { Tx } from './json';
import { unstruck } from './entry';

/** The signed sessions of an engine, as far as their water goes: the last two hundred. */
export async function wateredIn(tx: Tx, club: string, engineId: string, zone: string): Promise<Watered[]> {
  const rows = await tx<
    { at: Date; occasion: string | null; steamed: boolean; measured: { what: string; volume: number; product?: string }[] | null }[]
  >`
    select s.ended_at as at, s.begun->>'occasion' as occasion, coalesce(s.summary->>'inSteam', s.summary->>'raise') is not null as steamed,
      (select jsonb_agg(e.body || jsonb_build_object('what', coalesce(e.body->>'what', 'water in')) order by e.at) from entry e
        where e.club_id = s.club_id and e.steaming_id = s.steaming_id
        and (e.kind = 'measured' and e.body->>'what' in ('treatment', 'water in') or e.kind = 'water' and e.body->>'act' = 'in')
        and ${unstruck(tx)}) as measured
    from steaming s where s.club_id = ${club} and s.engine_id = ${engineId} and s.ended_at is not null and s.thrown_away is null and s.joined_to is null
    order by s.ended_at desc limit 200`;
  return rows.map(({ at, occasion, steamed, measured }) => {
    const of = (what: string) => (measured ?? []).filter((m) => m.what === what);
    const sum = (what: string) => of(what).reduce<number | undefined>((a, m) => (a ?? 0) + m.volume, undefined);
    const [water, dose, product] = [sum('water in'), sum('treatment'), of('treatment').at(-1)?.product];
    return {
      at: at.toISOString(),
      day: isoDayIn(at, zone),
      washOut: occasion === 'wash-out',
      steamed,
      ...(water === undefined ? {} : { water }),
      ...(dose === undefined ? {} : { dose }),
      ...(product ? { product } : {})
    };
  });
}
