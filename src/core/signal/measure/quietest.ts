import { energyOf } from './frames';

/** Keeps the spectra of the quietest frames: what is there in the pauses. Frames of nothing at all are passed over. */
export interface Quietest {
  readonly offer: (frame: Float32Array) => void;
  /** By bin, the value under which `share` of them lie, of no more than a fifth of all frames; undefined where none was kept. */
  readonly spectrum: (share: number) => Float32Array | undefined;
  /** The mean square under which `share` of them lie. */
  readonly level: (share: number) => number;
}

/** Of a short take only so many frames are pauses. Our own. */
const [QUIET_SHARE, FEWEST] = [0.2, 3];

interface Kept {
  readonly energy: number;
  readonly powers: Float32Array;
}

export function quietest(many: number, transform: (frame: Float32Array) => Float32Array): Quietest {
  const kept: Kept[] = [];
  let [seen, size] = [0, 1];
  const used = () => kept.slice(0, Math.max(FEWEST, Math.ceil(seen * QUIET_SHARE)));
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
        column.sort();
        return column[Math.min(frames.length - 1, Math.floor(share * frames.length))] as number;
      });
    },
    level: (share) => {
      const frames = used();
      return (frames[Math.min(frames.length - 1, Math.floor(share * frames.length))]?.energy ?? 0) / size;
    },
  };
}
