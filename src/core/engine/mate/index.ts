export type { JointMating, Meeting, Reading } from './matings';
export { mateJoints, readings } from './matings';
