import type { Connector, Contact, Gender } from '../plugs';
import type { CircuitElement, NodeName, PartPort } from './types';

/**
 * Resistance of one lead conductor per metre: 28 AWG copper, 0.213 Ω/m at 20 °C (ASTM B258 wire table; from memory).
 */
export const CONDUCTOR_OHMS_PER_METRE = 0.213;
/** Capacitance between signal conductor and return, per metre. Typical. */
export const LEAD_FARADS_PER_METRE = 100e-12;

/** A lead's conductor between a contact of end a and a contact of end b. */
export const strand = (a: NodeName, b: NodeName): CircuitElement => ({
  kind: 'conductor',
  a,
  b,
  ohms: { perMetre: CONDUCTOR_OHMS_PER_METRE },
});

/** Capacitance between two conductors of a lead. */
export const leadCapacitance = (a: NodeName, b: NodeName): CircuitElement => ({
  kind: 'capacitor',
  a,
  b,
  farads: { perMetre: LEAD_FARADS_PER_METRE },
});

/** A port whose contacts bring whatever the far end of the lead or adapter has. */
export const through = (id: string, name: string, connector: Connector, gender: Gender): PartPort => ({
  id,
  name,
  connector,
  gender,
  direction: 'through',
});

/** Solder joints between equally named contacts of two ports. */
export const wired = (
  a: string,
  b: string,
  pairs: readonly (readonly [Contact, Contact])[],
): CircuitElement[] => pairs.map(([from, to]) => ({ kind: 'wire', a: `${a}.${from}`, b: `${b}.${to}` }));
