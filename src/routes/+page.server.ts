import { need } from '$server/answer';
import { yardOf } from '$server/yard';
import { running } from '$server/steamings';
import { twice } from '$server/twice';
import { due, warnings } from '$core/watch';

export const load = async ({ locals }) => {
  const member = need(locals);
  const now = Date.now();
  const [lines, live, pairs] = await Promise.all([yardOf(member), running(member.club), twice(member.club)]);
  const steam = live.map(({ steaming, log }) => ({
    engineId: steaming.engineId,
    id: steaming.id,
    keeper: log.state.keeper,
    phase: log.state.phase,
    phaseSince: log.state.phaseSince ?? steaming.startedAt!.toISOString(),
    litAt: log.state.fire.litAt,
    outAt: log.state.fire.outAt,
    pressure: log.state.pressure,
    glass: log.state.glass,
    warnings: warnings(log, now, 'away').filter((w) => w.rank !== 'note'),
    next: due(steaming.procedure, log.state, now).now?.step.what
  }));
  return { lines, steam, twice: pairs, now };
};
