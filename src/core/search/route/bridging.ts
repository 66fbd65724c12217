import { isWiring, type Part, type PartPort } from '../../parts';
import { contactsOf } from '../../plugs';
import type { Course } from './course';
import { isDigital } from '../ends';
import { growsLong } from './lengths';

export const isBalanced = ({ roles = {} }: PartPort): boolean =>
  ['hot', 'cold'].every((role) => Object.values(roles).some((one) => one === role));

/** A run from a balanced output is balanced as far as to what takes both its legs: a balanced input, a winding. */
export const endsBalanced = (part: Part): boolean =>
  part.ports.some((port) => port.direction !== 'out' && isBalanced(port)) ||
  part.circuit.some(({ kind }) => kind === 'transformer');

export const takesBalanced = (part: Part): boolean => !isWiring(part) && endsBalanced(part);

/** A lead that is sold long and can be balanced, or carries numbers. */
export const canBeLong = (part: Part): boolean =>
  growsLong(part) && part.ports.every((port) => isDigital(port) || contactsOf(port.connector).length === 3);

const byRadio = ({ ports }: Part): boolean => ports.some(({ connector }) => connector === 'radio');

/** How far a chain has bridged a distance: not yet, by a balanced run that has to end well, or as it should. */
export type Bridged = 'not' | 'open' | 'well';

/** A balanced run has to end in what takes both its legs; numbers and radio need nothing more. `byNumbers`: a lead for them may reach so far. */
export const bridging =
  (endsAtGoal: boolean, byNumbers: boolean) =>
  (part: Part, before: Bridged): Bridged => {
    if (before === 'well' || byRadio(part)) return 'well';
    if (canBeLong(part) && part.ports.some(isDigital)) return byNumbers ? 'well' : before;
    if (canBeLong(part)) return endsAtGoal ? 'well' : 'open';
    return before === 'open' && takesBalanced(part) ? 'well' : before;
  };

/** What makes a long run sound: an output that is balanced, radio, numbers where they reach so far. */
const endsUnbalance = (part: Part, byNumbers: boolean): boolean =>
  (byNumbers && part.bus !== undefined) ||
  byRadio(part) ||
  part.ports.some((port) => port.direction === 'out' && isBalanced(port));

const STEPS: readonly Bridged[] = ['not', 'open', 'well'];

/**
 * What a chain that reaches far has to lead through: what ends the unbalance, where it does not begin balanced or in numbers, then what
 * bridges, and what takes both legs at its end. `byNumbers`: a lead for numbers may reach so far.
 */
export function farCourse(goal: Part, byNumbers: boolean): Course {
  const endsAtGoal = endsBalanced(goal);
  const over = bridging(endsAtGoal, byNumbers);
  // The first step is before what ends the unbalance; of the others each is how far it has bridged.
  const onFrom = (part: Part, before: Bridged) => 1 + STEPS.indexOf(over(part, before));
  return {
    name: `far${endsAtGoal ? ' into a balanced input' : ''}${byNumbers ? ' or by numbers' : ''}`,
    steps: 1 + STEPS.length,
    begin: ({ port, digital }) => (digital !== undefined || isBalanced(port) ? 1 : 0),
    after: (part, step) => {
      if (step === 0) return endsUnbalance(part, byNumbers) ? onFrom(part, 'not') : 0;
      return onFrom(part, STEPS[step - 1] ?? 'well');
    },
  };
}
