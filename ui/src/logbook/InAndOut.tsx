import { useQueryClient } from '@tanstack/react-query';
import { Button, Modal } from 'antd';
import { type ChangeEvent, useRef, useState } from 'react';
import { Link } from 'react-router';
import { type Sent, sendFile } from '../data/files';
import { count } from '../format/numbers';
import { Failed } from '../parts/Loaded';
import { Part } from '../parts/Sheet';
import { useFailed } from '../parts/useFailed';

/** Files out and in: measurements, stays, towers, and everything. */
export function InAndOut() {
  const [report, setReport] = useState<Sent | Error>();
  return (
    <Part title="Import and export">
      <p>
        <Link to="/logbook?import=1">Import measurements</Link>
      </p>
      <p>
        <a href="/api/measurements.csv" download="measurements.csv">
          Export all as CSV
        </a>
      </p>
      <p className="small">
        Your own spreadsheet as it is, or an export: importing your own export changes nothing, and the same
        file twice adds nothing.
      </p>
      <details className="numbers">
        <summary>Stays, towers, everything</summary>
        <p>
          Stays:{' '}
          <a href="/api/export.gpx" download="stays.gpx">
            GPX
          </a>
          ,{' '}
          <a href="/api/export.geojson" download="stays.geojson" aria-label="GeoJSON of stays">
            GeoJSON
          </a>
        </p>
        <p className="small">GPX has a place for each: stays without coordinates are in GeoJSON alone.</p>
        <p>
          Towers:{' '}
          <a href="/api/aim/masts.csv" download="towers.csv">
            CSV
          </a>
          ,{' '}
          <a href="/api/aim/masts.geojson" download="towers.geojson" aria-label="GeoJSON of towers">
            GeoJSON
          </a>
        </p>
        <p>
          Everything:{' '}
          <a href="/api/archive" download="syntoma-archive.zip">
            an archive
          </a>
        </p>
        <p className="small">
          The archive holds the log with its history, the rig and photos, as open files in one zip; the pass
          phrase and the secrets of devices are not in it.
        </p>
        <TakeIn report={setReport} />
        {report instanceof Error ? <Failed error={report} /> : report && <Told sent={report} />}
      </details>
    </Part>
  );
}

/** One way in for all of them: what a file is, its name says. */
function TakeIn({ report }: { report: (sent: Sent | Error | undefined) => void }) {
  const input = useRef<HTMLInputElement>(null);
  const client = useQueryClient();
  const failed = useFailed();
  const [busy, setBusy] = useState(false);
  const [asked, setAsked] = useState<File>();
  const send = async (file: File, replace: boolean) => {
    setBusy(true);
    report(undefined);
    try {
      report(await sendFile(file, replace));
      await client.invalidateQueries();
    } catch (refused) {
      report(refused as Error);
    } finally {
      setBusy(false);
    }
  };
  const chosen = (e: ChangeEvent<HTMLInputElement>) => {
    const [file] = e.target.files ?? [];
    e.target.value = '';
    if (file?.name.toLowerCase().endsWith('.zip')) {
      setAsked(file);
    } else if (file && /\.(gpx|geojson|json|csv)$/i.test(file.name)) {
      void send(file, false);
    } else if (file) {
      failed(`${file.name}: allowed are .gpx, .geojson, .csv (towers) and .zip (an archive)`);
    }
  };
  return (
    <>
      <Button size="small" loading={busy} onClick={() => input.current?.click()}>
        Import a file
      </Button>
      <input
        ref={input}
        type="file"
        hidden
        accept=".gpx,.geojson,.json,.csv,.zip"
        aria-label="A file of stays or towers, or an archive"
        onChange={chosen}
      />
      <Modal
        open={asked !== undefined}
        title="Restore the archive?"
        okText="Restore"
        onCancel={() => setAsked(undefined)}
        onOk={() => {
          const file = asked;
          setAsked(undefined);
          if (file) {
            void send(file, true);
          }
        }}
      >
        <p>
          All of the log and the rig goes for what is in <b>{asked?.name}</b>. A copy of what is here now is
          kept beside it in the data directory, as an archive too.
        </p>
      </Modal>
    </>
  );
}

function Told({ sent }: { sent: Sent }) {
  return (
    <div role="status">
      {sent.kind === 'archive' ? (
        <p>
          {count(sent.rows, 'row')} and {count(sent.photos, 'photo')} taken in.
          {sent.keptAs && ` The previous data are saved as ${sent.keptAs}.`}
        </p>
      ) : (
        <>
          <p>
            {sent.accepted} imported, {sent.duplicates} already there
            {sent.rejected.length > 0 ? `, ${sent.rejected.length} not:` : '.'}
          </p>
          <ul className="small">
            {sent.rejected.slice(0, 20).map((r) => (
              <li key={r.item}>
                {r.name || `the ${r.item}.`}: {r.message}
              </li>
            ))}
          </ul>
        </>
      )}
    </div>
  );
}
