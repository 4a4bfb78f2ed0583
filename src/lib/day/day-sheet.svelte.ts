import { type Busy, type DayPlan, type Known, type PlanProblem, planProblem, type Whole } from '$core/plan';
import { merge, type Merged } from '$core/form';
import { newest } from '../ask';
import { type Outdated, sendChange } from '../form/change';

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
  /** What somebody else saved meanwhile, while it clashes with what stands here. */
  outdated = $state.raw<Outdated<DayPlan>>();
  /** What somebody else changed and this page took in. */
  took = $state.raw<{ by: string | null; what: Merged['taken'] }>();
  readonly known: Known;
  readonly busy: Busy;
  #id: string;
  #purpose: string;
  /** What the server had when this page last heard of it. */
  #from: { plan: DayPlan; version: number };
  #sent: Promise<void> = Promise.resolve();
  #timer: ReturnType<typeof setTimeout> | undefined;
  #ask: (input: { known: Known; plan: DayPlan; busy: Busy }) => void;
  #askOther: (input: { known: Known; plan: DayPlan; busy: Busy }) => void;

  constructor({
    id,
    purpose,
    plan,
    version,
    known,
    busy,
    whole
  }: {
    id: string;
    purpose: string;
    plan: DayPlan;
    version: number;
    known: Known;
    busy: Busy;
    whole: Whole;
  }) {
    this.#id = id;
    this.#purpose = purpose;
    this.#from = { plan, version };
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

  /** Sends what is not saved yet. One at a time: each is made from the version that the one before it gave. */
  save(): Promise<void> {
    clearTimeout(this.#timer);
    return (this.#sent = this.#sent.then(() => this.#send()));
  }

  async #send(): Promise<void> {
    if (this.problem || this.outdated || this.saving === 'saved') return;
    this.saving = 'saving';
    const plan = this.plan;
    const sent = await sendChange<DayPlan>(`/api/plans/${this.#id}`, this.#from.version, { purpose: this.#purpose, plan });
    if (sent !== 'no connection' && 'saved' in sent) {
      this.#from = { plan, version: sent.saved.version };
      if (this.plan === plan) this.saving = 'saved';
      return;
    }
    this.saving = 'not saved';
    if (sent === 'no connection') {
      // The plan stays on the page; it is tried again when something changes, or in a while.
      this.#timer = setTimeout(() => void this.save(), 8000);
    } else if ('refused' in sent) this.problem = sent.refused;
    else {
      const both = merge(this.#from.plan, sent.outdated.theirs, this.plan);
      if (both.clashes.length) this.outdated = sent.outdated;
      else {
        this.took = { by: sent.outdated.by, what: both.taken };
        this.goOn(both.document as DayPlan, sent.outdated);
      }
    }
  }

  /** What stands here with what they changed taken in; where both changed the same, the two are to be chosen between. */
  get merged(): Merged | undefined {
    return this.outdated && merge(this.#from.plan, this.outdated.theirs, this.plan);
  }

  /** Goes on from what somebody else saved, with what was settled between the two. */
  goOn(settled: DayPlan, { theirs, version }: Outdated<DayPlan>) {
    this.#from = { plan: theirs, version };
    this.outdated = undefined;
    this.change(settled);
  }
}
