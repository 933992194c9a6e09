import { Button } from 'antd';
import { useSearchParams } from 'react-router';
import { Part, Sheet } from '../parts/Sheet';
import { useLog } from '../parts/useLog';
import { ImportPanel } from './ImportPanel';
import { Measurements } from './Measurements';
import { Stays } from './Stays';

/** Stays, their measurements, import and export. */
export function LogbookView() {
  const [query, setQuery] = useSearchParams();
  const log = useLog();
  const stay = query.get('stay');
  if (query.has('import')) {
    return <ImportPanel close={() => setQuery({})} />;
  }
  return (
    <Sheet
      title={stay ? 'Measurements of a stay' : 'Logbook'}
      headline={stay ? 'What was measured at this stay.' : 'Every stay, and what was measured there.'}
      margin={
        <>
          <Part title="Log">
            <div className="buttons">
              <Button type="primary" onClick={log.open}>
                Log a reading <kbd>R</kbd>
              </Button>
            </div>
          </Part>
          <Part title="In and out">
            <div className="buttons">
              <Button onClick={() => setQuery({ import: '1' })}>Import a file</Button>
              <Button href="/api/measurements.csv" download="measurements.csv">
                Export all as CSV
              </Button>
            </div>
            <p className="small">
              Importing your own export changes nothing, and the same file twice adds nothing. Rows are judged
              one by one before anything is kept.
            </p>
          </Part>
        </>
      }
    >
      {stay ? (
        <Measurements stay={Number(stay)} back={() => setQuery({})} />
      ) : (
        <Stays open={(id) => setQuery({ stay: String(id) })} />
      )}
    </Sheet>
  );
}
