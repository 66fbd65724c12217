import { portOf } from '../rig/lookup';
import { malformedBy, oneLine, quoteValue } from '../schema';
import type { ReadProblem } from './problems';
import { firstReferenceProblem } from './references';
import { RIG_FORMAT, RIG_VERSION } from '../rig/format';
import type { Rig } from '../rig/types.generated';
import RIG_SCHEMA from './rig-schema.json';
import { unknownFields } from './unknown-fields';
import type { ReadWarning } from './warnings';
import { LARGEST_RIG_BYTES } from './write-rig';
import validate from './validate-rig.generated.mjs';

/** Nesting beyond this serves only to exhaust whoever walks the document. */
export const DEEPEST_NESTING = 32;

export type ReadResult =
  | { readonly ok: true; readonly rig: Rig; readonly warnings: readonly ReadWarning[] }
  | { readonly ok: false; readonly problem: ReadProblem };

const refuse = (problem: ReadProblem): ReadResult => ({ ok: false, problem });

/** Level by level, without recursion, so that no nesting can exhaust the stack. */
function nestsTooDeep(document: object): boolean {
  let level: object[] = [document];
  for (let depth = 0; level.length > 0; depth += 1) {
    if (depth > DEEPEST_NESTING) return true;
    level = level.flatMap((item) =>
      Object.values(item).filter((value): value is object => typeof value === 'object' && value !== null),
    );
  }
  return false;
}

/** Joints whose plug stands where the jack should, and the other way round, with both in their places; any other rig as it is. */
function rolesPutRight(rig: Rig): { rig: Rig; warnings: ReadWarning[] } {
  const warnings: ReadWarning[] = [];
  const joints = rig.joints.map((joint, index) => {
    const [plug, jack] = [portOf(rig, joint.plug), portOf(rig, joint.jack)];
    if (plug?.gender !== 'jack' || jack?.gender !== 'plug') return joint;
    warnings.push({ code: 'roles-exchanged', at: `/joints/${index}`, joint: joint.id });
    return { ...joint, plug: joint.jack, jack: joint.plug };
  });
  return { rig: warnings.length > 0 ? { ...rig, joints } : rig, warnings };
}

/** Checks an already parsed document; the same object comes back, unknown fields and all, but for joints that had to be put right. */
export function checkRig(document: unknown): ReadResult {
  if (typeof document !== 'object' || document === null || Array.isArray(document)) {
    return refuse({ code: 'malformed', at: '', value: quoteValue(document), expected: 'must be an object' });
  }
  if (nestsTooDeep(document)) return refuse({ code: 'too-deep', at: '', limit: DEEPEST_NESTING });
  const { format, version } = document as Record<string, unknown>;
  if (format !== RIG_FORMAT) {
    return refuse({ code: 'not-a-rig', at: '/format', value: quoteValue(format) });
  }
  if (version !== RIG_VERSION) {
    return refuse({ code: 'wrong-version', at: '/version', value: quoteValue(version), reads: RIG_VERSION });
  }
  if (!validate(document)) {
    const { at, value, expected } = malformedBy(document, validate.errors);
    return refuse({ code: 'malformed', at, value: quoteValue(value), expected });
  }
  const read = document as unknown as Rig;
  const { rig, warnings } = rolesPutRight(read);
  const problem = firstReferenceProblem(rig);
  if (problem) return refuse(problem);
  return { ok: true, rig, warnings: [...unknownFields(document, RIG_SCHEMA), ...warnings] };
}

/** Reads a rig file. Never throws: whatever is wrong comes back as one problem with its place. */
export function readRig(text: string): ReadResult {
  if (text.length > LARGEST_RIG_BYTES) {
    return refuse({ code: 'too-large', at: '', bytes: text.length, limit: LARGEST_RIG_BYTES });
  }
  try {
    return checkRig(JSON.parse(text));
  } catch (error) {
    return refuse({
      code: 'not-json',
      at: '',
      detail: oneLine(error instanceof Error ? error.message : String(error)),
    });
  }
}
