import { figureOf } from '../circuit';
import type { BusDevice } from '../../parts';
import type { LaidPart } from '../../rig';

/** Isochronous bytes that full speed carries in one frame of a millisecond (USB 2.0, 5.6.3). */
export const FULL_SPEED_BYTES = 1023;

/** Bytes of one channel in a frame: samples of a millisecond, rounded up, times bytes a sample. */
export const channelBytes = (rate: number, bits: number): number =>
  Math.ceil(rate / 1000) * Math.ceil(bits / 8);

/** Bytes that a full-speed device streams a millisecond, both ways together; 0 for one that is faster or streams none. */
export function bytesPerFrame(device: BusDevice, laid: LaidPart): number {
  const { format } = device;
  if (format?.speed !== 'full') return 0;
  return (format.inputs + format.outputs) * channelBytes(format.rate, figureOf(format.bits, laid));
}
