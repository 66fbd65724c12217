import { describe, expect, it } from 'vitest';
import { CATALOGUE } from '../parts';
import {
  JACK_SPRINGS,
  PHONE_CONNECTORS,
  PLUG_BANDS,
  PLUG_LENGTH,
  contactsOf,
  diameterOf,
  isPhoneConnector,
  mate,
  type Connector,
} from '.';

const touches = (plug: Connector, jack: Connector): string => {
  const mating = mate({ connector: plug, gender: 'plug' }, { connector: jack, gender: 'jack' });
  if (!mating.fits) return mating.misfit;
  return mating.touches.map((t) => `${t.jack}:${t.plug.join('/') || '-'}`).join(' ');
};

/**
 * What each jack spring meets. A plug with fewer contacts has a longer sleeve, which also lies under the springs that
 * the missing rings would meet; a TRRS plug in a TRS jack depends on where the jack's sleeve spring sits (common
 * practice; plug dimensions after IEC 60603-11 and JEITA RC-5325A, from memory).
 */
const EXPECTED: readonly (readonly [Connector, Connector, string])[] = [
  ['ts-3.5', 'ts-3.5', 'T:T S:S'],
  ['ts-3.5', 'trs-3.5', 'T:T R:S S:S'],
  ['ts-3.5', 'trrs-3.5', 'T:T R1:S R2:S S:S'],
  ['trs-3.5', 'ts-3.5', 'T:T S:S'],
  ['trs-3.5', 'trs-3.5', 'T:T R:R S:S'],
  ['trs-3.5', 'trrs-3.5', 'T:T R1:R R2:S S:S'],
  ['trrs-3.5', 'ts-3.5', 'T:T S:S/R2'],
  ['trrs-3.5', 'trs-3.5', 'T:T R:R1 S:S/R2'],
  ['trrs-3.5', 'trrs-3.5', 'T:T R1:R1 R2:R2 S:S'],
  ['ts-6.35', 'ts-6.35', 'T:T S:S'],
  ['ts-6.35', 'trs-6.35', 'T:T R:S S:S'],
  ['ts-6.35', 'trrs-6.35', 'T:T R1:S R2:S S:S'],
  ['trs-6.35', 'ts-6.35', 'T:T S:S'],
  ['trs-6.35', 'trs-6.35', 'T:T R:R S:S'],
  ['trs-6.35', 'trrs-6.35', 'T:T R1:R R2:S S:S'],
  ['trrs-6.35', 'ts-6.35', 'T:T S:S'],
  ['trrs-6.35', 'trs-6.35', 'T:T R:R1 S:S'],
  ['trrs-6.35', 'trrs-6.35', 'T:T R1:R1 R2:R2 S:S'],
  ['8-pin', '8-pin', 'V:V G:G D:D A:A'],
  ['usb-a', 'usb-a', 'V:V G:G D:D'],
  ['usb-c', 'usb-c', 'V:V G:G D:D'],
  ['xlr-3', 'xlr-3', '1:1 2:2 3:3'],
  ['rca', 'rca', 'T:T S:S'],
];

/** Keyed connectors meet contact by contact. */
const oneToOne = (connector: Connector): string =>
  contactsOf(connector)
    .map((contact) => `${contact}:${contact}`)
    .join(' ');

describe('mating', () => {
  it.each(EXPECTED)('%s plug in %s jack: %s', (plug, jack, expected) => {
    expect(touches(plug, jack)).toBe(expected);
  });

  it('covers every pair of one diameter', () => {
    const pairs = PHONE_CONNECTORS.flatMap((plug) =>
      PHONE_CONNECTORS.filter((jack) => diameterOf(plug) === diameterOf(jack)).map(
        (jack) => `${plug} ${jack}`,
      ),
    );
    const tested = EXPECTED.map(([plug, jack]) => `${plug} ${jack}`);
    expect(pairs.filter((pair) => !tested.includes(pair))).toEqual([]);
  });

  it('knows the outcome of every plug and jack in the catalogue', () => {
    const ports = CATALOGUE.flatMap((part) => part.ports);
    const plugs = new Set(ports.filter((p) => p.gender === 'plug').map((p) => p.connector));
    const jacks = new Set(ports.filter((p) => p.gender === 'jack').map((p) => p.connector));
    for (const plug of plugs) {
      for (const jack of jacks) {
        const expected = EXPECTED.find(([p, j]) => p === plug && j === jack)?.[2];
        const phones = isPhoneConnector(plug) && isPhoneConnector(jack);
        expect(touches(plug, jack), `${plug} in ${jack}`).toBe(
          expected ?? (plug === jack ? oneToOne(jack) : phones ? 'size' : 'family'),
        );
      }
    }
  });

  it('refuses other sizes, other families and equal genders, naming why', () => {
    expect(touches('trs-3.5', 'trs-6.35')).toBe('size');
    expect(touches('8-pin', 'trrs-3.5')).toBe('family');
    const plug = { connector: 'trs-3.5', gender: 'plug' } as const;
    const jack = { connector: 'trs-3.5', gender: 'jack' } as const;
    expect(mate(plug, plug)).toEqual({ fits: false, misfit: 'two-plugs' });
    expect(mate(jack, jack)).toEqual({ fits: false, misfit: 'two-jacks' });
  });

  it('gives the same answer whichever end is named first', () => {
    const plug = { connector: 'trs-3.5', gender: 'plug' } as const;
    const jack = { connector: 'trrs-3.5', gender: 'jack' } as const;
    expect(mate(jack, plug)).toEqual(mate(plug, jack));
  });
});

describe('geometry', () => {
  it.each(PHONE_CONNECTORS)(
    '%s: bands run from tip to shoulder without overlap, insulated from one another',
    (id) => {
      const bands = PLUG_BANDS[id];
      expect(bands.map((b) => b.contact)).toEqual(contactsOf(id));
      expect(bands[0]?.from).toBe(0);
      expect(bands.at(-1)?.to).toBe(PLUG_LENGTH[diameterOf(id)]);
      for (const [index, band] of bands.entries()) {
        expect(band.to).toBeGreaterThan(band.from);
        const next = bands[index + 1];
        if (next) expect(next.from).toBeGreaterThan(band.to);
      }
    },
  );
  it.each(PHONE_CONNECTORS)(
    '%s: springs lie at their nominal depth within their range, on the plug',
    (id) => {
      for (const spring of JACK_SPRINGS[id]) {
        expect(spring.at).toBeGreaterThanOrEqual(spring.deepest);
        expect(spring.at).toBeLessThanOrEqual(spring.nearest);
        expect(spring.nearest).toBeLessThan(PLUG_LENGTH[diameterOf(id)]);
      }
    },
  );
});
