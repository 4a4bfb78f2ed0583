import { summarise } from '$core/log';
import { Refusal } from '$core/units';
import Joi from 'joi';
import { notHere } from './answer';
import { tell } from './audit';
import { inClub } from './database';
import { logIn } from './live/warm';
import { allowed, type Member } from './members';
import { settle } from './sql/derived';
import { json, type Tx } from './sql/json';

/** TWO STEAMINGS OF ONE ENGINE AT ONCE: one was begun where the other was not known of. Both are kept, and somebody says which is which. */
export interface Twice {
  id: string;
  engineId: string;
  engine: string;
  startedAt: string;
  keeper: string;
  other: { id: string; startedAt: string; keeper: string };
}

const twiceIn = (tx: Tx, club: string, id?: string) => tx<Twice[]>`
  select s.steaming_id as id, s.engine_id, e.name as engine, to_json(s.started_at) #>> '{}' as started_at, m.name as keeper,
    jsonb_build_object('id', o.steaming_id, 'startedAt', o.started_at, 'keeper', n.name) as other
  from steaming s join engine e using (club_id, engine_id) join member m on m.club_id = s.club_id and m.member_id = s.keeper_id
    join steaming o on o.club_id = s.club_id and o.engine_id = s.engine_id and o.steaming_id <> s.steaming_id and o.started_at is not null
      and o.thrown_away is null and o.started_at < coalesce(s.ended_at, now()) and s.started_at < coalesce(o.ended_at, now())
      -- Of two that were both begun without a connection, the later to come asks.
      and (o.begun_away is null or o.begun_away->>'received' < s.begun_away->>'received')
      and o.told_apart is null
    join member n on n.club_id = o.club_id and n.member_id = o.keeper_id
  where s.club_id = ${club} and s.begun_away is not null and s.told_apart is null and s.thrown_away is null
    ${id ? tx`and s.steaming_id = ${id}` : tx`and s.started_at > now() - interval '60 days'`}
  order by s.started_at desc limit 20`;

export const twice = (club: string) => inClub(club, (tx) => twiceIn(tx, club));

/** Both, with what their logs say, for whoever is to tell them apart. */
export const twiceOf = (club: string, id: string) =>
  inClub(club, async (tx) => {
    const [found] = await twiceIn(tx, club, id);
    if (!found) return notHere('pair of steamings');
    const about = async (of: { id: string; startedAt: string; keeper: string }) => {
      const log = (await logIn(tx, club, of.id))!;
      const { state } = log;
      return {
        ...of,
        phase: state.phase,
        litAt: state.fire.litAt ?? null,
        outAt: state.fire.outAt ?? null,
        endedAt: state.endedAt ?? null,
        pressure: state.pressure ?? null,
        glass: state.glass ?? null,
        summary: summarise(log)
      };
    };
    return { engineId: found.engineId, engine: found.engine, first: await about(found.other), second: await about(found) };
  });

/** What the two can be, in the words of whoever tells them apart. */
export const answers = {
  one: 'One fire, logged on two devices',
  two: 'Two fires, one after the other',
  none: 'The one heard later was none: begun by mistake, nothing was lit'
} as const;
export type TwiceAnswer = keyof typeof answers;

export const twiceSchema = Joi.object({
  as: Joi.valid(...Object.keys(answers))
    .required()
    .messages({ '*': 'Say whether it was one fire, two, or none.' }),
  why: Joi.string()
    .trim()
    .min(1)
    .max(300)
    .required()
    .messages({ '*': 'Say how you know, in at most 300 characters: it stays in the book.' })
}).unknown();

/**
 * Says what the two were. As one fire, the entries of the later are filed with the other, whole and in their order; as none, it leaves the
 * Logbook like any start that was none. @throws Refusal
 */
export const tellApart = (member: Member, id: string, { as, why }: { as: TwiceAnswer; why: string }): Promise<string> =>
  inClub(member.club, async (tx) => {
    const { club, name } = member;
    if (!allowed(member, 'override'))
      throw new Refusal('as', 'Only a steward or an owner says which of two steamings is which.', { code: 'forbidden' });
    const [found] = await twiceIn(tx, club, id);
    if (!found) throw new Refusal('as', 'They have been told apart already, or are not two at once any more.', { code: 'missing' });
    const { other, engine, engineId } = found;
    const log = (await logIn(tx, club, id))!;
    if (as === 'none' && log.state.fire.litAt)
      throw new Refusal('as', 'It was lit: a steaming with a fire is not thrown away. It was one fire, or two.', { code: 'conflict' });
    const said = { as, by: name, at: new Date().toISOString(), why };
    await tx`update steaming set told_apart = ${json(tx, said)} where club_id = ${club} and steaming_id = ${id}`;
    await tell(tx, club, member, 'two steamings', { engine, as: answers[as].toLowerCase(), why });
    if (as !== 'two') {
      const reason = as === 'one' ? 'Logged on two devices: its entries are filed with the other' : why;
      await tx`update steaming set thrown_away = ${json(tx, { by: name, at: said.at, reason })}, ended_at = coalesce(ended_at, now())
        where club_id = ${club} and steaming_id = ${id}`;
    }
    if (as === 'one') {
      await tx`select join_steamings(${club}, ${id}, ${other.id})`;
      // What came together may have been signed by either: the end, and what is kept of it, follow from the one fold.
      await settle(tx, club, other.id);
    }
    // What was beside another that is over, or thrown away, is an engine's one fire again.
    await tx`update steaming s set beside = null where club_id = ${club} and engine_id = ${engineId} and beside is not null and ended_at is null
      and not exists (select from steaming o where o.club_id = s.club_id and o.engine_id = s.engine_id and o.steaming_id <> s.steaming_id
        and o.started_at is not null and o.ended_at is null)`;
    return as === 'one' ? other.id : id;
  });
