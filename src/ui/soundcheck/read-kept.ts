import type { Measures } from '../../core/signal/measure';
import { readTake, withoutTaps, type AskedStretch, type TakeFinding } from '../../core/signal/reading';
import type { TakeRecord } from '../../store/records';

/** What was asked for in a take. Takes of before have no kinds: nothing but their levels is read. */
export const askedIn = ({ stretches = [] }: TakeRecord): AskedStretch[] =>
  stretches.map(({ is = 'usual', part, from, to }) => ({
    is,
    from,
    to,
    ...(part !== undefined && { part }),
  }));

/** What a kept take shows; what was asked for in it is no fault. */
export const findingsOf = (take: TakeRecord & { readonly measures: Measures }): TakeFinding[] =>
  readTake(withoutTaps(take.measures, askedIn(take)));
