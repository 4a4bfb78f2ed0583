import { type Busy, type DayPlan, type Known, type PlanProblem, planProblem, type Whole } from '$core/plan';
import { newest } from '../ask';

/** How long a change may be changed again before the server is told, ms. */
const settles = 500;
const iso = (ms: number): string => new Date(ms).toISOString();

/**
 * A day sheet as its page sees it: the plan as it is being changed, the sheet that follows from it, and whether the server has
 * it. The sheet is worked out in the worker; the last one stands until the next comes.
 */
export class DaySheet {
  /** As it is asked for now, right or wrong. */
  plan: DayPlan;
  /** The last that could be planned by: what the sheet beside it is of. */
  stands: DayPlan;
  whole: Whole;
  /** Another start to compare with, by how many minutes the first want moves. */
  other = $state<{ minutes: number; whole?: Whole }>();
  saving = $state<'saved' | 'to save' | 'saving' | 'not saved'>('saved');
  problem = $state<PlanProblem>();
  readonly known: Known;
  readonly busy: Busy;
  #id: string;
  #purpose: string;
  #timer: ReturnType<typeof setTimeout> | undefined;
  #ask: (input: { known: Known; plan: DayPlan; busy: Busy }) => void;
  #askOther: (input: { known: Known; plan: DayPlan; busy: Busy }) => void;

  constructor({
    id,
    purpose,
    plan,
    known,
    busy,
    whole
  }: {
    id: string;
    purpose: string;
    plan: DayPlan;
    known: Known;
    busy: Busy;
    whole: Whole;
  }) {
    this.#id = id;
    this.#purpose = purpose;
    this.plan = $state.raw(plan);
    this.stands = $state.raw(plan);
    this.whole = $state.raw(whole);
    this.known = known;
    this.busy = busy;
    const failed = ({ message }: Error) => (this.problem = { field: 'plan', sentence: message });
    this.#ask = newest('plan', (whole) => (this.whole = whole), failed);
    this.#askOther = newest('plan', (whole) => this.other && (this.other = { ...this.other, whole }), failed);
  }

  /** Changes the plan: the sheet follows at once, the server a moment later. */
  change(part: Partial<DayPlan>, { sheet = true } = {}) {
    this.plan = { ...this.plan, ...part };
    clearTimeout(this.#timer);
    // What cannot be planned by is shown with its sentence, and neither worked out nor sent.
    this.problem = planProblem(this.plan);
    if (this.problem) {
      this.saving = 'not saved';
      return;
    }
    this.stands = this.plan;
    if (sheet) {
      this.#ask({ known: this.known, plan: this.plan, busy: this.busy });
      if (this.other) this.compare(this.other.minutes);
    }
    this.saving = 'to save';
    this.#timer = setTimeout(() => void this.save(), settles);
  }

  /** Moves what is wanted by so many minutes; the later wants keep their own times. */
  want(i: number, at: number) {
    this.change({ wants: this.plan.wants.map((w, j) => (i === j ? { ...w, at: iso(at) } : w)) });
  }

  minutes(key: string, minutes: number | undefined) {
    const { [key]: _, ...rest } = this.plan.minutes;
    this.change({ minutes: minutes === undefined ? rest : { ...rest, [key]: minutes } });
  }

  pack(what: string) {
    const { packed } = this.plan;
    this.change({ packed: packed.includes(what) ? packed.filter((p) => p !== what) : [...packed, what] }, { sheet: false });
  }

  compare(minutes: number | undefined) {
    if (minutes === undefined) return void (this.other = undefined);
    this.other = { minutes, ...(this.other?.minutes === minutes && this.other.whole ? { whole: this.other.whole } : {}) };
    const [first, ...rest] = this.plan.wants;
    const moved = { ...first!, at: iso(Date.parse(first!.at) + minutes * 60_000) };
    this.#askOther({ known: this.known, plan: { ...this.plan, wants: [moved, ...rest] }, busy: this.busy });
  }

  async save() {
    clearTimeout(this.#timer);
    if (this.problem) return;
    this.saving = 'saving';
    const sent = this.plan;
    try {
      const response = await fetch(`/api/plans/${this.#id}`, {
        method: 'PUT',
        headers: { 'content-type': 'application/json' },
        body: JSON.stringify({ purpose: this.#purpose, plan: sent })
      });
      if (!response.ok) {
        this.problem = await response.json().catch(() => ({ field: 'plan', sentence: 'It could not be saved. Try again.' }));
        this.saving = 'not saved';
      } else if (this.plan === sent) this.saving = 'saved';
    } catch {
      this.saving = 'not saved';
      // The plan stays on the page; it is tried again when something changes, or in a while.
      this.#timer = setTimeout(() => void this.save(), 8000);
    }
  }
}
