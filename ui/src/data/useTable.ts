import { keepPreviousData, useQuery } from '@tanstack/react-query';
import { api, refusal, type Schemas, unwrap } from './client';
import { keys } from './keys';

/** What of a file is enough to know its columns by. */
const BEGINNING = 512 * 1024;

const WORKBOOK = 'application/vnd.openxmlformats-officedocument.spreadsheetml.sheet';

const isWorkbook = (file: File) => file.name.toLowerCase().endsWith('.xlsx') || file.type === WORKBOOK;

export const typeOf = (file: File) => (isWorkbook(file) ? WORKBOOK : 'text/csv');

/** Looks at a file, of a text at its beginning: which column is which. */
export async function lookAt(file: File, sheet: string): Promise<Schemas['TableView']> {
  const response = await fetch(`/api/measurements/import/columns?${new URLSearchParams({ sheet })}`, {
    method: 'POST',
    headers: { 'Content-Type': typeOf(file) },
    body: isWorkbook(file) ? file : file.slice(0, BEGINNING),
  });
  const body: unknown = await response.json();
  if (!response.ok) {
    throw refusal(body, response.status);
  }
  return body as Schemas['TableView'];
}

/** Remembers how tables with these headings are read. */
export const keepReading = (reading: Schemas['TableReading']) =>
  unwrap(api.PUT('/api/measurements/import/columns', { body: reading }));

/** How some rows would be read. */
export const useTableRows = (request: Schemas['RowsRequest']) =>
  useQuery({
    queryKey: keys.tableRows(request),
    queryFn: () => unwrap(api.POST('/api/measurements/import/rows', { body: request })),
    placeholderData: keepPreviousData,
  });
