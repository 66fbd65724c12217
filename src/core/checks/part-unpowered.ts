import type { Facts } from '../engine';
import { endsOf, jointsOf } from '../rig';
import { nodeKey } from '../engine/circuit';
import { failing } from './failing';
import { underfed } from './feeds-of';
import { check, type Found } from './check';
import { OWN_POWER, PHANTOM } from './origins';
import { deadPaths } from './stages';

/** The switch that would power a part, if it is by a switch. */
function switchOf(facts: Facts, placed: string): string | undefined {
  const source = facts.laid.get(placed)?.part.power?.find((p) => 'setting' in p);
  return source && 'setting' in source ? source.setting : undefined;
}

/** Direct voltage that a part's stages want, measured; undefined for one that wants none. */
function wanted(facts: Facts, placed: string) {
  const needs = facts.laid.get(placed)?.part.stagesNeed;
  if (!needs) return undefined;
  const net = (node: string) => facts.nets.of(nodeKey(placed, node));
  return { volts: facts.direct.between(net(needs.plus), net(needs.minus)) ?? 0, least: needs.volts };
}

/** Whether the stages of a part get less than they want. */
function isStarving(facts: Facts, placed: string): boolean {
  const needs = wanted(facts, placed);
  return needs !== undefined && needs.volts < needs.least;
}

/** What would feed a microphone that has no supply, and is dark itself: the next boxes over leads, adapters and what is fed as the microphone is. */
function darkFeeders(facts: Facts, source: string): string[] {
  if (!underfed(facts).some((fed) => fed.source === source)) return [];
  const seen = new Set([source]);
  for (const id of seen) {
    const isBox = (facts.laid.get(id)?.part.paths ?? []).length > 0;
    if (id !== source && ((isBox && !isStarving(facts, id)) || !facts.isLive(id))) continue;
    for (const joint of jointsOf(facts.rig, id)) {
      const far = endsOf(joint, id)?.far.part;
      if (far !== undefined) seen.add(far);
    }
  }
  return [...seen].filter((id) => !facts.isLive(id));
}

/** A part between source and recorder, or the source itself, whose stages have no power. */
export const partUnpowered = check({
  code: 'part-unpowered',
  means:
    'The source, or a part on its way, has no power: flat battery, switched off, no charger or no phantom.',
  severity: ['blocks'],
  origin: OWN_POWER,
  aspect: 'power',
  asks: 'start',
  limit: 'What feeds the part; least supply typical, P48 after IEC 61938.',
  cures: ['named', 'feed', 'supply', 'plug', 'link'],
  assume: ({ other }) => (other === undefined ? undefined : { kind: 'fed', parts: [other] }),
  find: (facts) =>
    failing(facts).flatMap(({ arrival: { source, recorder } }) => {
      const onTheWay = deadPaths(facts, source).map((path) => path.placed);
      // A device that its host refuses is dark for that reason, which is a finding of its own.
      const refused = new Set(facts.devices.flatMap((d) => (d.fed ? [] : [d.placed])));
      const asked = new Set([source, ...onTheWay, ...darkFeeders(facts, source), recorder]);
      const dead = [...asked].filter(
        (id) => !refused.has(id) && (!facts.isLive(id) || isStarving(facts, id)),
      );
      return dead.map((part): Found => {
        const needs = wanted(facts, part);
        const setting = switchOf(facts, part);
        const joint = needs && jointsOf(facts.rig, part).at(-1)?.id;
        return {
          where: { part, ...(joint !== undefined && { joint }) },
          source,
          recorder,
          other: part,
          ...(setting !== undefined && { setting }),
          values: needs ? [{ name: 'supply at its contacts', value: needs.volts, unit: 'V' }] : [],
          ...(needs && { limit: { value: needs.least, unit: 'V', is: 'at least' }, origin: PHANTOM }),
        };
      });
    }),
});
