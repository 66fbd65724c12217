import { facesOf, severityRank, type Finding } from '../../core/checks/finding';
import type { Analysis } from '../../core/judge';

/** Causes before their consequences, then by severity. */
const byWeight = (a: Finding, b: Finding): number =>
  Number(a.because !== undefined) - Number(b.because !== undefined) ||
  severityRank(a.severity) - severityRank(b.severity);

/** The weightiest finding about a joint, or undefined when all is well there. */
export function findingAt(analysis: Analysis, joint: string): Finding | undefined {
  return analysis.findings.filter((finding) => finding.where.joint === joint).sort(byWeight)[0];
}

/** The weightiest finding about a part itself, or undefined. */
export function findingOn(analysis: Analysis, placed: string): Finding | undefined {
  return analysis.findings
    .flatMap(facesOf)
    .filter((finding) => finding.where.joint === undefined && finding.where.part === placed)
    .sort(byWeight)[0];
}

/** Whether it is to be seen from across the room: no note, and no consequence of something elsewhere. */
export const weighs = (finding: Finding | undefined): finding is Finding =>
  finding !== undefined && finding.severity !== 'note' && finding.because === undefined;

/** Rungs of the main chain down to which the wanted sound is alive, counted from the source. */
export function aliveRungs(analysis: Analysis): number {
  const spine = analysis.rungs.filter((rung) => rung.depth === 0);
  const broken = spine.findIndex((rung, index) => {
    if (index === 0) return false;
    const joint = analysis.joints.find((j) => j.id === rung.joint);
    return !joint || !joint.alive || findingAt(analysis, joint.id)?.severity === 'blocks';
  });
  return broken < 0 ? spine.length : broken;
}
