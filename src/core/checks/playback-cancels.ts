import { check } from './check';
import { FLOATING_EARS } from './origins';

/** Headphones in which what both sides have in common is gone: their ground hangs open, and the sides play against one another. */
export const playbackCancels = check({
  code: 'playback-cancels',
  means:
    'The common return of both earpieces touches nothing, so each side plays against the other: what both have in common, such as a voice in the middle, is gone.',
  severity: ['spoils'],
  origin: FLOATING_EARS,
  limit: 'Computed from the circuit: what both sides have in common stays within 10 dB (our own limit).',
  cures: ['plug', 'link', 'replug'],
  find: (facts) =>
    facts.listeners.flatMap(({ listener, hears }) =>
      hears
        .filter(({ common }) => common < -10)
        .map(({ device, common }) => ({
          where: { part: listener },
          recorder: device,
          other: listener,
          values: [{ name: 'what both sides have in common', value: common, unit: 'dB' as const }],
          limit: { value: -10, unit: 'dB' as const, is: 'at least' as const },
        })),
    ),
});
