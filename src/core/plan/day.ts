import Joi from 'joi';

/** What a day asks of one engine: stored with the planned steaming. */
export interface DayPlan {
  /** When it is wanted in steam and proven, first to last; the first sets the raise. */
  readonly wants: readonly Want[];
  /** When everything must be over, ISO 8601; null when nothing says so. */
  readonly end: string | null;
  readonly people: readonly Person[];
  /** Temperature of the water that is filled in, and of the air, K. */
  readonly water: number;
  readonly air: number;
  /** Minutes of running between the first and the last want. */
  readonly running: number;
  /** Tests due today besides the procedure's own. */
  readonly tests: readonly { readonly what: string; readonly minutes: number }[];
  /** Minutes that this plan gives a step instead of the library's, by key. */
  readonly minutes: Readonly<Record<string, number>>;
  /** Steps that are not done that day, by key. */
  readonly without: readonly string[];
  /** Things ticked off the list to pack. */
  readonly packed: readonly string[];
}

export interface Want {
  readonly what: string;
  /** ISO 8601 */ readonly at: string;
}
export interface Person {
  readonly name: string;
  readonly as: 'keeper' | 'helper' | 'trainee';
  /** ISO 8601; null: there from the start. */
  readonly from: string | null;
  readonly until?: string | null;
}

const instant = Joi.string().isoDate().messages({ '*': 'Give the time as 2026-06-13T11:00:00.000Z.' });
const words = (max: number, what: string) =>
  Joi.string()
    .trim()
    .min(1)
    .max(max)
    .required()
    .messages({ '*': `${what}: one to ${max} characters.` });

export const dayPlanSchema = Joi.object({
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
        as: Joi.valid('keeper', 'helper', 'trainee').required(),
        from: instant.allow(null).default(null),
        until: instant.allow(null)
      })
    )
    .min(1)
    .max(12)
    .required(),
  water: Joi.number().min(274).max(372).default(283.15).messages({ '*': 'Water is filled in between 1 and 99 °C.' }),
  air: Joi.number().min(243).max(323).default(288.15).messages({ '*': 'Air lies between −30 and 50 °C.' }),
  running: Joi.number().min(0).max(1440).default(120).messages({ '*': 'Running: 0 to 1440 minutes.' }),
  tests: Joi.array()
    .items(Joi.object({ what: words(80, 'A test'), minutes: Joi.number().min(1).max(240).required() }))
    .max(8)
    .default([]),
  minutes: Joi.object()
    .pattern(Joi.string().max(60), Joi.number().min(0).max(480))
    .default({})
    .messages({ '*': 'A step takes 0 to 480 minutes.' }),
  without: Joi.array().items(Joi.string().max(60)).max(80).default([]),
  packed: Joi.array().items(Joi.string().max(120)).max(200).default([])
})
  .custom((plan: DayPlan, helpers) => {
    const keepers = plan.people.filter((p) => p.as === 'keeper');
    if (keepers.length !== 1) return helpers.message({ custom: 'One keeper answers for the engine: name exactly one.' });
    const wants = [...plan.wants].sort((a, b) => Date.parse(a.at) - Date.parse(b.at));
    if (plan.end && Date.parse(plan.end) <= Date.parse(wants.at(-1)!.at))
      return helpers.message({ custom: 'It cannot be over before steam is last wanted.' });
    if (Date.parse(wants.at(-1)!.at) - Date.parse(wants[0]!.at) > 20 * 3.6e6)
      return helpers.message({ custom: 'One sheet is for one day: the wants lie more than twenty hours apart.' });
    return { ...plan, wants };
  })
  .required();
