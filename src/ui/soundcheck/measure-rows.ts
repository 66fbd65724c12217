import type { Features } from '../../core/diagnosis';
import type { Measures } from '../../core/signal/measure';

const db = (value: number, unit: string): string =>
  Number.isFinite(value) ? `${value.toFixed(1).replace('-', '−')} ${unit}` : '–';
const list = (values: readonly number[], unit: string): string =>
  values.map((v) => (Number.isFinite(v) ? v.toFixed(1).replace('-', '−') : '–')).join(' / ') + ` ${unit}`;

export const IMAGE_SHORT: Readonly<Record<Features['image'], string>> = {
  mono: 'one channel',
  'dual-mono': 'both alike',
  stereo: 'two sides',
  'left-only': 'left only',
  'right-only': 'right only',
  inverted: 'one turned over',
  silent: 'nothing',
};

export interface MeasureRow {
  readonly name: string;
  readonly value: string;
}

/** Every measure of a take, as it is read. */
export function measureRows(m: Measures): MeasureRow[] {
  const { loudness: l } = m;
  const main = [...m.pauses].sort((a, b) => b.activeDbfs - a.activeDbfs)[0];
  return [
    { name: 'Loudness', value: db(l.integratedLufs, 'LUFS') },
    { name: 'Loudness range', value: db(l.loudnessRangeLu, 'LU') },
    { name: 'Loudest 0.4 s', value: db(l.momentaryMaxLufs, 'LUFS') },
    { name: 'Loudest 3 s', value: db(l.shortTermMaxLufs, 'LUFS') },
    { name: 'True peak', value: list(m.truePeakDbtp, 'dBTP') },
    {
      name: 'Sample peak',
      value: list(
        m.levels.map((c) => c.samplePeakDbfs),
        'dBFS',
      ),
    },
    {
      name: 'RMS',
      value: list(
        m.levels.map((c) => c.rmsDbfs),
        'dBFS',
      ),
    },
    { name: 'Noise in the pauses', value: main?.floorDbfs === undefined ? '–' : db(main.floorDbfs, 'dBFS') },
    { name: 'Sides', value: IMAGE_SHORT[m.image.kind] },
    {
      name: 'Correlation',
      value: m.image.correlation === null ? '–' : m.image.correlation.toFixed(2).replace('-', '−'),
    },
    { name: 'Hum', value: m.hum ? `${db(m.hum.levelDbfs, 'dBFS')}, ${m.hum.fundamentalHz} Hz` : 'none' },
    {
      name: 'Tone',
      value: m.whine ? `${db(m.whine.levelDbfs, 'dBFS')}, ${Math.round(m.whine.hertz)} Hz` : 'none',
    },
    {
      name: 'Echo',
      value: m.echo ? `${Math.round(m.echo.delayMs)} ms, ${db(m.echo.levelDb, 'dB')}` : 'none',
    },
    {
      name: 'Clipped tops',
      value: m.clipping ? `${m.clipping.count} at ${db(m.clipping.ceilingDbfs, 'dBFS')}` : 'none',
    },
    {
      name: 'Room dies away in',
      value: m.roomSeconds ? `about ${m.roomSeconds.toFixed(1)} s` : '–',
    },
    { name: 'Holes', value: String(m.dropouts.length) },
    { name: 'Clicks', value: String(m.clicks.length) },
    { name: 'Thumps', value: String(m.thumps.length) },
    {
      name: 'Sounds',
      value: m.band ? `${Math.round(m.band.lowHz)} to ${Math.round(m.band.highHz)} Hz` : '–',
    },
    {
      name: 'Offset',
      value: m.levels.map((c) => (c.dcOffset * 100).toFixed(2).replace('-', '−')).join(' / ') + ' %',
    },
  ];
}

/** Predicted beside measured. */
export function comparedRows(
  predicted: Features,
  measured: Features,
): { name: string; predicted: string; measured: string }[] {
  const of = (f: Features) => [
    IMAGE_SHORT[f.image],
    db(f.active, 'dBFS'),
    f.noise === null ? 'hidden by hum' : Number.isFinite(f.noise) ? db(f.noise, 'dBFS') : 'under −96 dBFS',
    f.hum > -96 ? db(f.hum, 'dBFS') : 'none',
    f.ceiling === null ? 'no' : `at ${db(f.ceiling, 'dBFS')}`,
    f.echo ? `${Math.round(f.echo.delayMs)} ms, ${db(f.echo.levelDb, 'dB')}` : 'none',
  ];
  const [a, b] = [of(predicted), of(measured)];
  return ['Sides', 'Speech', 'Noise', 'Hum', 'Clips', 'Echo'].map((name, i) => ({
    name,
    predicted: a[i] ?? '',
    measured: b[i] ?? '',
  }));
}
