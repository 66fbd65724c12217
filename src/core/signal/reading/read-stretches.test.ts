import { beforeAll, describe, expect, it } from 'vitest';
import { noise, random } from '../../../../testing/takes/random';
import { measured, stored } from '../../../../testing/takes/study';
import { RATE, voice } from '../../../../testing/takes/voice';
import { readStretches, readTake, withoutTaps, type AskedStretch, type StretchState } from '.';

const db = (level: number): number => 10 ** (level / 20);

/** A finger on a grille: a dull thud with a click ahead, three times. */
function tapped(seconds: number, level: number, seed: number): Float32Array {
  const out = new Float32Array(seconds * RATE);
  const next = random(seed);
  for (const at of [0.4, 1.2, 2.1]) {
    for (let i = 0; i < 0.15 * RATE; i += 1)
      out[Math.round(at * RATE) + i] =
        db(level) *
        Math.exp(-i / (0.02 * RATE)) *
        (0.8 * Math.sin((2 * Math.PI * 140 * i) / RATE) + 0.4 * (next() - 0.5));
  }
  return out;
}

const silence = (seconds: number): Float32Array => new Float32Array(seconds * RATE);

/** One after the other, with the noise of a good preamplifier under all of it. */
function laid(parts: readonly Float32Array[], under = -70): Float32Array {
  const all = new Float32Array(parts.reduce((sum, { length }) => sum + length, 0));
  let at = 0;
  for (const part of parts) {
    all.set(part, at);
    at += part.length;
  }
  const hiss = noise(all.length, random(11));
  return all.map((v, i) => v + db(under) * (hiss[i] as number));
}

/** What is asked for in a take of one microphone; the voice is five seconds of speech by espeak-ng. */
const ASKED: readonly AskedStretch[] = [
  { is: 'silence', from: 0, to: 3 },
  { is: 'usual', part: 'mic', from: 3, to: 8 },
  { is: 'tap', part: 'mic', from: 8, to: 11 },
  { is: 'silence', from: 11, to: 13 },
];

describe('the stretches of a guided take', () => {
  let spoken: Float32Array;
  beforeAll(() => {
    spoken = voice(1).subarray(RATE, 6 * RATE);
  });

  const states = (sides: readonly Float32Array[], asked = ASKED): StretchState[] =>
    readStretches(measured(stored(sides)), asked).map(({ state }) => state);

  // What a practitioner expects: common practice. A tap on the microphone that records is as loud as a voice; one on another is faint.
  it('the tapped microphone is the one recorded', () => {
    const take = laid([silence(3), spoken, tapped(3, -4, 1), silence(2)]);
    expect(states([take])).toEqual(['still', 'came', 'tapped', 'still']);
  });

  it('counts the taps', () => {
    const take = laid([silence(3), spoken, tapped(3, -4, 2), silence(2)]);
    expect(readStretches(measured(stored([take])), ASKED)[2]?.value).toBe(3);
  });

  it('the phone’s own microphone hears the tap from afar', () => {
    const take = laid([silence(3), spoken, tapped(3, -36, 3), silence(2)]);
    expect(states([take])[2]).toBe('elsewhere');
  });

  it('nobody tapped, or another input is recorded', () => {
    expect(states([laid([silence(3), spoken, silence(3), silence(2)])])[2]).toBe('no-tap');
  });

  it('a pack that is muted: nothing came', () => {
    expect(states([laid([silence(3), silence(5), tapped(3, -50, 4), silence(2)])])[1]).toBe('missing');
  });

  it('each pack on its own side', () => {
    const one = laid([silence(3), spoken, silence(5)]);
    const two = laid([silence(8), spoken]);
    const asked: AskedStretch[] = [
      { is: 'silence', from: 0, to: 3 },
      { is: 'usual', part: 'one', from: 3, to: 8 },
      { is: 'usual', part: 'two', from: 8, to: 13 },
    ];
    const read = readStretches(measured(stored([one, two])), asked);
    expect(read.map(({ level }) => level.side).slice(1)).toEqual(['left', 'right']);
  });

  it.each([
    ['hum that goes with the charger', -40, 'fell'],
    ['hum that stays', 0, 'stayed'],
  ] as const)('%s', (_, pulled, state) => {
    const hum = (v: number, i: number, level: number) =>
      v + db(level) * Math.SQRT2 * Math.sin((2 * Math.PI * 100 * i) / RATE);
    const take = laid([silence(3), spoken, spoken]).map((v, i) =>
      hum(v, i, i < 8 * RATE ? -45 : -45 + pulled),
    );
    const asked: AskedStretch[] = [
      { is: 'silence', from: 0, to: 3 },
      { is: 'usual', from: 3, to: 8 },
      { is: 'pull', from: 8, to: 13 },
    ];
    expect(states([take], asked)[2]).toBe(state);
  });

  it('an automatic gain that opens lets the second silence rise', () => {
    const take = laid([silence(3), spoken, tapped(3, -4, 5), silence(2)]).map((v, i) =>
      i >= 11 * RATE ? v * db(12) : v,
    );
    expect(states([take])[3]).toBe('rose');
  });

  it('cloth that rubs in the silence is heard, hiss that stays is not', () => {
    const rub = noise(0.4 * RATE, random(8)).map((v) => v * db(-42));
    const rubbed = silence(3);
    for (const at of [0.7, 1.9]) rubbed.set(rub, at * RATE);
    const rest = [spoken, tapped(3, -4, 7), silence(2)];
    expect(states([laid([rubbed, ...rest])])[0]).toBe('stirs');
    expect(states([laid([silence(3), ...rest], -50)])[0]).toBe('still');
  });

  it('taps are no thumps, clicks or clipping of the rig', () => {
    const take = laid([silence(3), spoken, tapped(3, 3, 6), silence(2)]).map((v) =>
      Math.max(-1, Math.min(1, v)),
    );
    const measures = measured(stored([take]));
    const codes = (m: typeof measures) => readTake(m).map(({ code }) => code);
    expect(codes(measures)).toContain('take-clips');
    // How near to full scale it came is told as a note, taps and all.
    expect(codes(withoutTaps(measures, ASKED))).toEqual(['take-hot']);
    // Where a stage before the recorder clips, it clips voice and taps alike: that is told.
    const worse = take.map((v) => Math.max(-0.3, Math.min(0.3, 6 * v)));
    expect(codes(withoutTaps(measured(stored([worse])), ASKED))).toContain('take-clips');
  });

  it('a link that drops out on the way', () => {
    const take = laid([silence(3), spoken, spoken]);
    for (const at of [9.3, 10.4, 11.2]) take.fill(0, at * RATE, (at + 0.05) * RATE);
    const asked: AskedStretch[] = [
      { is: 'silence', from: 0, to: 3 },
      { is: 'usual', from: 3, to: 8 },
      { is: 'walk', from: 8, to: 13 },
    ];
    expect(states([take], asked).slice(1)).toEqual(['came', 'holes']);
    expect(states([laid([silence(3), spoken, spoken])], asked).slice(1)).toEqual(['came', 'held']);
  });
});
