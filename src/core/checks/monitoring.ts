import { magnitude, nodeKey } from '../engine/circuit';
import { HEARD_LEVEL, type Listener } from '../engine/returns';
import { appOf } from '../engine/flow';
import type { Facts } from '../engine/facts';
import { choiceOf } from '../rig';
import type { Finding } from './finding';
import { HEADPHONES, PLAYBACK_FOLLOWS, SWITCH } from './origins';
import { deadPaths } from './stages';

/** Headphones in a host's own output while its playback comes out of the sound device that it took. */
export function playbackMoved(facts: Facts): Finding[] {
  return facts.listeners.flatMap(({ listener, hears, moved }) =>
    moved
      .filter(({ device }) => !hears.some((h) => h.device === device))
      .map(({ device, to }): Finding => ({
        code: 'playback-moved',
        severity: 'spoils',
        where: { part: listener },
        recorder: device,
        other: to,
        values: [],
        origin: PLAYBACK_FOLLOWS,
      })),
  );
}

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
      (p) => `${path.placed}/${p.from}` === path.from && `${path.placed}/${p.to}` === path.to,
    );
    for (const gain of own?.gain ?? [])
      if (typeof gain === 'object' && 'setting' in gain) return { part: path.placed, setting: gain.setting };
  }
  const host = listener.hears.find(({ device }) => {
    const laid = facts.laid.get(device);
    return laid && appOf(laid) && choiceOf(laid.placed, 'monitor') === 'off';
  })?.device;
  return host === undefined ? undefined : { part: host, setting: 'monitor' };
}

/** Headphones that would hear a source if a monitor switch were on. */
export function monitorOff(facts: Facts): Finding[] {
  return facts.listeners.flatMap((listener) =>
    facts.rig.purpose.sources.flatMap((source): Finding[] => {
      if (listener.sources.some((s) => s.source === source)) return [];
      const off = monitorSwitch(facts, listener, source);
      if (!off) return [];
      return [
        {
          code: 'monitor-off',
          severity: 'note',
          where: { part: off.part },
          source,
          other: listener.listener,
          setting: off.setting,
          values: [{ name: 'speech at the ears', value: -Infinity, unit: 'dBV' }],
          limit: { value: HEARD_LEVEL, unit: 'dBV', is: 'at least' },
          origin: SWITCH,
        },
      ];
    }),
  );
}

/** Somebody speaks at the far end, there are headphones in the rig, and none of them hears the device that plays. */
export function guestsNotHeard(facts: Facts): Finding[] {
  if (facts.listeners.length === 0) return [];
  return facts.rig.purpose.recorders.flatMap((recorder): Finding[] => {
    const host = facts.laid.get(recorder);
    const [first] = facts.listeners;
    if (!host || !first || !appOf(host)?.farEnd) return [];
    if (facts.listeners.some((l) => l.hears.some((h) => h.device === recorder))) return [];
    if (facts.listeners.some((l) => l.moved.some((m) => m.device === recorder))) return [];
    return [
      {
        code: 'guests-not-heard',
        severity: 'spoils',
        where: { part: first.listener },
        recorder,
        other: first.listener,
        values: [],
        origin: HEADPHONES,
      },
    ];
  });
}
