import type { Finding, Measured } from '../checks';
import { formatQuantity } from '../units';
import { figure } from './sentence';

/** A measured value as it stands in a sentence. */
export const show = (m: Pick<Measured, 'value' | 'unit'>) => figure(formatQuantity(m.value, m.unit));

/** "1 kΩ or more". */
export function limitFigure({ limit }: Finding) {
  return figure(
    limit ? `${formatQuantity(limit.value, limit.unit)} or ${limit.is === 'at least' ? 'more' : 'less'}` : '',
  );
}
