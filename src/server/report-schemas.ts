import { listOf, nullable, number, object, orNull, ref, severity, text, type Schema } from './schema-words';
import { TakeReport } from './take-schema';

const verdict: Schema = { enum: ['clean', 'faulty', 'silent', 'unsafe'] };
const edit: Schema = object({ kind: text });

const Arrival = object({
  recorder: text,
  app: text,
  source: text,
  state: { enum: ['recorded', 'listed-silent', 'not-listed', 'wrong-mic'] },
  records: text,
  channels: { enum: ['both', 'left', 'right', 'mono', 'none'] },
  peakDbfs: nullable('number'),
  noiseDbfs: nullable('number'),
  clipsAt: orNull(object({ stage: text, headroomDb: number })),
  inputs: listOf({ type: 'integer' }),
  delayMs: nullable('number'),
  polarity: { enum: [1, -1, null] },
  stages: listOf(object({ part: text, is: text, rmsDbv: nullable('number'), peakDbv: nullable('number') })),
  says: text,
});

const Finding = object({
  code: text,
  severity,
  where: { type: 'object' },
  values: listOf(object({ name: text, value: nullable('number'), unit: text })),
  limit: { type: ['object', 'null'] },
  source: object({ kind: text, text }),
  title: text,
  says: text,
  because: nullable('integer'),
  fixes: listOf(
    object({
      says: text,
      edit,
      then: listOf(edit),
      owned: { type: 'boolean' },
      cost: number,
      verdict,
      outcome: text,
    }),
  ),
  fixesCut: { enum: ['time', null] },
  whyNone: nullable('string'),
});

const WayOut = object({
  steps: listOf(
    object({
      says: text,
      edit,
      owned: { type: 'boolean' },
      cost: number,
      last: { type: 'boolean' },
      verdict,
    }),
  ),
  cost: number,
  weight: number,
  verdict,
  notLightest: nullable('string'),
});

const noiseKind: Schema = { enum: ['source', 'stage', 'heat', 'converter'] };

const byPlace = object({
  quiet: nullable('number'),
  show: nullable('number'),
  stage: nullable('number'),
});

const range = object({ typical: nullable('number'), least: nullable('number'), most: nullable('number') });
const socket = object({ part: text, port: text });

const Supply = object({
  supplies: listOf({ type: 'object', required: ['placed', 'is'] }),
  feeds: listOf(
    object({
      from: socket,
      to: socket,
      as: { enum: ['device', 'onward', 'supply', 'charge'] },
      givesMilliamps: object({ least: number, most: number }),
      declaredMilliamps: number,
      takesMilliamps: number,
      refused: { type: 'boolean' },
      metres: number,
      volts: object({ typical: number, least: number }),
    }),
  ),
  devices: listOf(
    object({
      part: text,
      atFirstMilliamps: number,
      states: listOf(
        object({
          setting: nullable('string'),
          option: nullable('string'),
          now: { type: 'boolean' },
          declaredMilliamps: number,
          takesMilliamps: number,
        }),
      ),
    }),
  ),
  phantom: listOf(
    object({ part: text, port: text, volts: number, milliamps: number, costsMilliamps: number }),
  ),
  hosts: listOf(object({ host: text, netMilliamps: number })),
  batteries: listOf(object({ part: text, cells: nullable('string'), emptyMinutes: range })),
  session: object({ minutes: number, planned: { type: 'boolean' } }),
});

const Earth = object({
  loops: listOf(object({ parts: listOf(text), places: listOf(text), ohms: number })),
  hum: listOf(
    object({
      recorder: text,
      humDbfs: range,
      whineDbfs: range,
      shares: listOf(object({ why: text, where: text, dbfs: nullable('number') })),
    }),
  ),
  ears: listOf(object({ listener: text, humDbv: range, whineDbv: range })),
});

const delay = object({ typical: number, least: number, most: number });
const returns = {
  hears: listOf(
    object({
      listener: text,
      voice: text,
      state: { enum: ['hears', 'quiet', 'late', 'twice', 'not', 'alone'] },
      level: nullable('number'),
      unit: { enum: ['dBV', 'dB SPL', 'dBFS'] },
      delayMs: delay,
      path: listOf(text),
    }),
  ),
  says: listOf(text),
  echo: listOf(
    object({
      caller: text,
      roundTripMs: delay,
      lossDb: nullable('number'),
      wantsDb: number,
      cancelling: nullable('string'),
    }),
  ),
  loops: listOf(
    object({
      marginDb: nullable('number'),
      through: listOf(text),
      air: { type: 'boolean' },
      hertz: nullable('number'),
    }),
  ),
  moves: listOf(object({ says: text, edit, marginDb: nullable('number') })),
  air: listOf(
    object({
      speaker: text,
      microphone: text,
      metres: number,
      degrees: number,
      said: { type: 'boolean' },
      delayMs: number,
    }),
  ),
  people: listOf(
    object({
      person: text,
      part: text,
      is: { enum: ['speaks', 'listens'] },
      metres: number,
      degrees: number,
      said: { type: 'boolean' },
    }),
  ),
  plan: orNull(
    object({
      settings: listOf(object({ part: text, setting: text, value: number, says: text })),
      proved: { type: 'boolean' },
      missing: listOf(object({ listener: text, voice: text })),
      echoing: listOf(text),
      says: listOf(text),
    }),
  ),
};

