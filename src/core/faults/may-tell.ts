import type { FitOut } from '../engine';
import { fits, knowledge, unlisted } from '../finder';
import { Refusal } from '../units';
import { type FaultEntry, type FaultKind, type FaultState, untried } from './fault-log';

/** What a member may do with a fault. */
export type FaultRight = 'fix faults' | 'clear a bar' | 'sign as examiner';
export interface Teller {
  readonly may: (right: FaultRight) => boolean;
  readonly fitOut: FitOut;
  /** What it forbids until it is mended. */
  readonly forbids: 'steaming' | 'passengers' | 'nothing';
  /** Checks that the record has answered by itself. */
  readonly facts: readonly string[];
}

const no = (field: string, sentence: string, code?: 'forbidden' | 'missing' | 'conflict') =>
  new Refusal(field, sentence, code ? { code } : {});
const goesOn = (s: FaultState) => {
  if (s.stands !== 'open') throw no('kind', 'It was mended: it is opened again by a retest that shows it is back.', 'conflict');
};
const causeKnown = (cause: string | undefined, fitOut: FitOut) => {
  if (cause === undefined || cause === unlisted) return;
  const known = knowledge.causes.get(cause);
  if (!known || !fits(fitOut, known.for))
    throw no('cause', 'That is no cause that this engine can have: choose one of its board, or “something else”.');
};
const nameOf = (cause: string | undefined) => (cause && knowledge.causes.get(cause)?.is) ?? 'something else';

const rules: { [K in FaultKind]: (s: FaultState, e: Extract<FaultEntry, { kind: K }>, teller: Teller) => void } = {
  asked: (s, { body }, { fitOut }) => {
    goesOn(s);
    const symptom = knowledge.symptoms.get(body.symptom);
    if (!symptom || !fits(fitOut, symptom.for)) throw no('symptom', 'Choose what it does from the list: this engine cannot have that.');
    if (body.feed !== undefined && !fitOut.feeds.some((f) => f.name === body.feed))
      throw no('feed', 'Choose one of the feeds of this engine.');
  },
  shown: (s, { body }, { fitOut }) => {
    goesOn(s);
    if (!s.symptom) throw no('symptom', 'Say first what it does: the checks follow from that.', 'conflict');
    const check = knowledge.checks.get(body.check);
    if (!check || !fits(fitOut, check.for)) throw no('check', 'There is no such check for this engine.');
    if (!check.results.includes(body.result)) throw no('result', `Say what it showed: ${check.results.map((r) => `“${r}”`).join(' or ')}.`);
  },
  struck: (s, { body }, { facts }) => {
    goesOn(s);
    if ((body.entry === undefined) === (body.fact === undefined))
      throw no('entry', 'Say what is struck: an entry, or a fact of the record.');
    const found =
      body.entry !== undefined
        ? s.seen.some((e) => e.entry === body.entry && !e.struck)
        : facts.includes(body.fact!) && !s.factsStruck[body.fact!];
    if (!found) throw no('entry', 'There is no such evidence, or it was struck already.', 'missing');
  },
  changed: (s, { body }, { fitOut }) => {
    goesOn(s);
    causeKnown(body.cause, fitOut);
    const [first] = untried(s);
    if (first && !body.both)
      throw no(
        'both',
        `“${first.what}” was changed and has not been tried since. Try it, or put it back first; if both are kept nobody can tell which of the two did it.`,
        'conflict'
      );
  },
  undone: (s, { body }) => {
    goesOn(s);
    if (!s.changes.some((c) => c.id === body.entry && !c.undone))
      throw no('entry', 'There is no such change, or it was put back already.', 'missing');
  },
  tried: (s) => {
    goesOn(s);
    if (!untried(s).length) throw no('kind', 'Nothing was changed since it was last tried: say first what was changed.', 'conflict');
  },
  fix: (s, { body }, { may, fitOut, forbids }) => {
    goesOn(s);
    if (forbids === 'steaming' && !may('clear a bar'))
      throw no('kind', 'A fault that forbids steaming is cleared by a steward, an owner or the boiler examiner.', 'forbidden');
    causeKnown(body.cause, fitOut);
    if (body.sure !== 'cannot be told' && body.cause === undefined) throw no('cause', 'Say which cause it was, or that it cannot be told.');
    if (body.sure === 'certain') {
      const mixed = s.together.find((of) => of.some((c) => c.cause === body.cause));
      const others = mixed?.filter((c) => c.cause !== body.cause) ?? [];
      if (others.length)
        throw no(
          'sure',
          `${nameOf(body.cause)}, and ${others.map((c) => `“${c.what}”`).join(', ')}, were changed together: which of them it was is not certain. Say “likely” or “cannot be told”.`
        );
    }
    if (body.cause !== undefined && knowledge.causes.get(body.cause)?.fix.modifies && !body.modifies)
      throw no('modifies', 'That is work on a pressure part: say so. The boiler is not steamed before the examiner has cleared it.');
  },
  retest: (s) => {
    if (s.stands === 'to be cleared')
      throw no('kind', 'A pressure part was worked on: it is not steamed before the examiner has cleared it.', 'conflict');
    if (s.stands !== 'to be tried again') throw no('kind', 'There is no fix that waits for its retest.', 'conflict');
  },
  cleared: (s, _, { may }) => {
    if (!may('sign as examiner')) throw no('kind', 'Only the club’s boiler examiner clears work on a pressure part.', 'forbidden');
    if (s.stands !== 'to be cleared') throw no('kind', 'No work on a pressure part waits to be cleared.', 'conflict');
  },
  placed: goesOn,
  // A mended place is worth a picture too.
  photo: () => {}
};

/** Whether an entry may be made now. @throws Refusal at the field that is wrong */
export const mayTell = (state: FaultState, entry: FaultEntry, teller: Teller): void =>
  (rules[entry.kind] as (s: FaultState, e: FaultEntry, t: Teller) => void)(state, entry, teller);
