import type { Step } from '../procedure';

/** A task with its minutes, who may do it, and what it waits for. Spans in s, moments in s from the schedule's own zero. */
export interface Task {
  readonly step: Pick<Step, 'key' | 'what' | 'phase' | 'who' | 'chore' | 'must' | 'needs' | 'flammable' | 'away' | 'kept'>;
  readonly span: number;
  /** Not before this many s after the match; undefined: as soon as what it needs is done. */
  readonly afterMatch?: number;
  /** The task that lights: everything after it counts from its end. */
  readonly lights?: boolean;
}

export interface Hand {
  readonly name: string;
  readonly as: 'keeper' | 'helper' | 'trainee';
  /** s, when they are there. */
  readonly from: number;
  readonly until: number;
  /** Spans in which they are busy elsewhere. */
  readonly busy: readonly (readonly [number, number])[];
}

export interface Placed {
  readonly task: Task;
  readonly start: number;
  readonly end: number;
  readonly who: string;
  /** How far it can slip without moving the end, s. */
  readonly slack: number;
}

export interface Schedule {
  readonly placed: readonly Placed[];
  /** The match, and the end of the last task that must be done. */
  readonly lit: number;
  readonly ready: number;
  /** Chores for which there was no room in the waits, and what nobody is there to do. */
  readonly left: readonly Task[];
}

type Span = [number, number];

/** Where a schedule begins, s; when the fire was lit, if it burns already; `plain` when only its end is wanted. */
interface Clock {
  readonly from?: number;
  readonly lit?: number;
  readonly plain?: boolean;
}

/** The first moment from `from` on in which a hand is free for a span. */
function freeFrom(hand: Hand, taken: readonly Span[], from: number, span: number): number {
  let at = Math.max(from, hand.from);
  for (const [a, b] of taken) {
    if (b <= at) continue;
    if (a >= at + span) break;
    at = b;
  }
  return at + span <= hand.until ? at : Infinity;
}

/**
 * Places tasks in their order, each as early as its needs, its gate and a pair of hands allow; then chores into the waits.
 * A lit fire is never left: whoever goes away from it leaves the keeper there, and nothing that burns is handled beside it.
 * @param lit when the fire was lit, if it is burning already
 */
export function schedule(tasks: readonly Task[], hands: readonly Hand[], at: Clock = {}): Schedule {
  const made = place(tasks, hands, at);
  // A chore that must not be dropped and found no wait to go into is done like any other step, and the day is the longer for it. What
  // takes a wait may push another out of it: asked again until none is left over.
  const dropped = new Set(made.left.filter((t) => t.step.kept && t.step.chore).map((t) => t.step.key));
  return dropped.size
    ? schedule(
        tasks.map((t) => (dropped.has(t.step.key) ? { ...t, step: { ...t.step, chore: false } } : t)),
        hands,
        at
      )
    : made;
}

