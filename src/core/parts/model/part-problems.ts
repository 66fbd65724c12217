import { contactsOf } from '../../plugs';
import type { Malformed } from '../../schema';
import type { CircuitElement, NodeName, Part, PowerSource, Quantity, SwitchedBy } from './types.generated';

/** What in a part stands for nothing, with its place in the part. */
export type PartProblem = Malformed;

type Problems = Generator<PartProblem>;

const ELEMENT_FIGURES = ['ohms', 'farads', 'henries', 'volts', 'sensitivity', 'noise', 'clip'] as const;

/** A figure that hangs on a setting needs that setting, with a figure for each of its places. */
function* quantityProblems(part: Part, at: string, quantity: Quantity | undefined): Problems {
  if (quantity === undefined || typeof quantity === 'number') return;
  if ('perMetre' in quantity || 'typical' in quantity) return;
  const id = 'knob' in quantity ? quantity.knob : quantity.setting;
  const setting = part.settings?.find((s) => s.id === id);
  if ('knob' in quantity) {
    if (setting?.kind !== 'knob') yield { at, value: id, expected: 'must name a knob of the part' };
    return;
  }
  if (setting?.kind !== 'switch') {
    yield { at, value: id, expected: 'must name a switch of the part' };
    return;
  }
  const missing = setting.options.find((option) => !Object.hasOwn(quantity.values, option.id));
  if (missing) yield { at: `${at}/values`, value: missing.id, expected: 'must have a figure for this place' };
}

function* nodeProblems(contacts: ReadonlySet<string>, at: string, node: NodeName): Problems {
  if (node.includes('.') && !contacts.has(node)) {
    yield {
      at,
      value: node,
      expected: 'must be a contact of one of its ports, or an inner node without a point',
    };
  }
}

const endsOf = (element: CircuitElement): (readonly [string, NodeName])[] =>
  (['a', 'b', 'c', 'd'] as const).flatMap((key) => {
    const node = (element as unknown as Readonly<Record<string, string | undefined>>)[key];
    return node === undefined ? [] : [[key, node] as const];
  });

function* circuitProblems(part: Part, contacts: ReadonlySet<string>): Problems {
  for (const [index, element] of part.circuit.entries()) {
    const at = `/circuit/${index}`;
    for (const [key, node] of endsOf(element)) yield* nodeProblems(contacts, `${at}/${key}`, node);
    for (const key of ELEMENT_FIGURES) {
      const figure = (element as unknown as Readonly<Record<string, Quantity | undefined>>)[key];
      yield* quantityProblems(part, `${at}/${key}`, figure);
      if (
        typeof figure === 'number' &&
        (key === 'ohms' || key === 'farads' || key === 'henries') &&
        figure < 0
      ) {
        yield { at: `${at}/${key}`, value: figure, expected: 'must not be negative' };
      }
    }
  }
}

/** A taper runs from one end of the knob to the other, and always onward. */
function* taperProblems(part: Part): Problems {
  for (const [index, setting] of (part.settings ?? []).entries()) {
    if (setting.kind !== 'knob' || !setting.taper) continue;
    const at = `/settings/${index}/taper`;
    const { taper, from, to } = setting;
    const ends = [taper[0], taper.at(-1)];
    if (ends[0]?.[0] !== 0 || ends[0][1] !== from || ends[1]?.[0] !== 1 || ends[1][1] !== to) {
      yield { at, value: setting.id, expected: 'must run from 0 at the least dB to 1 at the most' };
    }
    const back = taper.findIndex(([travel, dB], i) => {
      const before = taper[i - 1];
      return before !== undefined && (travel <= before[0] || dB <= before[1]);
    });
    if (back > 0)
      yield { at: `${at}/${back}`, value: setting.id, expected: 'must lie beyond the one before' };
  }
}

/** A loudspeaker’s gain must hang on what there is. */
function* speakerProblems(part: Part): Problems {
  if (part.speaker?.gain !== undefined) yield* quantityProblems(part, '/speaker/gain', part.speaker.gain);
}

/** Nodes that are listened to must have something on them. */
function* listeningProblems(part: Part): Problems {
  const lies = new Set(part.circuit.flatMap((element) => endsOf(element).map(([, node]) => node)));
  const used = [
    ...(part.captures ?? []).flatMap((capture, c) =>
      capture.channels.map((channel, n) => [`/captures/${c}/channels/${n}`, channel] as const),
    ),
    ...(part.ears ?? []).map((ear, n) => [`/ears/${n}`, ear] as const),
    ...(part.speaker ? [['/speaker', part.speaker] as const] : []),
  ];
  for (const [at, pair] of used) {
    for (const end of ['plus', 'minus'] as const) {
      if (!lies.has(pair[end])) {
        yield { at: `${at}/${end}`, value: pair[end], expected: 'must be a node on which something lies' };
      }
    }
  }
}

