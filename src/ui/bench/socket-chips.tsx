import { freeSocketsFor, portOf, type Rig } from '../../core/rig';

/** While a plug is in the hand: the free sockets of a part that take it, to drop it on. */
export function SocketChips({ rig, placed, carried }: { rig: Rig; placed: string; carried: string }) {
  const sockets = freeSocketsFor(rig, carried).filter((ref) => ref.part === placed);
  if (sockets.length === 0) return null;
  return (
    <div className="bg-card/95 absolute inset-0 z-10 flex flex-wrap content-center gap-2 overflow-hidden rounded-xl border-2 border-dashed border-[var(--sea)] p-2">
      {sockets.map((ref) => (
        <span
          key={ref.port}
          data-socket-part={ref.part}
          data-socket-port={ref.port}
          className="bg-paper grid min-h-11 place-items-center rounded-lg border-2 border-[var(--sea)] px-3 font-semibold hover:bg-[var(--sea)] hover:text-[var(--on-sea)]"
        >
          {portOf(rig, ref)?.name}
        </span>
      ))}
    </div>
  );
}
