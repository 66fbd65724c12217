import type { ContactRole } from '../../core/parts';
import { ROLE } from '../../core/words';

const COLOUR: Record<ContactRole, string> = {
  left: 'var(--brass)',
  right: 'var(--plum)',
  microphone: 'var(--sea)',
  ground: 'var(--slate)',
  hot: 'var(--sea)',
  cold: 'var(--plum)',
  bias: 'var(--brass)',
  data: 'var(--sea)',
  supply: 'var(--brass)',
  authentication: 'var(--plum)',
};

const SIZE = 26;

/** The letter of a contact in a drawing: filled where it brings, outlined where it expects, dashed for nothing. */
export function Letter({
  role,
  x,
  y,
  filled,
}: {
  role: ContactRole | null;
  x: number;
  y: number;
  filled: boolean;
}) {
  const colour = role ? COLOUR[role] : 'var(--ink-soft)';
  return (
    <g transform={`translate(${x - SIZE / 2} ${y - SIZE / 2})`}>
      <rect
        width={SIZE}
        height={SIZE}
        rx={5}
        fill={filled && role ? colour : 'var(--card)'}
        stroke={colour}
        strokeWidth={2}
        strokeDasharray={role ? undefined : '3 3'}
      />
      <text
        x={SIZE / 2}
        y={SIZE / 2 + 5}
        textAnchor="middle"
        fontSize={15}
        fontWeight={700}
        fill={filled && role ? 'var(--card)' : colour}
      >
        {role ? ROLE[role].letter : '·'}
      </text>
    </g>
  );
}

export const roleColour = (role: ContactRole | null): string => (role ? COLOUR[role] : 'var(--ink-soft)');
