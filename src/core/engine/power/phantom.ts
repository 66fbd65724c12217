import { readNode } from '../circuit';
import type { Facts } from '../facts';

/** A supply of direct voltage for microphones, and what it gives now. */
export interface PhantomSupply {
  readonly placed: string;
  readonly port: string;
  readonly volts: number;
  readonly milliamps: number;
  /** What that costs the part's own supply at 5 V, mA: through a converter of three quarters. Typical. */
  readonly atFiveVolts: number;
}

/** From here a supply is phantom power and no bias: P12, P24, P48 (IEC 61938). */
const LEAST_PHANTOM = 12;
const CONVERTER = 0.75;

/** Phantom supplies that are on, with the current through their resistors. */
export const phantomSupplies = (facts: Facts): PhantomSupply[] =>
  facts.elements.flatMap((supply): PhantomSupply[] => {
    if (supply.kind !== 'supply' || supply.volts < LEAST_PHANTOM) return [];
    const net = facts.nets.of(supply.a);
    const amperes = facts.elements.reduce((sum, e) => {
      if (e.kind !== 'resistor' || e.placed !== supply.placed) return sum;
      const far = e.a === supply.a ? e.b : e.b === supply.a ? e.a : undefined;
      const volts = far === undefined ? 0 : (facts.direct.between(net, facts.nets.of(far)) ?? 0);
      return sum + volts / e.ohms;
    }, 0);
    const milliamps = amperes * 1000;
    const { port = '' } = readNode(supply.b);
    const atFiveVolts = (milliamps * supply.volts) / 5 / CONVERTER;
    return [{ placed: supply.placed, port, volts: supply.volts, milliamps, atFiveVolts }];
  });
