'use client';
import { useLiveQuery } from 'dexie-react-hooks';
import { keepValue, keptValue } from '../../store/kept';

const KEY = 'currency';
export const CURRENCIES = [
  'EUR',
  'USD',
  'GBP',
  'CHF',
  'SEK',
  'NOK',
  'DKK',
  'PLN',
  'JPY',
  'INR',
  'AUD',
  'CAD',
] as const;
export const DEFAULT_CURRENCY = 'EUR';

const isCurrency = (value: unknown): value is string =>
  typeof value === 'string' && (CURRENCIES as readonly string[]).includes(value);

/** The user's currency. Prices are typical in any currency near parity: changing it changes the sign, not the number. */
export function useCurrency(): string {
  const kept = useLiveQuery(() => keptValue(KEY));
  return isCurrency(kept) ? kept : DEFAULT_CURRENCY;
}

export const keepCurrency = (currency: string): Promise<void> => keepValue(KEY, currency);
