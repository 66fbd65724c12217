import { describe, expect, it } from 'vitest';
import { plan } from '../../../testing/by-steps';
import type { RouteRequest } from '../../core/search/route';
import { cannot, settingsMade } from './route-words';

const ask = (source: string, host: string, app: string, more: Partial<RouteRequest> = {}) =>
  plan({
    format: 'symplex-request',
    version: 1,
    sources: [{ part: source }],
    destinations: [{ part: host, app }],
    ...more,
  }).routes[0]!;

describe('what a card says of a route', () => {
  it('only what stands otherwise than as delivered is named', () => {
    const { rig } = ask('condenser-xlr', 'tablet-usb-c', 'recorder-app');
    const [made] = settingsMade(rig);
    expect(made?.name).toBe('Interface, one input, low draw');
    expect(made?.turned).toEqual(['48 V on', expect.stringMatching(/^Gain 1 /)]);
    expect(settingsMade({ ...rig, parts: rig.parts.map(({ settings: _all, ...placed }) => placed) })).toEqual(
      [],
    );
  });

  it('says what one might miss', () => {
    expect(cannot(ask('receiver-trs', 'phone-ctia', 'camera-app'))).toContain('it records in mono');
    const room = ask('receiver-trs', 'phone-ctia', 'voice-room');
    expect(cannot(room)).toContain('nobody hears the far end through it');
    expect(cannot(room)).not.toContain('it records in mono');
    const heard = ask('receiver-trs', 'phone-ctia', 'voice-room', { wishes: { guests: true } });
    expect(cannot(heard)).not.toContain('nobody hears the far end through it');
  });

  it('warns of a long lead without balance, and not of a short one', () => {
    // With more to choose from a balanced run is found, which comes first.
    const far = ask('receiver-trs', 'phone-ctia', 'camera-app', {
      wishes: { length: 12 },
      catalogue: ['patch-trs-trrs', 'lead-trs-trs', 'coupler-trs'],
    });
    expect(cannot(far)[0]).toMatch(/^\d+ m of unbalanced lead/);
    expect(cannot(ask('receiver-trs', 'phone-ctia', 'camera-app')).join()).not.toContain('unbalanced');
  });
});
