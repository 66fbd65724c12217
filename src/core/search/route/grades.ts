import { EVIDENCE_KINDS, WAYS, type Way } from '../../apps';
import { appOf, takeOf, wayAs } from '../../engine/flow';
import type { LaidPart } from '../../rig';
import type { OpenEnd } from '../ends';
import { rigOf, type Piece } from './layout';
import { gradeOfEvidence } from './rank';
import type { RouteRequest } from './request';

const stub = ({ id, part, app }: Piece): LaidPart => ({
  placed: { id, part: part.id, ...(app !== undefined && { app }) },
  part,
});

/** The app of a recorder that runs any. */
export const appAt = (recorder: Piece) => appOf(stub(recorder));

/** By which way numbers come to a host; a jack of its own is a headset way. */
export const wayAt = ({ digital }: OpenEnd): Way => wayAs(digital?.device.bus?.registersAs);

/** A camera or recorder records by itself: nothing is in doubt, and nobody has written it down. */
export const ITSELF = EVIDENCE_KINDS.indexOf('common practice');

/** On what a recorder's app takes each way, as a grade; ways that it does not take are left out. */
export function gradesOf(request: RouteRequest, recorder: Piece): ReadonlyMap<Way, number> {
  const host = stub(recorder);
  const app = appOf(host);
  const rig = rigOf({ pieces: [], joints: [], sources: [], recorders: [], kind: '' }, request);
  return new Map(
    WAYS.flatMap((way): [Way, number][] => {
      if (!app) return [[way, ITSELF]];
      const take = takeOf(rig, host, app, way);
      return take.taken ? [[way, gradeOfEvidence(take.evidence)]] : [];
    }),
  );
}
