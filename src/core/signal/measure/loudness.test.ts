import { describe, expect, it } from 'vitest';
import { hopsReader } from './hops';
import { kWeighting } from './k-weighting';
import { loudness } from './loudness';
import { truePeak } from './true-peak';

const RATE = 48_000;

/** Sines of 1 kHz on both sides, one after the other: level (peak of a side, dBFS) and seconds. */
function tones(parts: readonly (readonly [level: number, seconds: number])[], rate = RATE): Float32Array[] {
  const samples: number[] = [];
  for (const [level, seconds] of parts) {
    const amplitude = 10 ** (level / 20);
    for (let i = 0; i < Math.round(seconds * rate); i += 1) {
      samples.push(amplitude * Math.sin((2 * Math.PI * 1000 * samples.length) / rate));
    }
  }
  const side = Float32Array.from(samples);
  return [side, side];
}

/** The two measures that these documents are about, fed as `measuring` feeds them. */
function loudnessOf(sides: readonly Float32Array[], sampleRate = RATE) {
  const shape = { sampleRate, channels: sides.length };
  const [loud, peaks] = [loudness(shape), truePeak(shape)];
  const hops = hopsReader(shape)(sides);
  loud.push(sides, hops);
  peaks.push(sides, hops);
  return { loudness: loud.finish(), truePeakDbtp: peaks.finish() };
}

const SILENCE = -400;

describe('EBU Tech 3341 minimum requirements, ±0.1 LU', () => {
  it.each([
    ['1', [[-23, 20]], -23],
    ['2', [[-33, 20]], -33],
    [
      '3',
      [
        [-36, 10],
        [-23, 60],
        [-36, 10],
      ],
      -23,
    ],
    [
      '4',
      [
        [-72, 10],
        [-36, 10],
        [-23, 60],
        [-36, 10],
        [-72, 10],
      ],
      -23,
    ],
    [
      '5',
      [
        [-26, 20],
        [-20, 20.1],
        [-26, 20],
      ],
      -23,
    ],
  ] as const)('case %s: integrated', (_, parts, wanted) => {
    expect(Math.abs(loudnessOf(tones(parts)).loudness.integratedLufs - wanted)).toBeLessThanOrEqual(0.1);
  });
  it('cases 1 and 2: momentary and short-term stand where the tone is', () => {
    for (const level of [-23, -33]) {
      const { momentaryMaxLufs, shortTermMaxLufs } = loudnessOf(tones([[level, 20]])).loudness;
      expect(Math.abs(momentaryMaxLufs - level)).toBeLessThanOrEqual(0.1);
      expect(Math.abs(shortTermMaxLufs - level)).toBeLessThanOrEqual(0.1);
    }
  });
  it('case 9: short-term of alternating levels', () => {
    const parts = Array.from(
      { length: 5 },
      () =>
        [
          [-20, 1.34],
          [-30, 1.66],
        ] as const,
    ).flat();
    expect(Math.abs(loudnessOf(tones(parts)).loudness.shortTermMaxLufs + 23)).toBeLessThanOrEqual(0.1);
  });
  it.each([0, 1, 7, 13, 19])('case 10, file %i: a tone of 3 s wherever it begins', (file) => {
    const { shortTermMaxLufs } = loudnessOf(
      tones([
        [SILENCE, file * 0.15],
        [-23, 3],
        [SILENCE, 1],
      ]),
    ).loudness;
    expect(Math.abs(shortTermMaxLufs + 23)).toBeLessThanOrEqual(0.1);
  });
  it.each([-38, -30, -19])('case 11: 3 s at %i', (level) => {
    const { shortTermMaxLufs } = loudnessOf(
      tones([
        [SILENCE, 1.7],
        [level, 3],
        [SILENCE, 2],
      ]),
    ).loudness;
    expect(Math.abs(shortTermMaxLufs - level)).toBeLessThanOrEqual(0.1);
  });
  it('case 12: momentary of alternating levels', () => {
    const parts = Array.from(
      { length: 25 },
      () =>
        [
          [-20, 0.18],
          [-30, 0.22],
        ] as const,
    ).flat();
    expect(Math.abs(loudnessOf(tones(parts)).loudness.momentaryMaxLufs + 23)).toBeLessThanOrEqual(0.1);
  });
  it.each([0, 1, 7, 13, 19])('case 13, file %i: a tone of 400 ms wherever it begins', (file) => {
    const { momentaryMaxLufs } = loudnessOf(
      tones([
        [SILENCE, file * 0.02],
        [-23, 0.4],
        [SILENCE, 1],
      ]),
    ).loudness;
    expect(Math.abs(momentaryMaxLufs + 23)).toBeLessThanOrEqual(0.1);
  });
  it.each([-38, -30, -19])('case 14: 400 ms at %i', (level) => {
    const { momentaryMaxLufs } = loudnessOf(
      tones([
        [SILENCE, 0.37],
        [level, 0.4],
        [SILENCE, 1],
      ]),
    ).loudness;
    expect(Math.abs(momentaryMaxLufs - level)).toBeLessThanOrEqual(0.1);
  });
  it.each([
    ['15', 4, 0, 0.5, -6],
    ['16', 4, 45, 0.5, -6],
    ['17', 6, 60, 0.5, -6],
    ['18', 8, 67.5, 0.5, -6],
    ['19', 4, 45, 1.41, 3],
  ] as const)(
    'case %s: true peak of a sine at a part of the rate, +0.2/−0.4 dB',
    (_, part, phase, amplitude, wanted) => {
      const side = Float32Array.from(
        { length: RATE },
        // The ends are faded: a tone that is cut on has peaks of its own.
        (__, i) =>
          Math.min(1, i / 4800, (RATE - i) / 4800) *
          amplitude *
          Math.sin((2 * Math.PI * i) / part + (phase * Math.PI) / 180),
      );
      for (const peak of loudnessOf([side, side]).truePeakDbtp) {
        expect(peak).toBeLessThanOrEqual(wanted + 0.2);
        expect(peak).toBeGreaterThanOrEqual(wanted - 0.4);
      }
    },
  );
});

