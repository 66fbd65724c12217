import type { Finding, Measured } from '../checks';
import { formatQuantity } from '../units';
import { figure } from './sentence';

/** A measured value as it stands in a sentence. */
export const show = (m: Pick<Measured, 'value' | 'unit'>) => figure(formatQuantity(m.value, m.unit));

/** "1 kΩ or more"; a limit of one kind of thing is bare: "5". */
export function limitFigure({ limit }: Finding) {
  return figure(
    limit ? `${formatQuantity(limit.value, limit.unit)} or ${limit.is === 'at least' ? 'more' : 'less'}` : '',
  );
}

/** "100 mA to 200 mA": a typical limit with its spread. */
export const rangeFigure = ({ limit }: Finding) =>
  figure(
    limit
      ? `${formatQuantity(limit.value, limit.unit)} to ${formatQuantity(limit.to ?? limit.value, limit.unit)}`
      : '',
  );
