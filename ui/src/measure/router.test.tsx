// @vitest-environment jsdom
import { screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { expect, test } from 'vitest';
import { bodies, serve } from '../testing/server';
import { show } from '../testing/show';
import { RouterForm } from './RouterForm';

const NONE = {
  kind: null,
  address: null,
  path: null,
  user: null,
  hasSecret: false,
  mapping: {},
  publicAllowed: false,
};
const PROBED = {
  reached: true,
  problem: null,
  proposed: { 'primary.rsrpDbm': '/lte/rsrp' },
  reading: { mode: 'LTE', carrier: 'Tarnwave', cells: [], speed: null, warnings: [] },
  values: [
    { pointer: '/lte/rsrp', text: '-97' },
    { pointer: '/lte/other', text: '-101' },
  ],
  said: ['primary: Band B20, RSRP −97 dBm, SINR 12.5 dB'],
  figures: [
    { key: 'cells', label: 'List of cells', among: 'lists' },
    { key: 'primary.rsrpDbm', label: 'RSRP', among: 'values' },
  ],
  elements: [] as object[],
  lists: [{ pointer: '/heard', text: '2 in it' }],
};

test('a router is tried, says what it would read, and a value is chosen anew', async () => {
  const user = userEvent.setup();
  serve({
    'PUT /api/measure/router': { ...NONE, kind: 'http-json', address: 'http://a' },
    'POST /api/measure/router/probe': PROBED,
  });
  show(<RouterForm router={NONE} />);
  await user.type(screen.getByLabelText('Router’s address'), 'http://a');
  await user.type(screen.getByLabelText('Path'), '/signal');
  await user.click(screen.getByRole('button', { name: 'Save and test the router' }));
  await screen.findByText('Reached: Tarnwave, LTE.');
  expect(screen.getByText('primary: Band B20, RSRP −97 dBm, SINR 12.5 dB')).toBeTruthy();
  await user.click(screen.getByText('Which value is which'));
  await user.selectOptions(screen.getByLabelText('RSRP'), '/lte/other');
  expect(bodies('PUT /api/measure/router')).toEqual([
    { kind: 'http-json', address: 'http://a', path: '/signal', user: '' },
    {
      kind: 'http-json',
      address: 'http://a',
      path: '/signal',
      user: '',
      mapping: { 'primary.rsrpDbm': '/lte/other' },
    },
  ]);
});

test('of a list of cells each figure is chosen among those of its first', async () => {
  const user = userEvent.setup();
  serve({
    'PUT /api/measure/router': { ...NONE, kind: 'http-json', address: 'http://a' },
    'POST /api/measure/router/probe': {
      ...PROBED,
      proposed: { cells: '/heard', 'cells[].rsrpDbm': '/power' },
      figures: [
        { key: 'cells', label: 'List of cells', among: 'lists' },
        { key: 'cells[].rsrpDbm', label: 'Each cell’s RSRP', among: 'elements' },
      ],
      elements: [
        { pointer: '/power', text: '-97' },
        { pointer: '/rsrp', text: '-99' },
      ],
    },
  });
  show(<RouterForm router={{ ...NONE, kind: 'http-json', address: 'http://a', path: '/signal' }} />);
  await user.click(screen.getByRole('button', { name: 'Save and test the router' }));
  await user.click(await screen.findByText('Which value is which'));
  expect((screen.getByLabelText('List of cells') as HTMLSelectElement).value).toBe('/heard');
  await user.selectOptions(screen.getByLabelText('Each cell’s RSRP'), '/rsrp');
  expect(bodies('PUT /api/measure/router').at(-1)).toMatchObject({
    mapping: { cells: '/heard', 'cells[].rsrpDbm': '/rsrp' },
  });
});

test('a secret is sent only where one was typed, and a router that is not reached says why', async () => {
  const user = userEvent.setup();
  serve({
    'PUT /api/measure/router': { ...NONE, kind: 'http-json', address: 'http://a' },
    'POST /api/measure/router/probe': {
      ...PROBED,
      reached: false,
      problem: 'nothing answers at http://a',
      reading: null,
      said: [],
      values: [],
    },
  });
  show(<RouterForm router={{ ...NONE, kind: 'http-json', address: 'http://a', hasSecret: true }} />);
  await user.click(screen.getByText('Password or token (saved)'));
  await user.type(screen.getByLabelText('Password'), 'word');
  await user.click(screen.getByRole('button', { name: 'Save and test the router' }));
  await screen.findByText('Not reached: nothing answers at http://a.');
  expect(bodies('PUT /api/measure/router')).toEqual([
    { kind: 'http-json', address: 'http://a', path: '', user: '', password: 'word' },
  ]);
});
