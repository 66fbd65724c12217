import { describe, expect, it } from 'vitest';
import { measuring } from '.';

const RATE = 8000;

/** A tone cut off at half of full scale, all the while, so many seconds long; written second by second. */
function marksOf(seconds: number): readonly number[] {
  const feed = measuring({ sampleRate: RATE, channels: 1 }, seconds);
  for (let second = 0; second < seconds; second += 1) {
    const piece = Float32Array.from({ length: RATE }, (_, i) =>
      Math.max(-0.5, Math.min(0.5, Math.sin((2 * Math.PI * 100 * i) / RATE))),
    );
    feed.push([piece]);
  }
  return feed.finish().clipping?.atSeconds ?? [];
}

describe('marks of clipping', () => {
  it('stand a tenth of a second apart, to the end', () => {
    const marks = marksOf(20);
    expect(marks.length).toBeGreaterThan(150);
    expect(marks.at(-1)).toBeGreaterThan(19.8);
    marks.slice(1).forEach((at, i) => expect(at - (marks[i] ?? NaN)).toBeGreaterThan(0.099));
  });

  it('reach to the end of a long take, too, and are no more than are kept', () => {
    const marks = marksOf(300);
    expect(marks.length).toBeLessThanOrEqual(2000);
    expect(marks.at(-1)).toBeGreaterThan(299);
    expect(marks[0]).toBeLessThan(0.2);
  });
});
