import { useCallback, useRef, useState } from 'react';
import { refusal, type Schemas } from './client';
import { keepReading, lookAt, typeOf } from './useTable';

type Report = Schemas['ImportReport'];

const LONGEST_NAME = 200;

/** The states an import can be in. */
export type ImportState =
  | { kind: 'idle' }
  | { kind: 'refused'; file: string; message: string }
  | { kind: 'columns'; file: string; view: Schemas['TableView']; reading: Schemas['TableReading'] }
  | { kind: 'running'; file: string; dryRun: boolean; uploaded: boolean; rows: number; share: number }
  | { kind: 'judged'; file: string; report: Report; table: boolean }
  | { kind: 'kept'; file: string; report: Report };

/** Sends a file twice: for the dry run, and when it is confirmed. */
export function useImport(kept: (report: Report) => void) {
  const [state, setState] = useState<ImportState>({ kind: 'idle' });
  const file = useRef<File>(null);
  const sheet = useRef('');
  const table = useRef(false);
  const size = useRef<number | null>(null);
  const under = useRef<{ name: string; abort: () => void }>(null);

  const send = useCallback(
    async (dryRun: boolean) => {
      const chosen = file.current;
      if (!chosen) {
        return;
      }
      const name = crypto.randomUUID();
      const running = {
        kind: 'running',
        file: chosen.name,
        dryRun,
        uploaded: false,
        rows: 0,
        share: 0,
      } as const;
      setState(running);
      const rowsInAll = size.current ?? chosen.size / (await bytesPerRow(chosen));
      const progress = new EventSource(`/api/imports/${name}`);
      progress.onmessage = (event) => {
        const { rows, done } = JSON.parse(event.data as string) as Schemas['Progress'];
        if (done) {
          return;
        }
        const share = Math.min(99, (100 * rows) / Math.max(1, rowsInAll));
        setState((s) => (s.kind === 'running' ? { ...s, uploaded: rows > 0, rows, share } : s));
      };
      const controller = new AbortController();
      under.current = { name, abort: () => controller.abort() };
      try {
        const query = new URLSearchParams({
          dryRun: String(dryRun),
          progress: name,
          sheet: sheet.current,
          file: chosen.name.slice(0, LONGEST_NAME),
        });
        const response = await fetch(`/api/measurements/import?${query}`, {
          method: 'POST',
          headers: { 'Content-Type': typeOf(chosen) },
          body: chosen,
          signal: controller.signal,
        });
        const body: unknown = await response.json();
        if (!response.ok) {
          throw refusal(body, response.status);
        }
        const report = body as Report;
        setState(
          dryRun
            ? { kind: 'judged', file: chosen.name, report, table: table.current }
            : { kind: 'kept', file: chosen.name, report },
        );
        if (!dryRun) {
          kept(report);
        }
      } catch (error) {
        const message =
          error instanceof Error && error.name !== 'AbortError'
            ? error.message
            : 'Cancelled; nothing was saved.';
        setState({ kind: 'refused', file: chosen.name, message });
      } finally {
        progress.close();
        under.current = null;
      }
    },
    [kept],
  );

  const look = useCallback(
    async (chosen: File, always: boolean) => {
      try {
        const view = await lookAt(chosen, sheet.current);
        table.current = !view.ofContract;
        size.current = view.size;
        if (view.ofContract || (view.remembered && !always)) {
          await send(true);
        } else {
          setState({ kind: 'columns', file: chosen.name, view, reading: view.reading });
        }
      } catch (error) {
        setState({ kind: 'refused', file: chosen.name, message: (error as Error).message });
      }
    },
    [send],
  );

  const use = useCallback(
    async (reading: Schemas['TableReading']) => {
      try {
        await keepReading(reading);
        await send(true);
      } catch (error) {
        setState({ kind: 'refused', file: file.current?.name ?? '', message: (error as Error).message });
      }
    },
    [send],
  );

  const cancel = useCallback(async () => {
    const import_ = under.current;
    if (import_) {
      const answer = await fetch(`/api/imports/${import_.name}`, { method: 'DELETE' });
      if (!answer.ok) {
        import_.abort();
      }
    }
  }, []);

  return {
    state,
    read: (chosen: File) => {
      file.current = chosen;
      sheet.current = '';
      void look(chosen, false);
    },
    /** Reads another sheet of the workbook. */
    choose: (name: string) => {
      sheet.current = name;
      if (file.current) {
        void look(file.current, true);
      }
    },
    /** Judges the rows once more, after something was said of them. */
    judge: () => void send(true),
    /** Says again which column is which. */
    again: () => {
      if (file.current) {
        void look(file.current, true);
      }
    },
    change: (reading: Schemas['TableReading']) =>
      setState((s) => (s.kind === 'columns' ? { ...s, reading } : s)),
    use: (reading: Schemas['TableReading']) => void use(reading),
    keep: () => void send(false),
    cancel: () => void cancel(),
    reset: () => setState({ kind: 'idle' }),
  };
}

/** Bytes of a row, from the file's first lines. */
async function bytesPerRow(file: File) {
  const head = await file.slice(0, 64 * 1024).text();
  const rows = head.split('\n').length - 1;
  return rows > 0 ? Math.min(file.size, head.length) / rows : file.size;
}
