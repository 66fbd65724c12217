// Puts every fault in three strengths on speech, counts hits, misses and false alarms, and writes the table of docs/sound-check.md.
// Takes some minutes; needs espeak-ng and sox.
import { readFileSync, rmSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { fileURLToPath, pathToFileURL } from 'node:url';
import { build } from 'esbuild';

const ROOT = fileURLToPath(new URL('..', import.meta.url));
const [EACH, CLEAN, VOICES] = [7, 60, 14];

const outfile = join(ROOT, '.build', 'takes-study.mjs');
await build({
  stdin: {
    contents:
      "export { studyClean, studyFaults } from './testing/takes/study'; export { voice } from './testing/takes/voice';",
    resolveDir: ROOT,
    loader: 'ts',
  },
  bundle: true,
  platform: 'node',
  format: 'esm',
  outfile,
  logLevel: 'error',
});
const { studyClean, studyFaults, voice } = await import(pathToFileURL(outfile).href);
rmSync(outfile);

const voices = Array.from({ length: VOICES }, (_, n) => voice(n));
const alarms = studyClean(voices, CLEAN);
const rows = studyFaults(voices, EACH);
const cell = (fault, strength) => {
  const row = rows.find((r) => r.fault === fault && r.strength === strength);
  return `${row.hits} of ${row.takes}`;
};
const others = (fault) => {
  const all = {};
  for (const r of rows.filter((one) => one.fault === fault))
    for (const [code, count] of Object.entries(r.others)) all[code] = (all[code] ?? 0) + count;
  const said = Object.entries(all).map(([code, count]) => `\`${code}\` ${count}`);
  return said.length === 0 ? '–' : said.join(', ');
};
const faults = [...new Set(rows.map((r) => r.fault))];
const table = [
  '| fault | clear | mild | faint | other findings in all of them |',
  '| --- | --- | --- | --- | --- |',
  ...faults.map(
    (f) => `| ${f} | ${cell(f, 'clear')} | ${cell(f, 'mild')} | ${cell(f, 'faint')} | ${others(f)} |`,
  ),
];
const alarmed = Object.entries(alarms).map(([code, count]) => `\`${code}\` ${count}`);
const text = [
  `${rows.reduce((sum, r) => sum + r.takes, 0)} takes with a fault and ${CLEAN} without, ${VOICES} voices by espeak-ng, 16 bits, seeded.`,
  `False alarms on the ${CLEAN} clean ones: ${alarmed.length === 0 ? 'none' : alarmed.join(', ')}.`,
  '',
  ...table,
].join('\n');

const path = join(ROOT, 'docs/sound-check.md');
const [START, END] = ['<!-- detection -->', '<!-- /detection -->'];
const page = readFileSync(path, 'utf8');
const [before, after] = [page.slice(0, page.indexOf(START) + START.length), page.slice(page.indexOf(END))];
writeFileSync(path, `${before}\n\n${text}\n\n${after}`);
console.log(text);
