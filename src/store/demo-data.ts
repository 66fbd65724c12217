import { sayProblem } from '../core/files';
import { type Rig } from '../core/rig';
import { checkRig } from '../core/files/read-rig';
import drawer from '../../demo/drawer.json';
import harbourCallIn from '../../demo/rigs/harbour-call-in.json';
import launchDayStream from '../../demo/rigs/launch-day-stream.json';
import loftSongs from '../../demo/rigs/loft-songs.json';
import quayToCamera from '../../demo/rigs/quay-to-camera.json';
import sailLoftTalk from '../../demo/rigs/sail-loft-talk.json';
import slipwayDiary from '../../demo/rigs/slipway-diary.json';
import twoAtTheBench from '../../demo/rigs/two-at-the-bench.json';

export const DEMO_RIGS: readonly unknown[] = [
  slipwayDiary,
  twoAtTheBench,
  sailLoftTalk,
  launchDayStream,
  harbourCallIn,
  loftSongs,
  quayToCamera,
];
export const DEMO_DRAWER = drawer.items;

/** A demo rig as the reader takes it. */
export function sound(document: unknown): Rig {
  const result = checkRig(document);
  if (!result.ok) throw new Error(`demo rig: ${sayProblem(result.problem)}`);
  return result.rig;
}
