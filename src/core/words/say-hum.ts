import { formatDb } from '../units';
import type { HumView } from '../views';

/** Under this no converter of the trade resolves anything, dBFS. */
export const INAUDIBLE = -110;

/** Hum or whine, whichever is louder, in short. */
export const sayHum = ({ hum, whine }: Pick<HumView, 'hum' | 'whine'>): string => {
  const whines = whine.typical > hum.typical;
  const level = (whines ? whine : hum).typical;
  return level < INAUDIBLE ? 'no hum to speak of' : `${whines ? 'whine' : 'hum'} ${formatDb(level, 'dBFS')}`;
};
