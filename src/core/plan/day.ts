import type { Duty } from '../sums';

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
  /** How hard it works; as with passengers when nothing is said. */
  readonly duty?: Duty;
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
  /** ISO 8601; null or missing: there to the end. */
  readonly until?: string | null;
}

/** What is wrong with a plan, at which of its fields. */
export interface PlanProblem {
  readonly field: string;
  readonly sentence: string;
}

const at = (iso: string) => Date.parse(iso);
const same = (a: string, b: string) => a.trim().toLowerCase() === b.trim().toLowerCase();

/**
 * Rules between the fields of a plan: asked where it is typed, at the server's door, and of what was stored before the rule was.
 * Each gives the field that is most likely wrong, and a sentence for it.
 */
const rules: readonly ((plan: DayPlan) => PlanProblem | undefined)[] = [
  ({ people }) => {
    const keepers = people.filter((p) => p.as === 'keeper').length;
    return keepers === 1 ? undefined : { field: 'people', sentence: 'One keeper answers for the engine: name exactly one.' };
  },
  ({ people }) => {
    const i = people.findIndex((p, j) => people.some((q, k) => k < j && same(p.name, q.name)));
    return i < 0
      ? undefined
      : { field: `people.${i}.name`, sentence: `${people[i]!.name} is named twice: each person stands here once, by a name of their own.` };
  },
  ({ people }) => {
    const i = people.findIndex((p) => p.from && p.until && at(p.until) <= at(p.from));
    return i < 0
      ? undefined
      : { field: `people.${i}.until`, sentence: `${people[i]!.name} would leave before arriving: give a later time to leave, or none.` };
  },
  ({ wants, end }) =>
    end && at(end) <= Math.max(...wants.map((w) => at(w.at)))
      ? { field: 'end', sentence: 'It cannot be over before steam is last wanted.' }
      : undefined,
  ({ wants }) => {
    const times = wants.map((w) => at(w.at));
    return Math.max(...times) - Math.min(...times) > 20 * 3.6e6
      ? { field: 'wants', sentence: 'One sheet is for one day: the wants lie more than twenty hours apart.' }
      : undefined;
  }
];

/** The first thing wrong with a plan whose fields are each good by themselves; undefined when it can be planned by. */
export function planProblem(plan: DayPlan): PlanProblem | undefined {
  for (const rule of rules) {
    const problem = rule(plan);
    if (problem) return problem;
  }
  return undefined;
}

/** The plan of one who only said when: the keeper alone, two hours of running. */
export const usualPlan = (keeper: string, wantedAt: string, purpose: string): DayPlan => ({
  wants: [{ what: purpose || 'in steam', at: wantedAt }],
  end: null,
  people: [{ name: keeper, as: 'keeper', from: null }],
  water: 284.15,
  air: 286.15,
  running: 120,
  tests: [],
  minutes: {},
  without: [],
  packed: []
});
