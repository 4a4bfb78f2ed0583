import { sheets } from '$core/proof';
import { need } from '$server/answer';
import { enginesOf } from '$server/engines';
import { rulesOf, worksheetsOf } from '$server/proof';
import Joi from 'joi';

const filter = Joi.object({ engine: Joi.string().uuid().empty('').failover('') }).unknown();

export const load = async ({ locals, url }) => {
  const { club } = need(locals);
  const { engine } = filter.validate(Object.fromEntries(url.searchParams)).value as { engine?: string };
  const [engines, rules, lines] = await Promise.all([enginesOf(club), rulesOf(club), worksheetsOf(club, engine || undefined)]);
  const chosen = engines.find((e) => e.id === engine);
  return {
    engines: engines.map(({ id, name }) => ({ id, name })),
    engine: chosen ? { id: chosen.id, name: chosen.name } : null,
    sheets: sheets.map(({ key, name, when }) => ({ key, name, able: !chosen || (when?.(chosen.fitOut) ?? true) })),
    rules: { name: rules.name, version: rules.version },
    lines: lines.map((l) => ({ ...l, name: sheets.find((s) => s.key === l.sheet)?.name ?? l.sheet }))
  };
};
