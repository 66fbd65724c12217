import type { Contact } from '../../plugs';

/** A node of the whole rig: "placed part/port.contact" or "placed part/inner node". */
export type NodeKey = string;

export const nodeKey = (placed: string, node: string): NodeKey => `${placed}/${node}`;
export const contactKey = (placed: string, port: string, contact: string): NodeKey =>
  `${placed}/${port}.${contact}`;

/** What a node's name says: its placed part, and for a contact the port and the contact. */
export interface NodeName {
  readonly placed: string;
  readonly node: string;
  readonly port?: string;
  readonly contact?: Contact;
}

export function readNode(key: NodeKey): NodeName {
  const slash = key.indexOf('/');
  const [placed, node] = [key.slice(0, slash), key.slice(slash + 1)];
  const dot = node.lastIndexOf('.');
  return dot < 0
    ? { placed, node }
    : { placed, node, port: node.slice(0, dot), contact: node.slice(dot + 1) as Contact };
}

/** The contact of a "part/port.contact" node. */
export const contactOf = (key: NodeKey): Contact => key.slice(key.lastIndexOf('.') + 1) as Contact;
