import type { Bodies, Context, Entry, Kind } from '$core/log';
import { glassReading, type Maker, mayNotEnter, standing, unskipped } from '$core/log';
import type { ThingKey } from '$core/procedure';
import type { DayPlan, Known } from '$core/plan';
import type { Glass } from '$core/units';
import { type Drill, due, warnings } from '$core/watch';
import { clubNow, isoOf } from '../outbox/club-time';
import type { Made } from '../outbox/made';
import { ticking } from '../sheet/clock.svelte';
import { Forecast } from './forecast.svelte';
import { Steaming } from './steaming.svelte';

/** What the page is opened with. */
export interface Opened {
  readonly id: string;
  readonly context: Context;
  readonly entries: readonly Entry[];
  readonly place: string;
  readonly known: Pick<Known, 'fitOut' | 'fits' | 'offs' | 'used'>;
  readonly plan: DayPlan | null;
  readonly member: { readonly id: string; readonly name: string };
  /** What the member may do. */
  readonly rights: readonly string[];
  readonly now: number;
}

const initialsOf = (name: string) =>
  name
    .split(/\s+/)
    .map((w) => w[0])
    .join('')
    .slice(0, 4);

/** A steaming as its Footplate shows it: what is due, what is the matter, and what the hands on it may do. */
export class Footplate {
  readonly steaming: Steaming;
  readonly forecast: Forecast;
  readonly fitOut;
  readonly procedure;
  readonly me: string;
  readonly #maker: Maker;
  readonly #time;
  /** The step that was picked out of its turn. */
  chosenKey = $state<string>();
  /** Why the last tick was not made: said until something else is. */
  refusal = $state<string>();

  readonly log = $derived.by(() => this.steaming.log);
  /** Entries that were made: what is only acknowledged has said nothing new. */
  readonly #said = $derived(this.log.entries.length);
  readonly state = $derived(this.log.state);
  readonly due = $derived.by(() => due(this.procedure, this.state, this.now));
  readonly alarms = $derived.by(() => warnings(this.fitOut, this.state, this.now));
  readonly chosen = $derived.by(() => {
    const step = this.procedure.steps.find((s) => s.key === this.chosenKey);
    // One that was skipped may be done after all.
    return step && this.state.steps[step.key]?.outcome !== 'done'
      ? { step, standing: standing(step, unskipped(this.state, step.key), this.procedure, this.now) }
      : undefined;
  });
  /** When every step waits, the nearest one is shown with what it waits for. */
  readonly placed = $derived(this.chosen ?? this.due.now ?? this.due.next[0]);
  readonly next = $derived(this.due.next.filter((p) => p.step.key !== this.placed?.step.key));
  readonly finished = $derived.by(() => this.procedure.steps.every((s) => this.state.steps[s.key]));

  /** To be made while the page's component is. */
  constructor({ id, context, member, entries, place, known, plan, rights, now }: Opened) {
    this.steaming = new Steaming({ id, context, member, entries, place });
    this.forecast = new Forecast({ id, known, plan });
    this.fitOut = context.fitOut;
    this.procedure = context.procedure;
    this.me = member.name;
    this.#maker = { name: member.name, may: (right) => rights.includes(right) };
    this.#time = ticking(now, 1000);
    $effect(() => {
      void this.#said;
      this.refusal = undefined;
    });
  }

  get now() {
    return this.#time.now;
  }

  /** Button, key, quick line and dialog all come through here, and the server asks the same. Whether it was entered. */
  enter = (made: readonly Made[]): boolean => {
    const now = clubNow();
    for (const m of made) {
      const entry = { ...m, id: '', at: isoOf(now), by: this.me, source: 'person' } as Entry;
      this.refusal = mayNotEnter(entry, this.log, this.#maker, now)?.sentence;
      if (this.refusal) return false;
    }
    this.steaming.recordAll(made);
    return true;
  };
  /** Why it may not be signed for now, by whoever is signed in here; undefined when it may. */
  readonly signRefused = $derived.by(() => {
    const sign = { kind: 'sign', body: { as: 'keeper', name: this.me }, id: '', at: isoOf(this.now), by: this.me, source: 'person' };
    return mayNotEnter(sign as Entry, this.log, this.#maker, this.now)?.sentence;
  });
  record = <K extends Kind>(kind: K, body: Bodies[K]): void => void this.enter([{ kind, body }]);
  strike = (strikes: string): void => void this.enter([{ kind: 'strike', body: {}, strikes }]);
  tick = (body: Bodies['tick']): void => {
    if (this.enter([{ kind: 'tick', body }])) this.chosenKey = undefined;
  };
  done = (reason?: string): void => {
    const step = this.placed?.step;
    if (step)
      this.tick({
        step: step.key,
        outcome: 'done',
        ...(reason ? { reason } : {}),
        ...(step.evidence === 'initials' ? { initials: initialsOf(this.me) } : {})
      });
  };
  skip = (reason: string): void => {
    if (this.placed) this.tick({ step: this.placed.step.key, outcome: 'skipped', reason });
  };
  choose = (step: string | undefined): void => void (this.chosenKey = step);

  /** A reading by pointing. A pressure just logged is the one that the glass was taken at. */
  pickGlass = (glass: Glass, which: number): void =>
    this.record('reading', { ...glassReading(glass, this.state), ...(which ? { glassNumber: 2 as const } : {}) });
  pickPressure = (pressure: number): void => this.record('reading', { pressure });

  /** What stood open is shut: by its valve where it has one. */
  shut = (thing: ThingKey): void =>
    thing === 'drains' || thing === 'vent' || thing === 'fan'
      ? this.record('valve', { valve: thing, open: 0 })
      : this.record('thing', { thing, open: false });

  /** What the low-water drill was answered is logged as it was answered. */
  lowWater = ({ says, fault }: NonNullable<Drill['question']>['answers'][number]): void => {
    if (!fault) return;
    const notSeen: Made[] = says === 'not seen' ? [{ kind: 'reading', body: glassReading('not seen', this.state) }] : [];
    void this.enter([...notSeen, { kind: 'fault', body: fault }]);
  };
}
