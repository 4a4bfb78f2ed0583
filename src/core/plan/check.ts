import Joi from 'joi';
import { duties } from '../sums';
import { type DayPlan, type PlanProblem, planProblem } from './day';

const instant = Joi.string().isoDate().messages({ '*': 'Give the time as 2026-06-13T11:00:00.000Z.' });
const words = (max: number, what: string) =>
  Joi.string()
    .trim()
    .min(1)
    .max(max)
    .required()
    .messages({ '*': `${what}: one to ${max} characters.` });

const schema = Joi.object({
  wants: Joi.array()
    .items(Joi.object({ what: words(60, 'What it is wanted for'), at: instant.required() }))
    .min(1)
    .max(12)
    .required()
    .messages({ '*': 'Say when steam is wanted: one to twelve times, each with what for.' }),
  end: instant.allow(null).default(null),
  people: Joi.array()
    .items(
      Joi.object({
        name: words(120, 'A name'),
        as: Joi.valid('keeper', 'helper', 'trainee').required().messages({ '*': 'As keeper, helper or trainee.' }),
        from: instant.allow(null).default(null),
        until: instant.allow(null)
      })
    )
    .min(1)
    .max(12)
    .required()
    .messages({ 'array.min': 'Name who keeps it.', 'array.max': 'A sheet has room for twelve people.' }),
  water: Joi.number().min(274).max(372).default(283.15).messages({ '*': 'Water is filled in between 1 and 99 °C.' }),
  air: Joi.number().min(243).max(323).default(288.15).messages({ '*': 'Air lies between −30 and 50 °C.' }),
  duty: Joi.valid(...Object.keys(duties)).messages({ '*': `Work of the day: ${Object.keys(duties).join(', ')}.` }),
  running: Joi.number().min(0).max(1440).default(120).messages({ '*': 'Running: 0 to 1440 minutes.' }),
  tests: Joi.array()
    .items(
      Joi.object({
        what: words(80, 'A test'),
        minutes: Joi.number().min(1).max(240).required().messages({ '*': 'A test takes 1 to 240 minutes.' })
      })
    )
    .max(8)
    .default([]),
  minutes: Joi.object()
    .pattern(Joi.string().max(60), Joi.number().min(0).max(480))
    .default({})
    .messages({ '*': 'A step takes 0 to 480 minutes.' }),
  without: Joi.array().items(Joi.string().max(60)).max(80).default([]),
  packed: Joi.array().items(Joi.string().max(120)).max(200).default([])
})
  .required()
  .messages({ '*': 'A plan says when steam is wanted and who is there.' });

/** Checks a plan as it comes from outside: its fields, then the rules between them. Wants come back in the order of their times. */
export function checkPlan(document: unknown): { plan: DayPlan } | PlanProblem {
  const { error, value } = schema.validate(document, { abortEarly: true });
  if (error) {
    const { path, message } = error.details[0]!;
    return { field: path.join('.') || 'plan', sentence: message.endsWith('.') ? message : `${message.replace(/"/g, '')}.` };
  }
  const plan: DayPlan = { ...value, wants: [...value.wants].sort((a, b) => Date.parse(a.at) - Date.parse(b.at)) };
  return planProblem(plan) ?? { plan };
}

/**
 * A stored plan, for showing. One that does not fit any more is shown as far as it does, with what is usual in place of what
 * is wrong, and says so: it can be looked at and changed, and nothing of it is written before somebody does.
 */
export function readablePlan(stored: unknown, usual: DayPlan): { plan: DayPlan; problems: readonly PlanProblem[] } {
  let document = { ...usual, ...(stored as Partial<DayPlan> | null) };
  const problems: PlanProblem[] = [];
  for (let i = 0; i < 12; i++) {
    const checked = checkPlan(document);
    if ('plan' in checked) return { plan: checked.plan, problems };
    problems.push(checked);
    const field = checked.field.split('.')[0] as keyof DayPlan;
    document = { ...document, [field]: mended(field, document, usual) };
  }
  return { plan: usual, problems };
}

/** What stands in place of a field that is wrong: people without those named twice and without an impossible leaving, else what is usual. */
function mended(field: keyof DayPlan, document: DayPlan, usual: DayPlan): unknown {
  if (!(field in usual)) return undefined;
  if (field !== 'people' || !Array.isArray(document.people)) return usual[field];
  const names = new Set<string>();
  const people = document.people
    .filter((p) => typeof p?.name === 'string' && !names.has(p.name.trim().toLowerCase()) && names.add(p.name.trim().toLowerCase()))
    .map((p) => (p.from && p.until && Date.parse(p.until) <= Date.parse(p.from) ? { ...p, until: null } : p));
  return 'plan' in checkPlan({ ...usual, people }) ? people : usual.people;
}
