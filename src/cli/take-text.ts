import type { ReadingReport } from '../core/files/reading-report';
import type { SoundcheckReport } from './soundcheck';

const db = (value: number | null): string => (value === null ? '–' : value.toFixed(1));

type Told = ReadingReport['predicted'];

const features = (f: Told): string =>
  `${f.image}, speech ${db(f.activeDbfs)}, noise ${db(f.noiseDbfs)}, hum ${db(f.humDbfs)} dBFS${f.ceilingDbfs === null ? '' : `, clips at ${db(f.ceilingDbfs)}`}${f.echo ? `, echo ${f.echo.delayMs.toFixed(0)} ms ${db(f.echo.levelDb)} dB` : ''}`;

/** So many changes that a take cannot tell apart are named. */
const NAMED = 3;

const readingLines = ({
  rig,
  recorder,
  predicted,
  measured,
  explanations,
  tried,
}: ReadingReport): string[] => [
  '',
  `Against ${rig}, ${recorder}`,
  `  predicted  ${features(predicted)}`,
  `  measured   ${features(measured)}`,
  `  Nearest of ${tried} single changes, and the rig itself:`,
  ...explanations.map(({ says, distance }, i) => {
    const more = says.length > NAMED ? `, or one of ${says.length - NAMED} others` : '';
    return `  ${i + 1}. ${says.slice(0, NAMED).join(' / or: ')}${more} (distance ${distance.toFixed(1)})`;
  }),
];

/** A take as a person reads it in a terminal. */
export function takeText(r: SoundcheckReport): string {
  const row = (name: string, value: string) => `  ${name.padEnd(26)}${value}`;
  const list = (values: readonly (number | null)[]) => values.map(db).join(' / ');
  return [
    ...r.says,
    ...r.findings.flatMap(({ title, says, severity }) => ['', `${title} (${severity})`, `  ${says}`]),
    '',
    'Measured',
    row('loudness', `${db(r.integratedLufs)} LUFS, range ${r.loudnessRangeLu.toFixed(1)} LU`),
    row('loudest', `${db(r.momentaryMaxLufs)} LUFS in 0.4 s, ${db(r.shortTermMaxLufs)} in 3 s`),
    row('true peak', `${list(r.truePeakDbtp)} dBTP`),
    row('sample peak', `${list(r.samplePeakDbfs)} dBFS`),
    row('RMS', `${list(r.rmsDbfs)} dBFS`),
    row('noise in the pauses', `${db(r.noiseFloorDbfs)} dBFS, speech ${db(r.snrDb)} dB over it`),
    row('sides', r.image.kind),
    row('sounds', r.band ? `${r.band.lowHz.toFixed(0)} to ${r.band.highHz.toFixed(0)} Hz` : '–'),
    ...(r.reading ? readingLines(r.reading) : []),
  ].join('\n');
}
