import Joi from 'joi';
import { conditionKeys, leaks, occasionKeys, placeKinds, rigKeys } from '../commission';
import { forbids } from '../log';
import { evidences, observationKeys, phases, thingKeys, valves } from '../procedure';

/** WHAT A STEAMING IS BEGUN WITH, as it comes from outside: its procedure, and what the book had of its engine. */

export const words = (max: number) => Joi.string().min(1).max(max).required();
export const instant = () => Joi.string().isoDate().required();
const share = Joi.number().min(0).max(1);
const volume = Joi.number().min(0).max(20);
const curve = Joi.array().items(Joi.number().min(0).max(500)).min(2).max(17);
const step = Joi.object({
  key: words(60),
  phase: Joi.valid(...phases).required(),
  what: words(400),
  how: Joi.string().allow('').max(2000).required(),
  why: Joi.string().allow('').max(2000).required(),
  caution: Joi.string().max(1000),
  gates: Joi.array()
    .items(Joi.object({ kind: words(40) }).unknown())
    .max(20)
    .required(),
  needs: Joi.array().items(Joi.string().max(60)).max(40).required(),
  evidence: Joi.valid(...evidences).required(),
  again: Joi.valid(true),
  proof: Joi.alternatives(
    Joi.object({
      kind: Joi.valid('level').required(),
      fill: share.required(),
      least: Joi.number().min(-1).max(1).required(),
      most: Joi.number().min(-1).max(10).required(),
      eighths: Joi.array().items(Joi.number().min(0).max(20)).min(2).max(17).required()
    }),
    Joi.object({ kind: Joi.valid('holds').required(), within: Joi.number().min(0).max(5e6).required() }),
    Joi.object({ kind: Joi.valid('joints').required(), names: Joi.array().items(words(60)).min(1).max(12).required() }),
    Joi.object({ kind: Joi.valid('retest').required(), test: words(60).required() }),
    Joi.object({
      kind: Joi.valid('cells').required(),
      in: Joi.valid(...conditionKeys).required(),
      items: Joi.array().items(words(60)).min(1).max(80).required()
    }),
    Joi.object({
      kind: Joi.valid('swept').required(),
      at: Joi.number().min(0).max(5e6).required(),
      names: Joi.array().items(words(60)).min(1).max(120).required()
    }),
    Joi.object({ kind: Joi.valid('accumulated', 'apart').required() }),
    Joi.object({ kind: Joi.valid('rig').required(), part: Joi.valid(...rigKeys).required(), on: Joi.boolean().required() }),
    Joi.object({ kind: Joi.valid('lifts').required(), valves: Joi.number().integer().min(1).max(8).required() }),
    Joi.object({
      kind: Joi.valid('agrees').required(),
      sets: Joi.array().items(Joi.number().min(0).max(5e6)).max(8).required(),
      within: Joi.number().min(0).max(5e6).required()
    }),
    Joi.object({ kind: Joi.valid('at rest').required(), atMost: Joi.number().min(0).max(5e6).required() }),
    Joi.object({
      kind: Joi.valid('water').required(),
      fill: volume.required(),
      least: volume.required(),
      most: volume.required(),
      metal: volume.required()
    }),
    Joi.object({ kind: Joi.valid('charged', 'left').required() }),
    Joi.object({
      kind: Joi.valid('pair').required(),
      waters: curve.required(),
      cold: curve.required(),
      hot: curve.required(),
      piece: Joi.number().min(0).max(500),
      own: Joi.string().allow('').max(60).required(),
      eighths: curve
    }),
    Joi.object({
      kind: Joi.valid('feeds').required(),
      asked: Joi.number().integer().min(0).max(6).required(),
      of: Joi.array().items(Joi.string().max(40)).max(8).required()
    })
  ),
  round: Joi.string().max(40),
  asks: Joi.array().items(Joi.string().max(40)).max(8),
  shown: Joi.string().max(20),
  known: Joi.object({
    at: instant(),
    says: Joi.array().items(Joi.string().max(2200)).max(100).required(),
    done: Joi.boolean().required(),
    against: Joi.string().max(1000)
  }),
  opens: Joi.array()
    .items(Joi.valid(...thingKeys))
    .required(),
  closes: Joi.array()
    .items(Joi.valid(...thingKeys))
    .required(),
  sets: Joi.array()
    .items(
      Joi.object({
        valve: Joi.valid(...valves).required(),
        open: share.required(),
        then: share,
        down: Joi.valid(true)
      }),
      Joi.object({ fuel: words(40) }),
      Joi.object({ feed: words(40), to: Joi.valid('boiler', 'tank').required() }),
      Joi.object({ tank: share.required() }),
      Joi.object({ flame: words(40) })
    )
    .max(12)
    .required(),
  act: Joi.valid('heat', 'light', 'admit steam', 'move', 'carry', 'leave'),
  sees: Joi.string().max(60),
  proves: Joi.array().items(Joi.string().max(40)).max(6),
  chore: Joi.boolean().required(),
  kept: Joi.boolean(),
  flammable: Joi.boolean(),
  away: Joi.boolean(),
  must: Joi.boolean().required(),
  ends: Joi.valid(true),
  cycle: Joi.valid('each', 'further'),
  purge: Joi.number().min(0).max(3600),
  minutes: Joi.number().min(0).max(1000).required(),
  who: Joi.valid('keeper', 'helper', 'either').required(),
  materials: Joi.array().items(Joi.string().max(100)).max(40).required()
});

