import { Button } from 'antd';
import { useRemove, useFigures } from '../data/log';
import { putBack, seenBeside, sendAll, throwAway, type Waiting as Entry } from '../data/queue';
import { useReach } from '../data/reach';
import { useWaiting } from '../data/useQueue';
import { dateClock, localClock } from '../format/time';
import { type Column, FindableList } from '../parts/FindableList';
import { useLog } from '../parts/useLog';
import { useUndo, useUndoable } from '../parts/useUndo';
import { useFailed } from '../parts/useFailed';

/** What was logged on this device and is not in the log yet, or needs a look. */
export function Waiting() {
  const waiting = useWaiting();
  const reach = useReach();
  const { data: figures } = useFigures();
  const columns: Column<Entry>[] = [
    {
      label: 'Taken',
      key: 'taken',
      render: (_, e) => (e.body.takenAt ? dateClock(e.body.takenAt) : '–'),
      sorter: (a, b) => (a.body.takenAt ?? '').localeCompare(b.body.takenAt ?? ''),
    },
    { label: 'Setup', key: 'setup', render: (_, e) => e.body.setup || '–' },
    { label: 'At', key: 'campsite', render: (_, e) => e.body.campsite || '–' },
    {
      label: 'Measured',
      key: 'measured',
      render: (_, e) =>
        e.body.outcome === 'ok'
          ? figures
              ?.filter((f) => f.unit !== '' && figureOf(e, f.field) !== '')
              .map((f) => `${f.label} ${figureOf(e, f.field).replace(/^-/, '−')} ${f.unit}`)
              .join(', ')
          : (e.body.outcome ?? '').replace('_', ' '),
    },
    { label: 'Status', key: 'state', render: (_, e) => <State entry={e} /> },
    { label: '', key: 'do', render: (_, e) => <Actions entry={e} /> },
  ];
  return (
    <FindableList
      title="On this device"
      noun="measurement"
      rows={waiting}
      rowKey={(e) => e.key}
      text={(e) => JSON.stringify(e.body)}
      find="Find what waits"
      columns={columns}
      empty="Nothing waits: all that was logged here is in the log."
      actions={
        waiting.length > 0 && (
          <Button onClick={() => void sendAll(true)} disabled={reach.is === 'away'}>
            Send now
          </Button>
        )
      }
      export={{
        file: 'waiting.csv',
        columns: ['taken_at', 'campsite', 'setup', 'carrier', 'outcome', 'as_typed'],
        row: ({ body: b }) => [b.takenAt, b.campsite, b.setup, b.carrier, b.outcome, JSON.stringify(b)],
      }}
    />
  );
}

const figureOf = (entry: Entry, field: string) => String(entry.body[field as keyof typeof entry.body] ?? '');

function State({ entry }: { entry: Entry }) {
  if (entry.refused) {
    return <span className="loss">{entry.refused.message}</span>;
  }
  if (entry.failed) {
    return (
      <span className="attention">
        Syntoma could not save it: {entry.failed.message}{' '}
        {entry.failed.times > 1 && `Tried ${entry.failed.times} times. `}
        Next try at {localClock(Date.parse(entry.failed.again))}; the others are sent meanwhile.
      </span>
    );
  }
  if (entry.beside) {
    return (
      <span className="attention">
        The same run was logged twice; both are kept. The other:{' '}
        {entry.beside.others.map((o) => o.sentence).join('; ')}
      </span>
    );
  }
  return <span>waits; it is sent once, as soon as Syntoma answers</span>;
}

function Actions({ entry }: { entry: Entry }) {
  const log = useLog();
  const undo = useUndo();
  const undoable = useUndoable();
  const remove = useRemove();
  const failed = useFailed();
  const fails = (refused: Error) => failed(refused.message);
  if (entry.beside) {
    const take = (id: number) =>
      remove.mutate(id, {
        onSuccess: ({ change }) => {
          undoable('Deleted one of the two.', change);
          void seenBeside(entry.key);
        },
        onError: fails,
      });
    const { id, others } = entry.beside;
    return (
      <div className="buttons">
        <Button size="small" onClick={() => void seenBeside(entry.key)}>
          Keep both
        </Button>
        <Button size="small" onClick={() => take(id)}>
          Delete this one
        </Button>
        {others.map((other) => (
          <Button size="small" key={other.id} onClick={() => take(other.id)}>
            Delete the other
          </Button>
        ))}
      </div>
    );
  }
  return (
    <div className="buttons">
      <Button size="small" onClick={() => log.mend(entry.key)}>
        Fix
      </Button>
      <Button
        size="small"
        onClick={() =>
          void throwAway(entry.key).then(() => undo('Thrown away.', () => putBack(entry)), fails)
        }
      >
        Delete
      </Button>
    </div>
  );
}
