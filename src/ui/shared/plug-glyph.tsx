import {
  connectorName,
  isPhoneConnector,
  PLUG_BANDS,
  PLUG_LENGTH,
  diameterOf,
  type Connector,
} from '../../core/plugs';

/** A phone plug from the side, bands true to type; other connectors by their name. */
export function PlugGlyph({ connector }: { connector: Connector }) {
  if (!isPhoneConnector(connector)) {
    return (
      <span className="border-line rounded border px-1.5 py-0.5 text-xs whitespace-nowrap">
        {connectorName(connector)}
      </span>
    );
  }
  const length = PLUG_LENGTH[diameterOf(connector)];
  const x = (depth: number) => 12 + ((length - depth) / length) * 44;
  const tall = diameterOf(connector) === '6.35' ? 10 : 7;
  return (
    <svg
      viewBox="0 0 60 14"
      width={60}
      height={14}
      role="img"
      aria-label={connectorName(connector)}
      className="flex-none"
    >
      <rect x={0} y={1} width={12} height={12} rx={2} fill="var(--moulding)" />
      <rect x={12} y={7 - tall / 2} width={42} height={tall} fill="var(--insulator)" />
      {PLUG_BANDS[connector].map((band) => (
        <rect
          key={band.contact}
          x={x(band.to)}
          y={7 - tall / 2}
          width={x(band.from) - x(band.to)}
          height={tall}
          rx={band.contact === 'T' ? 3 : 0}
          fill="var(--metal)"
          stroke="var(--metal-edge)"
          strokeWidth={0.75}
        />
      ))}
    </svg>
  );
}
