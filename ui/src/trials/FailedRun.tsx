import { Button } from 'antd';
import { useState } from 'react';
import { useRemove, useStore } from '../data/log';
import { Field } from '../parts/Field';
import { Failed } from '../parts/Loaded';
import { useKey } from '../parts/useKey';
import { useUndo } from '../parts/useUndo';

/** Marks a run as failed, with why: a result like any other. */
export function FailedRun(props: { figures: Record<string, string> }) {
  const [open, setOpen] = useState(false);
  const [why, setWhy] = useState('');
  const log = useStore();
  const remove = useRemove();
  const undoable = useUndo();
  useKey('x', () => setOpen(true));
  if (!open) {
    return (
      <Button size="large" onClick={() => setOpen(true)}>
        Run failed{' '}
        <kbd aria-hidden="true" className="wide-only">
          X
        </kbd>
      </Button>
    );
  }
  return (
    <form
      className="failed-run"
      onSubmit={(event) => {
        event.preventDefault();
        log.mutate(
          { ...props.figures, outcome: 'failed', note: why },
          {
            onSuccess: (stored) => {
              setOpen(false);
              if (stored.is === 'stored') {
                undoable('Logged as failed.', () => remove.mutateAsync(stored.answer.id));
              }
            },
          },
        );
      }}
    >
      <Field
        name="why"
        label="Why it failed"
        value={why}
        onChange={setWhy}
        placeholder="no service"
        autoFocus
      />
      <div className="buttons">
        <Button htmlType="submit" size="large" loading={log.isPending}>
          Log as failed
        </Button>
        <Button size="large" type="text" onClick={() => setOpen(false)}>
          Cancel
        </Button>
      </div>
      {log.error && <Failed error={log.error} />}
    </form>
  );
}
