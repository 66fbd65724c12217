import type { Part, PartPort } from '../parts';
import { mate } from '../plugs';
import { portsInOpening } from './lookup';

/** Of ports that are as good as one another, the first. */
const unlike = (ports: readonly PartPort[]): PartPort[] =>
  ports.filter(
    (port, index) => port.alike === undefined || ports.findIndex((p) => p.alike === port.alike) === index,
  );

/**
 * Every way of giving each far port a port of its own on `part` that fits it physically, alike ports in their order. Each result
 * lists port ids in the order of `fars`; no far ports give one empty result.
 */
export function matchPorts(part: Part, fars: readonly PartPort[]): string[][] {
  const [first, ...rest] = fars;
  if (!first) return [[]];
  return unlike(part.ports)
    .filter((port) => mate(port, first).fits)
    .flatMap((port) => {
      if (rest.length === 0) return [[port.id]];
      const shut = portsInOpening(part, port);
      const left: Part = { ...part, ports: part.ports.filter((p) => !shut.includes(p)) };
      return matchPorts(left, rest).map((tail) => [port.id, ...tail]);
    });
}
