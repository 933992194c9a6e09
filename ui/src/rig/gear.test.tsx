// @vitest-environment jsdom
import { screen, waitFor } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { describe, expect, it } from 'vitest';
import { asked, bodies, NEVER, Refused, serve } from '../testing/server';
import { show } from '../testing/show';
import { FORMS, gear } from '../testing/world';
import { GearShelf } from './GearShelf';

const SHELF = [
  gear({ id: 1, name: 'Curlew', setups: ['Roof dome'] }),
  gear({ id: 2, name: 'Alder', kind: 'antenna', state: 'considered', price: null }),
];

const served = (more: object = {}) =>
  serve({ 'GET /api/gear': SHELF, 'GET /api/gear/forms': FORMS, ...more });

describe('the gear shelf', () => {
  it('shows no number while it is on its way', () => {
    serve({ 'GET /api/gear': NEVER, 'GET /api/gear/forms': NEVER });
    const page = show(<GearShelf />);
    expect(page.container.querySelector('main')?.textContent).not.toMatch(/\d/);
  });

  it('says what to do first when it is empty', async () => {
    serve({ 'GET /api/gear': [], 'GET /api/gear/forms': FORMS });
    show(<GearShelf />);
    expect(await screen.findByText(/No gear yet. Add your router first/)).toBeDefined();
  });

  it('counts what is owned, and offers to retire what a setup holds and to delete the rest', async () => {
    served();
    show(<GearShelf />);
    expect(await screen.findByText('1 owned, 1 considered.')).toBeDefined();
    expect(screen.getAllByRole('button', { name: /^Retire/ })).toHaveLength(1);
    expect(screen.getAllByRole('button', { name: /^Delete/ })).toHaveLength(1);
    expect(screen.getByText('unknown')).toBeDefined();
  });

  it('takes something off and puts it back as it was', async () => {
    const user = userEvent.setup();
    served({ 'DELETE /api/gear/2': {}, 'POST /api/gear': SHELF[1] as object });
    show(<GearShelf />);
    await user.click(await screen.findByRole('button', { name: /^Delete/ }));
    await user.click(await screen.findByRole('button', { name: 'Undo' }));
    await waitFor(() =>
      expect(bodies('POST /api/gear')).toEqual([
        { kind: 'antenna', name: 'Alder', state: 'considered', sheet: {}, price: null },
      ]),
    );
  });
});

const price = () => screen.getByLabelText<HTMLInputElement>('Price', { selector: 'input' });

describe('the data sheet', () => {
  const open = async (user: ReturnType<typeof userEvent.setup>) => {
    show(<GearShelf />);
    await user.click(await screen.findByRole('button', { name: 'Curlew' }));
    await screen.findByRole('dialog');
  };

  it('says at the field what is wrong with it, and keeps what was typed', async () => {
    const user = userEvent.setup();
    const errors = [{ field: 'price', message: 'price is “x”; write the number alone' }];
    served({ 'PUT /api/gear/1': new Refused(400, { detail: errors[0]?.message, errors }) });
    await open(user);
    await user.type(price(), 'x');
    await user.click(screen.getByRole('button', { name: 'Save' }));
    await waitFor(() => expect(price().getAttribute('aria-invalid')).toBe('true'));
    expect(price().value).toBe('420x');
    expect(localStorage.getItem('syntoma.rig.gear')).toContain('420x');
  });

  it('asks how the change of a measured part is meant, and sends the answer along', async () => {
    const user = userEvent.setup();
    const choices = [
      { as: 'correction', label: 'A correction', says: 'The paper was wrong.' },
      { as: 'other-part', label: 'Another part', says: 'It is another part now.' },
    ];
    const answers = [new Refused(409, { detail: 'Curlew was measured with.', choices }), SHELF[0] as object];
    served({ 'PUT /api/gear/1': () => answers.shift() ?? {} });
    await open(user);
    await user.click(screen.getByRole('button', { name: 'Save' }));
    expect(await screen.findByText('It is another part now.')).toBeDefined();
    await user.click(screen.getByRole('button', { name: 'Another part' }));
    await waitFor(() =>
      expect(asked.filter((a) => a.call === 'PUT /api/gear/1').at(-1)?.query).toContain('as=other-part'),
    );
  });

  it('reads a pasted sheet, asks what is not sure, and guesses nothing', async () => {
    const user = userEvent.setup();
    const found = [
      {
        field: 'price',
        label: 'Price',
        value: 399,
        says: '399',
        words: '€ 399,00',
        line: 2,
        question: '',
        others: [],
      },
      {
        field: 'bands',
        label: 'Bands',
        value: ['B1'],
        says: 'B1',
        words: 'EU: B1',
        line: 3,
        question: 'Which is yours?',
        others: [{ value: ['B2'], says: 'B2' }],
      },
    ];
    served({ 'POST /api/gear/sheet-text': { found }, 'POST /api/gear': SHELF[0] as object });
    show(<GearShelf />);
    await user.click(await screen.findByRole('button', { name: 'Add gear' }));
    await user.click(await screen.findByRole('button', { name: 'Paste a data sheet' }));
    await user.type(screen.getByLabelText(/Paste the text of a shop page/), 'Curlew');
    expect(localStorage.getItem('syntoma.rig.gear.paste')).toContain('Curlew');
    await user.click(screen.getByRole('button', { name: 'Read' }));
    expect(await screen.findByText(/line 2: “€ 399,00”/)).toBeDefined();
    expect(screen.getByText(/1 question open/)).toBeDefined();
    await user.click(screen.getByRole('radio', { name: 'B2' }));
    await user.click(screen.getByRole('button', { name: 'Use these 2 values' }));
    await user.type(screen.getByLabelText('Name', { selector: 'input' }), 'Curlew');
    await user.click(screen.getByRole('button', { name: 'Save' }));
    await waitFor(() =>
      expect(bodies('POST /api/gear').at(-1)).toMatchObject({
        name: 'Curlew',
        price: '399',
        sheet: { bands: ['B2'] },
      }),
    );
  });
});
