import { describe, expect, it } from 'vitest';
import { anyWrong, typedNumber, typedOrNone } from './typed';
import { count, effect, fixed, plain, short } from './numbers';
import { besideMetres, said, saidAll, shownLength, typedLength } from './units';
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
  it('say lengths, wires and temperatures of a sentence in feet, inches and Fahrenheit', () => {
    expect(said('4.5 m of cable, 10 cm apart, at 60 °C; 850 MHz, 12 mA', 'imperial')).toBe(
      '14.8 ft of cable, 3.9 in apart, at 140 °F; 850 MHz, 12 mA',
    );
    expect(said('4.5 m of cable', 'metric')).toBe('4.5 m of cable');
  });

  it('leave the names of things alone', () => {
    const answer = { name: 'Extension 3 m', findings: [{ says: '3 m too short', where: 'Extension 3 m' }] };
    expect(saidAll(answer, 'imperial')).toEqual({
      name: 'Extension 3 m',
      findings: [{ says: '9.8 ft too short', where: 'Extension 3 m' }],
    });
  });

  it('take what is typed in feet back to the metre', () => {
    expect(typedLength(shownLength(3, 'imperial'), 'imperial')).toBeCloseTo(3, 1);
    expect(besideMetres('4.5', 'imperial')).toBe(' = 14.8 ft');
    expect(besideMetres('4.5', 'metric')).toBe('');
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
