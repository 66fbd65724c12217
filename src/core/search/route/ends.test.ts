import { describe, expect, it } from 'vitest';
import { findPart, type Part } from '../../parts';
import { across, couldRecord, exitsOf, isBridged, sourceEnds, wordsOf } from './ends';

const part = (id: string): Part => findPart(id)!;
const port = (id: string, name: string) => part(id).ports.find((p) => p.id === name)!;
const NOTHING_WANTED = { wants: 0 };

/** What lies on the far end of a link whose near end is plugged onto a source. */
function beyond(source: string, link: string, entry: string) {
  const [end] = sourceEnds(part(source));
  const labels = across(end!, port(link, entry))!;
  return exitsOf(part(link), port(link, entry), labels, end!);
}

describe('what lies on the contacts of an open end', () => {
  it('a receiver brings sound on tip and ring, and its return on the sleeve', () => {
    expect(wordsOf(sourceEnds(part('receiver-trs'))[0]!.labels)).toBe('R:R S:- T:T');
  });

  it('a patch cable takes the tip to the sleeve and the return to ring 2', () => {
    const [end] = beyond('receiver-trs', 'patch-trs-trrs', 'trs');
    expect(wordsOf(end!.labels)).toBe('R2:- S:T');
  });

  it('the same cable the other way round brings nothing that is wanted', () => {
    const [end] = beyond('receiver-trs', 'patch-trs-trrs', 'trrs');
    const jack = port('phone-ctia', 'jack');
    const labels = end && across(end, jack);
    expect(
      labels === undefined ||
        isBridged(end!.port, part('phone-ctia'), jack) ||
        !couldRecord(part('phone-ctia'), jack, labels, 0),
    ).toBe(true);
  });

  it('a plug with three contacts bridges microphone and ground of a headset jack', () => {
    expect(isBridged(port('lead-trs-trs', 'b'), part('phone-ctia'), port('phone-ctia', 'jack'))).toBe(true);
    expect(isBridged(port('patch-trs-trrs', 'trrs'), part('phone-ctia'), port('phone-ctia', 'jack'))).toBe(
      false,
    );
  });

  it('a charge-only lead carries no data on', () => {
    const [end] = sourceEnds(part('usb-mic-low'));
    const entry = port('lead-usb-a-c-charge', 'b');
    expect(exitsOf(part('lead-usb-a-c-charge'), entry, across(end!, entry)!, end!)).toEqual([]);
    expect(
      exitsOf(
        part('lead-usb-a-c'),
        port('lead-usb-a-c', 'b'),
        across(end!, port('lead-usb-a-c', 'b'))!,
        end!,
      ),
    ).toHaveLength(1);
  });
});

describe('what a source still wants', () => {
  it('a condenser wants phantom power, and finds it at an interface but not at a lead', () => {
    const [end] = sourceEnds(part('condenser-xlr'));
    expect(end!.wants).toBeGreaterThan(10);
    const [onLead] = beyond('condenser-xlr', 'lead-xlr', 'holes');
    expect(onLead!.wants).toBe(end!.wants);
    const usb = beyond('condenser-xlr', 'interface-small', 'mic-1').find((e) => e.digital);
    expect(usb).toMatchObject({ wants: 0, device: { id: 'interface-small' } });
  });

  it('a headset jack cannot feed it', () => {
    const [end] = beyond('condenser-xlr', 'lead-xlr-trrs', 'holes');
    const jack = port('phone-ctia', 'jack');
    expect(couldRecord(part('phone-ctia'), jack, across(end!, jack)!, end!.wants)).toBe(false);
  });

  it('an older phone with microphone and ground exchanged still hears a floating pack', () => {
    const [end] = beyond('receiver-trs', 'patch-trs-trrs', 'trs');
    const jack = port('phone-omtp', 'jack');
    expect(couldRecord(part('phone-omtp'), jack, across(end!, jack)!, NOTHING_WANTED.wants)).toBe(true);
  });
});
