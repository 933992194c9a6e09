type Cell = string | number | null | undefined;

// A text that a spreadsheet would run as a formula is kept a text, also where it splits at a semicolon, a tab or an end of line.
const guarded = (text: string) => text.replace(/(^|[;\t\r\n])(?=[ "']*[=+\-@])/g, "$1'");

/** One line of RFC 4180. */
export function csvLine(cells: readonly Cell[]): string {
  return cells
    .map((cell) => {
      const text = typeof cell === 'string' ? guarded(cell) : String(cell ?? '');
      return /[",\r\n]/.test(text) ? `"${text.replaceAll('"', '""')}"` : text;
    })
    .join(',');
}

/** Gives a list that is shown as a CSV file. */
export function downloadCsv(name: string, header: readonly string[], rows: Cell[][]) {
  const text = [header, ...rows].map((row) => csvLine(row) + '\r\n').join('');
  const link = document.createElement('a');
  link.href = URL.createObjectURL(new Blob([text], { type: 'text/csv;charset=utf-8' }));
  link.download = name;
  link.click();
  setTimeout(() => URL.revokeObjectURL(link.href), 1000);
}
