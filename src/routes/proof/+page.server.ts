import { sheets } from '$core/proof';
import { need } from '$server/answer';
import { dueOf } from '$server/due';
import { enginesOf } from '$server/engines';
import { rulesOf, worksheetsOf } from '$server/proof';
import Joi from 'joi';

const filter = Joi.object({ engine: Joi.string().uuid().empty('').failover('') }).unknown();

export const load = async ({ locals, url }) => {
  const member = need(locals);
  const { club } = member;
  const { engine } = filter.validate(Object.fromEntries(url.searchParams)).value as { engine?: string };
  const [engines, rules, lines, due] = await Promise.all([
    enginesOf(club),
    rulesOf(club),
    worksheetsOf(club, engine || undefined),
    dueOf(member)
  ]);
  const chosen = engines.find((e) => e.id === engine);
  return {
    engines: engines.map(({ id, name }) => ({ id, name })),
    engine: chosen ? { id: chosen.id, name: chosen.name } : null,
    sheets: sheets.map(({ key, name, when }) => ({ key, name, able: !chosen || (when?.(chosen.fitOut) ?? true) })),
    due: due.filter((d) => !chosen || d.engine === chosen.name).slice(0, 12),
    rules: { name: rules.name, version: rules.version },
    now: Date.now(),
    lines: lines.map((l) => ({ ...l, name: sheets.find((s) => s.key === l.sheet)?.name ?? l.sheet }))
  };
};
