import { field, of, type Calculator, type Result, type Values } from './calculator';
import { preferred } from './preferred';

const parallel = (a: number, b: number): number => (a === 0 || b === 0 ? 0 : 1 / (1 / a + 1 / b));

interface Pad {
  readonly series: number;
  readonly shunt: number;
}

const lossOf = ({ series, shunt }: Pad, source: number, load: number): number => {
  const foot = parallel(shunt, load);
  return -20 * Math.log10(foot / (source + series + foot));
};

/** The pad that gives a loss and shows its source a resistance; NaN where no resistors do. */
function padFor(loss: number, input: number, source: number, load: number): Pad {
  const foot = (source + input) / 10 ** (loss / 20);
  const shunt = 1 / (1 / foot - 1 / load);
  return { series: input - foot, shunt: shunt > 0 ? shunt : NaN };
}

/** The least and the most that a pad takes off when its resistors are off by so many per cent: the loss is monotone in each, so the corners bound it. */
function corners(pad: Pad, tolerance: number, source: number, load: number): [number, number] {
  const by = [1 - tolerance / 100, 1 + tolerance / 100];
  const all = by.flatMap((a) =>
    by.map((b) => lossOf({ series: pad.series * a, shunt: pad.shunt * b }, source, load)),
  );
  return [Math.min(...all), Math.max(...all)];
}

function padResults(values: Values): readonly Result[] {
  const [source, load] = [of(values, 'source'), of(values, 'load')];
  const exact = padFor(of(values, 'loss'), of(values, 'input'), source, load);
  const built = { series: preferred(exact.series, 'E24'), shunt: preferred(exact.shunt, 'E24') };
  const [least, most] = corners(built, of(values, 'tolerance'), source, load);
  return [
    { name: 'Series resistor, exact', value: exact.series, unit: 'ohm' },
    { name: 'Shunt resistor, exact', value: exact.shunt, unit: 'ohm' },
    { name: 'Series, E12', value: preferred(exact.series, 'E12'), unit: 'ohm' },
    { name: 'Shunt, E12', value: preferred(exact.shunt, 'E12'), unit: 'ohm' },
    { name: 'Series, E24 (U pad: half of it in each leg)', value: built.series, unit: 'ohm' },
    { name: 'Shunt, E24', value: built.shunt, unit: 'ohm' },
    { name: 'Series, E96', value: preferred(exact.series, 'E96'), unit: 'ohm' },
    { name: 'Shunt, E96', value: preferred(exact.shunt, 'E96'), unit: 'ohm' },
    { name: 'Loss with E24', value: lossOf(built, source, load), unit: 'dB' },
    { name: 'Least loss within tolerance', value: least, unit: 'dB' },
    { name: 'Most loss within tolerance', value: most, unit: 'dB' },
    { name: 'Seen by the source', value: built.series + parallel(built.shunt, load), unit: 'ohm' },
    { name: 'Seen by the load', value: parallel(built.shunt, built.series + source), unit: 'ohm' },
  ];
}

const pad: Calculator = {
  id: 'pad',
  name: 'Pad, L or U',
  fields: [
    field('loss', 'Loss', 'dB', 40, [0.5, 100]),
    field('input', 'Resistance that the source is to see', 'ohm', 10_000, [1, 1e7]),
    field('source', 'Source impedance', 'ohm', 150, [0, 1e6]),
    field('load', 'Load impedance', 'ohm', 2200, [1, 1e9]),
    field('tolerance', 'Tolerance of the resistors, %', '', 5, [0, 20]),
  ],
  formula: 'foot = (Zs + Zin) / 10^(loss/20); series = Zin − foot; shunt = 1 / (1/foot − 1/Zl)',
  source: 'voltage divider; preferred values IEC 60063; tolerance by its corners',
  compute: padResults,
};

const corner: Calculator = {
  id: 'corner',
  name: 'Corner of a lead',
  fields: [
    field('ohms', 'Source impedance', 'ohm', 10_000, [0.1, 1e8]),
    field('perMetre', 'Capacitance of a metre', 'F', 100e-12, [1e-13, 1e-8]),
    field('length', 'Length', 'm', 6, [0.01, 1000]),
  ],
  formula: 'f = 1 / (2πRC)',
  source: 'first-order low pass; 100 pF a metre is typical',
  compute: (values) => {
    const farads = of(values, 'perMetre') * of(values, 'length');
    const hertz = 1 / (2 * Math.PI * of(values, 'ohms') * farads);
    return [
      { name: '3 dB down at', value: hertz, unit: 'Hz' },
      { name: 'Capacitance', value: farads * 1e12, unit: 'pF' },
      { name: 'Loss at 10 kHz', value: 10 * Math.log10(1 + (10_000 / hertz) ** 2), unit: 'dB' },
      {
        name: 'Length for 1 dB at 10 kHz',
        value:
          Math.sqrt(10 ** 0.1 - 1) / (2 * Math.PI * 10_000 * of(values, 'ohms') * of(values, 'perMetre')),
        unit: 'm',
      },
    ];
  },
};

export const LEAD_CALCULATORS: readonly Calculator[] = [pad, corner];
