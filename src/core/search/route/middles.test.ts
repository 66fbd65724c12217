import { describe, expect, it } from 'vitest';
import { findPart } from '../../parts';
import { middleOf } from './middles';

const part = (id: string) => findPart(id)!;

describe('what could stand in the middle of several things', () => {
  it.each([
    ['splitter-headphones', 2],
    ['receiver-two-channel', 1],
    ['mobile-voice', 1],
    ['interface-small', 2],
    ['mixer-rca-only', 3],
  ])('%s gives on what enters it by so many ports at the most: %i', (id, outputs) => {
    expect(middleOf(part(id)).outputs).toBe(outputs);
  });

  it('a mixer with a left and a right, and a device with two channels, keep two sources apart', () => {
    for (const id of ['mixer-rca-only', 'mixer-large', 'interface-two-inputs', 'receiver-two-channel'])
      expect(middleOf(part(id)).apart, id).toBeGreaterThanOrEqual(2);
  });

  // Counted by hand from the sockets that each is described with.
  it.each([
    ['mobile-guitar', 1],
    ['mobile-voice', 1],
    ['interface-small', 1],
    ['line-streamer', 2],
    ['interface-two-inputs', 2],
    ['receiver-two-channel', 2],
    ['mixer-rca-only', 4],
    ['interface-eight-inputs', 8],
  ])('%s brings so many plugs together at one output at the most: %i', (id, plugs) => {
    expect(middleOf(part(id)).joins).toBe(plugs);
  });

  it('a splitter of left and right keeps two sources apart, one that ties its sockets does not', () => {
    for (const id of ['splitter-left-right', 'lead-breakout-jacks', 'lead-rca-pair-trs'])
      expect(middleOf(part(id)).parts, id).toBe(true);
    for (const id of ['splitter-headphones', 'splitter-two-mics', 'splitter-trs'])
      expect(middleOf(part(id)).parts, id).toBe(false);
  });

  it('what has one channel does not, however many sockets it has', () => {
    for (const id of [
      'mobile-guitar',
      'mobile-voice',
      'interface-one-input',
      'headphone-amplifier',
      'usb-sound-trs',
    ])
      expect(middleOf(part(id)).apart, id).toBeLessThan(2);
  });

  it('is found of an own part as it was made ahead for the shipped one', () => {
    for (const id of ['splitter-left-right', 'lead-breakout-jacks', 'mixer-rca-only', 'interface-two-inputs'])
      expect(middleOf({ ...part(id) }), id).toEqual(middleOf(part(id)));
  });
});
