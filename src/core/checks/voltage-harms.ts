import { check, type Found } from './check';
import { harmedContacts } from './harmed';
import { MAXIMUM } from './origins';

/** Direct voltage, such as phantom power, on a contact past its absolute maximum. */
export const voltageHarms = check({
  code: 'voltage-harms',
  means:
    'Phantom power or another direct voltage reaches a contact that does not bear it. Fader down and phantom off before anything is plugged.',
  severity: ['danger'],
  origin: MAXIMUM,
  limit: 'Absolute maximum of the contact (typical); phantom power is 48 ± 4 V (IEC 61938).',
  cures: ['switch', 'plug', 'link'],
  find: (facts) =>
    harmedContacts(facts).flatMap(({ where, part, volts, maximum }): Found[] =>
      maximum.volts !== undefined && volts > maximum.volts
        ? [
            {
              where,
              other: part,
              values: [{ name: 'direct voltage', value: volts, unit: 'V' }],
              limit: { value: maximum.volts, unit: 'V', is: 'at most' },
            },
          ]
        : [],
    ),
});
