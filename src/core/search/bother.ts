import type { PartSetting } from '../parts';

/** What one thing more to buy, and one joint more to make, is worth in money. Ours, and the user's to change. */
export interface Bother {
  readonly piece: number;
  readonly joint: number;
}

export const USUAL_BOTHER: Bother = { piece: 5, joint: 1 };
/** Who wants few pieces pays for each that is spared. */
export const FEW_PIECES: Bother = { piece: 40, joint: 8 };

/** What helps by less than this, dB, is no reason for another part. Ours. */
export const WORTH_A_PART = 6;
/** A knob turned down so far is touchy and brings up its noise, dB: a pad or a line input serves better. Common practice. */
export const FAR_DOWN = 24;
/** What touchy knobs weigh: more than a pad to buy, with a piece and a joint more. Ours. */
export const TOUCHY = 25;
/** What a bare microphone weighs that copper shares out to several things: as much as the smallest box with an output of its own, bought. Ours. */
export const SHARED_OUT = 60;
/** What unlike sources, or coils, weigh that copper joins ahead of every knob: as much as a mixer for both and what stands before it. Ours. */
export const HEAPED = 200;
/** What a bare microphone weighs that hangs in a socket for line, or that is loaded down to half its power: as much as a mixer that has a preamplifier for it. Ours. */
export const IN_LINE = 200;
/** What it weighs that a recorder hangs in a headphone socket, where somebody would listen and turns it to their ears: as much as one thing more to buy. Ours. */
export const EARS_TAKEN = 5;
/** What it weighs that a sound device, which could give numbers itself, is heard by another one as a voltage: as much as the smallest interface. Ours. */
export const CONVERTED_BEHIND = 60;
/** What it weighs that a mixer which is bought is heard as a voltage by another sound device that is bought: as much as people pay for a mixer that converts. Ours. */
export const MIXED_BEHIND = 30;
/** What it weighs that a box is what one host plays into, and another, which could take its numbers, hears it as a voltage: more than a lead for sound costs beside one for numbers. Ours. */
export const PLAYED_FIRST = 25;
/** What it weighs that something else hangs where a capsule is to be fed, in a box made for that: more than a DI box costs beside it. Ours. */
export const FED_FOR_NOTHING = 30;
/** A preamplifier leaves 60 to 70 dB between a microphone's peaks and its own noise, a line input 20 less. Typical. */
export const CLEAR_OF_FIRST = 55;

/** Whether a knob stands far down without being shut. */
export const isTouchy = (setting: PartSetting, value: unknown): boolean =>
  setting.kind === 'knob' && typeof value === 'number' && value <= -FAR_DOWN && value > setting.from;
