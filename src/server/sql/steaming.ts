import { type FitOut, fitOutOf } from '$core/engine';
import type { Begun, Context, Summary } from '$core/log';
import type { DayPlan } from '$core/plan';
import { type Procedure, procedureOf } from '$core/procedure';
import type { Tx } from './json';

export interface Steaming {
  id: string;
  engineId: string;
  keeperId: string;
  keeper: string;
  purpose: string;
  wantedAt: Date | null;
  startedAt: Date | null;
  endedAt: Date | null;
  fitOut: FitOut;
  procedure: Procedure;
  override: { reason: string; of: string[]; by: string } | null;
  importedFrom: { club: string; at: string } | null;
  summary: Summary | null;
  plan: DayPlan | null;
  begun: Begun | null;
  /** The steaming that it was joined to: the same fire, logged on two devices. */
  joinedTo: string | null;
}

/** What was stored with a steaming by any version, in today's terms. */
export const readable = <S extends Pick<Steaming, 'fitOut' | 'procedure'>>(s: S): S => {
  const fitOut = fitOutOf(s.fitOut);
  return { ...s, fitOut, procedure: procedureOf(s.procedure, fitOut) };
};

/** Columns of a steaming that everybody reads. */
export const steamingIn = async (tx: Tx, club: string, id: string): Promise<Steaming | undefined> =>
  (
    await tx<Steaming[]>`
    select s.steaming_id as id, s.engine_id, s.keeper_id, coalesce(s.imported_from->>'keeper', m.name) as keeper, s.purpose, s.wanted_at, s.started_at,
      s.ended_at, s.fit_out, s.procedure, s.override, s.imported_from, s.summary, s.plan, s.begun, s.joined_to
    from steaming s join member m on m.club_id = s.club_id and m.member_id = s.keeper_id
    where s.club_id = ${club} and s.steaming_id = ${id}`
  ).map(readable)[0];

export const contextOf = ({ fitOut, procedure, keeper, begun }: Steaming): Context => ({
  fitOut,
  procedure,
  keeper,
  ...(begun ? { begun } : {})
});
