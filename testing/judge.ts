import { analyse } from '../src/core/judge';
import { layRig, type RigSketch } from './lay-rig';

/** A sketch judged: its analysis, the state of its first arrival, and the codes of its findings. */
export function judge(sketch: RigSketch) {
  const analysis = analyse(layRig(sketch));
  return { ...analysis, state: analysis.arrives[0]?.state, codes: analysis.findings.map((f) => f.code) };
}

export type Judged = ReturnType<typeof judge>;
