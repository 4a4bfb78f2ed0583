import { inClub } from './database';
import { dueOf } from './due';
import { yard, type YardLine } from './engines';
import type { Member } from './members';
import { againIn } from './sql/work';

const rank = ['steaming', 'passengers', 'nothing'];

/** The Yard: every engine, with what is to be proven again beside its faults, and the proof that runs out next. */
export async function yardOf(member: Pick<Member, 'club' | 'zone'>): Promise<(YardLine & { proof?: { what: string; day: string } })[]> {
  const [lines, due] = await Promise.all([yard(member.club), dueOf(member)]);
  const again = await inClub(member.club, (tx) =>
    againIn(
      tx,
      member.club,
      lines.filter((l) => !l.retired).map((l) => l.id)
    )
  );
  return lines.map((line) => {
    const openFaults = [...line.openFaults, ...(again.get(line.id) ?? [])].sort(
      (a, b) => rank.indexOf(a.forbids) - rank.indexOf(b.forbids)
    );
    const proof = due.find((d) => d.of === 'proof' && d.engineId === line.id);
    return { ...line, openFaults, ...(proof ? { proof: { what: proof.what, day: proof.day } } : {}) };
  });
}
