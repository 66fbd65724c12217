import { describe, expect, it } from 'vitest';
import { layRig } from '../../../testing/lay-rig';
import { powerReport } from '../files/power-report';

const starts = (sketch: Parameters<typeof layRig>[0]) =>
  powerReport(layRig(sketch)).answers.find(({ asks }) => asks === 'start');

// Common practice: a box whose light stays dark does not start, whatever keeps the power from it.
describe('whether it starts', () => {
  const interfaced = {
    parts: { mic: 'dynamic-xlr', xlr: 'lead-xlr', box: 'interface-two-inputs', tablet: 'tablet-usb-c' },
    apps: { tablet: 'recorder-app' },
  } as const;

  it('an interface in a port: it starts', () => {
    const found = starts({
      ...interfaced,
      parts: { ...interfaced.parts, lead: 'lead-usb-c-c' },
      joints: ['mic.out xlr.holes', 'xlr.pins box.mic-1', 'lead.a box.usb', 'lead.b tablet.port'],
      recorder: 'tablet',
    });
    expect(found?.is).toBe('well');
    expect(found?.says).toContain('It starts');
  });

  it('an interface with a lead that does not go in: it does not', () => {
    const found = starts({
      ...interfaced,
      parts: { ...interfaced.parts, lead: 'lead-usb-a-b', adapter: 'adapter-usb-c-a' },
      joints: [
        'mic.out xlr.holes',
        'xlr.pins box.mic-1',
        'lead.b box.usb',
        'lead.a adapter.a',
        'adapter.c tablet.port',
      ],
      recorder: 'tablet',
    });
    expect(found?.is).toBe('ill');
    expect(found?.says).toContain('the interface is given too little power, or none');
  });

  it('a condenser without phantom: it does not', () => {
    const found = starts({
      parts: { mic: 'condenser-xlr', xlr: 'lead-xlr', recorder: 'recorder-xlr' },
      joints: ['mic.out xlr.holes', 'xlr.pins recorder.mic-1'],
    });
    expect(found?.is).toBe('ill');
  });
});
