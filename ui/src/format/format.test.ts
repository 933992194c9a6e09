import { describe, expect, it } from 'vitest';
import { anyWrong, typedNumber, typedOrNone } from './typed';
import { count, effect, fixed, plain, short } from './numbers';
import { convertedText, distance, drawnLength, shownUnit, temperature } from './units';
import { ago, clock, dateClock, offset, span, weekdayClock } from './time';

describe('numbers', () => {
  it('writes the typographic minus, and none before zero', () => {
    expect(fixed(-97.46, 1)).toBe('−97.5');
    expect(fixed(-0.04, 1)).toBe('0.0');
    expect(fixed(null, 1)).toBe('–');
    expect(plain(-14.5)).toBe('−14.5');
  });

  it('keeps three digits that matter', () => {
    expect([0.256, 4.1, 12.44, 146.3, 30, 100].map(short)).toEqual([
      '0.26',
      '4.1',
      '12.4',
      '146',
      '30',
      '100',
    ]);
  });

  it('tells ratios from dB', () => {
    expect(effect(1.832, 'ratio')).toBe('×1.83');
    expect(effect(14.2, 'ratio')).toBe('×14');
    expect(effect(3.8, 'share')).toBe('+3.8 points');
    expect(effect(0.04, 'share')).toBe('0.0 points');
    expect(effect(6.06, 'dB')).toBe('+6.1 dB');
    expect(effect(-0.02, 'dB')).toBe('0.0 dB');
  });

  it('counts', () => {
    expect(count(1, 'run')).toBe('1 run');
    expect(count(0, 'run')).toBe('0 runs');
  });
});

describe('times', () => {
  it('stay in the local time they were written in', () => {
    expect(weekdayClock('2026-09-01T14:20:00+02:00')).toBe('Tue 14:20');
    expect(clock('2026-09-01T23:59:00-08:00')).toBe('23:59');
    expect(dateClock('2026-08-14T18:05:09+03:00')).toBe('14 Aug 2026, 18:05');
    expect(offset('2026-08-14T18:05:09+03:00')).toBe('+03:00');
  });

  it('span days and months', () => {
    expect(span('2026-08-14T10:00:00Z', '2026-08-18T10:00:00Z')).toBe('14 to 18 Aug 2026');
    expect(span('2026-07-30T10:00:00Z', '2026-08-02T10:00:00Z')).toBe('30 Jul to 2 Aug 2026');
    expect(span('2026-07-30T10:00:00Z', null)).toBe('since 30 Jul 2026');
    expect(span('2026-07-30T10:00:00Z', '2026-07-30T12:00:00Z')).toBe('30 Jul 2026');
  });

  it('count back from now', () => {
    const now = '2026-09-05T21:12:00+02:00';
    expect(ago('2026-09-05T21:11:50+02:00', now)).toBe('just now');
    expect(ago('2026-09-05T20:42:00+02:00', now)).toBe('30 min ago');
    expect(ago('2026-09-05T18:12:00Z', now)).toBe('1 h ago');
    expect(ago('2026-09-01T21:12:00+02:00', now)).toBe('4 days ago');
  });
});

describe('units', () => {
  it('are shown in feet, inches, miles and Fahrenheit where those are wanted', () => {
    expect(distance(12.4, 'imperial')).toBe('7.7 mi');
    expect(distance(12.4, 'metric')).toBe('12.4 km');
    expect(drawnLength(0.5, 'imperial')).toBe('19.7 in');
    expect(drawnLength(0.5, 'metric')).toBe('0.5 m');
    expect(temperature(60, 'imperial')).toBe('140 °F');
    expect(temperature(60, 'metric')).toBe('60 °C');
  });

  it('are typed in what is shown, and stored in metric ones', () => {
    const feet = [shownUnit('m', 'imperial')];
    expect(convertedText('3', feet, 'shown')).toBe('9.84');
    expect(convertedText('9,84', feet, 'metric')).toBe('2.9992');
    expect(convertedText('high', feet, 'metric')).toBe('high');
    expect(convertedText('19.7', [shownUnit('m', 'imperial', true)], 'metric')).toBe('0.50038');
    expect(convertedText('5', [shownUnit('dB', 'imperial')], 'shown')).toBe('5');
    expect(shownUnit('°C', 'imperial').metric(140)).toBe(60);
  });

  it('of lines are those of their columns', () => {
    const columns = [shownUnit('km', 'imperial'), shownUnit('m', 'imperial')];
    expect(convertedText('0 20\n2; 25\n', columns, 'shown')).toBe('0 65.62\n1.24; 82.02\n');
  });
});

describe('numbers that are typed', () => {
  it('have a point or a comma, and any minus', () => {
    expect(['12.5', '12,5', ' 7 ', '−97', '–97', '-97', '+3', '.5', '5.'].map(typedNumber)).toEqual([
      12.5, 12.5, 7, -97, -97, -97, 3, 0.5, 5,
    ]);
  });

  it('are none where they are anything else', () => {
    for (const text of ['', 'x', '1.2.3', '0x10', '1e3', 'Infinity', '1 2', '--1', '12 dB']) {
      expect(typedNumber(text)).toBeNaN();
    }
  });

  it('may be left out', () => {
    expect(typedOrNone('  ')).toBeNull();
    expect(typedOrNone('0')).toBe(0);
    expect(anyWrong({ a: '', b: '3' })).toBe(false);
    expect(anyWrong({ a: '', b: 'three' })).toBe(true);
  });
});
