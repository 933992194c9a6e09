import { Button, Modal } from 'antd';
import { useState } from 'react';
import { Clash, type Schemas } from '../data/client';
import { type Correction, type Figure, useCorrect, useFigures, useMeasurement, useRemove } from '../data/log';
import { stateOf } from '../data/state';
import { useStored } from '../data/useStored';
import { dateClock } from '../format/time';
import { Loaded } from '../parts/Loaded';
import { useClash } from '../parts/useClash';
import { useUndoable } from '../parts/useUndo';
import type { Form } from './Figures';
import { type Draft, draftOf, requestOf, valueOf } from './logDraft';
import { showFirstProblem } from './LogDialog';
import { useDraftCheck } from './useDraftCheck';
import { WholeForm } from './WholeForm';
import './log.css';
import { useFailed } from '../parts/useFailed';

/** Corrects a measurement; what it was before is shown, and stays known. */
export function CorrectDialog({ id, close }: { id: number; close: () => void }) {
  const measurement = useMeasurement(id);
  const { data: figures } = useFigures();
  if (measurement.data && figures) {
    return <CorrectForm view={measurement.data} figures={figures} close={close} />;
  }
  return (
    <Modal open onCancel={close} title="Correct a measurement" footer={null} className="log">
      <Loaded state={stateOf(measurement)}>{() => null}</Loaded>
    </Modal>
  );
}

function CorrectForm(props: { view: Schemas['EditView']; figures: Figure[]; close: () => void }) {
  const { figures, close } = props;
  // what is corrected is what was looked at, also when it is read again meanwhile
  const [view] = useState(props.view);
  const before = draftOf(view.typed);
  const [kept, keep, forget] = useStored<{ draft: Draft; version: number } | null>(
    `log.correct.${view.id}`,
    null,
  );
  const draft = kept?.draft ?? before;
  const version = kept?.version ?? view.version;
  const request = requestOf(draft, '');
  const check = useDraftCheck(draft, request);
  const correct = useCorrect();
  const remove = useRemove();
  const clash = useClash();
  const undoable = useUndoable();
  const failed = useFailed();
  const numbers = figures.filter((f) => f.unit !== '').map((f) => f.field);
  const own = numbers.filter((name) => valueOf(before, name) !== '');
  const set = (part: Partial<Draft>) => {
    check.touched();
    keep({ draft: { ...draft, ...part }, version });
  };
  const form: Form = { draft, set, figures, check };
  const save = (change: Correction) =>
    correct.mutate(change, {
      onSuccess: ({ change: number }) => {
        undoable(`Corrected ${draft.setup}.`, number);
        forget();
        close();
      },
      onError: (error) => {
        if (error instanceof Clash) {
          clash(error, (version) => save({ ...change, version }));
          return;
        }
        check.refuse(error);
        failed(error.message.length < 140 ? error.message : 'Some fields need another look.');
        requestAnimationFrame(showFirstProblem);
      },
    });
  const away = () =>
    remove.mutate(view.id, {
      onSuccess: ({ change }) => {
        undoable(`Deleted ${draft.setup}.`, change);
        forget();
        close();
      },
      onError: (refused) => failed(refused.message),
    });
  return (
    <Modal
      open
      onCancel={close}
      title="Correct a measurement"
      width={720}
      className="log"
      style={{ top: 16 }}
      okText="Save"
      onOk={() => save({ id: view.id, body: request, version })}
      confirmLoading={correct.isPending}
      footer={(_, { OkBtn }) => (
        <div className="log-buttons">
          <Button onClick={away}>Delete</Button>
          <Button
            onClick={() => {
              forget();
              close();
            }}
          >
            Cancel
          </Button>
          <OkBtn />
        </div>
      )}
    >
      <WholeForm form={form} own={own} save={() => save({ id: view.id, body: request, version })} />
      <History view={view} figures={figures} />
    </Modal>
  );
}

/** What a measurement was before, the latest change first. */
function History({ view, figures }: { view: Schemas['EditView']; figures: Figure[] }) {
  const changed = view.history.filter((v) => v.changes.length > 0).reverse();
  if (changed.length === 0) {
    return null;
  }
  const unit = (field: string) => figures.find((f) => f.field === field)?.unit ?? '';
  const label = (field: string) => figures.find((f) => f.field === field)?.label || field;
  return (
    <section className="history">
      <h3>What it was before</h3>
      <ul>
        {changed.map((version) => (
          <li key={version.version}>
            <span className="small">{dateClock(version.at)}</span>{' '}
            {version.changes.map((c) => (
              <span key={c.field}>
                {label(c.field)} from <b>{c.was ?? 'nothing'}</b> to <b>{c.now ?? 'nothing'}</b>{' '}
                {unit(c.field)}{' '}
              </span>
            ))}
          </li>
        ))}
      </ul>
    </section>
  );
}
