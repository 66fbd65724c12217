/** A typical price, without cents: it is an estimate. */
export const money = (amount: number, currency: string): string =>
  new Intl.NumberFormat('en', { style: 'currency', currency, maximumFractionDigits: 0 }).format(amount);
