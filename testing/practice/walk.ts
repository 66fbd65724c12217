import { findPart, type Part } from '../../src/core/parts';
import type { Route, RouteRequest } from '../../src/core/search/route';

/** What is there without being on any list. */
const givenIn = ({ sources, destinations, through, carried = [] }: RouteRequest): string[] => [
  ...[...sources, ...destinations].map(({ part }) => part),
  ...(through === undefined ? [] : [through]),
  ...carried,
];

/** Every way over joints from one part to another that comes to nothing twice. */
function waysOver({ rig }: Route, from: string, to: string): (readonly [part: string, port: string])[][] {
  const onward = (at: string, seen: readonly string[]): (readonly [string, string])[][] =>
    rig.joints.flatMap(({ plug, jack }) => {
      const [near, far] = plug.part === at ? [plug, jack] : [jack, plug];
      if (near.part !== at || seen.includes(far.part)) return [];
      const step = [
        [near.part, near.port],
        [far.part, far.port],
      ] as const;
      if (far.part === to) return [[...step]];
      return onward(far.part, [...seen, far.part]).map((rest) => [...step, ...rest]);
    });
  return onward(from, [from]);
}

/** Leads on every way from where something stands to where the next thing stands are as long as the way is far. */
function tooShort(
  route: Route,
  { sources, destinations, wishes, throughPlace, distances = [], through }: RouteRequest,
) {
  const { parts, purpose } = route.rig;
  const far = (a?: string, b?: string): number =>
    distances.find(({ from, to }) => (from === a && to === b) || (from === b && to === a))?.metres ?? 0;
  const box = through === undefined ? undefined : parts.find(({ part }) => part === through);
  const wanted = [
    ...purpose.sources.flatMap((source, n) =>
      box
        ? [[source, box.id, far(sources[n]?.place, throughPlace)] as const]
        : purpose.recorders.map(
            (host, m) => [source, host, far(sources[n]?.place, destinations[m]?.place)] as const,
          ),
    ),
    ...(box
      ? purpose.recorders.map((host, m) => [box.id, host, far(throughPlace, destinations[m]?.place)] as const)
      : []),
  ];
  const fromSources = (from: string) => (purpose.sources.includes(from) ? (wishes?.length ?? 0) : 0);
  return wanted.flatMap(([from, to, metres]) =>
    waysOver(route, from, to).flatMap((way) => {
      const ports = way.map(([id, port]) =>
        findPart(parts.find((p) => p.id === id)?.part ?? '')?.ports.find((one) => one.id === port),
      );
      if (ports.some((port) => port?.connector === 'radio')) return [];
      const ids = [...new Set(way.map(([id]) => id))];
      const leads = ids
        .map((id) => parts.find((p) => p.id === id))
        .map((p) => p?.length ?? findPart(p?.part ?? '')?.length ?? 0);
      const sum = [...leads, ...ports.map((port) => port?.ownLead ?? 0)].reduce((a, b) => a + b, 0);
      const least = Math.max(metres, fromSources(from));
      return sum >= least - 1e-9 ? [] : [`${ids.join(' – ')} is ${sum} m long, not ${least}`];
    }),
  );
}

/**
 * Walks the answer as somebody would who bought the list and plugs it by the joints: what does not fit, is missing or is counted on
 * though nobody has it. Knows nothing of the search; the definition, small and slow.
 */
export function walk(route: Route, request: RouteRequest): string[] {
  const wrong: string[] = [];
  const partOf = (id: string): Part | undefined =>
    findPart(route.rig.parts.find((p) => p.id === id)?.part ?? '');
  // Every plug in one socket, every socket with one plug, both of one family.
  const taken = new Set<string>();
  for (const { plug, jack } of route.rig.joints) {
    for (const end of [plug, jack]) {
      const key = `${end.part}.${end.port}`;
      if (taken.has(key)) wrong.push(`${key} is used twice`);
      taken.add(key);
      if (!partOf(end.part)?.ports.some(({ id }) => id === end.port)) wrong.push(`${key} is not there`);
    }
  }
  // What lies on the table is what was there, was owned, or is on the list; no more and no less.
  const left = [...route.buy, ...route.own].map(({ part }) => part);
  const there = givenIn(request);
  const given = [...there];
  for (const { part } of route.rig.parts) {
    for (const stock of [given, left]) {
      const at = stock.indexOf(part);
      if (at < 0) continue;
      stock.splice(at, 1);
      break;
    }
  }
  const laid = route.rig.parts.length;
  if (laid !== there.length + route.buy.length + route.own.length)
    wrong.push('the list is not what is laid out');
  for (const part of left) wrong.push(`${part} is on the list and not laid out`);
  for (const { part } of route.own) {
    const used = route.own.filter((one) => one.part === part).length;
    if (used > (request.drawer?.[part] ?? 0)) wrong.push(`${part} is counted on ${used} times`);
  }
  // Every part hangs on something, and no lead ends in the air.
  for (const { id, part } of route.rig.parts) {
    const ports = findPart(part)?.ports ?? [];
    const used = ports.filter((port) => taken.has(`${id}.${port.id}`));
    if (used.length === 0) wrong.push(`${id} is plugged nowhere`);
    const isLead =
      findPart(part)?.length !== undefined && ports.every((port) => port.direction === 'through');
    if (isLead && used.length < 2 && ports.length === 2) wrong.push(`one end of ${id} is in the air`);
  }
  // A setting never says that something is in a socket that is empty.
  for (const { id, part, settings = {} } of route.rig.parts) {
    const supplied = findPart(part)?.hub?.supplied ?? [];
    const socket = supplied.find((source) => 'port' in source);
    const claimed = supplied.find((source) => 'setting' in source && settings[source.setting] === source.is);
    if (socket && 'port' in socket && claimed && !taken.has(`${id}.${socket.port}`))
      wrong.push(`${id} is said to be fed, and nothing is in its socket`);
  }
  wrong.push(...tooShort(route, request));
  // Money adds up.
  const sum = route.buy.reduce((total, { price }) => total + price, 0);
  if (!route.also && Math.abs(sum - route.cost) > 1e-6)
    wrong.push(`the list costs ${sum}, not ${route.cost}`);
  return wrong;
}
