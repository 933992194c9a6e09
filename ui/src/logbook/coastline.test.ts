import { expect, test } from 'vitest';
import type { Topology } from 'topojson-specification';
import land from 'world-atlas/land-50m.json';
import { coastline } from './coastline';

test('no shore jumps across the map, but for the one around the pole', () => {
  const shore = coastline(land as unknown as Topology);
  const jumps = shore.coordinates
    .flat()
    .filter((ring) => ring.some(([lon = 0], i) => i > 0 && Math.abs(lon - (ring[i - 1]?.[0] ?? 0)) > 180));
  expect(shore.coordinates.length).toBeGreaterThan(1000);
  expect(jumps.flat().every(([, lat = 0]) => lat < -60)).toBe(true);
});
