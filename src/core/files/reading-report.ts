import type { Features, Reading } from '../diagnosis';
import type { Rig } from '../rig';
import { sayEdit } from '../words/say-edit';
import { finite } from './finite';

const features = (f: Features) => ({
  image: f.image,
  activeDbfs: finite(f.active),
  noiseDbfs: f.noise === null ? null : finite(f.noise),
  humDbfs: finite(f.hum),
  ceilingDbfs: f.ceiling,
  echo: f.echo,
});

/** So many explanations are printed. */
const PRINTED = 5;

/** A take against a rig: what it predicts, what was measured, what would explain it. */
export const readingReport = (rig: Rig, recorder: string, reading: Reading) => ({
  rig: rig.id,
  recorder,
  predicted: features(reading.predicted),
  measured: features(reading.measured),
  explanations: reading.explanations.slice(0, PRINTED).map(({ edits, predicted, distance }) => ({
    distance,
    predicted: features(predicted),
    edits,
    says: edits.length === 0 ? ['The rig as it is laid out.'] : edits.map((edit) => sayEdit(rig, edit)),
  })),
  tried: reading.tried,
});

export type ReadingReport = ReturnType<typeof readingReport>;
