import { App, Button } from 'antd';
import type { Schemas } from '../data/client';
import type { Live } from '../data/live';
import { useRemove, useStore } from '../data/log';
import { useStanding } from '../data/names';
import { useKey } from '../parts/useKey';
import { useUndo } from '../parts/useUndo';
import { useFailed } from '../parts/useFailed';

/** An older reading is none of now. */
const FRESH_MS = 5_000;

/** Logs what the router says now, with one key. */
export function LogLive({ reading }: { reading: Live['reading'] }) {
  const { data: line } = useStanding();
  const store = useStore();
  const remove = useRemove();
  const undoable = useUndo();
  const { message } = App.useApp();
  const failed = useFailed();
  const request = line && requestOf(reading, line);
  const save = () => {
    if (request) {
      store.mutate(request, {
        onSuccess: (outcome) => {
          if (outcome.is === 'stored') {
            undoable('Logged what is live.', () => remove.mutateAsync(outcome.answer.id));
          } else {
            void message.info('It waits on this device; it is sent when Syntoma answers.');
          }
        },
        onError: (refused) => failed(refused.message),
      });
    }
  };
  useKey('k', save);
  return (
    <Button size="small" disabled={!request} loading={store.isPending} onClick={save}>
      Log this{' '}
      <kbd aria-hidden="true" className="wide-only">
        K
      </kbd>
    </Button>
  );
}

/** The primary cell as a measurement of the setup that is up; undefined where it is none of now, or the line says too little. */
function requestOf(
  reading: Live['reading'],
  line: Schemas['StandingLine'],
): Schemas['MeasurementRequest'] | undefined {
  const cell = reading.cells.find((c) => c.role === 'primary');
  const carrier = reading.carrier ?? line.carrier;
  if (!cell || !reading.takenAt || reading.ageMs > FRESH_MS || !line.campsite || !line.setup) {
    return undefined;
  }
  const figures = {
    carrier,
    rat: reading.mode,
    band: cell.band,
    arfcn: cell.arfcn,
    cellId: cell.cellId,
    rssiDbm: cell.rssiDbm,
    rsrpDbm: cell.rsrpDbm,
    rsrqDb: cell.rsrqDb,
    sinrDb: cell.sinrDb,
  };
  return {
    takenAt: reading.takenAt.replace(/\.\d+/, ''),
    campsite: line.campsite,
    setup: line.setup.name,
    outcome: 'ok',
    ...Object.fromEntries(
      Object.entries(figures).flatMap(([field, value]) => (value === null ? [] : [[field, String(value)]])),
    ),
  };
}
