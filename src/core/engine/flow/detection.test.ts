import { describe, expect, it } from 'vitest';
import { ohms, volts } from '../../units';
import { readHeadset, senseResistance } from '.';

describe('headset detection (Android wired headset specification 1.1; figures from memory)', () => {
  it.each([
    [0, 'shorted'],
    [69.9, 'shorted'],
    [70, 'undefined'],
    [110, 'button'],
    [135, 'button'],
    [180, 'button'],
    [200, 'undefined'],
    [240, 'button'],
    [290, 'button'],
    [470, 'button'],
    [680, 'button'],
    [700, 'unsure'],
    [999, 'unsure'],
    [1000, 'microphone'],
    [4700, 'microphone'],
    [Infinity, 'microphone'],
  ] as const)('%s Ω is read as %s', (value, reading) => expect(readHeadset(ohms(value))).toBe(reading));

  const jack = {
    microphone: 'm',
    ground: 'g',
    biasVolts: volts(2.2),
    biasResistance: ohms(2200),
  };
  it('half the bias left means a resistance equal to the bias resistor', () => {
    expect(senseResistance(jack, volts(1.1))).toBeCloseTo(2200, 6);
  });
  it('the whole bias left, or more, is an open line; none left a short', () => {
    expect(senseResistance(jack, volts(2.2))).toBe(Infinity);
    expect(senseResistance(jack, volts(5))).toBe(Infinity);
    expect(senseResistance(jack, volts(0))).toBe(0);
  });
});
