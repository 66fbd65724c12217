import { allFacts } from '../engine';
import type { Rig } from '../rig';
import { predict } from './predict';

/** What a stand-in of a rig is made from: all that the facts predict of a take at one of its recorders, and the mains of the place. */
export const standInPlan = (rig: Rig, recorder: string) => ({
  ...predict(allFacts(rig)[0], recorder),
  hertz: rig.surroundings.mains?.hertz ?? 50,
});
