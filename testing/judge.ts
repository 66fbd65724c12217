import { analyse } from '../src/core/judge';
import type { Rig } from '../src/core/rig';
import { planGains } from '../src/core/search/levels';
import { layRig, type RigSketch } from './lay-rig';

/** A rig that is too low with its knobs as a person sets them who looks at the meters; any other as it is. */
export const tuned = (rig: Rig): Rig =>
  analyse(rig).findings.some(({ code }) => code === 'faint') ? planGains(rig).rig : rig;

/** A sketch judged: its analysis, the state of its first arrival, and the codes of its findings. */
export function judge(sketch: RigSketch, as: (rig: Rig) => Rig = (rig) => rig) {
  const analysis = analyse(as(layRig(sketch)));
  return { ...analysis, state: analysis.arrives[0]?.state, codes: analysis.findings.map((f) => f.code) };
}

export type Judged = ReturnType<typeof judge>;
