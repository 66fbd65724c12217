import { isWiring, type Part, type PartPort } from '../../parts';
import { contactsOf } from '../../plugs';
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

/** How far a chain has bridged with a part more. */
export type Bridging = (part: Part, before: Bridged) => Bridged;
