import type { Bodies, Entry, Kind } from '$core/log';
import { add, type Forbids, glassReading, isAsked, isDue, type Maker, mayNotEnter, oilRound, standing, unskipped } from '$core/log';
import type { Try } from '$core/finder';
import type { Ask, ThingKey } from '$core/procedure';
import type { DayPlan, Known } from '$core/plan';
import { type Glass, printMarks, usualUnits } from '$core/units';
import {
  cardOf,
  countdownOf,
  type Day,
  type Detail,
  type Drill,
  due,
  dutiesOf,
  type Duty,
  headOf,
  inSteam,
  lowWater,
  saidOf,
  standingBy,
  type Warning,
  type Watch,
  warningsOf,
  watching
} from '$core/watch';
import { keepPicture } from '../photo/keep';
import type { Picture } from '../photo/make';
import { clubNow, isoOf } from '../outbox/club-time';
import type { Made } from '../outbox/made';
import { ticking } from '../sheet/clock.svelte';
import { Forecast } from './forecast.svelte';
import { Notices } from './notices';
import { Sound } from './sound.svelte';
import { givenAs } from './given';
import { Steaming } from './steaming.svelte';

/** What the page is opened with. */
export interface Opened {
  readonly id: string;
  readonly watch: Watch;
  readonly place: string;
  readonly known: Pick<Known, 'fitOut' | 'fits' | 'offs' | 'used' | 'runs'>;
  readonly plan: DayPlan | null;
  /** Water used while it works, kg/s. */
  readonly water: number;
  readonly member: { readonly id: string; readonly name: string; readonly cards: Detail };
  /** What the member may do. */
  readonly rights: readonly string[];
  /** Of its feeds, on earlier days. */
  readonly tries?: readonly Try[];
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
  readonly triesBefore: readonly Try[];
  readonly #detail: Detail;
  readonly #day: Day;
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
  readonly duties = $derived.by(() => dutiesOf(this.log, this.now, this.#day));
  /** The time by which an engine that nothing feeds has to be over. */
  readonly countdown = $derived.by(() => countdownOf(this.fitOut, this.state));
  readonly standsBy = $derived(standingBy(this.state));
  /** A duty that has come round, where no step is to be done first; one that is late comes before any step. */
  readonly dutyNow = $derived.by(() => {
    const [worst] = this.duties;
    if (!worst || worst.state === 'waiting' || this.chosen) return undefined;
    return !this.due.now || worst.late > 2 * 60_000 ? worst : undefined;
  });
  /** The second fold: what has not changed is not watched again. */
  #watched: Watch | undefined;
  readonly watch = $derived.by(() => (this.#watched = watching(this.log, this.#watched)));
  /** How it is heard on this device. */
  readonly sound = new Sound();
  readonly notices: Notices;
  readonly alarms = $derived.by(() => warningsOf(this.watch, this.now));
  /** The drill that NOW is, while water is not seen and there is fire. */
  readonly drill = $derived.by(() =>
    this.alarms.some((a) => a.key === 'no water') && inSteam(this.state)
      ? lowWater(this.fitOut, this.state)
          .question?.answers.find((a) => a.says === 'not seen')
          ?.steps.map(saidOf)
      : undefined
  );
  readonly chosen = $derived.by(() => {
    const step = this.procedure.steps.find((s) => s.key === this.chosenKey);
    // One that was skipped may be done after all.
    return step && this.state.steps[step.key]?.outcome !== 'done'
      ? { step, standing: standing(step, unskipped(this.state, step.key), this.procedure, this.now) }
      : undefined;
  });
  /** When every step waits, the nearest one is shown with what it waits for. */
  readonly placed = $derived(this.chosen ?? this.due.now ?? this.due.next[0]);
  /** What one touch can say: the step, or the points of its round. */
  readonly card = $derived.by(() =>
    this.placed ? (this.chosen ? [this.placed] : cardOf(this.placed, this.procedure, this.state, this.now, this.#detail)) : []
  );
  /** What would be called done now, in words; nothing while it waits. */
  readonly dueWords = $derived(
    this.placed && isDue(this.placed.standing) ? (this.card.length > 1 ? headOf(this.card).what : this.placed.step.what) : undefined
  );
  readonly next = $derived(this.due.next.filter((p) => this.card.every((c) => c.step.key !== p.step.key)));
  readonly finished = $derived.by(() => this.procedure.steps.every((s) => this.state.steps[s.key] || !isAsked(s, this.state)));

  /** To be made while the page's component is. */
  constructor({ id, watch, member, place, known, plan, water, rights, tries = [], now }: Opened) {
    this.triesBefore = tries;
    const { log } = watch;
    const { context } = log;
    this.#watched = watch;
    this.notices = new Notices(`/footplate/${id}`);
    this.steaming = new Steaming({ id, member, log, place });
    this.forecast = new Forecast({ id, known, plan });
    this.fitOut = context.fitOut;
    this.procedure = context.procedure;
    this.me = member.name;
    this.#detail = member.cards;
    this.#day = { water, ...(plan ? { wants: plan.wants } : {}) };
    this.mayHandOn = rights.includes('clear a bar');
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
    // Each is judged as if those before it had gone in.
    let log = this.log;
    for (const [i, m] of made.entries()) {
      const entry = { ...m, id: `${i}`, at: isoOf(now + i), by: this.me, source: 'person' } as Entry;
      this.refusal = mayNotEnter(entry, log, this.#maker, now)?.sentence;
      if (this.refusal) return false;
      if (i < made.length - 1) log = add(log, entry);
    }
    this.steaming.recordAll(made);
    return true;
  };
  /** Whether whoever is signed in here may hand on what another keeps. */
  readonly mayHandOn: boolean;
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
  /** Numbers that were given with the card, as they are logged before it. What goes in again goes in hot. */
  #given = (values: Partial<Record<Ask, number>>): Made[] => givenAs(values, this.fitOut, this.card[0]?.step.cycle === 'further');
  done = (reason?: string, values: Partial<Record<Ask, number>> = {}): void => {
    const ticks = this.card.map(({ step: { key, evidence } }): Made => {
      const said = { ...(reason ? { reason } : {}), ...(evidence === 'initials' ? { initials: initialsOf(this.me) } : {}) };
      return { kind: 'tick', body: { step: key, outcome: 'done', ...said } };
    });
    // What was measured is so, whether or not it is enough: only that the step is done may be refused.
    const given = this.#given(values);
    if (given.length && !this.enter(given)) return;
    const left = ticks.filter((t) => this.state.steps[(t.body as Bodies['tick']).step]?.outcome !== 'done');
    if (!left.length || this.enter(left)) this.chosenKey = undefined;
  };
  oil = (what: string): void => this.record('oil', { what });
  /** The oil round is done, but for what was missed: that heads the next one. */
  oiled = (missed: readonly string[]): void => {
    const ticked: Made = {
      kind: 'tick',
      body: { step: oilRound, outcome: 'done', ...(missed.length ? { reason: `Missed: ${missed.join('; ')}`.slice(0, 300) } : {}) }
    };
    if (this.enter(!missed.length ? [{ kind: 'oil', body: { what: 'oil round' } }, ticked] : [ticked])) this.chosenKey = undefined;
  };
  /** The keeper's word, given on the release. */
  release = (): void => this.tick({ step: 'fit-to-run', outcome: 'done', initials: initialsOf(this.me) });
  /** A point that is not as it should be is a fault, and is left for another day where it may be. */
  faulty = (key: string, text: string, forbids: Forbids): void => {
    const step = this.procedure.steps.find((s) => s.key === key)!;
    const fault: Made = { kind: 'fault', body: { text: `${printMarks(step.what, usualUnits)}: ${text}`, forbids } };
    this.enter(step.must ? [fault] : [fault, { kind: 'tick', body: { step: key, outcome: 'skipped', reason: text } }]);
  };
  /** A fault in one’s own words, with where it is, the needle it showed at, and a picture of it. */
  raise = async (text: string, forbids: Forbids, { place, picture }: { place?: string; picture?: Picture } = {}): Promise<void> => {
    const { pressure } = this.state;
    const near = pressure && this.now - Date.parse(pressure.at) < 10 * 60_000 ? pressure.value : undefined;
    const body = { text, forbids, ...(place ? { place } : {}), ...(place && near !== undefined ? { pressure: near } : {}) };
    // The fault is in the log before the picture is kept: it does not wait for a slow device.
    if (!this.enter([{ kind: 'fault', body }]) || !picture) return;
    const fault = this.state.faults.findLast((f) => f.by === this.me && f.text === text)?.id;
    await keepPicture(picture);
    this.record('photo', { sum: picture.sum, what: text.slice(0, 200), ...(fault ? { fault } : {}), ...(place ? { place } : {}) });
  };
  skip = (reason: string): void => {
    if (this.placed) this.tick({ step: this.placed.step.key, outcome: 'skipped', reason });
  };
  keep = ({ touch }: Duty): void => {
    if (touch) this.enter(touch.made);
  };
  putOff = ({ key, what }: Duty, put: string): void => this.record('duty', { duty: key, what: printMarks(what, usualUnits), put });
  /** Taken note of: it is quiet until it is worse, and stands. */
  note = ({ key, what }: Warning): void => this.record('ack', { rule: key, what: printMarks(what, usualUnits).slice(0, 300) });
  /** Banked and waiting, and moving again. */
  standBy = (by: boolean): void => this.record('observation', { seen: by ? 'standing by' : 'running again' });
  /** Another run of the same day: its own steps are asked anew. */
  readonly mayRunAgain = $derived.by(
    () =>
      this.state.fire.outAt !== undefined &&
      !this.state.endedAt &&
      (this.state.phase === 'Run' || this.state.phase === 'Shut down') &&
      this.procedure.steps.some((s) => s.cycle === 'further') &&
      !(this.state.again !== undefined && this.state.again > this.state.fire.outAt)
  );
  again = (): void => this.record('observation', { seen: 'another run' });
  send = (feed: string, to: 'boiler' | 'both' | 'tank'): void => this.record('feed', { feed, on: to !== 'tank', to });
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
