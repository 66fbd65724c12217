import type { JointView } from '../views';
import { connectorName, contactsOf, isPhoneConnector } from '../plugs';
import { ROLE, capital, list, numberWord } from './words';

/** A joint in one quiet line: "Three contacts into three: left, right and ground". */
export function sayJoint(joint: JointView): string {
  const { plugPort, jackPort } = joint;
  if (!isPhoneConnector(plugPort.connector) || !isPhoneConnector(jackPort.connector)) {
    return `${connectorName(plugPort.connector)} into ${connectorName(jackPort.connector)}`;
  }
  const [plug, jack] = [contactsOf(plugPort.connector).length, contactsOf(jackPort.connector).length];
  const roles = joint.brings.flatMap(({ role }) => (role ? [ROLE[role].word] : []));
  const carried = roles.length > 0 ? `: ${list(roles)}` : '';
  return `${capital(numberWord(plug))} contacts into ${numberWord(jack)}${carried}`;
}
