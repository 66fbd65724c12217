import { DEFAULT_APP, findApp, type App } from '../../apps';
import { CATALOGUE, findPart, type Part } from '../../parts';
import { isDigital, sendsOf, stereoInputs } from '../ends';
import { appAt } from './grades';
import type { Piece } from './layout';
import type { RequestDestination, RouteRequest } from './request';

/** Somebody speaks at its far end. */
export const isCaller = (recorder: Piece): boolean => appAt(recorder)?.farEnd === true;

/** Whether of several lists each can give one that no other gives. */
export function canBeApart([first, ...rest]: readonly (readonly string[])[]): boolean {
  return !first || first.some((id) => canBeApart(rest.map((list) => list.filter((other) => other !== id))));
}

/** A shipped part, or one that the request brings. */
export const partIn = (request: RouteRequest, id: string): Part | undefined =>
  findPart(id) ?? request.ownParts?.find((part) => part.id === id);

interface Caller {
  readonly host: Part;
  readonly app: App;
}

const callerAt = (request: RouteRequest, { part, app }: RequestDestination): Caller[] => {
  const host = partIn(request, part);
  const found = host?.host?.runsApps ? findApp(app ?? DEFAULT_APP) : undefined;
  return host && found?.farEnd ? [{ host, app: found }] : [];
};

/** The devices that a request names at whose far end somebody speaks. */
export const callersIn = (request: RouteRequest): readonly Caller[] =>
  request.destinations.flatMap((one) => callerAt(request, one));

/** Outputs of a box with a mix of their own that a caller's device could be fed by: a digital one only where it takes that. */
const sendsFor = (box: Part, { host, app }: Caller): string[] =>
  box.ports
    .filter((port) => sendsOf(box).has(port.id))
    .filter((port) => !isDigital(port) || (app.takes.usb.taken && (host.host?.busPorts.length ?? 0) > 0))
    .map(({ id }) => id);

const serves = (box: Part, callers: readonly Caller[]): boolean => {
  const lists = callers.map((caller) => sendsFor(box, caller));
  const bothWays = box.ports.filter(
    ({ id, direction }) => direction === 'both' && sendsOf(box).has(id),
  ).length;
  return canBeApart(lists) && stereoInputs(box).length + bothWays >= callers.length;
};

/** What a box lacks for so many callers, with the cheapest of its family that has it; undefined where it lacks nothing. */
export function lackFor(box: Part, callers: readonly Caller[]): string | undefined {
  if (serves(box, callers)) return undefined;
  const has = new Set(callers.flatMap((caller) => sendsFor(box, caller)));
  const names = box.ports.filter(({ id }) => has.has(id)).map(({ name }) => name);
  const ins = stereoInputs(box).length;
  const [other] = CATALOGUE.filter((part) => part.family === box.family && serves(part, callers)).sort(
    (a, b) => a.price - b.price,
  );
  const needs =
    callers.length === 1
      ? 'a caller needs an output with a mix of its own and a stereo way back in'
      : `${callers.length} callers need as many outputs with a mix of their own, and as many stereo ways back in`;
  const outs = names.length === 0 ? 'no such output' : `the ${names.join(' and the ')}`;
  return [
    `${needs}; the ${box.name} has ${outs} and ${ins} stereo ${ins === 1 ? 'input' : 'inputs'}`,
    ...(other ? [`the ${other.name} has what it takes`] : []),
  ].join('; ');
}
