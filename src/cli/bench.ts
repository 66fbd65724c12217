import { readFileSync, readdirSync } from 'node:fs';
import { cpus } from 'node:os';
import { join } from 'node:path';
import { fixesFor } from '../core/search/fixes';
import { analyse } from '../core/judge';
import { forgetFactors } from '../core/engine/circuit';
import { applyEdit, laidParts, type Rig } from '../core/rig';
import { checkRig } from '../core/files/read-rig';
import { routeRows } from './bench-routes';
import { time, type Row } from './timing';

const RUNS = 100;

/** A microphone, a mixer and the leads to a phone and to a camera: the most circuit that one chain brings. */
function group(index: number): Pick<Rig, 'parts' | 'joints'> & { source: string; recorder: string } {
  const id = (name: string) => `${name}-${index}`;
  const ref = (name: string, port: string) => ({ part: id(name), port });
  return {
    source: id('mic'),
    recorder: id('phone'),
    parts: [
      { id: id('mic'), part: 'dynamic-xlr' },
      { id: id('xlr'), part: 'lead-xlr' },
      { id: id('mixer'), part: 'mixer-one-mic' },
      { id: id('pad'), part: 'lead-line-headset-pad' },
      { id: id('phone'), part: 'phone-ctia' },
      { id: id('line'), part: 'lead-line-mono-both' },
      { id: id('camera'), part: 'camera-trs' },
    ],
    joints: [
      { id: id('a'), plug: ref('mic', 'out'), jack: ref('xlr', 'holes') },
      { id: id('b'), plug: ref('xlr', 'pins'), jack: ref('mixer', 'mic') },
      { id: id('c'), plug: ref('pad', 'big'), jack: ref('mixer', 'left') },
      { id: id('d'), plug: ref('pad', 'trrs'), jack: ref('phone', 'jack') },
      { id: id('e'), plug: ref('line', 'big'), jack: ref('mixer', 'right') },
      { id: id('f'), plug: ref('line', 'small'), jack: ref('camera', 'mic') },
    ],
  };
}

function grown(groups: number): Rig {
  const all = Array.from({ length: groups }, (_, index) => group(index));
  return {
    format: 'symplex-rig',
    version: 1,
    id: 'bench',
    name: 'Bench',
    parts: all.flatMap((g) => g.parts),
    joints: all.flatMap((g) => g.joints),
    surroundings: { voice: 'normal' },
    purpose: { sources: all.map((g) => g.source), recorders: all.map((g) => g.recorder) },
  };
}

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
    {
      what: `a knob turned, then all again, ${largest.name}`,
      parts: largest.parts.length,
      ...time(knobTurned(largest), RUNS),
    },
    {
      what: `first analysis, nothing kept from before, ${largest.name}`,
      parts: largest.parts.length,
      ...time(() => {
        forgetFactors();
        analyse(largest);
      }, 20),
    },
  ];
  const fixes = demoRigs(folder).flatMap((rig): Row[] => {
    const [finding] = analyse(rig).findings;
    const what = `fixes of the first finding, ${rig.name}`;
    return finding ? [{ what, parts: rig.parts.length, ...time(() => fixesFor(rig, finding, {}), 20) }] : [];
  });
  return [...edits, ...analyses, ...fixes];
}

/** The benchmarks' table, in Markdown, with the machine that ran them. */
export function bench(folder: string, requests: string): string {
  const machine = `${cpus()[0]?.model ?? 'unknown processor'}, ${cpus().length} cores, Node ${process.version}`;
  return [
    `Measured on: ${machine}. Milliseconds, ${RUNS} runs (fixes: 20, routes: 10).`,
    '',
    '| what | parts | median | p95 |',
    '| --- | ---: | ---: | ---: |',
    ...[...rows(folder), ...routeRows(requests)].map(
      (r) => `| ${r.what} | ${r.parts} | ${r.median.toFixed(1)} | ${r.p95.toFixed(1)} |`,
    ),
  ].join('\n');
}
