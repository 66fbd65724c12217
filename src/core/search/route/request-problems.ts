import { findApp, DEFAULT_APP } from '../../apps';
import { playsBack, staysPut, type Part } from '../../parts';
import { partProblems } from '../../parts/model/part-problems';
import { canStand, isSource, isSpoken } from '../../rig';
import { quoteValue } from '../../schema';
import { callersIn, lackFor, partIn } from './far-ends';
import { boxOf } from './gear';
import { entriesOf } from './sockets';
import { WISH_NAMES, type RequestDestination, type RouteRequest, type WishName } from './request';

/** Why a request cannot be searched for. `at` is a JSON pointer into it. */
export type RequestProblem =
  | { readonly code: 'malformed'; readonly at: string; readonly value: string; readonly expected: string }
  | { readonly code: 'unknown-part'; readonly at: string; readonly value: string }
  | { readonly code: 'unknown-app'; readonly at: string; readonly value: string }
  | {
      readonly code: 'no-sound';
      readonly at: string;
      readonly value: string;
      readonly isCarried: boolean;
      /** It passes on the sound of something else. */
      readonly passesOn: boolean;
    }
  | { readonly code: 'no-recorder'; readonly at: string; readonly value: string }
  | { readonly code: 'nothing-goes-in'; readonly at: string; readonly value: string }
  | {
      readonly code: 'contradiction';
      readonly at: string;
      readonly value: string;
      readonly wish: WishName;
      readonly because: string;
    };

type Problems = Generator<RequestProblem>;

/** Parts that were found without fault. */
const sound = new WeakSet<Part>();

function* ownPartProblems(request: RouteRequest): Problems {
  for (const [index, part] of (request.ownParts ?? []).entries()) {
    if (sound.has(part)) continue;
    const problems = [...partProblems(part)];
    if (problems.length === 0) sound.add(part);
    for (const problem of problems) {
      const at = `/ownParts/${index}${problem.at}`;
      yield { code: 'malformed', at, value: quoteValue(problem.value), expected: problem.expected };
    }
  }
}

/** A box or a radio link: what feeds it is the source, and it is something that is owned. */
const passesOn = ({ paths = [], ports }: Part): boolean =>
  paths.length > 0 || ports.some(({ connector }) => connector === 'radio');

function* sourceProblems(request: RouteRequest): Problems {
  for (const [index, source] of request.sources.entries()) {
    const at = `/sources/${index}`;
    const part = partIn(request, source.part);
    if (!part) yield { code: 'unknown-part', at: `${at}/part`, value: quoteValue(source.part) };
    else if (!isSource(part) && !isSpoken(part) && !playsBack(part))
      yield {
        code: 'no-sound',
        at: `${at}/part`,
        value: part.name,
        isCarried: canBeCarried(part),
        passesOn: passesOn(part),
      };
    yield* unusableProblems(part, source.unusable, `${at}/unusable`);
    for (const [id, value] of Object.entries(source.settings ?? {})) {
      if (part && !canStand(part, id, value)) {
        const expected = 'must be a setting of the part that can stand so';
        yield { code: 'malformed', at: `${at}/settings/${id}`, value: quoteValue(value), expected };
      }
    }
  }
}

/** Ports that are said to be unusable and that the part does not have. */
function* unusableProblems(part: Part | undefined, unusable: readonly string[] = [], at: string): Problems {
  for (const [index, id] of unusable.entries()) {
    if (!part || part.ports.some((port) => port.id === id)) continue;
    const expected = `must be a port of the ${part.name}`;
    yield { code: 'malformed', at: `${at}/${index}`, value: quoteValue(id), expected };
  }
}

/** A device for a digital port that brings no sound. */
const canBeCarried = ({ bus }: Part): boolean => bus !== undefined && bus.captures.length === 0 && !bus.plays;

/** What is carried along is a device that brings no sound. */
function* carriedProblems(request: RouteRequest): Problems {
  for (const [index, id] of (request.carried ?? []).entries()) {
    const at = `/carried/${index}`;
    const part = partIn(request, id);
    if (!part) yield { code: 'unknown-part', at, value: quoteValue(id) };
    else if (!canBeCarried(part)) {
      const expected = 'must be a device for a digital port that brings no sound';
      yield { code: 'malformed', at, value: quoteValue(id), expected };
    }
  }
}

function* destinationProblems(request: RouteRequest, destination: RequestDestination, at: string): Problems {
  const part = partIn(request, destination.part);
  if (!part) yield { code: 'unknown-part', at: `${at}/part`, value: quoteValue(destination.part) };
  else if (!part.host) yield { code: 'no-recorder', at: `${at}/part`, value: part.name };
  yield* unusableProblems(part, destination.unusable, `${at}/unusable`);
  if (destination.app !== undefined && !findApp(destination.app)) {
    yield { code: 'unknown-app', at: `${at}/app`, value: quoteValue(destination.app) };
  }
}

