import type { MultiPolygon, Position } from 'geojson';
import { feature } from 'topojson-client';
import type { Topology } from 'topojson-specification';

/** Rings without the jump at the 180th meridian, which a flat map would draw as a line across itself. */
function unwrapped(ring: Position[]): Position[] {
  let turn = 0;
  let before = ring[0]?.[0] ?? 0;
  const free = ring.map(([lon = 0, lat = 0]) => {
    turn += lon - before > 180 ? -360 : lon - before < -180 ? 360 : 0;
    before = lon;
    return [lon + turn, lat];
  });
  // a ring around a pole never closes: it stays as it is
  return turn === 0 ? free : ring;
}

/** The land of an atlas as polygons for a flat map; what reaches over its edge stands on both sides. */
export function coastline(atlas: Topology): MultiPolygon {
  const land = atlas.objects['land'];
  const found = land ? feature(atlas, land) : null;
  const shapes = found?.type === 'FeatureCollection' ? found.features : found ? [found] : [];
  const polygons = shapes.flatMap(({ geometry }) =>
    geometry.type === 'MultiPolygon'
      ? geometry.coordinates
      : geometry.type === 'Polygon'
        ? [geometry.coordinates]
        : [],
  );
  const flat = polygons.map((rings) => rings.map(unwrapped));
  const over = (from: (lon: number) => boolean, by: number) =>
    flat
      .filter((rings) => rings.some((ring) => ring.some(([lon = 0]) => from(lon))))
      .map((rings) => rings.map((ring) => ring.map(([lon = 0, lat = 0]) => [lon + by, lat])));
  return {
    type: 'MultiPolygon',
    coordinates: [...flat, ...over((lon) => lon > 180, -360), ...over((lon) => lon < -180, 360)],
  };
}
