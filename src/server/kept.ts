import { plantOf } from '$core/boiler';
import { joiOf, problemsOf } from '$core/form/joi';
import { benchSum } from '$core/sums';
import { Refusal, type Kind } from '$core/units';
import Joi from 'joi';
import { check } from './answer';
import { inClub } from './database';
import { engine } from './engines';
import type { Member } from './members';
import { parseJson } from './parse-json';
import { json } from './sql/json';
import { newId } from './uuid';

/** A figure of the bench that was kept with an engine. */
export interface Kept {
  id: string;
  sum: string;
  name: string;
  /** What was said, in SI, by field. */ said: Record<string, number>;
  value: number;
  kind: Kind;
  at: Date;
  by: string;
}

const keepSchema = Joi.object({
  engine: Joi.string().uuid().required().messages({ '*': 'Choose the engine that it is kept with.' }),
  said: Joi.string().max(4000).required().messages({ '*': 'Say what was asked.' })
}).unknown();

/**
 * Keeps what a sum comes to with an engine: worked here from what was said, and never taken as told.
 * @throws Refusal at the field that cannot be
 */
export async function keepFigure(member: Member, key: string, values: Record<string, unknown>): Promise<Kept & { engine: string }> {
  const { engine: id, said: text } = check<{ engine: string; said: string }>(keepSchema, values);
  const sum = benchSum(key);
  if (!sum) throw new Refusal('sum', 'There is no such sum.', { code: 'missing' });
  const found = await engine(member.club, id);
  if (!found) throw new Refusal('engine', 'There is no such engine.', { code: 'missing' });
  const given = { fitOut: found.fitOut, plant: plantOf(found.fitOut) };
  if (!(sum.when?.(given) ?? true)) throw new Refusal('engine', `That sum means nothing for ${found.name}.`);
  const parsed = parseJson(text);
  if ('problem' in parsed) throw new Refusal('said', parsed.problem);
  const { error, value: said } = joiOf(sum.inputs).validate(parsed.value, { abortEarly: false });
  if (error) {
    const [first] = problemsOf(sum.inputs, error, parsed.value);
    throw new Refusal(first!.path || 'said', first!.sentence);
  }
  const { value, kind } = sum.work(said as never, given);
  if (!Number.isFinite(value)) throw new Refusal('said', 'It never comes to that: there is no figure to keep.');
  const kept = {
    id: newId(),
    sum: key,
    name: sum.name,
    said: said as Record<string, number>,
    value,
    kind,
    at: new Date(),
    by: member.name
  };
  await inClub(
    member.club,
    (tx) => tx`insert into kept_figure (club_id, kept_id, engine_id, sum, said, value, kind, name, at, by_name)
      values (${member.club}, ${kept.id}, ${id}, ${key}, ${json(tx, kept.said)}, ${value}, ${kind}, ${sum.name}, ${kept.at}, ${member.name})`
  );
  return { ...kept, engine: found.name };
}

/** What is kept with an engine, newest first. */
export const keptOf = (club: string, engineId: string): Promise<Kept[]> =>
  inClub(
    club,
    async (tx) =>
      await tx<Kept[]>`select kept_id as id, sum, name, said, value, kind, at, by_name as by from kept_figure
      where club_id = ${club} and engine_id = ${engineId} and let_go_at is null order by at desc, kept_id desc limit 60`
  );

/** A figure that does not count any more: it stays in the book, with who let it go. */
export async function letGo(member: Member, engineId: string, values: Record<string, unknown>): Promise<void> {
  const { kept } = check<{ kept: string }>(Joi.object({ kept: Joi.string().uuid().required() }).unknown(), values);
  const gone = await inClub(
    member.club,
    (tx) => tx`update kept_figure set let_go_at = now(), let_go_by = ${member.name}
      where club_id = ${member.club} and engine_id = ${engineId} and kept_id = ${kept} and let_go_at is null returning kept_id`
  );
  if (!gone.length) throw new Refusal('kept', 'There is no such figure, or it was let go already.', { code: 'missing' });
}
