import { readFileSync, readdirSync } from 'node:fs';
import { cpus } from 'node:os';
import { join } from 'node:path';
import { fixesFor } from '../core/search/fixes';
import { planGains } from '../core/search/levels';
import { planReturns } from '../core/search/returns';
import { desk } from '../../testing/desk';
import { layRig } from '../../testing/lay-rig';
import { wayOut } from '../core/search/way-out';
import { analyse } from '../core/judge';
import { forgetFactors, forgetNetworks } from '../core/engine/circuit';
import { applyEdit, laidParts, type Rig } from '../core/rig';
import { checkRig } from '../core/files/read-rig';
import { powerView } from '../core/views';
import { takeLines } from './bench-takes';
import { practiceLines } from './bench-practice';
import { routeRows } from './bench-routes';
import { grown } from './grown';
import { time, type Row } from './timing';

const RUNS = 100;
/** A knob that is dragged about for some seconds. */
const TURNS_BEFORE = 500;

function demoRigs(folder: string): Rig[] {
  return readdirSync(folder).flatMap((file) => {
    const result = checkRig(JSON.parse(readFileSync(join(folder, file), 'utf8')));
    return result.ok ? [result.rig] : [];
  });
}

/** Turns the knobs of a rig in turn to other places, and analyses the rig anew. */
function knobTurned(rig: Rig): () => void {
  const knobs = laidParts(rig).flatMap(({ placed, part }) =>
    (part.settings ?? []).flatMap((s) => (s.kind === 'knob' ? [{ part: placed.id, setting: s }] : [])),
  );
  let turns = 0;
  return () => {
    turns += 1;
    const knob = knobs[turns % knobs.length];
    if (!knob) return;
    const { from, to, id } = knob.setting;
    const option = from + ((turns * 0.37 * (to - from)) % (to - from));
    analyse(applyEdit(rig, { kind: 'set', part: knob.part, setting: id, option }));
  };
}

function rows(folder: string): Row[] {
  const analyses = [
    ...demoRigs(folder).map((rig) => [`analysis, ${rig.name}`, rig] as const),
    ...[1, 2, 4, 8].map((n) => [`analysis, ${n} × microphone, mixer, phone, camera`, grown(n)] as const),
  ].map(([what, rig]): Row => ({ what, parts: rig.parts.length, ...time(() => analyse(rig), RUNS) }));
  const largest = demoRigs(folder).reduce((a, b) => (b.parts.length > a.parts.length ? b : a));
  const edits: Row[] = [
    ...demoRigs(folder).map((rig): Row => ({
      what: `supply and earths, ${rig.name}`,
      parts: rig.parts.length,
      ...time(() => powerView(rig), RUNS),
    })),
    {
      what: `a knob turned, then all again, ${largest.name}`,
      parts: largest.parts.length,
      ...time(knobTurned(largest), RUNS),
    },
    {
      what: `the same after ${TURNS_BEFORE} turns, ${largest.name}`,
      parts: largest.parts.length,
      ...time(knobTurned(largest), RUNS, TURNS_BEFORE),
    },
    {
      what: `first analysis, nothing kept from before, ${largest.name}`,
      parts: largest.parts.length,
      ...time(() => {
        forgetFactors();
        forgetNetworks();
        analyse(largest);
      }, 20),
    },
  ];
  const fixes = demoRigs(folder).flatMap((rig): Row[] => {
    const [finding] = analyse(rig).findings;
    const what = `fixes of the first finding, ${rig.name}`;
    return finding ? [{ what, parts: rig.parts.length, ...time(() => fixesFor(rig, finding, {}), 20) }] : [];
  });
  const ways = demoRigs(folder).map((rig): Row => ({
    what: `the way out, ${rig.name}`,
    parts: rig.parts.length,
    ...time(() => wayOut(rig, {}), 20),
  }));
  return [...edits, ...analyses, ...planned(folder), ...fixes, ...ways];
}

/** Plans of gains and sends. */
function planned(folder: string): Row[] {
  const plans = demoRigs(folder).flatMap((rig): Row[] => {
    const parts = rig.parts.length;
    return [
      { what: `the gain plan, ${rig.name}`, parts, ...time(() => planGains({ ...rig }), 20) },
      ...(planReturns(rig)
        ? [{ what: `the mix-minus, ${rig.name}`, parts, ...time(() => planReturns({ ...rig }), 20) }]
        : []),
    ];
  });
  const two: Row = {
    what: 'the gain plan, two microphones over a desk into a camera: seven knobs, three of them shared',
    parts: TWO_MICROPHONES.parts.length,
    ...time(() => planGains({ ...TWO_MICROPHONES }), 20),
  };
  const four = desk(CALLERS, SEED);
  const calls: Row = {
    what: `the mix-minus, ${CALLERS} callers on a desk made up for them`,
    parts: four.parts.length,
    ...time(() => planReturns({ ...four }), 20),
  };
  return [...plans, two, calls];
}

const TWO_MICROPHONES = layRig({
  parts: {
    one: 'dynamic-xlr',
    other: 'dynamic-xlr',
    first: 'lead-xlr',
    second: 'lead-xlr',
    mixer: 'mixer-rca-only',
    lead: 'lead-headphones-aux',
    camera: 'camera-trs',
  },
  joints: [
    'one.out first.holes',
    'first.pins mixer.mic-1',
    'other.out second.holes',
    'second.pins mixer.mic-2',
    'lead.big mixer.phones',
    'lead.small camera.mic',
  ],
  others: ['other'],
});

/** So many callers at once, and the seed by which their sends stand. */
const [CALLERS, SEED] = [4, 401];

/** So many edits as somebody makes who turns something every half second for an hour. */
const EDITS_AN_HOUR = 7200;

/** What an hour of edits leaves on the heap, MB, after its first minutes and at its end. */
function heapOverAnHour(folder: string): string {
  const turns = demoRigs(folder).map(knobTurned);
  const collect = (globalThis as { gc?: () => void }).gc;
  const heap = () => {
    collect?.();
    return (process.memoryUsage().heapUsed / 1e6).toFixed(0);
  };
  let early = '';
  for (let n = 0; n < EDITS_AN_HOUR; n += 1) {
    turns[n % turns.length]?.();
    if (n === EDITS_AN_HOUR / 8) early = heap();
  }
  const asked = collect ? '' : ' (not collected: node was started without --expose-gc)';
  return `Heap after ${EDITS_AN_HOUR / 8} edits of the demo rigs: ${early} MB, after ${EDITS_AN_HOUR}: ${heap()} MB${asked}.`;
}

/** The benchmarks' table, in Markdown, with the machine that ran them. */
export function bench(folder: string, requests: string): string {
  const machine = `${cpus()[0]?.model ?? 'unknown processor'}, ${cpus().length} cores, Node ${process.version}`;
  return [
    `Measured on: ${machine}. Milliseconds, ${RUNS} runs (fixes and ways out: 20, routes: 10).`,
    '',
    '| what | parts | median | p95 |',
    '| --- | ---: | ---: | ---: |',
    ...[...rows(folder), ...routeRows(requests)].map(
      (r) => `| ${r.what} | ${r.parts} | ${r.median.toFixed(1)} | ${r.p95.toFixed(1)} |`,
    ),
    '',
    ...practiceLines(),
    '',
    heapOverAnHour(folder),
    '',
    ...takeLines(),
  ].join('\n');
}