const LevelWay = object({
  source: text,
  recorder: text,
  stages: listOf(
    object({
      part: text,
      is: { enum: ['source', 'input', 'output', 'converter'] },
      rmsDbv: nullable('number'),
      rmsDbu: nullable('number'),
      rmsVolts: nullable('number'),
      peakDbv: nullable('number'),
      noiseDbv: nullable('number'),
      clipDbv: nullable('number'),
      headroomDb: nullable('number'),
      overNoiseDb: nullable('number'),
    }),
  ),
  peakDbfs: nullable('number'),
  noiseDbfs: nullable('number'),
  firstToClip: orNull(object({ part: text, is: text, roomDb: nullable('number') })),
  noiseShares: listOf(object({ is: noiseKind, part: text, share: number })),
  response: orNull(
    object({
      fromHz: nullable('number'),
      toHz: nullable('number'),
      points: listOf(object({ hertz: number, decibels: nullable('number') })),
      appBand: orNull(object({ from: number, to: number, says: text })),
    }),
  ),
  runs: listOf(
    object({
      parts: listOf(text),
      metres: number,
      balanced: { type: 'boolean' },
      underPeaksDb: byPlace,
      longestMetres: byPlace,
    }),
  ),
  says: listOf(text),
});

const gains = {
  target: number,
  settings: listOf(
    object({
      part: text,
      setting: text,
      value: { type: ['number', 'string'] },
      decibels: number,
      says: text,
    }),
  ),
  peakDbfs: nullable('number'),
  overNoiseDb: nullable('number'),
  verdict,
  adds: listOf(
    object({ is: { enum: ['pad', 'booster', 'closer'] }, at: text, decibels: number, why: text, says: text }),
  ),
  exact: { type: 'boolean' },
};

const Item = object({ part: text, name: text });

const Route = object({
  rank: { type: 'integer' },
  verdict,
  cost: number,
  buy: listOf(ref('Item')),
  own: listOf(ref('Item')),
  parts: listOf(text),
  joints: { type: 'integer' },
  arrives: listOf(ref('Arrival')),
  says: text,
  steps: listOf(object({ is: { enum: ['plug', 'set', 'see'] }, says: text })),
  cautions: listOf(text),
  rig: ref('Rig'),
});

/** What was passed over or put right in the document. */
const warned = { warnings: listOf(object({ code: text, at: text, says: text })) };

const found = { findings: listOf(ref('Finding')), wayOut: orNull(ref('WayOut')), whyNot: nullable('string') };

/** The answers, as far as a client may lean on them. */
export const REPORT_SCHEMAS: Readonly<Record<string, Schema>> = {
  Arrival,
  Finding,
  WayOut,
  Item,
  Route,
  CheckReport: object({
    ...warned,
    rig: text,
    verdict,
    arrives: listOf(ref('Arrival')),
    listeners: listOf({ type: 'object' }),
    levels: listOf(ref('LevelWay')),
    power: ref('Supply'),
    earth: ref('Earth'),
    returns: object(returns),
    nets: { type: 'object' },
    ...found,
  }),
  LevelWay,
  GainPlan: object(gains),
  LevelsReport: object({
    ...warned,
    rig: text,
    ways: listOf(ref('LevelWay')),
    plan: ref('GainPlan'),
    proved: object({
      tried: { type: 'integer' },
      cut: { type: 'boolean' },
      adds: listOf(
        object({
          is: { enum: ['pad', 'booster', 'closer'] },
          at: text,
          part: nullable('string'),
          price: number,
          enough: { type: 'boolean' },
          peakDbfs: number,
          overNoiseDb: number,
          says: text,
        }),
      ),
    }),
    presets: listOf(object({ preset: text, name: text, why: text, ...gains })),
  }),
  Supply,
  Earth,
  PowerReport: object({
    ...warned,
    rig: text,
    verdict,
    answers: listOf(
      object({
        asks: { enum: ['start', 'last', 'hum'] },
        is: { enum: ['well', 'uncertain', 'ill'] },
        says: text,
      }),
    ),
    power: ref('Supply'),
    earth: ref('Earth'),
    order: listOf(object({ is: text, says: text })),
    cautions: listOf(text),
  }),
  ReturnsReport: object({ ...warned, rig: text, ...returns }),
  TakeReport,
  FixesReport: object({ ...warned, rig: text, verdict, ...found }),
  PlanReport: object({
    ...warned,
    routes: listOf(ref('Route')),
    hindrances: listOf(object({ wish: text, others: listOf(text), says: text, route: ref('Route') })),
    searched: { type: 'integer' },
    complete: { type: 'boolean' },
    ruledOut: nullable('number'),
    sure: { type: 'integer' },
    late: { type: 'boolean' },
    leftOut: orNull({
      type: 'object',
      required: ['part', 'under'],
      properties: { part: text, under: { type: 'number' }, more: { type: 'number' } },
    }),
    alone: orNull(
      object({ of: { enum: ['sources', 'destinations'] }, without: listOf({ type: 'integer' }) }),
    ),
    says: text,
  }),
  Refusal: object({ error: text }),
};