function place(tasks: readonly Task[], hands: readonly Hand[], { from = 0, lit: burning, plain }: Clock): Schedule {
  const keeper = hands.find((h) => h.as === 'keeper') ?? hands[0]!;
  const others = hands.filter((h) => h !== keeper);
  const taken = new Map<Hand, Span[]>(hands.map((h) => [h, h.busy.map(([a, b]): Span => [a, b]).sort((x, y) => x[0] - y[0])]));
  const done = new Map<string, number>();
  const placed: { task: Task; start: number; end: number; hand: Hand }[] = [];
  let lit = burning;
  let ready = from;
  const left: Task[] = [];

  const able = (task: Task): Hand[] => {
    const { who, away } = task.step;
    // Away from a lit fire goes only somebody who is not its keeper.
    if (away && lit !== undefined) return others;
    if (who === 'keeper') return [keeper];
    return who === 'helper' ? [...others, keeper] : [keeper, ...others];
  };
  const put = (task: Task, hand: Hand, start: number) => {
    const end = start + task.span;
    // Kept in order, so that looking for room never sorts.
    const spans = taken.get(hand)!;
    let i = spans.length;
    while (i > 0 && spans[i - 1]![0] > start) i--;
    spans.splice(i, 0, [start, end]);
    done.set(task.step.key, end);
    placed.push({ task, start, end, hand });
    if (task.lights) lit = end;
    return end;
  };
  const opens = (task: Task, floor: number): number => {
    let at = task.afterMatch !== undefined && lit !== undefined ? Math.max(floor, lit + task.afterMatch) : floor;
    for (const key of task.step.needs) at = Math.max(at, done.get(key) ?? floor);
    return at;
  };
  /** Who of those who may can begin first, and when; the first of two who can at once. */
  const soonest = (task: Task, floor: number, after?: ReadonlyMap<Hand, number>): { hand: Hand; start: number } | undefined => {
    const open = opens(task, floor);
    let best: { hand: Hand; start: number } | undefined;
    for (const hand of able(task)) {
      const start = freeFrom(hand, taken.get(hand)!, Math.max(open, after?.get(hand) ?? floor), task.span);
      if (start < (best?.start ?? Infinity)) best = { hand, start };
    }
    return best;
  };

  const main = tasks.filter((t) => !t.step.chore && !t.step.flammable);
  const burns = tasks.filter((t) => t.step.flammable);
  const match = main.findIndex((t) => t.lights);

  /** In the order of the list, one after another for each pair of hands. */
  const sequence = (list: readonly Task[], floor: number) => {
    const pointer = new Map<Hand, number>();
    for (const task of list) {
      const at = soonest(task, floor, pointer);
      if (!at) {
        left.push(task);
        continue;
      }
      const end = put(task, at.hand, at.start);
      pointer.set(at.hand, at.start);
      // The match waits for everybody who is still busy with what comes before it.
      ready = Math.max(ready, end);
    }
  };
  // What burns is done before there is a fire, by whoever has time; with a fire burning, only away from it.
  if (match >= 0) {
    sequence([...main.slice(0, match), ...burns], from);
    const light = main[match]!;
    const start = freeFrom(keeper, taken.get(keeper)!, Math.max(ready, opens(light, from)), light.span);
    ready = put(light, keeper, start);
    sequence(inGateOrder(main.slice(match + 1)), lit!);
  } else {
    sequence(inGateOrder(main), from);
    for (const task of burns) {
      const hand = others[0];
      const start = hand ? freeFrom(hand, taken.get(hand)!, from, task.span) : Infinity;
      if (hand && start < Infinity) put(task, hand, start);
      else left.push(task);
    }
  }

  // Chores, shortest waits first found: never such that the end moves.
  const proving = placed.find((p) => p.task.step.phase === 'Prove' && !p.task.step.chore)?.start;
  for (const task of tasks.filter((t) => t.step.chore && !t.step.flammable)) {
    const floor =
      task.step.phase === 'Prove'
        ? (proving ?? lit ?? from)
        : task.step.phase === 'Raise' || task.step.phase === 'Light up'
          ? (lit ?? from)
          : from;
    const at = soonest(task, floor);
    if (at && at.start + task.span <= ready + 1e-6) put(task, at.hand, at.start);
    else left.push(task);
  }
  return { placed: plain ? [] : withSlack(placed, ready, lit), lit: lit ?? from, ready, left };
}

/**
 * The order in which gates open: what waits for 30 psi comes before what waits for 60, and what has no gate of its own comes
 * with the last of what it needs.
 */
function inGateOrder(tasks: readonly Task[]): Task[] {
  const opens = new Map<string, number>();
  for (const t of tasks) opens.set(t.step.key, Math.max(t.afterMatch ?? 0, ...t.step.needs.map((key) => opens.get(key) ?? 0)));
  return [...tasks].sort((a, b) => opens.get(a.step.key)! - opens.get(b.step.key)!);
}

/** How far each can slip: to the next of the same hands, to what needs it, and, for the match, to what its gates hold up. */
function withSlack(
  placed: readonly { task: Task; start: number; end: number; hand: Hand }[],
  ready: number,
  lit: number | undefined
): Placed[] {
  const slack = new Map<(typeof placed)[number], number>();
  const order = [...placed].sort((a, b) => b.start - a.start || b.end - a.end);
  for (const p of order) {
    let room = Math.max(0, ready - p.end);
    for (const q of placed) {
      if (q === p || q.start < p.end - 1e-6) continue;
      const linked = q.hand === p.hand || q.task.step.needs.includes(p.task.step.key);
      if (linked) room = Math.min(room, q.start - p.end + (slack.get(q) ?? 0));
      if (p.task.lights && q.task.afterMatch !== undefined)
        room = Math.min(room, q.start - (lit! + q.task.afterMatch) + (slack.get(q) ?? 0));
    }
    // Everything before the match holds the match up.
    const match = placed.find((q) => q.task.lights);
    if (match && p !== match && p.end <= match.start + 1e-6 && !p.task.step.chore)
      room = Math.min(room, match.start - p.end + (slack.get(match) ?? 0));
    slack.set(p, Math.max(0, room));
  }
  return placed
    .map((p) => ({ task: p.task, start: p.start, end: p.end, who: p.hand.name, slack: slack.get(p)! }))
    .sort((a, b) => a.start - b.start || a.end - b.end);
}
