import type { TakeReport } from '../core/files/take-report';

const db = (value: number | null): string => (value === null ? '–' : value.toFixed(1));

/** A take as a person reads it in a terminal. */
export function takeText(r: TakeReport): string {
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
  ].join('\n');
}