describe('EBU Tech 3342 minimum requirements, ±1 LU', () => {
  it.each([
    [
      '1',
      [
        [-20, 20],
        [-30, 20],
      ],
      10,
    ],
    [
      '2',
      [
        [-20, 20],
        [-15, 20],
      ],
      5,
    ],
    [
      '3',
      [
        [-40, 20],
        [-20, 20],
      ],
      20,
    ],
    [
      '4',
      [
        [-50, 20],
        [-35, 20],
        [-20, 20],
        [-35, 20],
        [-50, 20],
      ],
      15,
    ],
  ] as const)('case %s', (_, parts, wanted) => {
    // The document allows 1 LU; here it is a tenth of that.
    expect(Math.abs(loudnessOf(tones(parts)).loudness.loudnessRangeLu - wanted)).toBeLessThanOrEqual(0.1);
  });
});

describe('K-weighting', () => {
  it('is the table of ITU-R BS.1770-5 at 48 kHz', () => {
    const [shelf, pass] = kWeighting(48_000);
    const table = [
      1.53512485958697, -2.69169618940638, 1.19839281085285, -1.69065929318241, 0.73248077421585,
    ];
    [...shelf.b, ...shelf.a].forEach((value, i) => expect(value).toBeCloseTo(table[i] ?? 0, 10));
    [...pass.b, ...pass.a].forEach((value, i) =>
      expect(value).toBeCloseTo([1, -2, 1, -1.99004745483398, 0.99007225036621][i] ?? 0, 10),
    );
  });
  it.each([8000, 16_000, 22_050, 44_100, 96_000])('gives a 1 kHz tone its level at %i Hz too', (rate) => {
    expect(
      Math.abs(loudnessOf(tones([[-23, 5]], rate), rate).loudness.integratedLufs + 23),
    ).toBeLessThanOrEqual(0.1);
  });
});

describe('what is too short or nothing', () => {
  it('has no loudness, and no NaN', () => {
    expect(loudnessOf(tones([[-23, 0.2]])).loudness).toMatchObject({
      integratedLufs: -Infinity,
      momentaryMaxLufs: -Infinity,
      loudnessRangeLu: 0,
    });
    expect(loudnessOf([new Float32Array(48_000)]).loudness.integratedLufs).toBe(-Infinity);
  });
});
