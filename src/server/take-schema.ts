import { severity, text, number, nullable, listOf, orNull, object } from './schema-words';

/** One figure a channel. */
const perChannel = listOf(nullable('number'));

/** What a sound check answers. */
export const TakeReport = object({
  sampleRate: number,
  channels: number,
  durationSeconds: number,
  integratedLufs: nullable('number'),
  loudnessRangeLu: number,
  momentaryMaxLufs: nullable('number'),
  shortTermMaxLufs: nullable('number'),
  truePeakDbtp: perChannel,
  samplePeakDbfs: perChannel,
  rmsDbfs: perChannel,
  dcOffset: listOf(number),
  activeDbfs: nullable('number'),
  noiseFloorDbfs: nullable('number'),
  snrDb: nullable('number'),
  clipping: object({ count: number, ceilingDbfs: nullable('number') }),
  hum: orNull(
    object({
      fundamentalHz: { enum: [50, 60] },
      levelDbfs: number,
      kind: { enum: ['hum', 'buzz'] },
      lines: listOf(object({ hertz: number, levelDbfs: number })),
    }),
  ),
  whine: orNull(object({ hertz: number, levelDbfs: number })),
  band: orNull(object({ lowHz: number, highHz: number })),
  image: object({
    kind: { enum: ['mono', 'dual-mono', 'stereo', 'left-only', 'right-only', 'inverted'] },
    correlation: nullable('number'),
    leftOverRightDb: nullable('number'),
    delayMs: nullable('number'),
  }),
  echo: orNull(object({ delayMs: number, levelDb: number })),
  dropouts: listOf(object({ atSeconds: number, lengthMs: number })),
  clicks: listOf(number),
  thumps: listOf(number),
  roomSeconds: nullable('number'),
  rumbleDbfs: nullable('number'),
  noiseRiseDb: nullable('number'),
  gainStep: orNull(object({ atSeconds: number, db: number })),
  firstRateHz: nullable('number'),
  mended: listOf({ enum: ['length', 'cut-short'] }),
  findings: listOf(
    object({
      code: text,
      severity,
      values: listOf(object({ name: text, value: nullable('number'), unit: text })),
      limit: { type: ['object', 'null'] },
      source: object({ kind: text, text }),
      atSeconds: listOf(number),
      title: text,
      says: text,
    }),
  ),
  says: listOf(text),
});
