import type { Facts } from '../../engine';
import { noiseBudget, staircases, type NoiseItem, type Staircase } from '../../engine/levels';
import type { Part } from '../../parts';
import { controlsOf, type Control } from '../settings/controls';

/** A stage that bears no more than so much. */
interface Bearing {
  readonly index: number;
  /** Its clip level over the peaks as they stand, dB. */
  readonly room: number;
}

/** Noise that comes in at a place of a chain. */
interface Hiss {
  /** Controls that move a stage up to this one lift the sound over it. */
  readonly index: number;
  /** Mean square against that of the sound's peaks, as they stand. */
  readonly ratio: number;
}

/** Levels along one chain as sums: gains add, clip levels are fixed, noise adds by power. */
export interface ChainModel {
  readonly recorder: string;
  readonly source: string;
  readonly controls: readonly Control[];
  readonly bearings: readonly Bearing[];
  readonly hisses: readonly Hiss[];
  /** Peaks at the converter as they stand, dBFS. */
  readonly peak: number;
  /** The chain's last stage: its converter. */
  readonly last: number;
}

/** Where a noise comes in: a stage of this chain at its own input, all else at the converter. */
function placeOf({ chain }: Staircase, { is, placed, sense }: NoiseItem): number {
  const last = chain.stages.length - 1;
  if (is === 'source' && placed === chain.source) return 0;
  const output = chain.stages.findIndex(({ path }) => path !== undefined && path.from === sense);
  // The converter's own gain lifts its noise with the sound: nothing of it lies between.
  return output < 0 ? last - 1 : output - 1;
}

/** A pan or a mode: its places differ from one path of the part to another, so it leads the sound and does not set its level. */
function steers({ paths = [] }: Part, setting: string): boolean {
  const uses = paths.flatMap(({ gain }) =>
    gain.flatMap((one) =>
      typeof one === 'object' && 'setting' in one && one.setting === setting
        ? [JSON.stringify(one.values)]
        : [],
    ),
  );
  return new Set(uses).size > 1;
}

/** The knobs and switches on the way of a chain that set its level; what steers it between sides is none. */
export function levelControls(facts: Facts, { chain, input }: Staircase): Control[] {
  return controlsOf(facts, chain, input.capture.channels[chain.number - 1]).filter(({ part, setting }) => {
    const owner = facts.laid.get(part)?.part;
    return owner !== undefined && !steers(owner, setting);
  });
}

/** What each arrival's chain can be modelled by. A knob that a chain passes twice is taken where it comes first. */
export function chainModels(facts: Facts): ChainModel[] {
  return staircases(facts).flatMap((staircase): ChainModel[] => {
    const { chain, recorder, source } = staircase;
    const last = chain.stages.length - 1;
    const converter = chain.stages[last];
    if (!converter || converter.clipLevel === null) return [];
    const bearings = chain.stages.flatMap(({ clipLevel, peak }, index): Bearing[] =>
      clipLevel === null ? [] : [{ index, room: clipLevel - peak }],
    );
    const loud = 10 ** (converter.peak / 10);
    const hisses = noiseBudget(facts, staircase).map((item): Hiss => ({
      index: placeOf(staircase, item),
      ratio: item.power / loud,
    }));
    return [
      {
        recorder,
        source,
        controls: levelControls(facts, staircase),
        bearings,
        hisses,
        peak: converter.peak - converter.clipLevel,
        last,
      },
    ];
  });
}
