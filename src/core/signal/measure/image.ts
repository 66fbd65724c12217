import type { Envelope } from './levels';
import { pausesOf, windowed, windowPowers } from './pauses';

/** How the two sides stand to one another. */
export type ImageKind = 'mono' | 'dual-mono' | 'stereo' | 'left-only' | 'right-only' | 'inverted';

export interface Image {
  readonly kind: ImageKind;
  /** Correlation of the sides where something sounds, −1 to 1; none of one channel or one side. */
  readonly correlation: number | null;
  /** How much louder the left is, dB; none where a side is nothing. */
  readonly leftOverRightDb: number | null;
}

/** A side so far under the other counts as empty, dB: as among the rig’s checks. Our own. */
const EMPTY = 20;
/** A side whose speech lies so little above its pauses holds noise alone, dB. Our own. */
const NOISE_ALONE = 4;
/** From which correlation both sides are one sound, and one of them turned over. Our own. */
const [SAME, OPPOSITE] = [0.985, -0.9];

/** Reads the image from the milliseconds of the first two channels. */
export function imageOf(envelope: Envelope): Image {
  const { channels, means, cross } = envelope;
  const [a, b] = means;
  if (channels.length < 2 || !a || !b || !cross)
    return { kind: 'mono', correlation: null, leftOverRightDb: null };
  const [left, right] = [windowPowers(envelope, 0), windowPowers(envelope, 1)];
  const [l, r] = [left, right].map(pausesOf) as [ReturnType<typeof pausesOf>, ReturnType<typeof pausesOf>];
  const difference = l.activeDbfs - r.activeDbfs;
  const leftOverRightDb = Number.isFinite(difference) ? difference : null;
  const isEmpty = (one: typeof l, over: number) =>
    one.activeDbfs === -Infinity ||
    over >= EMPTY ||
    (over > 10 && one.activeDbfs - (one.floorDbfs ?? one.activeDbfs) < NOISE_ALONE);
  if (l.activeDbfs === -Infinity && r.activeDbfs === -Infinity)
    return { kind: 'dual-mono', correlation: null, leftOverRightDb };
  if (isEmpty(r, difference)) return { kind: 'left-only', correlation: null, leftOverRightDb };
  if (isEmpty(l, -difference)) return { kind: 'right-only', correlation: null, leftOverRightDb };
  const correlation = correlationOf(left, right, windowed(cross, a, b));
  const kind = correlation >= SAME ? 'dual-mono' : correlation <= OPPOSITE ? 'inverted' : 'stereo';
  return { kind, correlation, leftOverRightDb };
}

/** Of the windows that are within 20 dB of the loudest. */
function correlationOf(l: Float32Array, r: Float32Array, c: Float32Array): number {
  const least = l.reduce((most, p, i) => Math.max(most, p + (r[i] as number)), 0) / 100;
  let [ll, rr, lr] = [0, 0, 0];
  l.forEach((p, i) => {
    if (p + (r[i] as number) < least) return;
    ll += p;
    rr += r[i] as number;
    lr += c[i] as number;
  });
  return ll > 0 && rr > 0 ? lr / Math.sqrt(ll * rr) : 0;
}
