import { readFileSync, readdirSync } from 'node:fs';
import { join } from 'node:path';
import { CATALOGUE, type CircuitElement, type Part } from '../core/parts';
import { analyse } from '../core/judge';
import { dbV } from '../core/units';
import { plan, type RouteRequest } from '../core/search/route';
import { checkRequest } from '../core/files/read-request';
import type { Row } from './timing';

const RUNS = 10;

/** Questions that people come with most, nothing owned. */
const COMMON: readonly (readonly [string, string, string, string | undefined])[] = [
  ['receiver to CTIA phone', 'receiver-trs', 'phone-ctia', 'camera-app'],
  ['receiver to 8-pin phone', 'receiver-trs', 'phone-8-pin', 'browser-studio'],
  ['receiver to camera', 'receiver-trs', 'camera-trs', undefined],
  ['receiver to laptop', 'receiver-trs', 'laptop-combo', 'recorder-app'],
  ['USB receiver to 8-pin phone', 'receiver-both', 'phone-8-pin', 'recorder-app'],
  ['hungry USB microphone to 8-pin tablet', 'usb-mic-big', 'tablet-8-pin', 'recorder-app'],
  ['condenser to USB-C tablet', 'condenser-xlr', 'tablet-usb-c', 'recorder-app'],
  ['condenser to 8-pin phone, voice room', 'condenser-xlr', 'phone-8-pin', 'voice-room'],
  ['deck to live stream', 'deck', 'phone-usb-c', 'live-stream'],
  ['USB microphone to voice room', 'usb-mic-low-phones', 'phone-8-pin', 'voice-room'],
];

const requestFor = (source: string, host: string, app: string | undefined): RouteRequest => ({
  format: 'symplex-request',
  version: 1,
  sources: [{ part: source }],
  destinations: [{ part: host, ...(app !== undefined && { app }) }],
});

/** A figure of an element, so much higher; what is no plain number stays. */
function higher(element: CircuitElement, by: number): CircuitElement {
  if ('ohms' in element && typeof element.ohms === 'number')
    return { ...element, ohms: element.ohms * by } as CircuitElement;
  return element;
}

/** Another thing of its kind: other resistances, levels and draws, another length, another price. */
function another(part: Part, round: number): Part {
  const by = 1 + round / 8;
  const { bus, captures, length } = part;
  return {
    ...part,
    id: `own-${part.id}-${round}`,
    name: `${part.name}, make ${round + 1}`,
    price: part.price * (1 + round / 50),
    circuit: part.circuit.map((element) => higher(element, by)),
    ...(length !== undefined && { length: length * by }),
    ...(bus && { bus: { ...bus, draw: typeof bus.draw === 'number' ? bus.draw * by : bus.draw } }),
    ...(captures && {
      captures: captures.map((one) => ({
        ...one,
        fullScale: dbV(one.fullScale + round / 2),
        noise: dbV(one.noise + round / 2),
      })),
    }),
  };
}

/** Whether there is a figure in it in which another of its kind can differ: bare copper that is no lead has none. */
const canDiffer = ({ length, bus, captures, circuit }: Part): boolean =>
  length !== undefined ||
  bus !== undefined ||
  captures !== undefined ||
  circuit.some((element) => 'ohms' in element && typeof element.ohms === 'number');

/** The catalogue, and other things of the same kinds until there are so many. */
function grown(count: number): Part[] {
  const between = CATALOGUE.filter((part) => !part.host && part.ports.length > 1 && canDiffer(part));
  return Array.from({ length: Math.max(0, count - CATALOGUE.length) }, (_, n) => {
    const part = between[n % between.length] ?? between[0];
    if (!part) throw new Error('the catalogue is empty');
    return another(part, Math.floor(n / between.length) + 1);
  });
}

function time(request: RouteRequest): { median: number; p95: number } {
  plan(request);
  const taken = Array.from({ length: RUNS }, () => {
    const start = performance.now();
    plan(request);
    return performance.now() - start;
  }).sort((a, b) => a - b);
  return { median: taken[Math.floor(RUNS / 2)] ?? NaN, p95: taken.at(-1) ?? NaN };
}

/** How many analyses of its best answer a search takes as long as: a figure that holds on any machine. */
function inAnalyses(median: number, request: RouteRequest): string {
  const rig = plan(request).routes[0]?.rig;
  if (!rig) return '';
  analyse(rig);
  const begun = performance.now();
  for (let n = 0; n < RUNS; n += 1) analyse(rig);
  return `, ${Math.round((median * RUNS) / (performance.now() - begun))} analyses`;
}

/** A search that time cut says so: what it took is then the limit. */
function row(what: string, request: RouteRequest, parts = CATALOGUE.length): Row {
  const taken = time(request);
  const cut = plan(request).complete ? '' : ' (cut)';
  return { what: `five best: ${what}${cut}${inAnalyses(taken.median, request)}`, parts, ...taken };
}

/** How long it takes to find the five best routes: common questions, the demo's requests, and growing catalogues. */
export function routeRows(folder: string): Row[] {
  const common = COMMON.map(([what, source, host, app]) => row(what, requestFor(source, host, app)));
  const medians = common.map((r) => r.median).sort((a, b) => a - b);
  const middle: Row = {
    what: 'the median of these ten questions',
    parts: CATALOGUE.length,
    median: medians[Math.floor(medians.length / 2)] ?? NaN,
    p95: medians.at(-1) ?? NaN,
  };
  const demo = readdirSync(folder).flatMap((file) => {
    const result = checkRequest(JSON.parse(readFileSync(join(folder, file), 'utf8')));
    return result.ok ? [row(result.request.name ?? file, result.request)] : [];
  });
  const growth = [161, 300, 600, 1000].map((count) => {
    const ownParts = grown(count);
    const request = requestFor('receiver-trs', 'phone-8-pin', 'browser-studio');
    return row('receiver to 8-pin phone, a catalogue that grows', { ...request, ownParts }, count);
  });
  return [...common, middle, ...demo, ...growth];
}
