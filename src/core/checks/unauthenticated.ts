import { check } from './check';
import { AUTHENTICATION } from './origins';
import { refusedBy } from './refused';

/** An accessory without the chip that its port asks for. */
export const unauthenticated = check({
  code: 'accessory-unauthenticated',
  means: 'The 8-pin port asks its accessory to prove itself, and this one cannot.',
  severity: ['blocks'],
  origin: AUTHENTICATION,
  limit: 'Authentication of the port (common practice).',
  cures: ['link', 'plug'],
  find: (facts) => refusedBy(facts, 'unauthenticated'),
});
