import type { Facts } from '../engine';
import { monitoringOf } from '../engine/flow';
import { HEARD_LEVEL, type Listener } from '../engine/returns';
import { check, type Found } from './check';
import { deadMonitors, offSwitch, unheard } from './monitors';
import { SWITCH } from './origins';

/** The switch that keeps a source out of somebody's ears: of a stage, or of the app that plays back to them. */
function monitorSwitch(facts: Facts, listener: Listener, source: string) {
  for (const path of deadMonitors(facts, listener, source)) {
    if (!facts.isLive(path.placed) || path.unfed !== undefined) continue;
    const setting = offSwitch(facts, path);
    if (setting !== undefined) return { part: path.placed, setting };
  }
  for (const { device } of listener.hears) {
    const monitoring = monitoringOf(facts.laid.get(device));
    if (monitoring && !monitoring.on) return { part: device, setting: monitoring.choice };
  }
  return undefined;
}

/** Headphones that would hear a source if a monitor switch were on. */
export const monitorOff = check({
  code: 'monitor-off',
  means: 'The headphones would hear the source if a monitor switch were on.',
  severity: ['note'],
  origin: SWITCH,
  limit: `Speech at the ears at least ${HEARD_LEVEL} dBV (our own limit).`,
  aspect: 'returns',
  cures: ['named'],
  find: (facts) =>
    unheard(facts).flatMap(({ listener, source }): Found[] => {
      const off = monitorSwitch(facts, listener, source);
      if (!off) return [];
      return [
        {
          where: { part: off.part },
          source,
          other: listener.listener,
          setting: off.setting,
          values: [{ name: 'speech at the ears', value: -Infinity, unit: 'dBV' }],
          limit: { value: HEARD_LEVEL, unit: 'dBV', is: 'at least' },
        },
      ];
    }),
});
