import type { Contact } from '../../plugs';
import { ABSOLUTE_MAXIMA, type Maximum } from './absolute-maxima';
import type { MaximumKind } from './types.generated';
import type { Part, PartPort } from './types.generated';

const DIGITAL: readonly PartPort['connector'][] = [
  '8-pin',
  'usb-a',
  'usb-b',
  'usb-c',
  'usb-micro',
  'firewire',
  'radio',
];

/** What a port of no stated kind bears, by its connector and direction. */
export function usualMaximum({ connector, direction }: Omit<PartPort, 'bears'>): MaximumKind {
  if (direction === 'through') return 'passes';
  if (DIGITAL.includes(connector)) return 'digital';
  if (direction === 'in') return connector === 'xlr-3' ? 'phantom-input' : 'line-input';
  return direction === 'both' && connector.startsWith('trrs') ? 'headset' : 'output';
}

export const maximumOf = (port: PartPort): Maximum => ABSOLUTE_MAXIMA[port.bears ?? usualMaximum(port)];

/** An absolute maximum between two nodes of a part, and the port whose plug brings what stands there. */
export interface ContactMaximum extends Maximum {
  readonly port: string;
  readonly plus: string;
  readonly minus: string;
}

const known = new WeakMap<Part, readonly ContactMaximum[]>();

/** Every absolute maximum of a part: of each contact of its ports against that port's ground, and those of its own. */
export function maximumsOf(part: Part): readonly ContactMaximum[] {
  const found = known.get(part) ?? listed(part);
  known.set(part, found);
  return found;
}

function listed(part: Part): ContactMaximum[] {
  const byPort = part.ports.flatMap((port) => {
    const maximum = maximumOf(port);
    const roles = Object.entries(port.roles ?? {}) as [Contact, string][];
    const ground = roles.find(([, role]) => role === 'ground')?.[0];
    if (ground === undefined || (maximum.volts === undefined && maximum.milliamps === undefined)) return [];
    return roles
      .filter(([contact]) => contact !== ground)
      .map(([contact]) => ({
        port: port.id,
        plus: `${port.id}.${contact}`,
        minus: `${port.id}.${ground}`,
        ...maximum,
      }));
  });
  const own = (part.bears ?? []).map(({ plus, minus, volts }) => ({
    port: plus.slice(0, Math.max(0, plus.lastIndexOf('.'))),
    plus,
    minus,
    volts,
  }));
  return [...byPort, ...own];
}
