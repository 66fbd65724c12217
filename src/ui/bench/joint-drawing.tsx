'use client';
import type { Finding } from '../../core/checks';
import type { JointView } from '../../core/views';
import { isPhoneConnector } from '../../core/plugs';
import { noun, sayBracket } from '../../core/words';
import type { Rig } from '../../core/rig';
import type { JointPicture } from './joint-picture';
import { PhoneJoint } from './phone-joint';
import { PinJoint } from './pin-joint';

interface JointDrawingProps {
  readonly rig: Rig;
  readonly joint: JointView;
  readonly finding: Finding | undefined;
  readonly brings: 'plug' | 'jack';
}

/** Both connectors of a joint side by side, to scale, lettered by what is on each contact. */
export function JointDrawing({ rig, joint, finding, brings }: JointDrawingProps) {
  const plugName = noun(rig, joint.plug.part).replace(/^the /, '');
  const jackName = noun(rig, joint.jack.part).replace(/^the /, '');
  const bracket = finding ? sayBracket(rig, finding) : '';
  const plugBrings = brings === 'plug' || joint.plugPort.direction === 'out';
  const jackBrings = brings === 'jack' || joint.jackPort.direction === 'out';
  const picture: JointPicture = {
    joint,
    plugBrings,
    jackBrings,
    finding,
    bracket,
    plugLabel: [plugName, plugBrings ? 'brings' : 'leads to'],
    jackLabel: [jackName, jackBrings ? 'brings' : 'expects'],
    description: `${joint.plugPort.name} of ${plugName} in ${joint.jackPort.name} of ${jackName}${bracket ? `: ${bracket}` : ''}`,
  };
  return isPhoneConnector(joint.plugPort.connector) ? <PhoneJoint {...picture} /> : <PinJoint {...picture} />;
}
