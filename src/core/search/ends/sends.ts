import type { GainPath, Part, PartPort } from '../../parts';
import { isDigital } from './end';
import { idealEnd } from './ideal';
import { join } from './join';
import { outletPairs } from './outlets';
import { passageOf } from './passage';

const knobsIn = ({ gain }: GainPath): string[] =>
  gain.flatMap((one) => (typeof one === 'object' && 'knob' in one ? [one.knob] : []));

/** The inputs of stages that something at one of its ports reaches. */
function sensesReached(part: Part, entry: PartPort): ReadonlySet<string> {
  const joined = join(passageOf(part, [entry]), entry, idealEnd(part, entry));
  const found = (part.paths ?? []).flatMap(({ from }) => {
    const [sound] = joined?.heard.get(from) ?? [];
    return sound && Math.hypot(...sound.most) > 1e-9 ? [from] : [];
  });
  return new Set(found);
}

/** Outputs at which stages put their sound, each with the stages’ ids. */
function outletsOf(part: Part): { readonly port: PartPort; readonly drives: ReadonlySet<string> }[] {
  const drives = [...new Set((part.paths ?? []).map(({ to }) => to))];
  return part.ports
    .filter((port) => port.direction !== 'in' && !isDigital(port))
    .map((port) => ({
      port,
      drives: new Set(drives.filter((drive) => outletPairs(part, port, drive).length > 0)),
    }));
}

const sends = new WeakMap<Part, ReadonlySet<string>>();

/**
 * Outputs with a mix of their own, by port: some knob says how much of one input goes there, and there alone. Also a socket that
 * goes both ways, which may leave out by itself what comes in by it.
 */
export function sendsOf(part: Part): ReadonlySet<string> {
  const known = sends.get(part);
  if (known) return known;
  const paths = part.paths ?? [];
  const isSend = (drives: ReadonlySet<string>): boolean => {
    const into = paths.filter(({ to }) => drives.has(to));
    const inputs = new Set(into.map(({ from }) => from));
    return [...new Set(into.flatMap(knobsIn))].some((knob) => {
      const turned = paths.filter((path) => knobsIn(path).includes(knob));
      const from = new Set(turned.map((path) => path.from));
      return turned.every(({ to }) => drives.has(to)) && from.size < inputs.size;
    });
  };
  const found = new Set(
    outletsOf(part)
      .filter(({ port, drives }) => drives.size > 0 && (port.direction === 'both' || isSend(drives)))
      .map(({ port }) => port.id),
  );
  // A host that records from a box and plays back into it by one socket.
  if (part.bus?.plays && part.bus.captures.length > 0 && paths.length > 0) found.add(part.bus.port);
  sends.set(part, found);
  return found;
}

const pairs = new WeakMap<Part, readonly (readonly [PartPort, PartPort])[]>();

/** Pairs of inputs that are the two sides of one stereo channel: they share their knobs. By habit the last is the caller’s. */
export function stereoInputs(part: Part): readonly (readonly [PartPort, PartPort])[] {
  const known = pairs.get(part);
  if (known) return known;
  const inputs = part.ports
    .filter((port) => port.direction === 'in' && !isDigital(port))
    .map((port) => {
      const senses = sensesReached(part, port);
      const knobs = (part.paths ?? []).filter(({ from }) => senses.has(from)).flatMap(knobsIn);
      return { port, senses, knobs: [...new Set(knobs)].sort().join() };
    });
  const found = inputs.flatMap((one, index) => {
    const other = inputs[index + 1];
    const isPair =
      other !== undefined &&
      one.knobs !== '' &&
      one.knobs === other.knobs &&
      one.port.connector === other.port.connector &&
      ![...one.senses].some((sense) => other.senses.has(sense));
    return isPair ? [[one.port, other.port] as const] : [];
  });
  pairs.set(part, found);
  return found;
}
