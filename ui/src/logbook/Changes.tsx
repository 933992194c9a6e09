import { App, Button } from 'antd';
import type { Schemas } from '../data/client';
import { useChanges, useUndoChange } from '../data/log';
import { stateOf } from '../data/state';
import { dateClock } from '../format/time';
import { type Column, FindableList } from '../parts/FindableList';
import { Loaded } from '../parts/Loaded';
import { useFailed } from '../parts/useFailed';

type Entry = Schemas['EntryView'];

const KINDS: Record<string, string> = {
  deleted: 'deleted',
  edited: 'corrected',
  imported: 'imported',
  renamed: 'renamed',
  'also-named': 'another name',
  merged: 'merged',
  moved: 'moved',
  'stay-changed': 'stay changed',
};

/** What was changed of the log, the latest first, each to be undone. */
export function Changes() {
  const changes = useChanges();
  const undo = useUndoChange();
  const { modal } = App.useApp();
  const failed = useFailed();
  const take = (entry: Entry) => undo.mutate(entry.id, { onError: (refused) => failed(refused.message) });
  const ask = (entry: Entry) =>
    entry.kind === 'imported'
      ? modal.confirm({
          title: 'Undo the whole import?',
          icon: null,
          content: `${entry.sentence}. All its measurements are deleted, corrections included, and names that nothing else uses. You can import the file again.`,
          okText: 'Undo the import',
          cancelText: 'Cancel',
          onOk: () => take(entry),
        })
      : take(entry);
  const columns: Column<Entry>[] = [
    {
      label: 'When',
      sorter: (a, b) => a.id - b.id,
      defaultSortOrder: 'descend',
      render: (_, e) => dateClock(e.at),
    },
    {
      label: 'What',
      filters: Object.entries(KINDS).map(([value, text]) => ({ value, text })),
      onFilter: (value, e) => e.kind === value,
      render: (_, e) => <span className="wraps">{e.sentence}</span>,
    },
    {
      label: 'Undo',
      render: (_, e) =>
        e.undoneAt === null ? (
          <Button size="small" onClick={() => ask(e)} loading={undo.isPending && undo.variables === e.id}>
            Undo<span className="aloud">: {e.sentence}</span>
          </Button>
        ) : (
          <span className="small">undone {dateClock(e.undoneAt)}</span>
        ),
    },
  ];
  return (
    <Loaded state={stateOf(changes)}>
      {(entries) => (
        <FindableList
          title="Changes"
          noun="change"
          rows={entries}
          rowKey={(e) => e.id}
          text={(e) => e.sentence}
          find="find a change"
          empty="Nothing was changed yet. Imports, corrections, deletions, merged names and changed stays are listed here."
          export={{
            file: 'changes.csv',
            columns: ['at', 'kind', 'sentence', 'undone_at'],
            row: (e) => [e.at, e.kind, e.sentence, e.undoneAt],
          }}
          columns={columns}
        />
      )}
    </Loaded>
  );
}
