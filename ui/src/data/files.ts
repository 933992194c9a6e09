import { refusal, type Schemas } from './client';

/** What became of a file. */
export type Sent =
  | ({ kind: 'archive' } & Schemas['RestoredView'])
  | ({ kind: 'places' } & Pick<Schemas['PlacesReport'], 'accepted' | 'duplicates' | 'rejected'>);

/** Where a file goes, by the ending of its name; a GeoJSON of masts by what it holds. */
async function addressOf(file: File): Promise<[string, string]> {
  const name = file.name.toLowerCase();
  if (name.endsWith('.zip')) {
    return ['/api/archive', 'application/zip'];
  }
  if (name.endsWith('.gpx')) {
    return ['/api/export.gpx', 'application/gpx+xml'];
  }
  if (name.endsWith('.csv')) {
    return ['/api/aim/masts.csv', 'text/csv'];
  }
  const beginning = await file.slice(0, 65_536).text();
  return [
    /"(estimated|cellId)"/.test(beginning) ? '/api/aim/masts.geojson' : '/api/export.geojson',
    'application/geo+json',
  ];
}

/** Sends a file of stays or masts, or an archive; with `replace` in place of the existing data. */
export async function sendFile(file: File, replace: boolean): Promise<Sent> {
  const [address, type] = await addressOf(file);
  const archive = address === '/api/archive';
  const response = await fetch(archive && replace ? `${address}?replace=true` : address, {
    method: 'POST',
    headers: { 'Content-Type': type },
    body: file,
  });
  const body: unknown = await response.json();
  if (!response.ok) {
    throw refusal(body, response.status);
  }
  return archive
    ? { kind: 'archive', ...(body as Schemas['RestoredView']) }
    : { kind: 'places', ...(body as Schemas['PlacesReport']) };
}
