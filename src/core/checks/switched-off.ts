import type { Quantity } from '../parts';
import { settle } from '../engine/circuit';
import type { Facts } from '../engine/facts';
import type { LaidPart } from '../rig';
import { failing } from './failing';
import type { Finding } from './finding';
import { SWITCH } from './origins';
import { deadPaths, leadsToRecorder } from './stages';

/** The switch that makes a figure minus infinity. */
function offBy(quantity: Quantity, laid: LaidPart): string | undefined {
  return typeof quantity === 'object' && 'setting' in quantity && settle(quantity, laid) === -Infinity
    ? quantity.setting
    : undefined;
}

interface Off {
  readonly part: string;
  readonly setting: string;
}

/** A mute switch of the source itself. */
function atSource(facts: Facts, source: string): Off[] {
  const laid = facts.laid.get(source);
  if (!laid || !facts.isLive(source)) return [];
  return laid.part.circuit.flatMap((element) => {
    const setting =
      element.kind === 'signal' && element.hears !== 'playback'
        ? offBy(element.sensitivity, laid)
        : undefined;
    return setting === undefined ? [] : [{ part: source, setting }];
  });
}

/** A switch of a stage at which the source stands and which would let it on toward the recorder. */
function onTheWay(facts: Facts, source: string, recorder: string): Off[] {
  return deadPaths(facts, source).flatMap(({ placed, from, to }) => {
    const laid = facts.laid.get(placed);
    if (!laid || !facts.isLive(placed) || !leadsToRecorder(facts, to, recorder)) return [];
    const key = (node: string) => `${placed}/${node}`;
    const path = laid.part.paths?.find((p) => key(p.from) === from && key(p.to) === to);
    const settings = (path?.gain ?? []).flatMap((gain) => offBy(gain, laid) ?? []);
    return settings.map((setting) => ({ part: placed, setting }));
  });
}

/** An input that its host would take if it were not turned off, by a switch or by an answer to a question. */
function atInput(facts: Facts, recorder: string): Off[] {
  return facts.inputs
    .filter((input) => input.host === recorder && input.plugged && input.accepted && !input.on)
    .map((input) => ({ part: input.placed, setting: input.capture.on?.setting ?? '' }));
}

/** A source that a switch somewhere on its way keeps out: muted, a channel that is off, an input not chosen. */
export function switchedOff(facts: Facts): Finding[] {
  return failing(facts).flatMap(({ arrival: { source, recorder } }) =>
    [...atSource(facts, source), ...onTheWay(facts, source, recorder), ...atInput(facts, recorder)].map(
      ({ part, setting }): Finding => ({
        code: 'switched-off',
        severity: 'blocks',
        where: { part },
        source,
        recorder,
        other: part,
        setting,
        values: [],
        origin: SWITCH,
      }),
    ),
  );
}
