import { isPassiveLink, type Part, type PartPort } from '../../parts';
import { arrive, type Peaks } from './arrive';
import { departures, matingOf, type Departure } from './classes';
import { copperOf } from './conducts';
import { digitalEnd, digitalExits, hostTakes } from './digital';
import { edgeBeyond, isDulled, isDullOpen } from './edge';
import { isDigital, type OpenEnd, type Sides } from './end';
import { join } from './join';
import { leave } from './leave';
import { nodesOfPort, passageOf } from './passage';

/** Ports by which what enters a part by one of its ports may leave it. */
export const exitsOf = (part: Part, entry: PartPort): PartPort[] =>
  part.ports.filter((port) => port !== entry && port.direction !== 'in' && !isDigital(port));

/** What is open at one exit of a part that an end has been joined to; undefined where nothing that could be relied on comes there. */
export function exitEnd(part: Part, entry: PartPort, end: OpenEnd, exit: PartPort): OpenEnd | undefined {
  const passage = passageOf(part, [entry, exit]);
  const places = passage.places[1];
  const inReading = (reading?: Departure): OpenEnd | undefined => {
    const whole = join(passage, entry, end, undefined, reading);
    const joined = whole && { ...whole, sides: sidesBeyond(part, exit, whole.sides) };
    const next = joined && places && leave(joined, part, exit, places);
    if (!next || !joined.inLine) return next;
    // What copper carries past the stages is sensed by others.
    const past = leave({ ...joined, alternating: joined.unstaged }, part, exit, places);
    return past ? next : inLine(next);
  };
  const next = inReading();
  // What hangs on which band a spring happens to meet is no way that anybody could rely on.
  const isSure =
    next && departures(end.port, entry).every((reading) => inReading(reading)?.state === next.state);
  if (!isSure) return undefined;
  const edge = edgeBeyond(part, entry, end, exit);
  if (!edge || !next.analogue) return next;
  return isDullOpen(next.analogue, edge) ? undefined : { ...next, analogue: { ...next.analogue, edge } };
}

/** Copper that parts the two sides of what comes to it: by one plug the one goes on, and the other by another like it. */
export function partsSides(part: Part, exit: PartPort): boolean {
  if (!isPassiveLink(part)) return false;
  const copper = copperOf(part);
  const conductorsOf = (port: PartPort) => new Set(nodesOfPort(port, part).map(([, node]) => copper(node)));
  const own = conductorsOf(exit);
  const isOther = (port: PartPort): boolean =>
    port !== exit &&
    port.connector === exit.connector &&
    port.gender === exit.gender &&
    port.direction === exit.direction &&
    [...conductorsOf(port)].some((node) => !own.has(node));
  return part.ports.some(isOther);
}

const sidesBeyond = (part: Part, exit: PartPort, sides: Sides): Sides =>
  sides === 'two' && partsSides(part, exit) ? 'two by pair' : sides;

/** An end beyond a line socket that a bare microphone is in. */
const inLine = (end: OpenEnd): OpenEnd => ({ ...end, inLine: true, state: `${end.state} in line` });

/** The sound device that a part makes of what comes to one of its ports. */
export function convertedEnd(part: Part, entry: PartPort, end: OpenEnd): OpenEnd[] {
  const { bus } = part;
  const captures = (part.captures ?? []).filter(({ id }) => bus?.captures.includes(id));
  const port = bus && part.ports.find(({ id }) => id === bus.port);
  if (!port || captures.length === 0) return [];
  const peaks = arrive(part, entry, end, captures);
  return peaks ? [digitalEnd(part, port, peaks.most, end.state)] : [];
}

/** Every way on from an open end through one part that it is plugged into, or that is plugged into it. */
export function throughPart(part: Part, entry: PartPort, end: OpenEnd): OpenEnd[] {
  if (!matingOf(end.port, entry).fits) return [];
  const exits = end.digital ? digitalExits(part, entry, end) : analogueExits(part, entry, end);
  return end.inLine ? exits.map((exit) => (exit.inLine ? exit : inLine(exit))) : exits;
}

function analogueExits(part: Part, entry: PartPort, end: OpenEnd): OpenEnd[] {
  if (part.host || isDulled(part, entry, end)) return [];
  const exits = exitsOf(part, entry).flatMap((exit) => exitEnd(part, entry, end, exit) ?? []);
  return [...exits, ...convertedEnd(part, entry, end)];
}

/** Whether an end leads anywhere through a part. */
export function passes(part: Part, entry: PartPort, end: OpenEnd): boolean {
  if (!matingOf(end.port, entry).fits) return false;
  if (end.digital) return digitalExits(part, entry, end).length > 0;
  if (isDulled(part, entry, end)) return false;
  return (
    convertedEnd(part, entry, end).length > 0 ||
    exitsOf(part, entry).some((exit) => exitEnd(part, entry, end, exit) !== undefined)
  );
}

/** What a host could record of what comes to one of its ports; undefined where it could not. */
export function recordedPeaks(host: Part, port: PartPort, end: OpenEnd): Peaks | undefined {
  if (!matingOf(end.port, port).fits) return undefined;
  if (end.digital)
    return hostTakes(host, port, end) ? { most: end.digital.peak, full: end.digital.peak } : undefined;
  const captures = (host.captures ?? []).filter(
    (one) => one.port === port.id || one.channels.some(({ socket }) => socket === port.id),
  );
  if (captures.length === 0 || isDulled(host, port, end)) return undefined;
  return arrive(host, port, end, captures);
}

/** Whether a host could record what comes to one of its ports. */
export const couldRecord = (host: Part, port: PartPort, end: OpenEnd): boolean =>
  recordedPeaks(host, port, end) !== undefined;
