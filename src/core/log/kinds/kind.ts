import type { Group, Field } from '../../form';
import type { Procedure } from '../../procedure';
import type { UnitChoice } from '../../units';
import type { Happening } from '../events';
import type { Context, State } from '../state';

/** What a kind needs to word an entry: the member's units, and the procedure that names its steps. */
export interface Saying {
  readonly units: UnitChoice;
  readonly procedure?: Procedure | undefined;
}

/** Whose entry it is and when it was made. */
export interface Made {
  readonly id: string;
  readonly at: string;
  readonly by: string;
}

/** Everything that is known of one kind of entry. Adding a kind is adding one such file to this folder. */
export interface KindOf<Body> {
  /** What it carries: checked on the phone, at the server and in the published JSON Schema. */
  readonly fields: Group | Extract<Field, { type: 'union' }>;
  /** What it tells of the engine. */
  readonly tells?: (body: Body, state: State, made: Made, context: Context) => readonly Happening[];
  /** What it does to the steaming itself: its phase, its keeper, its steps. */
  readonly does?: (state: State, body: Body, made: Made, context: Context) => State;
  /** Somebody's own words: given back as they were written, not as a sentence of ours. */
  readonly verbatim?: true;
  /** As a line of the log. */
  readonly says: (body: Body, saying: Saying) => string;
  /** As the quick line gives back what it understood; as it is said when left out. */
  readonly echoes?: (body: Body, saying: Saying) => string;
}
