import type { HeldStretch } from '../diagnosis';
import type { StretchReading, StretchState } from '../signal/reading';

const db = (value: number): string => `${value.toFixed(0).replace('-', '−')} dBFS`;
const SIDES = { left: ', on the left', right: ', on the right', both: '' } as const;

const how: Readonly<Record<StretchState, (reading: StretchReading) => string>> = {
  came: ({ level }) => `Came${SIDES[level.side]}: ${db(level.meanDbfs)}, peaks ${db(level.peakDbfs)}`,
  missing: () => 'Hardly anything came: is it plugged in, linked, unmuted, and the input that is recorded?',
  tapped: ({ value = 0, level }) =>
    `${value} ${value === 1 ? 'tap' : 'taps'}${SIDES[level.side]}, as loud as a voice: this is the microphone that is recorded`,
  elsewhere: ({ level }) =>
    `The taps come faint (peaks ${db(level.peakDbfs)}): another microphone is recorded, perhaps the device’s own`,
  'no-tap': () => 'No tap was heard: another input is recorded, or nobody tapped',
  fell: ({ value = 0 }) =>
    `The noise in the pauses fell by ${value.toFixed(0)} dB: it came in by what was pulled`,
  stayed: () => 'The noise in the pauses stayed as it was',
  rose: ({ value = 0 }) =>
    `The silence is ${value.toFixed(0)} dB louder than the first: an automatic gain, or something was turned on`,
  stirs: ({ value = 0 }) =>
    `Something stirs in the silence, up to ${db(value)}: cloth on the microphone, a hand on the lead, a chair; listen to it`,
  still: ({ level }) => `Noise at ${db(level.meanDbfs)}`,
  holes: ({ value = 0 }) => `${value} ${value === 1 ? 'hole' : 'holes'}: the link drops out on the way`,
  held: ({ level }) => `No hole; ${db(level.meanDbfs)}`,
};

/** How a stretch of a guided take went, in a sentence without its full stop. */
export const sayStretch = (reading: StretchReading): string => how[reading.state](reading);

const PREDICTED: Readonly<Record<HeldStretch['predicted'], string>> = {
  both: 'on both sides',
  left: 'on the left',
  right: 'on the right',
  mono: 'in mono',
  none: 'not at all',
  not: 'not recorded',
};

/** What the rig predicts of it: "Predicted: on the left, peaks −14 dBFS". */
export const sayHeld = ({ predicted, peak, agrees }: HeldStretch): string =>
  `${agrees ? 'Predicted' : 'Not as the rig predicts'}: ${PREDICTED[predicted]}${peak === undefined ? '' : `, peaks ${db(peak)}`}`;

/** What went as it should not. */
const AMISS: readonly StretchState[] = ['missing', 'elsewhere', 'no-tap', 'holes', 'rose', 'stirs'];
export const isAmiss = ({ state }: StretchReading): boolean => AMISS.includes(state);
