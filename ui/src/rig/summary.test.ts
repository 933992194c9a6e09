import { describe, expect, it } from 'vitest';
import { length, wire } from '../format/units';
import { summary } from './gearSummary';

describe('gear in a line', () => {
  it('says what one looks for in a shop', () => {
    const ports = [
      { label: 'M1', use: 'cellular', connector: 'SMA-female' },
      { label: 'D1', use: 'cellular', connector: 'SMA-female' },
      { label: 'W1', use: 'Wi-Fi', connector: 'RP-SMA-female' },
    ];
    expect(
      summary(
        {
          kind: 'device',
          setups: ['Roof dome'],
          sheet: { type: 'router', bands: ['B3', 'B20'], ports },
        },
        'metric',
      ),
    ).toBe('router · B3 B20 · 2 × SMA-female · in Roof dome');
  });
  it('says what is unknown instead of guessing', () => {
    expect(summary({ kind: 'device', setups: [], sheet: {} }, 'metric')).toBe(
      'bands unknown · ports unknown',
    );
    expect(summary({ kind: 'antenna', setups: [], sheet: { pattern: 'all around' } }, 'metric')).toBe(
      'all around · ranges unknown',
    );
    expect(summary({ kind: 'device', setups: [], sheet: { takesAntennas: false } }, 'metric')).toContain(
      'no antenna port',
    );
  });
});

describe('units', () => {
  it('shows lengths and wires in either system', () => {
    expect(length(4.5, 'metric')).toBe('4.5 m');
    expect(length(3, 'metric')).toBe('3 m');
    expect(length(4.5, 'imperial')).toBe('14.8 ft');
    expect(wire(1.5, 16, 'metric')).toBe('1.5 mm²');
    expect(wire(1.5, 16, 'imperial')).toBe('AWG 16');
  });
});
