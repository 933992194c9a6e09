import { useQueryClient } from '@tanstack/react-query';
import { App, Button, Modal } from 'antd';
import { useState } from 'react';
import { type Figure, useFigures } from '../data/log';
import { mend, type Waiting } from '../data/queue';
import { useWaiting } from '../data/useQueue';
import { useStored } from '../data/useStored';
import type { Form } from './Figures';
import { type Draft, draftOf, requestOf, valueOf } from './logDraft';
import { showFirstProblem } from './LogDialog';
import { useDraftCheck } from './useDraftCheck';
import { WholeForm } from './WholeForm';
import './log.css';

/** Mends a measurement that waits on this device. */
export function MendDialog({ id, close }: { id: string; close: () => void }) {
  const entry = useWaiting().find((e) => e.key === id);
  const { data: figures } = useFigures();
  return entry && figures ? <MendForm entry={entry} figures={figures} close={close} /> : null;
}

function MendForm(props: { entry: Waiting; figures: Figure[]; close: () => void }) {
  const { figures, close } = props;
  const [entry] = useState(props.entry);
  const [before] = useState(() => draftOf(entry.body as Record<string, string>));
  const [kept, keep, forget] = useStored<Draft | null>(`log.mend.${entry.key}`, null);
  const draft = kept ?? before;
  const request = requestOf(draft, '');
  const check = useDraftCheck(draft, request);
  const client = useQueryClient();
  const { message } = App.useApp();
  const form: Form = {
    draft,
    set: (part) => {
      check.touched();
      keep({ ...draft, ...part });
    },
    figures,
    check,
  };
  const own = figures.filter((f) => f.unit !== '' && valueOf(before, f.field) !== '').map((f) => f.field);
  const save = async () => {
    const outcome = await mend(entry.key, request);
    if (outcome.is === 'refused') {
      check.refuse(outcome.refusal);
      requestAnimationFrame(showFirstProblem);
      return;
    }
    forget();
    close();
    if (outcome.is === 'stored') {
      void message.success(`Logged ${draft.setup}.`);
      await client.invalidateQueries();
    }
  };
  return (
    <Modal
      open
      onCancel={close}
      title="Fix this measurement"
      width={720}
      className="log"
      style={{ top: 16 }}
      okText="Save"
      onOk={() => void save()}
      footer={(_, { OkBtn }) => (
        <div className="log-buttons">
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
      {entry.refused && <p className="loss">{entry.refused.message}</p>}
      <WholeForm form={form} own={own} save={() => void save()} />
    </Modal>
  );
}
