import { check } from './check';
import { PLAYBACK_FOLLOWS } from './origins';

/** Headphones in a host's own output while its playback comes out of the sound device that it took. */
export const playbackMoved = check({
  code: 'playback-moved',
  means:
    'The headphones are in the device’s own output, and its playback comes out of the sound device it took.',
  severity: ['spoils'],
  origin: PLAYBACK_FOLLOWS,
  limit: 'Playback follows the sound device (common practice).',
  aspect: 'returns',
  cures: ['replug'],
  find: (facts) =>
    facts.listeners.flatMap(({ listener, hears, moved }) =>
      moved
        .filter(({ device }) => !hears.some((h) => h.device === device))
        .map(({ device, to }) => ({ where: { part: listener }, recorder: device, other: to, values: [] })),
    ),
});
