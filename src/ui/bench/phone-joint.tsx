import {
  JACK_SPRINGS,
  PLUG_BANDS,
  PLUG_LENGTH,
  diameterOf,
  isPhoneConnector,
  type Contact,
  type PhoneConnector,
} from '../../core/plugs';
import type { JointPicture } from './joint-picture';
import { Letter, roleColour } from './letter';
import { RowLabel } from './row-label';

const SHOULDER = 100;
const TIP = 406;
const AXIS = 96;
const HALF = 15;
const BRINGS_Y = 24;
const SPRING_Y = 142;
const EXPECTS_Y = 166;
const BRACKET_Y = 190;

type Scale = (depth: number) => number;

/** Depth from the tip to the drawing's x: the shoulder at the left, the tip at the right. */
const depthScale = (connector: PhoneConnector): Scale => {
  const length = PLUG_LENGTH[diameterOf(connector)];
  return (depth) => SHOULDER + ((length - depth) / length) * (TIP - SHOULDER);
};

function tipShape(from: number, to: number): string {
  const neck = to - 26;
  return `M${from} ${AXIS - HALF}H${neck}Q${to - 4} ${AXIS - HALF + 2} ${to} ${AXIS}Q${to - 4} ${AXIS + HALF - 2} ${neck} ${AXIS + HALF}H${from}Z`;
}

function Plug({ connector, x, bad }: { connector: PhoneConnector; x: Scale; bad: readonly Contact[] }) {
  const bands = PLUG_BANDS[connector];
  return (
    <g>
      <rect x={4} y={AXIS - 26} width={SHOULDER - 18} height={52} rx={10} fill="var(--moulding)" />
      <rect x={SHOULDER - 14} y={AXIS - 19} width={14} height={38} fill="var(--metal-edge)" />
      <rect
        x={SHOULDER}
        y={AXIS - HALF}
        width={TIP - SHOULDER - 26}
        height={2 * HALF}
        fill="var(--insulator)"
      />
      {bands.map((band) => {
        const [left, right] = [x(band.to), x(band.from)];
        const edge = bad.includes(band.contact) ? 'var(--vermilion)' : 'var(--metal-edge)';
        const width = bad.includes(band.contact) ? 3 : 1.5;
        return band.contact === 'T' ? (
          <path key="T" d={tipShape(left, right)} fill="var(--metal)" stroke={edge} strokeWidth={width} />
        ) : (
          <rect
            key={band.contact}
            x={left}
            y={AXIS - HALF}
            width={right - left}
            height={2 * HALF}
            fill="var(--metal)"
            stroke={edge}
            strokeWidth={width}
          />
        );
      })}
    </g>
  );
}

/** A phone plug in a phone jack: bands true to type above, springs at their depths below. */
export function PhoneJoint({
  joint,
  plugLabel,
  jackLabel,
  plugBrings,
  jackBrings,
  finding,
  bracket,
  description,
}: JointPicture) {
  const plug = joint.plugPort.connector;
  const jack = joint.jackPort.connector;
  if (!isPhoneConnector(plug) || !isPhoneConnector(jack)) return null;
  const x = depthScale(plug);
  const springs = depthScale(jack);
  const badJack = finding?.where.jack ?? [];
  const badPlug = finding?.where.plug ?? [];
  const severe = finding?.severity === 'note' ? 'var(--brass)' : 'var(--vermilion)';
  const role = (list: typeof joint.brings, contact: Contact) =>
    list.find((entry) => entry.contact === contact)?.role ?? null;
  const badX = JACK_SPRINGS[jack].filter((s) => badJack.includes(s.contact)).map((s) => springs(s.at));
  const [low, high] = [Math.min(...badX), Math.max(...badX)];
  return (
    <svg viewBox="0 0 440 222" role="img" aria-label={description} className="h-auto w-full max-w-md">
      <RowLabel text={plugLabel} y={BRINGS_Y} />
      <RowLabel text={jackLabel} y={EXPECTS_Y} />
      <path
        d={`M${SHOULDER - 4} ${AXIS - 40}H${TIP + 28}V${AXIS + 24}`}
        fill="none"
        stroke="var(--metal-edge)"
        strokeWidth={2}
        opacity={0.6}
      />
      {PLUG_BANDS[plug].map((band) => {
        const middle =
          band.contact === 'S'
            ? Math.max(x(band.from) - 40, (x(band.from) + x(band.to)) / 2)
            : (x(band.from) + x(band.to)) / 2;
        const at = role(joint.brings, band.contact);
        return (
          <g key={band.contact}>
            <path d={`M${middle} ${BRINGS_Y + 13}V${AXIS - HALF}`} stroke={roleColour(at)} strokeWidth={2} />
            <Letter role={at} x={middle} y={BRINGS_Y} filled={plugBrings} />
          </g>
        );
      })}
      <Plug connector={plug} x={x} bad={badPlug} />
      {JACK_SPRINGS[jack].map((spring) => {
        const at = springs(spring.at);
        const colour = badJack.includes(spring.contact) ? severe : 'var(--metal-edge)';
        return (
          <g key={spring.contact}>
            <path
              d={`M${at - 14} ${SPRING_Y}L${at} ${AXIS + HALF + 2}L${at + 14} ${SPRING_Y}`}
              fill="none"
              stroke={colour}
              strokeWidth={3}
              strokeLinejoin="round"
            />
            <Letter role={role(joint.expects, spring.contact)} x={at} y={EXPECTS_Y} filled={jackBrings} />
          </g>
        );
      })}
      {badX.length > 1 && (
        <path d={`M${low} ${BRACKET_Y - 6}v8H${high}v-8`} fill="none" stroke={severe} strokeWidth={3} />
      )}
      {bracket && (
        <text
          x={badX.length > 0 ? (low + high) / 2 : (SHOULDER + TIP) / 2}
          y={BRACKET_Y + 22}
          textAnchor="middle"
          fontSize={17}
          fontWeight={700}
          fill={severe}
        >
          {bracket}
        </text>
      )}
    </svg>
  );
}
