import { unnoticedAt } from '../../engine/flow';
import { withHeadphones, type Stock } from './attach';
import type { Layout } from './layout';

/** Whether a jack that looks for a microphone takes no notice of what is on the way to it, as nothing sits in its headphone socket. */
function isUnnoticed(layout: Layout): boolean {
  const { pieces } = layout;
  if (!pieces.some(({ part }) => part.noticedWith)) return false;
  const laid = new Map(pieces.map((piece) => [piece.id, piece]));
  return pieces.some(({ id, part }) =>
    (part.captures ?? []).some(
      ({ detection, port }) => detection && unnoticedAt(layout, laid, id, port) !== undefined,
    ),
  );
}

/** What is taken notice of with headphones alone has them. */
export const noticed = (layout: Layout, stock: Stock): Layout[] =>
  isUnnoticed(layout) ? withHeadphones(layout, stock).filter((heard) => !isUnnoticed(heard)) : [layout];
