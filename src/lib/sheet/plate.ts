import { barsOf } from '$core/faults';
import { forbids as forbidsWords } from '$core/log';
import type { Warning } from '$core/watch';
import { printGlass, printMarks, printText, type UnitChoice } from '$core/units';
import { age, clock, daysLeft, dueSoon, isoDay, moment, until } from './when';

/** What the Yard knows of an engine that is in steam. */
export interface InSteam {
  id: string;
  keeper: string;
  phase: string;
  phaseSince: string;
  litAt?: string;
  outAt?: string;
  pressure?: { value: number; at: string };
  glass?: { value: Parameters<typeof printGlass>[0]; at: string };
  warnings: Pick<Warning, 'rank' | 'what' | 'first'>[];
  next?: string;
}

export interface EngineLine {
  id: string;
  name: string;
  description: string;
  scale: string;
  openFaults: { text: string; forbids: string }[];
  papers: { kind: string; expires: string }[];
  running: { id: string; startedAt: string } | null;
  planned: { id: string; wantedAt: string; purpose: string; light?: number | null; early?: number | null; late?: number | null } | null;
  last: { id: string; endedAt: string } | null;
  retired?: boolean;
  /** The proof that runs out next, or has. */
  proof?: { what: string; day: string };
  /** It is on its way: its build says what may be done with it. */
  building?: boolean;
}

export interface Plate {
  state: string;
  since: string;
  need: string;
  tone: 'act' | 'caution' | '';
}

/** `runs out in 7 days`, `last day today`, `ran out yesterday` */
const runsOut = (day: string, now: number): string => `${daysLeft(day, now) > 0 ? 'runs out ' : ''}${until(day, now)}`;

/** A plate's words: the state with the time in it, and the one thing that most needs doing. */
export function plate(line: EngineLine, steam: InSteam | undefined, units: UnitChoice, now: number): Plate {
  if (steam) {
    const readings = [
      steam.pressure && `${printText(steam.pressure.value, 'pressure', units)} ${age(steam.pressure.at, now)}`,
      steam.glass && `glass ${printGlass(steam.glass.value)} ${age(steam.glass.at, now)}`
    ]
      .filter(Boolean)
      .join(', ');
    const [worst] = steam.warnings;
    return {
      state: steam.litAt && !steam.outAt ? `In steam · ${steam.phase}` : steam.phase,
      since: `since ${clock(steam.phaseSince)}, keeper ${steam.keeper}${readings ? `. ${readings}` : ''}`,
      need: worst
        ? printMarks(`${worst.what}. ${worst.first}`, units)
        : steam.next
          ? `Next: ${printMarks(steam.next, units)}`
          : 'Nothing due',
      tone: worst ? (worst.rank === 'act now' ? 'act' : 'caution') : ''
    };
  }
  const [fault] = line.openFaults;
  const [paper] = line.papers;
  const overdue = paper && daysLeft(paper.expires, now) < 0;
  const soon = paper && daysLeft(paper.expires, now) <= dueSoon;
  const proof = line.proof && daysLeft(line.proof.day, now) <= dueSoon ? line.proof : undefined;
  const need =
    fault?.forbids === 'steaming'
      ? { need: `May not be steamed: ${fault.text}`, tone: 'act' as const }
      : overdue
        ? { need: `${paper.kind} ${until(paper.expires, now)}`, tone: 'act' as const }
        : line.building
          ? { need: 'Being built: its build says what comes next', tone: '' as const }
          : !paper
            ? { need: 'No papers recorded: it may not be steamed', tone: 'act' as const }
            : soon
              ? { need: `${paper.kind} ${runsOut(paper.expires, now)}`, tone: 'caution' as const }
              : proof && fault?.forbids !== 'passengers'
                ? {
                    need: `${proof.what}: ${runsOut(proof.day, now)}`,
                    tone: 'caution' as const
                  }
                : fault
                  ? {
                      need: `${fault.text} (${forbidsWords[fault.forbids as keyof typeof forbidsWords]})`,
                      tone: fault.forbids === 'passengers' ? ('caution' as const) : ('' as const)
                    }
                  : { need: `${paper.kind} due ${until(paper.expires, now)}`, tone: '' as const };
  return line.planned
    ? { state: countdown(line.planned.light, now), since: toCome(line.planned, now), ...need }
    : { state: 'Cold', since: line.last ? `since ${moment(line.last.endedAt)}` : 'not steamed yet', ...need };
}

/** How long to the match, while that is worth counting: `Light in 2 h 10 min`. */
export function countdown(light: number | null | undefined, now: number): string {
  if (!light) return 'Planned';
  const minutes = Math.round((light - now) / 60_000);
  if (minutes < -30) return `Planned, ${clock(light)} has passed`;
  if (minutes <= 0) return 'Light now';
  return minutes < 60
    ? `Light in ${minutes} min`
    : minutes < 20 * 60
      ? `Light in ${Math.floor(minutes / 60)} h ${minutes % 60} min`
      : `Light ${moment(light)}`;
}

const toCome = ({ purpose, wantedAt, light, early, late }: NonNullable<EngineLine['planned']>, now: number): string =>
  `${purpose || 'in steam'} at ${moment(wantedAt)}${light && early && late && late < 8e15 ? `${now > light - 20 * 3.6e6 ? `. Light ${clock(light)}` : ''}, steam ${clock(early)}–${clock(late)}` : ''}`;

/** Whether something bars an engine from being steamed today: a fault, a paper, or that it has none. */
export const isBarred = (line: EngineLine, now: number): boolean =>
  !line.building && barsOf({ faults: line.openFaults, papers: line.papers }, isoDay(now)).length > 0;

/** Engines in steam first, then those that are planned, then the rest by their next paper. */
export function yardOrder(a: EngineLine, b: EngineLine): number {
  const rank = (x: EngineLine) => (x.running ? 0 : x.planned ? 1 : 2);
  const due = (x: EngineLine) => x.planned?.wantedAt ?? x.papers[0]?.expires ?? '';
  return rank(a) - rank(b) || due(a).localeCompare(due(b)) || a.name.localeCompare(b.name);
}

/** Of each kind of paper the one that is good for longest, the next to run out first. */
export const newestPapers = <P extends { readonly kind: string; readonly expires: string }>(papers: readonly P[]): P[] =>
  [...papers]
    .sort((a, b) => b.expires.localeCompare(a.expires))
    .filter((p, i, all) => all.findIndex((q) => q.kind === p.kind) === i)
    .sort((a, b) => a.expires.localeCompare(b.expires));
