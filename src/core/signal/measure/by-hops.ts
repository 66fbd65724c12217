import { clicks, type Jumps } from './clicks';
import { clipping, type Clipping } from './clipping';
import { hopsReader } from './hops';
import { levels, type Levels } from './levels';
import { loudness, type Loudness } from './loudness';
import type { Piece, TakeShape } from './shape';
import { truePeak } from './true-peak';

/** What is read of a take hop by hop: plain data, that may come from another thread. */
export interface HopMeasures {
  readonly levels: Levels;
  readonly loudness: Loudness;
  readonly truePeakDbtp: readonly number[];
  readonly clipping: Clipping | null;
  readonly jumps: Jumps;
}

/** Reads a take hop by hop. */
export function byHops(shape: TakeShape) {
  const read = hopsReader(shape);
  const [level, loud, peaks] = [levels(shape), loudness(shape), truePeak(shape)];
  const [flat, jumps] = [clipping(shape), clicks(shape)];
  return {
    push(piece: Piece): void {
      const hops = read(piece);
      for (const stage of [level, loud, peaks, flat, jumps]) stage.push(piece, hops);
    },
    finish: (): HopMeasures => ({
      levels: level.finish(),
      loudness: loud.finish(),
      truePeakDbtp: peaks.finish(),
      clipping: flat.finish(),
      jumps: jumps.finish(),
    }),
  };
}