function* pathProblems(part: Part): Problems {
  const named = (kind: 'sense' | 'drive') =>
    new Set(part.circuit.flatMap((element) => (element.kind === kind ? [element.id] : [])));
  const [senses, drives] = [named('sense'), named('drive')];
  for (const [index, path] of (part.paths ?? []).entries()) {
    const at = `/paths/${index}`;
    if (!senses.has(path.from)) yield { at: `${at}/from`, value: path.from, expected: 'must name a sense' };
    if (!drives.has(path.to)) yield { at: `${at}/to`, value: path.to, expected: 'must name a drive' };
    for (const [n, gain] of path.gain.entries()) yield* quantityProblems(part, `${at}/gain/${n}`, gain);
  }
}

function* settingProblems(part: Part): Problems {
  const ids = new Set<string>();
  for (const [index, setting] of (part.settings ?? []).entries()) {
    const at = `/settings/${index}`;
    if (ids.has(setting.id)) yield { at: `${at}/id`, value: setting.id, expected: 'is taken already' };
    ids.add(setting.id);
    const stands =
      setting.kind === 'switch'
        ? setting.options.some((option) => option.id === setting.initial)
        : setting.initial >= setting.from && setting.initial <= setting.to;
    if (!stands) yield { at: `${at}/initial`, value: setting.initial, expected: 'must be one of its places' };
  }
}

/** Names of ports and switches by which parts of the digital side and of the supply are told. */
function* digitalProblems(part: Part): Problems {
  const ports = new Set(part.ports.map((port) => port.id));
  const captures = new Set((part.captures ?? []).map((capture) => capture.id));
  const named: (readonly [string, string | undefined])[] = [
    ...(part.captures ?? []).map((capture, n) => [`/captures/${n}/port`, capture.port] as const),
    ['/bus/port', part.bus?.port],
    ['/hub/upstream', part.hub?.upstream],
    ...(part.hub?.sockets ?? []).map((socket, n) => [`/hub/sockets/${n}/port`, socket.port] as const),
    ...(part.host?.busPorts ?? []).map((port, n) => [`/host/busPorts/${n}/port`, port.port] as const),
    ...(part.outlets ?? []).map((outlet, n) => [`/outlets/${n}/port`, outlet.port] as const),
    ['/noticedWith', part.noticedWith],
    ...(part.isolated ?? []).map((port, n) => [`/isolated/${n}`, port] as const),
    ...(part.passesCharge ?? []).map((port, n) => [`/passesCharge/${n}`, port] as const),
    ...(part.paths ?? []).map((path, n) => [`/paths/${n}/fedBy`, path.fedBy] as const),
  ];
  for (const [at, port] of named) {
    if (port !== undefined && !ports.has(port))
      yield { at, value: port, expected: 'must name one of its ports' };
  }
  for (const [n, id] of (part.bus?.captures ?? []).entries()) {
    if (!captures.has(id))
      yield { at: `/bus/captures/${n}`, value: id, expected: 'must name one of its captures' };
  }
  yield* quantityProblems(part, '/bus/draw', part.bus?.draw);
  yield* quantityProblems(part, '/battery/milliwatts', part.battery?.milliwatts);
  const switched: (readonly [string, PowerSource | SwitchedBy | undefined])[] = [
    ...(part.power ?? []).map((source, n) => [`/power/${n}`, source] as const),
    ...(part.hub?.supplied ?? []).map((source, n) => [`/hub/supplied/${n}`, source] as const),
    ['/mains/on', part.mains?.on],
    ['/battery/on', part.battery?.on],
    ...(part.captures ?? []).map((capture, n) => [`/captures/${n}/on`, capture.on] as const),
    ...part.circuit.flatMap((element, n) =>
      element.kind === 'signal'
        ? (element.mutedBy ?? []).map((by, m) => [`/circuit/${n}/mutedBy/${m}`, by] as const)
        : [],
    ),
  ];
  for (const [at, source] of switched) {
    if (!source || !('setting' in source)) continue;
    const setting = part.settings?.find((s) => s.id === source.setting);
    if (setting?.kind !== 'switch' || !setting.options.some((option) => option.id === source.is)) {
      yield { at, value: source, expected: 'must name a switch of the part and one of its places' };
    }
  }
}

function* portProblems(part: Part): Problems {
  const ids = new Set<string>();
  for (const [index, port] of part.ports.entries()) {
    const at = `/ports/${index}`;
    if (ids.has(port.id)) yield { at: `${at}/id`, value: port.id, expected: 'is taken already' };
    ids.add(port.id);
    const contacts = contactsOf(port.connector) as readonly string[];
    for (const contact of Object.keys(port.roles ?? {})) {
      if (!contacts.includes(contact)) {
        yield { at: `${at}/roles`, value: contact, expected: `must be one of ${contacts.join(', ')}` };
      }
    }
  }
}

/** Everything in a part of right shape that names what it does not have; shipped and own parts are held to the same. */
export function* partProblems(part: Part): Problems {
  const contacts = new Set(
    part.ports.flatMap((port) => contactsOf(port.connector).map((contact) => `${port.id}.${contact}`)),
  );
  yield* portProblems(part);
  yield* settingProblems(part);
  yield* taperProblems(part);
  yield* circuitProblems(part, contacts);
  yield* listeningProblems(part);
  yield* speakerProblems(part);
  yield* pathProblems(part);
  yield* digitalProblems(part);
}
