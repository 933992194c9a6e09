import { Button, Input } from 'antd';
import { useState } from 'react';
import { useNavigate } from 'react-router';
import type { Schemas } from '../data/client';
import { useAddSetup, useDeleteSetup, useKeepChainOf, useRetireSetup } from '../data/rig';
import { useRename } from '../data/mending';
import { Part } from '../parts/Sheet';
import { useUndo } from '../parts/useUndo';
import { useFailed } from '../parts/useFailed';

/** Renames a setup, retires it, or deletes it as long as nothing was measured with it. */
export function SetupActions({ setup, view }: { setup: Schemas['SetupName']; view: Schemas['SetupView'] }) {
  const [name, setName] = useState<string | null>(null);
  const failed = useFailed();
  const rename = useRename();
  const retire = useRetireSetup();
  const onError = (refused: Error) => failed(refused.message);
  const remove = useRemove(setup, view);
  const measured = view.revisions.some((r) => r.measured > 0) || view.measured > 0;
  return (
    <Part title="This setup">
      {name !== null && (
        <form
          className="chooser"
          onSubmit={(e) => {
            e.preventDefault();
            rename.mutate({ kind: 'setup', id: setup.id, name }, { onSuccess: () => setName(null), onError });
          }}
        >
          <Input aria-label="New name" autoFocus value={name} onChange={(e) => setName(e.target.value)} />
          <div className="buttons">
            <Button type="primary" htmlType="submit" loading={rename.isPending} disabled={!name.trim()}>
              Rename
            </Button>
            <Button onClick={() => setName(null)}>Cancel</Button>
          </div>
        </form>
      )}
      {name === null && (
        <div className="buttons">
          <Button size="small" onClick={() => setName(setup.name)}>
            Rename
          </Button>
          <Button
            size="small"
            loading={retire.isPending}
            onClick={() => retire.mutate({ id: setup.id, retired: !setup.retired }, { onError })}
          >
            {setup.retired ? 'Restore' : 'Retire'}
          </Button>
          {!measured && (
            <Button size="small" onClick={remove}>
              Delete
            </Button>
          )}
        </div>
      )}
      <p className="small">
        {setup.retired
          ? 'Retired: no longer offered. Its measurements stay.'
          : measured
            ? 'It has measurements, so it can be retired but not deleted. A new name changes nothing else.'
            : 'Nothing was measured with it yet.'}
      </p>
    </Part>
  );
}

/** Deletes it, and on undo makes one of the same name and chain. */
function useRemove(setup: Schemas['SetupName'], view: Schemas['SetupView']) {
  const failed = useFailed();
  const navigate = useNavigate();
  const undoable = useUndo();
  const away = useDeleteSetup();
  const add = useAddSetup();
  const keep = useKeepChainOf();
  return () => {
    void navigate('/gear?part=setups');
    away
      .mutateAsync(setup.id)
      .then(() =>
        undoable(`${setup.name} is deleted.`, async () => {
          const made = await add.mutateAsync(setup.name);
          if (view.revision > 0) {
            await keep.mutateAsync({ id: made.id, plan: view.plan });
          }
        }),
      )
      .catch((refused: Error) => failed(refused.message));
  };
}
