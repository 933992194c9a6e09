import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import type { ReactNode } from 'react';
import { renderToStaticMarkup } from 'react-dom/server';
import { describe, expect, it } from 'vitest';
import type { Schemas } from '../data/client';
import { CandidateTable } from './CandidateTable';
import { WiringTable } from './WiringTable';

/** As text, before anything was asked of the server. */
const render = (what: ReactNode) =>
  renderToStaticMarkup(<QueryClientProvider client={new QueryClient()}>{what}</QueryClientProvider>);

const candidate = (part: Partial<Schemas['CandidateView']>): Schemas['CandidateView'] => ({
  id: 1,
  name: 'Curlew',
  summary: 'Curlew + Alder',
  essentials: [{ what: 'VPN client', met: 'yes' }],
  meetsNeed: true,
  bandsWorking: 5,
  bands: 5,
  streams: 2,
  gains: [{ band: 'B20', result: 'works', deltaDb: 13.2, halfWidthDb: 4 }],
  meanGainDb: 13.2,
  price: '0',
  priceOpen: false,
  pricePerDb: 0,
  pricePerStream: 0,
  whPerDay: 176,
  aiming: null,
  toBuy: [],
  score: 12.4,
  place: 1,
  reason: 'ahead of Dunlin: 1 band more',
  ...part,
});

const view = (candidates: Schemas['CandidateView'][]): Schemas['CandidatesView'] => ({
  candidates,
  weights: { gain: 3, bands: 3, streams: 2, price: 2, energy: 1 },
  sides: [{ key: 'gain', label: 'Predicted gain' }],
  cheapest: 'Curlew',
  strongest: 'Hazel',
  nextUnits: '',
  flip: '',
  sentence: '',
});

describe('CandidateTable', () => {
  it('says about of a prediction, its interval, and what is to be bought', () => {
    const html = render(
      <CandidateTable
        carrier="Tarnwave"
        view={view([
          candidate({}),
          candidate({
            id: 2,
            name: 'Dunlin',
            toBuy: [
              { what: 'Dunlin', pieces: 1, price: 110, estimated: false },
              { what: '12 V stabiliser', pieces: 1, price: 45, estimated: true },
            ],
            price: 'about 155',
            place: 2,
          }),
        ])}
      />,
    );
    expect(html).toContain('about +13.2 dB');
    expect(html).toContain('± 4');
    expect(html).toContain('12 V stabiliser');
    expect(html).toContain('about 45');
    expect(html).toContain('<b>about 155</b>');
    expect(html).toContain('ahead of Dunlin: 1 band more');
    expect(html).toContain('176 Wh');
    expect(html.match(/cheapest that meets the need/g)).toHaveLength(1);
  });
  it('says unknown and the reason instead of a number', () => {
    const html = render(
      <CandidateTable
        carrier="Tarnwave"
        view={view([
          candidate({
            name: 'Knot',
            essentials: [{ what: 'VPN client', met: 'unknown' }],
            gains: [{ band: 'B20', result: 'downlink only', deltaDb: null, halfWidthDb: 4 }],
            meanGainDb: null,
            price: 'at least 0',
            priceOpen: true,
            streams: null,
            pricePerDb: null,
            whPerDay: null,
          }),
        ])}
      />,
    );
    expect(html).toContain('downlink only');
    expect(html.match(/unknown/g)?.length).toBeGreaterThanOrEqual(4);
    expect(html).not.toContain('NaN');
  });
});

describe('WiringTable', () => {
  const setup = {
    wiring: [
      {
        key: '3/1',
        lead: 'Alder 1',
        use: 'cellular',
        ends: 'SMA-male',
        port: '1',
        portHas: 'TS9-female',
        adapter: 'SMA-female to TS9-male, to buy',
        sticker: '1 → 1',
      },
    ],
    leadsOver: [{ key: '3/sat', label: 'Alder sat' }],
    portsOver: ['2'],
  } as Partial<Schemas['SetupView']> as Schemas['SetupView'];
  it('names the adapter between, the label to stick on, and what stays over on either side', () => {
    const html = render(<WiringTable view={setup} />);
    expect(html).toContain('SMA-female to TS9-male, to buy');
    expect(html).toContain('<span class="sticker">1 → 1</span>');
    expect(html).toContain('no port: leave the cap on');
    expect(html).toContain('Ports that stay empty: 2.');
  });
});
