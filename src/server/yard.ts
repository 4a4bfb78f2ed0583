import { provenOf } from '$core/proof';
import { isoDayIn } from '$core/units';
import { inClub } from './database';
import { enginesIn, yard, type YardLine } from './engines';
import type { Member } from './members';
import { rulesOf } from './proof';
import { lastSheetsIn } from './sql/proven';
import { againIn } from './sql/work';

const rank = ['steaming', 'passengers', 'nothing'];

/**
 * The Yard: every engine, with what is to be proven again beside its faults, and the worksheet that runs out next. An accumulation test is
 * in a log, which is folded for whoever asks what is proven, and not for everybody who opens the Yard.
 */
export async function yardOf({
  club,
  zone
}: Pick<Member, 'club' | 'zone'>): Promise<(YardLine & { proof?: { what: string; day: string } })[]> {
  const [lines, rules] = await Promise.all([yard(club), rulesOf(club)]);
  const today = isoDayIn(Date.now(), zone);
  const [again, due] = await inClub(club, async (tx) => {
    const engines = await enginesIn(tx, club);
    const ids = engines.map((e) => e.id);
    const sheets = await lastSheetsIn(tx, club, ids, zone);
    const next = engines.flatMap(({ id, fitOut }) => {
      const [first] = provenOf(fitOut, rules, { last: sheets.get(id)!, done: [], today })
        .flatMap((p) => (p.due ? [{ what: p.name, day: p.due.day }] : []))
        .sort((a, b) => (a.day < b.day ? -1 : 1));
      return first ? [[id, first] as const] : [];
    });
    return [await againIn(tx, club, ids), new Map(next)] as const;
  });
  return lines.map((line) => {
    const openFaults = [...line.openFaults, ...(again.get(line.id) ?? [])].sort(
      (a, b) => rank.indexOf(a.forbids) - rank.indexOf(b.forbids)
    );
    const proof = due.get(line.id);
    return { ...line, openFaults, ...(proof ? { proof } : {}) };
  });
}
