import { isPassiveLink, type Part } from '../../parts';
import { partIn, partOf, type Rig, type RigEdit } from '../../rig';
import { copperOf, nodesOfPort } from '../ends';

/** Contacts by which sound comes back: sleeve or second ring, pin 1, ground of a digital plug. */
const RETURNS: readonly string[] = ['S', 'R2', '1', 'G'];

/** What copper joins from every port of a part to every other, each with the contacts that it has there. */
function throughAll(part: Part): string[][] {
  const root = copperOf(part);
  const byPort = part.ports.map((port) => {
    const contacts = new Map<number, string[]>();
    for (const [contact, node] of nodesOfPort(port, part))
      contacts.set(root(node), [...(contacts.get(root(node)) ?? []), contact]);
    return contacts;
  });
  const [first = new Map<number, string[]>()] = byPort;
  return [...first.keys()]
    .filter((node) => byPort.every((contacts) => contacts.has(node)))
    .map((node) => byPort.flatMap((contacts) => contacts.get(node) ?? []));
}

const isReturn = (contacts: readonly string[]): boolean => contacts.every((one) => RETURNS.includes(one));

/** Copper or a pad that joins the grounds of what is plugged into it. */
const joinsGrounds = (part: Part): boolean => isPassiveLink(part) && throughAll(part).some(isReturn);

const legs = (part: Part): number => throughAll(part).filter((contacts) => !isReturn(contacts)).length;

/**
 * Whether grounds that meet twice meet as before: a passive part that joins them was put in between, or in the place of another that
 * carries as many legs. One with a leg more may make a way balanced.
 */
export function leavesGrounds(rig: Rig, edit: RigEdit): boolean {
  if (edit.kind === 'insert') {
    const part = partIn(rig, edit.part);
    return part !== undefined && joinsGrounds(part);
  }
  if (edit.kind !== 'swap') return false;
  const [before, after] = [partOf(rig, edit.part), partIn(rig, edit.to)];
  return (
    before !== undefined &&
    after !== undefined &&
    isPassiveLink(before) &&
    joinsGrounds(after) &&
    legs(after) <= legs(before)
  );
}