const said = Joi.object({ by: words(120) });

/** What a steaming is begun with. */
export const begunSchema = Joi.object({
  public: Joi.boolean().required(),
  feedsAsked: Joi.number().integer().min(0).max(6).required(),
  faults: Joi.array()
    .items(Joi.object({ text: words(2000), forbids: Joi.valid(...Object.keys(forbids)).required() }))
    .max(100)
    .required(),
  papers: Joi.array()
    .items(Joi.object({ kind: words(120), expires: Joi.string().isoDate().required() }))
    .max(100)
    .required(),
  occasion: Joi.valid(...occasionKeys),
  // What earlier sessions of a build had shown.
  before: Joi.object({
    built: Joi.valid(true),
    cells: Joi.array()
      .items(
        said.keys({
          item: words(60),
          in: Joi.valid(...conditionKeys).required(),
          result: Joi.valid('good', 'not good').required(),
          text: Joi.string().max(300),
          since: Joi.string().max(300),
          at: instant()
        })
      )
      .max(600)
      .required(),
    swept: Joi.array()
      .items(
        said.keys({
          place: words(60),
          at: Joi.number().min(-101_325).max(5e6).required(),
          is: Joi.valid(...Object.keys(leaks), 'disturbed').required(),
          text: Joi.string().max(300),
          kind: Joi.valid(...Object.keys(placeKinds)),
          when: instant()
        })
      )
      .max(2000)
      .required(),
    pictured: Joi.array()
      .items(
        said.keys({
          place: words(60),
          sum: words(64),
          what: words(200),
          at: instant(),
          found: Joi.object({
            is: Joi.valid(...Object.keys(leaks)).required(),
            at: Joi.number().min(-101_325).max(5e6).required()
          })
        })
      )
      .max(200),
    rigs: Joi.object()
      .pattern(
        words(140).optional(),
        said.keys({
          part: Joi.valid(...rigKeys).required(),
          which: Joi.string().max(60),
          of: Joi.string().max(80),
          since: instant(),
          until: instant()
        })
      )
      .required(),
    own: Joi.array()
      .items(
        Joi.object({
          name: words(60),
          kind: Joi.valid(...Object.keys(placeKinds)).required(),
          of: Joi.valid('boiler', 'chassis').required(),
          at: words(20),
          buriedBy: Joi.string().max(60)
        })
      )
      .max(200)
      .required()
  }),
  treated: Joi.object({ at: Joi.string().isoDate().required(), each: Joi.number().positive().required(), product: words(80).optional() }),
  // What earlier runs had shown then: a record of an earlier version has none.
  expects: Joi.object({
    heat: Joi.number().positive(),
    uses: Joi.number().positive(),
    feeds: Joi.object().pattern(words(40).optional(), Joi.number().positive()),
    times: Joi.object().pattern(
      words(120).optional(),
      Joi.object({
        usual: Joi.number().positive().required(),
        spread: Joi.number().positive().required(),
        of: Joi.number().integer().min(1).required()
      })
    ),
    lap: Joi.object({ length: Joi.number().positive().required(), time: Joi.number().positive().required() })
  }),
  runs: Joi.array()
    .items(
      Joi.object({
        burner: words(4000),
        charge: Joi.number().min(0),
        T: Joi.number().min(200),
        factor: Joi.number().positive(),
        burns: Joi.number().positive(),
        raise: Joi.number().positive(),
        sensed: Joi.object()
          .pattern(Joi.valid(...observationKeys), Joi.number().min(0))
          .required()
      })
    )
    .max(40)
});

export const procedureSchema = Joi.object({ library: words(40), steps: Joi.array().items(step).max(400).required() });
