import { channelsOf } from '../ends';
import type { PartPort } from '../../parts';
import { appAt } from './grades';
import { pieceOf, type Layout, type Piece } from './layout';
import type { Wishes } from './request';

/** Sockets of a piece by which sound comes to it that something is in. */
const socketsIn = (layout: Layout, { id, part }: Piece): readonly PartPort[] =>
  part.ports.filter(
    (port) =>
      port.direction !== 'out' &&
      layout.joints.some(({ plug, jack }) =>
        [plug, jack].some((end) => end.part === id && end.port === port.id),
      ),
  );

/**
 * Whether what is in the sockets of a recorder reaches two channels of a converter, where both sides are asked for: by one line socket of two
 * nothing comes to the other side, whatever is set. What sums to one channel has no other.
 */
function reachesSides(layout: Layout, recorder: Piece): boolean {
  const sockets = socketsIn(layout, recorder);
  const reached = new Set(sockets.flatMap((port) => channelsOf(recorder.part, port)));
  // Numbers come by a device, which has channels of its own.
  if (reached.size === 0 || appAt(recorder)?.channels === 'mono') return true;
  return (recorder.part.captures ?? []).some(({ id, channels }) => {
    const count = channels.filter((_, n) => reached.has(`${id} ${n}`)).length;
    return count > 1 || (count === 1 && channels.length === 1);
  });
}

/** The same of every recorder of a layout, where a wish asks for both sides. */
export const couldReachSides = (layout: Layout, { channels }: Wishes): boolean =>
  (channels !== 'stereo' && channels !== 'mixed') ||
  layout.recorders.every((id) => {
    const recorder = pieceOf(layout, id);
    return !recorder || reachesSides(layout, recorder);
  });
