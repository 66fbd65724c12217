import { check, type Found } from './check';
import { deadMonitors, unheard } from './monitors';
import { OWN_POWER } from './origins';

/** Headphones on an amplifier that lives by a socket which nothing feeds: of a USB microphone on its XLR output alone, say. */
export const monitorUnpowered = check({
  code: 'monitor-unpowered',
  means: 'The microphone works without it; its own headphone socket does not.',
  severity: ['note'],
  origin: OWN_POWER,
  limit: 'Computed: the socket that the headphone amplifier lives by is fed, or is not.',
  cures: ['feed', 'supply'],
  find: (facts) =>
    unheard(facts).flatMap(({ listener, source }): Found[] => {
      const path = deadMonitors(facts, listener, source).find(({ unfed }) => unfed !== undefined);
      if (path?.unfed === undefined) return [];
      return [
        {
          where: { part: path.placed, port: path.unfed },
          source,
          other: listener.listener,
          values: [],
        },
      ];
    }),
});
