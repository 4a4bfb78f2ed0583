/** WHAT A CLUB IS MADE OF: the tables of its archive, in the order in which they can be filled. */
export interface Part {
  readonly table: string;
  /** In which order its rows are written: one that any server gives alike. */
  readonly order: string;
  /** Columns that are this server's own, or a secret. */
  readonly without: readonly string[];
  /** Came with a later Joram: an archive from before has none. */
  readonly later?: true;
}

export const parts: readonly Part[] = [
  { table: 'club', order: 'club_id', without: ['brought_in_at', 'brought_in_sum'] },
  // What a password was turned into stays where it is: it is given anew by a link.
  { table: 'member', order: 'member_id', without: ['secret'] },
  { table: 'engine', order: 'engine_id', without: [] },
  { table: 'fit_out_version', order: 'engine_id, version', without: [] },
  { table: 'paper', order: 'paper_id', without: [] },
  { table: 'kept_figure', order: 'kept_id', without: [], later: true },
  { table: 'steaming', order: 'steaming_id', without: [] },
  // By arrival, which is kept by the order and not by its number.
  { table: 'entry', order: 'seq', without: ['seq', 'xact'] },
  { table: 'fault', order: 'fault_id', without: [] },
  { table: 'fault_entry', order: 'seq', without: ['seq'], later: true },
  { table: 'rules', order: 'version', without: [], later: true },
  { table: 'proof', order: 'seq', without: ['seq'], later: true },
  { table: 'build_entry', order: 'seq', without: ['seq'], later: true },
  { table: 'work', order: 'seq', without: ['seq'], later: true },
  { table: 'photo', order: 'sum', without: [], later: true },
  { table: 'audit', order: 'audit_id', without: ['audit_id'] }
];
/** Not taken along: who is signed in where, and links that are on their way. */
export const leftBehind = ['session', 'invitation', 'reset'];

export const archiveFormat = 'joram.club/1';

/** The first file of an archive says what it is, and what each of the others is and has. */
export interface Manifest {
  readonly format: typeof archiveFormat;
  readonly club: string;
  readonly files: Readonly<Record<string, { readonly rows: number; readonly sha256: string }>>;
}
