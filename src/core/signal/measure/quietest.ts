import { energyOf } from './frames';

/** Keeps the spectra of the quietest frames: what is there in the pauses. Frames of nothing at all are passed over. */
export interface Quietest {
  readonly offer: (frame: Float32Array) => void;
  /** By bin, the value under which `share` of them lie, of no more than a fifth of all frames and none with speech in it; undefined where none was kept. */
  readonly spectrum: (share: number) => Float32Array | undefined;
  /** Whether they are so few that a line must stand in every one, and out of a noise that is as uneven as that of one frame. */
  readonly areFew: () => boolean;
  /** The mean square under which `share` of them lie. */
  readonly level: (share: number) => number;
}

/** Of a short take only so many frames are pauses. Our own. */
const [QUIET_SHARE, FEWEST] = [0.2, 3];
/** Of fewer than this a line must stand in every one: the end of an echo or a breath is in some. Our own. */
const FEW = 8;
/** Frames that hold so many times the power of the quietest few have speech in them. Our own. */
export const SPOKEN_IN = 10;

interface Kept {
  readonly energy: number;
  readonly powers: Float32Array;
}

export function quietest(many: number, transform: (frame: Float32Array) => Float32Array): Quietest {
  const kept: Kept[] = [];
  let [seen, size] = [0, 1];
  const used = () => {
    const few = kept.slice(0, Math.max(FEWEST, Math.ceil(seen * QUIET_SHARE)));
    const most = SPOKEN_IN * (few[FEWEST - 1]?.energy ?? Infinity);
    return few.filter(({ energy }) => energy <= most);
  };
  return {
    offer(frame) {
      const energy = energyOf(frame);
      seen += 1;
      size = frame.length;
      const last = kept[kept.length - 1];
      if (energy === 0 || (kept.length === many && last && energy >= last.energy)) return;
      if (kept.length === many) kept.pop();
      const at = kept.findIndex((one) => one.energy > energy);
      kept.splice(at < 0 ? kept.length : at, 0, { energy, powers: transform(frame) });
    },
    spectrum(share) {
      const [first] = kept;
      if (!first) return undefined;
      const frames = used();
      const column = new Float32Array(frames.length);
      return first.powers.map((_, bin) => {
        frames.forEach(({ powers }, i) => {
          column[i] = powers[bin] as number;
        });
        if (frames.length < FEW) return column.reduce((a, b) => Math.min(a, b));
        column.sort();
        return column[Math.min(frames.length - 1, Math.floor(share * frames.length))] as number;
      });
    },
    areFew: () => used().length < FEW,
    level: (share) => {
      const frames = used();
      return (frames[Math.min(frames.length - 1, Math.floor(share * frames.length))]?.energy ?? 0) / size;
    },
  };
}
