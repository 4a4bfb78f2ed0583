import { attempt, type Attempt } from './attempt';
import { accumulation, type Accumulation } from './accumulation';
import { ack, type Ack } from './ack';
import { beats, type Beats } from './beats';
import { away, type Away } from './away';
import { lap, type Lap } from './lap';
import { timed, type Timed } from './timed';
import { cell, type CellBody } from './cell';
import { charge, type Charge } from './charge';
import { type Cleared, cleared } from './cleared';
import { duty, type DutyBody } from './duty';
import { type Fault, fault } from './fault';
import { type Feed, feed } from './feed';
import { filled, type Filled } from './filled';
import { type Fire, fire } from './fire';
import { type Handover, handover } from './handover';
import { flame, type Flame } from './flame';
import type { KindOf } from './kind';
import { knob, type Knob } from './knob';
import { type Lift, lift } from './lift';
import { measured, type Measured } from './measured';
import { type Note, note } from './note';
import { observation, type ObservationBody } from './observation';
import { type Oil, oil } from './oil';
import { type Override, override } from './override';
import { photo, type PhotoBody } from './photo';
import { phase, type PhaseBody } from './phase';
import { type Reading, reading } from './reading';
import { rig, type RigBody } from './rig';
import { type Sign, sign } from './sign';
import { type Strike, strike } from './strike';
import { sweep, type SweepBody } from './sweep';
import { type Taken, taken } from './taken';
import { type Test, test } from './test';
import { thing, type ThingBody } from './thing';
import { type Tick, tick } from './tick';
import { valve, type ValveBody } from './valve';
import { water, type Water } from './water';

/** What each kind of entry carries. SI throughout; pressures in Pa at the gauge. A body holds what was seen or done, never what follows. */
export interface Bodies {
  reading: Reading;
  fire: Fire;
  feed: Feed;
  valve: ValveBody;
  tick: Tick;
  oil: Oil;
  duty: DutyBody;
  lift: Lift;
  test: Test;
  observation: ObservationBody;
  thing: ThingBody;
  fault: Fault;
  measured: Measured;
  water: Water;
  filled: Filled;
  charge: Charge;
  flame: Flame;
  knob: Knob;
  beats: Beats;
  timed: Timed;
  lap: Lap;
  attempt: Attempt;
  accumulation: Accumulation;
  cell: CellBody;
  sweep: SweepBody;
  rig: RigBody;
  photo: PhotoBody;
  note: Note;
  ack: Ack;
  handover: Handover;
  taken: Taken;
  cleared: Cleared;
  phase: PhaseBody;
  away: Away;
  override: Override;
  sign: Sign;
  strike: Strike;
}
export type Kind = keyof Bodies;

/** Every kind, one file each. */
export const kinds: { readonly [K in Kind]: KindOf<Bodies[K]> } = {
  reading,
  fire,
  feed,
  valve,
  tick,
  oil,
  duty,
  lift,
  test,
  observation,
  thing,
  fault,
  measured,
  water,
  filled,
  charge,
  flame,
  knob,
  beats,
  timed,
  lap,
  attempt,
  accumulation,
  cell,
  sweep,
  rig,
  photo,
  note,
  ack,
  handover,
  taken,
  cleared,
  phase,
  away,
  override,
  sign,
  strike
};
export const kindNames = Object.keys(kinds) as Kind[];
/** A kind by name, as one of many. */
export const kindOf = (kind: Kind): KindOf<never> => kinds[kind] as KindOf<never>;

export { attemptOrders, attemptResults, overflows } from './attempt';
export { type Forbids, forbids } from './fault';
export type { KindOf, Made, Saying } from './kind';
