import type { Rig } from '../core/rig';

/** The rig that "New rig" lays out: the commonest try, to be changed at every joint. */
export const STARTER: Rig = {
  format: 'symplex-rig',
  version: 1,
  id: 'new-rig',
  name: 'New rig',
  parts: [
    { id: 'receiver', part: 'receiver-trs' },
    { id: 'lead', part: 'lead-trs-trs' },
    { id: 'phone', part: 'phone-ctia', app: 'camera-app' },
  ],
  joints: [
    { id: 'j1', plug: { part: 'lead', port: 'a' }, jack: { part: 'receiver', port: 'out' } },
    { id: 'j2', plug: { part: 'lead', port: 'b' }, jack: { part: 'phone', port: 'jack' } },
  ],
  surroundings: { voice: 'normal' },
  purpose: { sources: ['receiver'], recorders: ['phone'] },
};
