import type * as Sonner from 'sonner';

type Shown = Parameters<(typeof Sonner)['toast']['error']>[1];

/** A message at the foot of the page; what shows it is fetched with the first one. */
const show = (how: (sonner: typeof Sonner) => void): void => void import('sonner').then(how);

export const toast = {
  say: (message: string, options?: Shown) => show((s) => s.toast(message, options)),
  success: (message: string, options?: Shown) => show((s) => s.toast.success(message, options)),
  error: (message: string, options?: Shown) => show((s) => s.toast.error(message, options)),
};
