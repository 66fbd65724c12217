import { contactsOf } from '../../core/plugs';
import type { JointPicture } from './joint-picture';
import { Letter } from './letter';
import { RowLabel } from './row-label';

const FIRST = 150;
const PITCH = 74;
const PLUG_Y = 30;
const JACK_Y = 116;

/** A connector whose contacts meet one to one, drawn by its lines: supply, ground, data, authentication. */
export function PinJoint({
  joint,
  plugLabel,
  jackLabel,
  plugBrings,
  jackBrings,
  bracket,
  description,
}: JointPicture) {
  const fits = joint.misfit === undefined;
  const row = (list: typeof joint.brings, y: number, filled: boolean) =>
    list.map(({ contact, role }, index) => (
      <Letter key={contact} role={role} x={FIRST + index * PITCH} y={y} filled={filled} />
    ));
  return (
    <svg viewBox="0 0 440 170" role="img" aria-label={description} className="h-auto w-full max-w-md">
      <RowLabel text={plugLabel} y={PLUG_Y} />
      <RowLabel text={jackLabel} y={JACK_Y} />
      <rect x={128} y={PLUG_Y + 24} width={266} height={14} rx={4} fill="var(--moulding)" />
      <rect
        x={120}
        y={JACK_Y - 38}
        width={282}
        height={14}
        rx={4}
        fill="none"
        stroke="var(--metal-edge)"
        strokeWidth={2}
      />
      {fits &&
        contactsOf(joint.jackPort.connector).map((contact, index) => (
          <path
            key={contact}
            d={`M${FIRST + index * PITCH} ${PLUG_Y + 14}V${JACK_Y - 14}`}
            stroke="var(--metal-edge)"
            strokeWidth={3}
          />
        ))}
      {row(joint.brings, PLUG_Y, plugBrings)}
      {row(joint.expects, JACK_Y, jackBrings)}
      {bracket && (
        <text x={261} y={158} textAnchor="middle" fontSize={17} fontWeight={700} fill="var(--vermilion)">
          {bracket}
        </text>
      )}
    </svg>
  );
}
