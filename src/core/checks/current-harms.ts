import { check, type Found } from './check';
import { harmedContacts } from './harmed';
import { MAXIMUM } from './origins';

/** Direct current that flows for good into a contact past its absolute maximum: phantom into an output, behind a few ohms. */
export const currentHarms = check({
  code: 'current-harms',
  means:
    'Phantom power flows for good into an output, a ribbon or a coil: little voltage stands there, and yet 7 mA a leg flow. A transformer or a blocking capacitor keeps it away; phantom off does too.',
  severity: ['danger'],
  origin: MAXIMUM,
  limit:
    'Absolute maximum of the contact (typical); phantom gives 7.05 mA a leg into a short (IEC 61938: 48 V, 6.81 kΩ).',
  cures: ['switch', 'plug', 'link'],
  find: (facts) =>
    harmedContacts(facts).flatMap(({ where, part, volts, milliamps, maximum }): Found[] =>
      maximum.milliamps !== undefined &&
      milliamps > maximum.milliamps &&
      !(maximum.volts !== undefined && volts > maximum.volts)
        ? [
            {
              where,
              other: part,
              values: [{ name: 'direct current', value: milliamps, unit: 'mA' }],
              limit: { value: maximum.milliamps, unit: 'mA', is: 'at most' },
            },
          ]
        : [],
    ),
});
