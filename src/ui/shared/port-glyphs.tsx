import { connectorName } from '../../core/plugs';
import type { Part, PartPort } from '../../core/parts';
import { PlugGlyph } from './plug-glyph';

/** A socket from the front, with what it is beside it. */
function SocketGlyph({ connector }: Pick<PartPort, 'connector'>) {
  return (
    <span className="inline-flex items-center gap-1 whitespace-nowrap">
      <svg viewBox="0 0 16 16" width={16} height={16} aria-hidden className="flex-none">
        <rect x={1} y={1} width={14} height={14} rx={3} fill="var(--moulding)" />
        <circle cx={8} cy={8} r={4} fill="var(--paper)" stroke="var(--metal)" strokeWidth={1.5} />
      </svg>
      <span className="text-xs">{connectorName(connector)}</span>
    </span>
  );
}

/** More ends than these are told by their number. */
const MOST_DRAWN = 4;

/** The plugs and sockets of a part, drawn; of several alike one. */
export function PortGlyphs({ part }: { part: Part }) {
  const kinds = [...new Map(part.ports.map((p) => [`${p.gender} ${p.connector}`, p])).values()];
  const drawn = kinds.slice(0, MOST_DRAWN);
  return (
    <span className="text-soft flex flex-wrap items-center gap-x-3 gap-y-1">
      {drawn.map((port) =>
        port.gender === 'plug' ? (
          <PlugGlyph key={`${port.gender} ${port.connector}`} connector={port.connector} />
        ) : (
          <SocketGlyph key={`${port.gender} ${port.connector}`} connector={port.connector} />
        ),
      )}
      {kinds.length > MOST_DRAWN && <span className="text-xs">and {kinds.length - MOST_DRAWN} more</span>}
    </span>
  );
}
