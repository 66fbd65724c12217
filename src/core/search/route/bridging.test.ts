import { describe, expect, it } from 'vitest';
import { findPart } from '../../parts';
import { bridging, type Bridged } from './bridging';

const over = (ids: readonly string[], endsAtGoal: boolean, byNumbers: boolean): Bridged =>
  ids.reduce<Bridged>((before, id) => bridging(endsAtGoal, byNumbers)(findPart(id)!, before), 'not');

describe('how a long distance is bridged (unbalanced 15 to 20 ft, USB about 5 m: common practice)', () => {
  it.each([
    ['a long XLR lead into what takes both legs', ['lead-xlr'], true, true, 'well'],
    ['a long XLR lead that still has to end in that', ['lead-xlr'], false, true, 'open'],
    ['and does, in an interface', ['lead-xlr', 'interface-small'], false, true, 'well'],
    ['a lead with a plug of two contacts', ['lead-jack-ts'], true, true, 'not'],
    ['a USB lead, over as much as that is long', ['lead-usb-a-b'], false, true, 'well'],
    ['a USB lead, over twenty metres', ['lead-usb-a-b'], true, false, 'not'],
    ['a pack, over whatever distance', ['pack-plug-on'], false, false, 'well'],
  ] as const)('%s', (_, ids, endsAtGoal, byNumbers, bridged) => {
    expect(over(ids, endsAtGoal, byNumbers)).toBe(bridged);
  });
});
