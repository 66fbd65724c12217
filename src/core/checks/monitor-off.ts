import type { Facts } from '../engine';
import { magnitude, nodeKey } from '../engine/circuit';
import { monitoringOf } from '../engine/flow';
import { HEARD_LEVEL, type Listener } from '../engine/returns';
import { check, type Found } from './check';
import { SWITCH } from './origins';
import { deadPaths } from './stages';

/** Whether a stage's output would be heard by a listener. */
function feedsEars(facts: Facts, drive: string, { listener }: Listener): boolean {
  return (facts.laid.get(listener)?.part.ears ?? []).some(({ plus, minus }) => {
    const net = (node: string) => facts.nets.of(nodeKey(listener, node));
    const gain = facts.alternating.gain(drive, net(plus), net(minus));
    return gain !== undefined && magnitude(gain) > 0;
  });
}

/** The switch that keeps a source out of somebody's ears: of a stage, or of the app that plays back to them. */
function monitorSwitch(facts: Facts, listener: Listener, source: string) {
  for (const path of deadPaths(facts, source)) {
    const laid = facts.laid.get(path.placed);
    if (!laid || !facts.isLive(path.placed) || !feedsEars(facts, path.to, listener)) continue;
    const own = laid.part.paths?.find(
      (p) => nodeKey(path.placed, p.from) === path.from && nodeKey(path.placed, p.to) === path.to,
    );
    for (const gain of own?.gain ?? [])
      if (typeof gain === 'object' && 'setting' in gain) return { part: path.placed, setting: gain.setting };
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
  severity: ['note'],
  origin: SWITCH,
  limit: `Speech at the ears at least ${HEARD_LEVEL} dBV (our own limit).`,
  cures: ['named'],
  find: (facts) =>
    facts.listeners.flatMap((listener) =>
      facts.rig.purpose.sources.flatMap((source): Found[] => {
        if (listener.sources.some((s) => s.source === source)) return [];
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
    ),
});
