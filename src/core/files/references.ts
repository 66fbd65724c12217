import { isPassiveLink } from '../parts';
import { isOwnId } from '../parts/own-part';
import { DEFAULT_APP, findApp } from '../apps';
import { partProblems as problemsOfPart } from '../parts/model/part-problems';
import { canChoose, canStand, partIn, portOf } from '../rig/lookup';
import { quoteValue } from '../schema';
import type { ReadProblem } from './problems';
import type { PlacedPart, PortRef, Rig } from '../rig/types.generated';

/** A JSON pointer token, escaped as RFC 6901 asks. */
const token = (key: string) => key.replace(/~/g, '~0').replace(/\//g, '~1');

function* settingProblems(rig: Rig, placed: PlacedPart, at: string): Generator<ReadProblem> {
  const part = partIn(rig, placed.part);
  for (const [id, value] of Object.entries(placed.settings ?? {})) {
    if (!part || !canStand(part, id, value)) {
      const place = `${at}/settings/${token(id)}`;
      yield { code: 'unknown-setting', at: place, value: quoteValue(value), part: placed.part };
    }
  }
}

function* choiceProblems(placed: PlacedPart, at: string): Generator<ReadProblem> {
  for (const [id, value] of Object.entries(placed.choices ?? {})) {
    if (!canChoose(placed, id, value)) {
      const place = `${at}/choices/${token(id)}`;
      yield { code: 'unknown-setting', at: place, value: quoteValue(value), part: placed.app ?? DEFAULT_APP };
    }
  }
}

function* policyProblems(rig: Rig): Generator<ReadProblem> {
  for (const [index, { app, host }] of (rig.policies ?? []).entries()) {
    const at = `/policies/${index}`;
    if (!findApp(app)) yield { code: 'unknown-app', at: `${at}/app`, value: quoteValue(app) };
    // A device of the user's own may be known to other rigs only.
    if (host !== undefined && !isOwnId(host) && !partIn(rig, host)) {
      yield { code: 'unknown-part', at: `${at}/host`, value: quoteValue(host) };
    }
  }
}

function* partProblems(rig: Rig): Generator<ReadProblem> {
  const seen = new Set<string>();
  for (const [index, placed] of rig.parts.entries()) {
    const at = `/parts/${index}`;
    if (seen.has(placed.id)) yield { code: 'id-twice', at: `${at}/id`, value: quoteValue(placed.id) };
    seen.add(placed.id);
    if (!partIn(rig, placed.part)) {
      yield { code: 'unknown-part', at: `${at}/part`, value: quoteValue(placed.part) };
    }
    if (placed.app !== undefined && !findApp(placed.app)) {
      yield { code: 'unknown-app', at: `${at}/app`, value: quoteValue(placed.app) };
    }
    yield* settingProblems(rig, placed, at);
    yield* choiceProblems(placed, at);
  }
}

function* jointProblems(rig: Rig): Generator<ReadProblem> {
  const parts = new Map(rig.parts.map((placed) => [placed.id, partIn(rig, placed.part)]));
  const ids = new Set<string>();
  const held = new Set<string>();
  for (const [index, joint] of rig.joints.entries()) {
    const at = `/joints/${index}`;
    if (ids.has(joint.id)) yield { code: 'id-twice', at: `${at}/id`, value: quoteValue(joint.id) };
    ids.add(joint.id);
    for (const end of ['plug', 'jack'] as const) {
      const ref: PortRef = joint[end];
      const part = parts.get(ref.part);
      const key = `${ref.part} ${ref.port}`;
      if (!part) {
        yield { code: 'not-in-rig', at: `${at}/${end}/part`, value: quoteValue(ref.part) };
      } else if (!part.ports.some((port) => port.id === ref.port)) {
        yield { code: 'unknown-port', at: `${at}/${end}/port`, value: quoteValue(ref.port), part: part.id };
      } else if (held.has(key)) {
        yield { code: 'port-twice', at: `${at}/${end}`, value: quoteValue(ref) };
      }
      held.add(key);
    }
    const [plug, jack] = [joint.plug, joint.jack].map((ref) => portOf(rig, ref));
    if (plug && jack && plug.gender === jack.gender) {
      yield { code: 'no-plug-and-jack', at, value: quoteValue(joint.id), gender: plug.gender };
    }
  }
}

function* purposeProblems(rig: Rig): Generator<ReadProblem> {
  const ids = new Set(rig.parts.map((placed) => placed.id));
  for (const list of ['sources', 'recorders'] as const) {
    for (const [index, id] of rig.purpose[list].entries()) {
      const at = `/purpose/${list}/${index}`;
      const placed = rig.parts.find((one) => one.id === id);
      const part = placed && partIn(rig, placed.part);
      if (!ids.has(id)) yield { code: 'not-in-rig', at, value: quoteValue(id) };
      else if (part && isPassiveLink(part))
        yield { code: 'only-a-link', at, value: quoteValue(id), part: part.id };
    }
  }
}

function* peopleProblems(rig: Rig): Generator<ReadProblem> {
  const parts = new Set(rig.parts.map((placed) => placed.id));
  const seen = new Set<string>(parts);
  for (const [index, person] of (rig.surroundings.people ?? []).entries()) {
    const at = `/surroundings/people/${index}`;
    if (seen.has(person.id)) yield { code: 'id-twice', at: `${at}/id`, value: quoteValue(person.id) };
    seen.add(person.id);
    const named = [
      ['microphone', person.microphone],
      ['wears', person.wears],
      ...(person.places ?? []).map(({ part }, place) => [`places/${place}/part`, part] as const),
    ] as const;
    for (const [field, part] of named) {
      if (part !== undefined && !parts.has(part)) {
        yield { code: 'not-in-rig', at: `${at}/${field}`, value: quoteValue(part) };
      }
    }
  }
}

function* ownPartProblems(rig: Rig): Generator<ReadProblem> {
  const ids = new Set<string>();
  for (const [index, part] of (rig.ownParts ?? []).entries()) {
    const at = `/ownParts/${index}`;
    if (ids.has(part.id)) yield { code: 'id-twice', at: `${at}/id`, value: quoteValue(part.id) };
    ids.add(part.id);
    for (const problem of problemsOfPart(part)) {
      const { expected } = problem;
      yield { code: 'malformed', at: at + problem.at, value: quoteValue(problem.value), expected };
    }
  }
}

/** The first name in the rig that stands for nothing, or undefined. */
export function firstReferenceProblem(rig: Rig): ReadProblem | undefined {
  for (const problems of [
    ownPartProblems(rig),
    partProblems(rig),
    jointProblems(rig),
    purposeProblems(rig),
    peopleProblems(rig),
    policyProblems(rig),
  ]) {
    const first = problems.next();
    if (!first.done) return first.value;
  }
  return undefined;
}
