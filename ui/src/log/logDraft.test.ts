import { describe, expect, it } from 'vitest';
import { draftFor, draftOf, EMPTY, fewOf, inOffset, requestOf, typedOrder } from './logDraft';

const line = {
  now: '2026-09-05T21:12:05.123+02:00',
  stay: 1,
  campsite: 'Lighthouse Meadow',
  since: '2026-09-01T14:20:00+02:00',
  setup: { id: 1, name: 'Mast panel', pennant: 1, retired: false },
  carrier: 'Tarnwave',
  over: false,
  elsewhere: null,
};

describe('a draft', () => {
  it('starts where the vehicle stands, with the settings used last', () => {
    const draft = draftFor(line, { rat: 'NR-SA', server: 'harbour-1' });
    expect(draft).toMatchObject({
      campsite: 'Lighthouse Meadow',
      setup: 'Mast panel',
      carrier: 'Tarnwave',
      rat: 'NR-SA',
      server: 'harbour-1',
      offset: '+02:00',
    });
  });

  it('is taken now unless a time is typed', () => {
    const draft = draftFor(line, {});
    expect(requestOf(draft, line.now).takenAt).toBe('2026-09-05T21:12:05+02:00');
    expect(requestOf({ ...draft, date: '2026-09-04', clock: '08:30' }, line.now).takenAt).toBe(
      '2026-09-04T08:30:00+02:00',
    );
  });

  it('never sends its own parts of the time', () => {
    expect(Object.keys(requestOf(EMPTY, line.now))).not.toContain('clock');
  });

  it('keeps the moment when the offset changes', () => {
    expect(Date.parse(inOffset(line.now, '-08:00'))).toBe(Date.parse('2026-09-05T21:12:05+02:00'));
    expect(inOffset(line.now, '+03:00')).toBe('2026-09-05T22:12:05+03:00');
  });

  it('goes on with a trial for some hours, at the same campsite', () => {
    const last = { trial: 'Evening', campsite: 'Lighthouse Meadow', at: '2026-09-05T20:00:00+02:00' };
    expect(draftFor(line, last).trial).toBe('Evening');
    expect(draftFor(line, { ...last, at: '2026-09-05T10:00:00+02:00' }).trial).toBe('');
    expect(draftFor(line, { ...last, campsite: 'Quarry Lake' }).trial).toBe('');
  });

  it('of a measurement is sent as it was when nothing is changed', () => {
    for (const takenAt of ['2026-09-05T20:00:07.5+02:00', '2026-09-05T20:00+02:00']) {
      const request = requestOf(draftOf({ takenAt, campsite: 'A', setup: 'B', outcome: 'ok' }), line.now);
      expect(Date.parse(request.takenAt as string)).toBe(Date.parse(takenAt));
      expect(request).toMatchObject({ rat: '', campsite: 'A' });
    }
  });

  it('asks for the figures of its setup first, and for those that are typed', () => {
    const numbers = ['rsrpDbm', 'sinrDb', 'downMbps', 'upMbps', 'idleMs'];
    const draft = { ...EMPTY, setup: 'Dome', idleMs: '40', upMbps: '4' };
    expect(fewOf({ Dome: ['upMbps', 'rsrpDbm'] }, draft, numbers)).toEqual([
      'upMbps',
      'rsrpDbm',
      'downMbps',
      'idleMs',
    ]);
    expect(fewOf({}, EMPTY, numbers)).toEqual(numbers);
    expect(typedOrder(draft, numbers)).toEqual(['idleMs', 'upMbps']);
  });
});
