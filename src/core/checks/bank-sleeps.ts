import { figureOf, spreadOf } from '../engine/circuit';
import { supplyGraph } from '../engine/power';
import { check, type Found } from './check';
import { BANK_SLEEPS } from './origins';

/** A power bank from which so little is drawn that it may take it for nothing and turn off. */
export const bankSleeps = check({
  code: 'bank-sleeps',
  means: 'So little is drawn that the power bank may take it for nothing and turn itself off.',
  severity: ['note'],
  origin: BANK_SLEEPS,
  limit: 'What keeps such a bank awake, 50 to 100 mA (common practice).',
  aspect: 'power',
  asks: 'last',
  cures: ['feeder'],
  find: (facts) => {
    const { feeds } = supplyGraph(facts);
    return [...facts.laid.values()].flatMap((laid): Found[] => {
      const keeps = laid.part.outlets?.find(({ sleepsUnder }) => sleepsUnder !== undefined)?.sleepsUnder;
      const own = feeds.filter(({ from }) => from.part === laid.placed.id && from.port !== '');
      if (keeps === undefined || own.length === 0) return [];
      const drawn = own.reduce((sum, { takes }) => sum + takes, 0);
      const { least, most } = spreadOf(keeps, laid);
      if (drawn >= figureOf(keeps, laid)) return [];
      return [
        {
          where: { part: laid.placed.id },
          values: [{ name: 'drawn from it', value: drawn, unit: 'mA' }],
          limit: { value: least, to: most, unit: 'mA', is: 'at least' },
        },
      ];
    });
  },
});
