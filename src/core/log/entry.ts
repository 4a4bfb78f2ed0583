import Joi from 'joi';
import { observationKeys, phases, thingKeys, type Observation, type Phase, type ThingKey } from '../procedure';
import type { Glass } from '../units';

/**
 * What each kind of entry carries. SI throughout; pressures in Pa at the gauge. A body holds what was actually seen or
 * done, never what follows from it.
 */
export interface Bodies {
  /** Any subset of what can be read at one moment. A glass carries the pressure it was taken at. */
  reading: {
    pressure?: number;
    glass?: Glass;
    /** Which glass, from 1; the first when left out. */
    glassNumber?: 1 | 2;
    /** Pressure when the glass was read, Pa; null when it was not known. */
    glassAt?: number | null;
    /** K */ temperature?: number;
    /** Pa below the atmosphere */ draught?: number;
    /** Share of the tank, 0 to 1 */ tank?: number;
  };
  fire: { act: 'light' | 'fuel on' | 'rake' | 'thin' | 'drop' | 'out'; fuel?: string; /** kg */ amount?: number };
  feed: {
    feed: string;
    on: boolean;
    /** where the water goes, never which way a handle stands */ to?: 'boiler' | 'tank' | 'both';
    /** m³ */ volume?: number;
    proven?: boolean;
  };
  valve: { valve: Valve; /** 0 shut to 1 fully open */ open: number };
  tick: { step: string; outcome: 'done' | 'skipped'; reason?: string; initials?: string };
  oil: { what: string };
  lift: { valve: number; /** Pa */ lifted?: number; /** Pa */ reseated?: number };
  test: { test: string; result: 'pass' | 'fail' | 'noted'; text?: string };
  observation: { seen: Observation };
  thing: { thing: ThingKey; open: boolean };
  fault: { text: string; forbids: Forbids };
  note: { text: string };
  handover: { to: string; next: string };
  phase: { phase: Phase };
  override: { reason: string; of: string[] };
  sign: { as: 'keeper' | 'examiner'; name: string; remarks?: string };
  strike: { reason?: string };
}

export type Kind = keyof Bodies;
export const valves = ['blower', 'damper', 'regulator', 'drains', 'blow-down', 'vent', 'fan', 'fire door', 'whistle'] as const;
export type Valve = (typeof valves)[number];
/** What a fault forbids until it is fixed. */
export const forbids = { steaming: 'may not be steamed', passengers: 'not with passengers', nothing: 'note' } as const;
export type Forbids = keyof typeof forbids;

interface Common {
  /** UUID made by whoever made the entry, time-ordered. */
  readonly id: string;
  /** The operator's clock: ISO 8601, UTC, milliseconds. */
  readonly at: string;
  /** Who made it, by name at the time. */
  readonly by: string;
  readonly source: 'person' | 'device' | 'practice';
  /** The entry that this one corrects. */
  readonly strikes?: string;
}

/** One line of the log. */
export type Entry = { [K in Kind]: Common & { readonly kind: K; readonly body: Bodies[K] } }[Kind];
export type EntryOf<K extends Kind> = Extract<Entry, { kind: K }>;

const gauge = Joi.number().min(-101_325).max(5e6);
const words = (max: number) => Joi.string().trim().min(1).max(max);

