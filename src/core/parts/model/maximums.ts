import type { Contact } from '../../plugs';
import type { Part, PartPort } from './types';

/** Absolute maximum of a contact: direct voltage against its port's ground, and direct current that may flow into it for good. */
export interface Maximum {
  readonly volts?: number;
  readonly milliamps?: number;
}

/**
 * Absolute maxima by what stands behind a contact. Typical, from memory of data sheets: an output stage or a capsule bears the
 * milliampere or two of plug-in power, and not the 7 mA a leg that phantom drives into it for good.
 */
const KINDS = {
  /** A lead or adapter: it bears what its far end bears. */
  passes: {},
  /** Lines of a digital port, a radio link: what stands there is what the port itself gives. */
  digital: {},
  /** A line or headphone output. */
  output: { volts: 16, milliamps: 3 },
  /** A headset jack, and what is made to be plugged into one. */
  headset: { volts: 6, milliamps: 3 },
  /** An input with plug-in power. */
  'plug-in-input': { volts: 8, milliamps: 5 },
  /** A line input behind coupling capacitors. */
  'line-input': { volts: 25, milliamps: 5 },
  /** A microphone input that gives phantom power itself. */
  'phantom-input': { volts: 52 },
  /** A microphone that runs on phantom power: P48 at its most, P12 through 680 Ω at its most (IEC 61938). */
  'phantom-microphone': { volts: 52, milliamps: 18 },
  /** A moving coil: the same voltage on both legs passes no current; between them only a little may. */
  'moving-coil': { volts: 52, milliamps: 15 },
  /** A ribbon bears no current worth the name. */
  ribbon: { volts: 52, milliamps: 1 },
  /** An electret on plug-in power. */
  electret: { volts: 12, milliamps: 3 },
  /** Earpieces: direct current warms and shifts their coils. */
  earpiece: { volts: 3, milliamps: 30 },
  /** A transformer's winding: direct current saturates it, a little does no harm. */
  winding: { volts: 60, milliamps: 10 },
  /** A pick-up's coil. */
  'pick-up': { volts: 12, milliamps: 3 },
} as const satisfies Readonly<Record<string, Maximum>>;

export type MaximumKind = keyof typeof KINDS;
export const MAXIMUM_KINDS = Object.keys(KINDS) as readonly MaximumKind[];

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

export const maximumOf = (port: PartPort): Maximum => KINDS[port.bears ?? usualMaximum(port)];

/** An absolute maximum between two nodes of a part, and the port whose plug brings what stands there. */
export interface ContactMaximum extends Maximum {
  readonly port: string;
  readonly plus: string;
  readonly minus: string;
}

/** Every absolute maximum of a part: of each contact of its ports against that port's ground, and those of its own. */
export function maximumsOf(part: Part): ContactMaximum[] {
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
