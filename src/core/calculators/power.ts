import { field, of, type Calculator } from './calculator';

const phantom: Calculator = {
  id: 'phantom',
  name: 'Phantom current',
  fields: [
    field('volts', 'Supply', 'V', 48, [1, 60]),
    field('ohms', 'Resistor of each leg', 'ohm', 6810, [100, 1e5]),
    field('draw', 'What the microphone takes', 'mA', 4, [0, 20]),
  ],
  formula: 'the legs are in parallel: U = supply − I·R/2; shorted, I = supply·2/R',
  source:
    'IEC 61938: 48 ± 4 V by 6.81 kΩ a leg, 10 mA at the most; 24 V by 1.2 kΩ, 12 V by 680 Ω (from memory)',
  compute: (values) => {
    const [volts, ohms, draw] = [of(values, 'volts'), of(values, 'ohms'), of(values, 'draw')];
    return [
      { name: 'Left at the microphone', value: Math.max(0, volts - (draw / 1000) * (ohms / 2)), unit: 'V' },
      { name: 'Into a short of both legs', value: ((2 * volts) / ohms) * 1000, unit: 'mA' },
      { name: 'Into a short of one leg', value: (volts / ohms) * 1000, unit: 'mA' },
    ];
  },
};

const delay: Calculator = {
  id: 'delay',
  name: 'Delay from distance',
  fields: [
    field('distance', 'Distance', 'm', 10, [0, 10_000]),
    field('celsius', 'Air, °C', '', 20, [-40, 60]),
  ],
  formula: 't = r / c, c = 331.3·√(1 + T/273.15) m/s',
  source: 'speed of sound in dry air, ideal gas; 343 m/s at 20 °C',
  compute: (values) => {
    const speed = 331.3 * Math.sqrt(1 + of(values, 'celsius') / 273.15);
    return [
      { name: 'Delay', value: (of(values, 'distance') / speed) * 1000, unit: 'ms' },
      { name: 'Speed of sound', value: speed, unit: 'm/s' },
    ];
  },
};

const battery: Calculator = {
  id: 'battery',
  name: 'How long a battery lasts',
  fields: [
    field('capacity', 'Capacity, mAh', '', 2500, [1, 1e6]),
    field('cell', 'Its voltage', 'V', 1.5, [0.5, 60]),
    field('draw', 'Draw', 'mA', 100, [0.01, 1e5]),
    field('at', 'at', 'V', 1.5, [0.5, 60]),
    field('efficiency', 'Efficiency of what lies between, %', '', 100, [1, 100]),
  ],
  formula: 't = capacity · U · efficiency / (draw · U at the device)',
  source: 'energy; the capacity of a cell falls with its load, see its data sheet',
  compute: (values) => {
    const energy = (of(values, 'capacity') * of(values, 'cell') * of(values, 'efficiency')) / 100;
    return [{ name: 'Lasts', value: energy / (of(values, 'draw') * of(values, 'at')), unit: 'h' }];
  },
};

export const POWER_CALCULATORS: readonly Calculator[] = [phantom, delay, battery];