function* namesOf(request: RouteRequest): Problems {
  yield* ownPartProblems(request);
  yield* sourceProblems(request);
  for (const [index, destination] of request.destinations.entries()) {
    const at = `/destinations/${index}`;
    yield* destinationProblems(request, destination, at);
    if (destination.under !== undefined && (index === 0 || index < request.destinations.length - 1)) {
      const expected = 'belongs to the last of several destinations';
      yield { code: 'malformed', at: `${at}/under`, value: quoteValue(destination.under), expected };
    }
  }
  yield* carriedProblems(request);
  const { through, wishes, drawer, catalogue } = request;
  if (wishes?.also) yield* destinationProblems(request, wishes.also, '/wishes/also');
  if (through !== undefined) {
    const part = partIn(request, through);
    if (!part) yield { code: 'unknown-part', at: '/through', value: quoteValue(through) };
    else if (part.host || entriesOf(part).length === 0) {
      yield { code: 'nothing-goes-in', at: '/through', value: part.name };
    }
    yield* unusableProblems(part, request.throughUnusable, '/throughUnusable');
  }
  for (const id of [...Object.keys(drawer ?? {}), ...(catalogue ?? [])]) {
    const at = drawer && Object.hasOwn(drawer, id) ? `/drawer/${id}` : '/catalogue';
    if (!partIn(request, id)) yield { code: 'unknown-part', at, value: quoteValue(id) };
  }
}

/** Why callers cannot come back, whatever is bought. */
function callersProblem(request: RouteRequest): string | undefined {
  const box = boxOf(request);
  if (!box) return 'no box is named that they could come back into';
  const callers = callersIn(request);
  return callers.length === 0 ? 'nobody speaks at the far end of what records here' : lackFor(box, callers);
}

/** Wishes that cannot be had together, whatever is bought. */
function* contradictions(request: RouteRequest): Problems {
  const { wishes = {}, sources, destinations } = request;
  const contradiction = (wish: WishName, because: string): RequestProblem => ({
    code: 'contradiction',
    at: `/wishes/${wish}`,
    value: quoteValue(wishes[wish]),
    wish,
    because,
  });
  for (const { part, app } of destinations) {
    const runs = partIn(request, part)?.host?.runsApps;
    const found = runs ? findApp(app ?? DEFAULT_APP) : undefined;
    if (wishes.channels === 'stereo' && found?.channels === 'mono') {
      yield contradiction('channels', `the ${found.name} sums both sides to one`);
    }
    if (wishes.guests && found && !found.farEnd) {
      yield contradiction('guests', `nobody speaks at the far end of a ${found.name}`);
    }
  }
  if (wishes.guests && destinations.every(({ part }) => !partIn(request, part)?.host?.runsApps)) {
    yield contradiction('guests', 'nothing that runs an app records here');
  }
  if (wishes.callers) {
    const because = callersProblem(request);
    if (because !== undefined) yield contradiction('callers', because);
  }
  if (wishes.channels === 'apart' && sources.length === 1) {
    yield contradiction('channels', 'there is one source, and nothing to keep it apart from');
  }
  const there = request.through === undefined ? undefined : partIn(request, request.through);
  if (wishes.worn && there && staysPut(there)) {
    yield contradiction('worn', `the ${there.name} stands on a table`);
  }
  if (wishes.buyNothing && (wishes.budget ?? 0) > 0) {
    yield contradiction('budget', 'nothing is to be bought');
  }
  if (wishes.also && destinations.some((d) => d.part === wishes.also?.part && d.app === wishes.also.app)) {
    yield contradiction('also', 'it is the destination already');
  }
}

/** The first name that stands for nothing, else the first contradiction; undefined for a request that can be searched for. */
export function firstRequestProblem(request: RouteRequest): RequestProblem | undefined {
  for (const problems of [namesOf(request), contradictions(request)]) {
    const first = problems.next();
    if (!first.done) return first.value;
  }
  return undefined;
}

/** Wishes that a request makes, by name. Distances between places are one of length. */
export const wishesMade = ({ wishes = {}, distances = [] }: RouteRequest): WishName[] =>
  WISH_NAMES.filter(
    (name) =>
      (wishes[name] !== undefined && wishes[name] !== false && wishes[name] !== 'any') ||
      (name === 'length' && distances.some(({ metres }) => metres > 0)),
  );

const noSoundBut = ({ isCarried, passesOn }: RequestProblem & { readonly code: 'no-sound' }): string => {
  if (isCarried) return '; what stays plugged in beside the sound is named under “carried”';
  return passesOn
    ? '; what it gets its sound from is the source, and it is named under “drawer” or “through”'
    : '';
};

/** One sentence that names the place and the value. */
export function sayRequestProblem(problem: RequestProblem): string {
  switch (problem.code) {
    case 'malformed':
      return `${problem.at || 'The request'} is ${problem.value}; it ${problem.expected}.`;
    case 'unknown-part':
      return `${problem.at} is ${problem.value}; the catalogue has no such part.`;
    case 'unknown-app':
      return `${problem.at} is ${problem.value}; there is no such app class.`;
    case 'no-sound':
      return `${problem.at} is “${problem.value}”, which gives no sound of its own${noSoundBut(problem)}.`;
    case 'no-recorder':
      return `${problem.at} is “${problem.value}”, which records nothing.`;
    case 'nothing-goes-in':
      return `${problem.at} is “${problem.value}”, into which no source can be plugged.`;
    case 'contradiction':
      return `${problem.at} is ${problem.value}, but ${problem.because}.`;
  }
}
