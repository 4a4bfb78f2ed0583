import type { OccasionKey } from '$core/commission';
import { beginAway, type DeviceBook, type EngineInBook } from '$core/faults';
import { footFigures } from '$core/plan';
import { type Context, type EntryOf, fold, placed } from '$core/log';
import { timeOrderedId } from '$core/log/id';
import { isoDayIn, Refusal } from '$core/units';
import { aheadNow, clubNow, isoOf } from '../outbox/club-time';
import { outbox } from '../outbox/index.svelte';
import type { Waiting } from '../outbox/waiting';
import { allBegunHere, keepBegun } from './begun';

/** BEGINS A STEAMING ON THIS DEVICE, where there is no connection. */
export interface AskedHere {
  /** The id it gets, made before the server was asked: if that has begun it after all, the two are one. */
  readonly id: string;
  readonly engine: string;
  readonly purpose: string;
  readonly public: boolean;
  readonly occasion?: OccasionKey | undefined;
  readonly reason?: string | undefined;
  readonly plan: string | null;
  readonly member: { readonly id: string; readonly name: string; readonly club: string };
  readonly rights: readonly string[];
  readonly zone: string;
}

export const newHereId = (): string => timeOrderedId(Date.now(), crypto.getRandomValues(new Uint8Array(10)));

/** The book as this device heard it last. */
async function bookHere(engine: string): Promise<{ book: DeviceBook; of: EngineInBook }> {
  const answer = await fetch('/api/book').catch(() => undefined);
  const book = answer?.ok ? ((await answer.json()) as DeviceBook) : undefined;
  const of = book?.engines.find((e) => e.id === engine);
  if (!book || !of)
    throw new Refusal(
      'engine',
      'There is no connection, and this device has not heard the club’s book: open the Yard once where there is one.'
    );
  return { book, of };
}

/** What was found with it on this device and is not in the book yet: it bars the engine here too; and whether it was begun here and is under way. */
async function foundHere({ id: engine, fitOut }: EngineInBook) {
  const { waiting } = outbox().outbox.view;
  const of = (steaming: string) => waiting.filter((w) => w.steaming === steaming).map((w) => w.entry);
  const begun = (await allBegunHere()).filter((b) => b.document.engine === engine && of(b.id).length);
  return {
    faults: waiting.flatMap(({ engine: name, entry }) => (name === fitOut.name && entry.kind === 'fault' ? [entry.body] : [])),
    running: begun.some(({ id, opened }) => !fold(opened.context, [...opened.entries, ...of(id)]).state.endedAt)
  };
}

/**
 * Begins it, and waits until the device keeps it.
 * @throws Refusal in the server's own words; what the device says when it keeps nothing
 */
export async function beginHere(asked: AskedHere): Promise<void> {
  const { book, of } = await bookHere(asked.engine);
  const { faults, running } = await foundHere(of);
  if (of.running || running) throw new Refusal('engine', 'This engine is already in steam: open its Footplate.', { code: 'conflict' });
  const now = clubNow();
  const { stops, ...begins } = beginAway(of, {
    ...asked,
    faults,
    today: isoDayIn(now, asked.zone),
    at: isoOf(now),
    may: (right) => asked.rights.includes(right)
  });
  const { member, id, purpose } = asked;
  const [said, ahead] = [Date.now(), aheadNow()];
  const when = placed(said, ahead, Infinity);
  const made = { ...when, by: member.name, source: 'person' } as const;
  const entry: EntryOf<'away'> = {
    id: newHereId(),
    kind: 'away',
    body: { book: Math.max(0, Math.round((Date.parse(when.at) - Date.parse(book.at)) / 1000)) },
    ...made
  };
  const override: EntryOf<'override'> | undefined =
    stops.length && asked.reason
      ? { id: newHereId(), kind: 'override', body: { reason: asked.reason, of: stops.map((s) => s.slice(0, 300)) }, ...made }
      : undefined;
  const { fitOut, version, known, plans } = of;
  const plan = plans.find((p) => p.id === asked.plan);
  const context: Context = { fitOut, procedure: begins.procedure, keeper: member.name, begun: begins.begun };
  await keepBegun({
    id,
    since: said,
    opened: {
      id,
      engineId: of.id,
      club: member.club,
      imported: null,
      keeper: member.name,
      purpose: purpose || (plan?.purpose ?? ''),
      startedAt: when.at,
      endedAt: null,
      context,
      entries: [entry, ...(override ? [override] : [])],
      place: '',
      plan: plan?.plan ?? null,
      known: { fitOut, ...known },
      ...footFigures(fitOut, known.used, plan?.plan ?? null),
      people: book.people,
      mayThrowAway: false,
      now
    },
    document: {
      engine: of.id,
      version,
      at: isoOf(said),
      book: book.at,
      entry: entry.id,
      purpose,
      ...begins,
      override: override ? { id: override.id, reason: asked.reason!, of: stops } : null
    }
  });
  const waiting: Waiting = {
    id: entry.id,
    steaming: id,
    engine: fitOut.name,
    member: member.id,
    entry,
    said: isoOf(said),
    ...(ahead === undefined ? {} : { ahead })
  };
  await outbox().outbox.add([waiting]);
}