/** The schema of each kind's body: the same on the phone, at the server and in the published JSON Schema. */
export const bodySchemas: Record<Kind, Joi.ObjectSchema> = {
  reading: Joi.object({
    pressure: gauge,
    glass: Joi.alternatives(Joi.number().min(0).max(1), Joi.valid('bottom nut', 'top nut', 'not seen')),
    glassNumber: Joi.valid(1, 2),
    glassAt: Joi.alternatives(gauge, Joi.valid(null)),
    temperature: Joi.number().min(223).max(1500),
    draught: Joi.number().min(-100).max(5000),
    tank: Joi.number().min(0).max(1)
  })
    .or('pressure', 'glass', 'temperature', 'draught', 'tank')
    .with('glass', 'glassAt')
    .with('glassNumber', 'glass'),
  fire: Joi.object({
    act: Joi.valid('light', 'fuel on', 'rake', 'thin', 'drop', 'out').required(),
    fuel: words(40),
    amount: Joi.number().min(0).max(2000)
  }),
  feed: Joi.object({
    feed: words(40).required(),
    on: Joi.boolean().required(),
    to: Joi.valid('boiler', 'tank', 'both'),
    volume: Joi.number().min(0).max(10),
    proven: Joi.boolean()
  }),
  valve: Joi.object({ valve: Joi.valid(...valves).required(), open: Joi.number().min(0).max(1).required() }),
  tick: Joi.object({
    step: words(60).required(),
    outcome: Joi.valid('done', 'skipped').required(),
    reason: words(300).when('outcome', { is: 'skipped', then: Joi.required() }),
    initials: words(8)
  }),
  oil: Joi.object({ what: words(80).required() }),
  lift: Joi.object({ valve: Joi.number().integer().min(1).max(4).required(), lifted: gauge, reseated: gauge }).or('lifted', 'reseated'),
  test: Joi.object({ test: words(60).required(), result: Joi.valid('pass', 'fail', 'noted').required(), text: words(300) }),
  observation: Joi.object({ seen: Joi.valid(...observationKeys).required() }),
  thing: Joi.object({ thing: Joi.valid(...thingKeys).required(), open: Joi.boolean().required() }),
  fault: Joi.object({ text: words(2000).required(), forbids: Joi.valid('steaming', 'passengers', 'nothing').required() }),
  note: Joi.object({ text: words(2000).required() }),
  handover: Joi.object({ to: words(120).required(), next: words(300).required() }),
  phase: Joi.object({ phase: Joi.valid(...phases).required() }),
  override: Joi.object({ reason: words(1000).required(), of: Joi.array().items(words(300)).min(1).max(30).required() }),
  sign: Joi.object({ as: Joi.valid('keeper', 'examiner').required(), name: words(120).required(), remarks: words(2000) }),
  strike: Joi.object({ reason: words(300) })
};

export const kinds = Object.keys(bodySchemas) as Kind[];

const instant = Joi.date().iso().min('2000-01-01').max('2100-01-01');

/** An entry as a client sends it. */
export const entrySchema = Joi.object({
  id: Joi.string().uuid().required(),
  kind: Joi.valid(...kinds).required(),
  at: instant.required(),
  source: Joi.valid('person', 'device', 'practice').default('person'),
  strikes: Joi.string().uuid().when('kind', { is: 'strike', then: Joi.required() }),
  body: Joi.object()
    .required()
    .when('kind', { switch: kinds.map((kind) => ({ is: kind, then: bodySchemas[kind] })) }),
  by: Joi.string().trim().max(120)
});

const readable: Record<string, string> = {
  'any.required': 'is missing',
  'any.only': 'is not one of the values that are allowed',
  'object.unknown': 'is not known here',
  'object.missing': 'holds nothing that was read',
  'object.with': 'needs the pressure it was taken at: give glassAt in pascal, or null when it is not known',
  'date.format': 'is not a time: write it as 2026-06-13T10:31:00.000Z',
  'date.min': 'is before the year 2000',
  'date.max': 'is after the year 2100',
  'string.guid': 'is not a UUID',
  'string.empty': 'is empty'
};

/**
 * Checks one entry as it comes from outside.
 * @returns the entry with its time as ISO 8601 in UTC, or the field and a sentence
 */
export function checkEntry(document: unknown): { entry: Omit<Entry, 'by'> & { by?: string } } | { field: string; sentence: string } {
  const { error, value } = entrySchema.validate(document, { abortEarly: true });
  if (error) {
    const detail = error.details[0]!;
    const field = detail.path.join('.') || 'entry';
    const limit = detail.context?.limit;
    const tail =
      readable[detail.type] ??
      (limit !== undefined
        ? `must be ${/min/.test(detail.type) ? 'at least' : 'at most'} ${limit}${detail.type.startsWith('string') ? ' characters' : ''}`
        : detail.message.replace(/^".*?" /, ''));
    return { field, sentence: `The entry’s ${field} ${tail}.` };
  }
  return { entry: { ...value, at: (value.at as Date).toISOString() } };
}

/** The order of a log: by the operator's clock, then by id, whatever order the entries arrived in. */
export const inOrder = (a: Entry, b: Entry): number => (a.at < b.at ? -1 : a.at > b.at ? 1 : a.id < b.id ? -1 : a.id > b.id ? 1 : 0);
