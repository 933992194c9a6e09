// @vitest-environment jsdom
import { screen, waitFor } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { describe, expect, it } from 'vitest';
import type { Schemas } from '../data/client';
import { asked, bodies, Refused, serve } from '../testing/server';
import { show } from '../testing/show';
import { NAMES } from '../testing/world';
import { LogbookView } from './LogbookView';

const MONTH: Schemas['MonthView'] = {
  first: '2026-08-12',
  next: '2026-09-12',
  days: 31,
  daysLeft: 7,
  runsGb: 1.5,
  loggedGb: 20.8,
  liveGb: 0,
  loggedRuns: 104,
  counterGb: null,
  counterAt: null,
  elseGb: null,
  usedGb: 22.3,
  forecastGb: 28,
  emptyOn: null,
  pricePerGb: 0.85,
  pricePerDay: 0.61,
  readings: [],
};

const CARD: Schemas['CardView'] = {
  gear: 3,
  name: 'Ostrel SIM',
  carrier: 'Ostrel',
  owned: true,
  shared: false,
  allowanceGb: 60,
  capMbps: null,
  pricePerMonth: 19,
  resetDay: 12,
  terms: '',
  month: MONTH,
  says: 'Ostrel SIM: 22 of 60 GB used.',
  capSays: null,
  offers: [
    { card: 'Brissa SIM', carrier: 'Brissa', cards: 1, price: 15, own: false },
    { card: 'Ostrel SIM', carrier: 'Ostrel', cards: 1, price: 19, own: true },
  ],
  earlier: [],
};

const READ: Schemas['MonthView'] = {
  ...MONTH,
  counterGb: 40,
  counterAt: '2026-09-05T20:00:00+02:00',
  elseGb: 17.7,
  usedGb: 40,
  readings: [{ id: 9, readAt: '2026-09-05T20:00:00+02:00', usedGb: 40 }],
};

const ledger = (month: Schemas['MonthView'], more: Partial<Schemas['CardView']> = {}) => ({
  day: '2026-09-05',
  says: 'Ostrel SIM lasts.',
  live: 'Live readings take nothing.',
  cards: [{ ...CARD, ...more, month }],
});

const open = async (served: object) => {
  serve({ ...NAMES, 'GET /api/ledger': served });
  show(<LogbookView />, '/logbook?part=ledger');
  return screen.findByText('Everything else');
};

const line = (name: string) => screen.getByText(name).closest('tr')?.textContent;

describe('the ledger', () => {
  it('says what is not known without the counter, and claims no more of a price than that', async () => {
    await open(ledger(MONTH));
    expect(screen.getByRole('heading', { level: 1, name: 'Ostrel SIM lasts.' })).toBeDefined();
    expect(line('Runs made here')).toContain('1.5 GB');
    expect(line('Runs logged from elsewhere')).toContain('about 21 GB104 runs');
    expect(line('Everything else')).toContain('not known');
    expect(line('Cost of a GB')).toContain('at most 0.85');
    expect(screen.getByText(/For the 28 GB that measuring takes, Brissa SIM would be cheaper/)).toBeDefined();
  });

  it('has everything else once the counter was read', async () => {
    await open(ledger(READ));
    expect(line('Everything else')).toMatch(/Everything else18 GBthe counter said 40 GB at .*20:00$/);
    expect(line('Cost of a GB')).not.toContain('at most');
    expect(document.querySelector('.month-bar rect[fill="var(--tide)"]')).not.toBeNull();
    expect(screen.getByText(/For about 28 GB a month, Brissa SIM would be cheaper/)).toBeDefined();
  });

  it('goes on from an older reading at its rate, and says so', async () => {
    await open(ledger({ ...READ, counterAt: '2026-09-01T20:00:00+02:00' }));
    expect(line('Everything else')).toMatch(/about 18 GB.*since then at the same rate/);
    expect(document.querySelector('.month-bar rect[fill="url(#hatch-tide)"]')).not.toBeNull();
  });

  it('takes a reading, with a decimal comma too, and gives it back', async () => {
    const user = userEvent.setup();
    serve({
      ...NAMES,
      'GET /api/ledger': ledger(READ),
      'POST /api/ledger/3/readings': ledger(READ),
      'DELETE /api/ledger/3/readings/9': ledger(MONTH),
      'POST /api/ledger/3/readings/9/restored': ledger(READ),
    });
    show(<LogbookView />, '/logbook?part=ledger');
    const field = await screen.findByLabelText(/The counter of Ostrel shows now/);
    await user.type(field, '40,5');
    await user.click(screen.getByRole('button', { name: /^Save/ }));
    await waitFor(() =>
      expect(bodies('POST /api/ledger/3/readings')).toEqual([{ readAt: null, usedGb: 40.5 }]),
    );
    await user.click(screen.getByText('1 reading this month'));
    await user.click(screen.getByRole('button', { name: 'Delete' }));
    await user.click(await screen.findByRole('button', { name: 'Undo' }));
    await waitFor(() => expect(asked.map((a) => a.call)).toContain('POST /api/ledger/3/readings/9/restored'));
  });

  it('names what no counter shows, typed or refused', async () => {
    const user = userEvent.setup();
    serve({
      ...NAMES,
      'GET /api/ledger': ledger(MONTH),
      'POST /api/ledger/3/readings': new Refused(400, {
        errors: [{ field: 'usedGb', message: 'usedGb is −1; allowed is 0 to 100,000 GB' }],
      }),
    });
    show(<LogbookView />, '/logbook?part=ledger');
    const field = await screen.findByLabelText(/The counter of Ostrel shows now/);
    await user.type(field, 'much');
    await user.click(screen.getByRole('button', { name: /^Save/ }));
    expect(screen.getByText(/the counter is “much”; allowed are the GB/)).toBeDefined();
    await user.clear(field);
    await user.type(field, '-1');
    await user.click(screen.getByRole('button', { name: /^Save/ }));
    expect(await screen.findByText(/allowed is 0 to 100,000 GB/)).toBeDefined();
  });

  it('tells two cards of one carrier that their runs cannot be told apart, and what the cap did', async () => {
    await open(
      ledger(MONTH, { shared: true, capMbps: 24, capSays: 'The plan is capped at 24 Mb/s: 24 of 24 runs.' }),
    );
    expect(screen.getByText(/runs cannot be told apart, so both count them/)).toBeDefined();
    expect(screen.getByText(/24 of 24 runs/)).toBeDefined();
  });

  it('asks for a card where none is', async () => {
    serve({
      ...NAMES,
      'GET /api/ledger': { day: '2026-09-05', says: 'Enter a SIM card.', live: '', cards: [] },
    });
    show(<LogbookView />, '/logbook?part=ledger');
    expect(await screen.findByText(/No SIM card yet/)).toBeDefined();
  });
});
