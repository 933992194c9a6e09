import { Button, Input, Segmented } from 'antd';
import { useState } from 'react';
import { useSearchParams } from 'react-router';
import { useStays } from '../data/log';
import { type NameKind, useRename } from '../data/mending';
import { useCampsites, useCarriers, useSetups } from '../data/names';
import { stateOf } from '../data/state';
import { SetupLabel } from '../draw/Pennant';
import { type Column, FindableList } from '../parts/FindableList';
import { Loaded } from '../parts/Loaded';
import { useUndoable } from '../parts/useUndo';
import { MergeDialog } from './MergeDialog';
import { useFailed } from '../parts/useFailed';

interface NameRow {
  id: number;
  name: string;
  pennant?: number;
}

const KINDS: { value: NameKind; label: string }[] = [
  { value: 'campsite', label: 'Campsites' },
  { value: 'setup', label: 'Setups' },
  { value: 'carrier', label: 'Carriers' },
];

/** The names of campsites, setups and carriers, to be renamed and merged. */
export function Names() {
  const [query, setQuery] = useSearchParams();
  const kind = KINDS.find((k) => k.value === query.get('kind'))?.value ?? 'campsite';
  const lists = { campsite: useCampsites(), setup: useSetups(), carrier: useCarriers() };
  const stays = useStays();
  const [renaming, setRenaming] = useState<NameRow | null>(null);
  const [merging, setMerging] = useState<NameRow | null>(null);
  const at = (name: string) =>
    stays.data?.filter((v) => (kind === 'campsite' ? v.campsite === name : v.setups.includes(name))).length;
  const columns: Column<NameRow>[] = [
    {
      label: 'Name',
      sorter: (a, b) => a.name.localeCompare(b.name),
      render: (_, n) =>
        renaming?.id === n.id ? (
          <RenameForm kind={kind} named={n} done={() => setRenaming(null)} />
        ) : n.pennant === undefined ? (
          n.name
        ) : (
          <SetupLabel setup={{ name: n.name, pennant: n.pennant }} />
        ),
    },
    ...(kind === 'carrier'
      ? []
      : [
          {
            label: 'Stays',
            align: 'right' as const,
            sorter: (a: NameRow, b: NameRow) => (at(a.name) ?? 0) - (at(b.name) ?? 0),
            render: (_: unknown, n: NameRow) => at(n.name),
          },
        ]),
    {
      label: '',
      render: (_, n) => (
        <>
          <Button type="link" size="small" aria-label={`Rename ${n.name}`} onClick={() => setRenaming(n)}>
            Rename
          </Button>
          <Button
            type="link"
            size="small"
            aria-label={`Merge into another: ${n.name}`}
            onClick={() => setMerging(n)}
          >
            Merge into another
          </Button>
        </>
      ),
    },
  ];
  return (
    <Loaded state={stateOf(lists[kind])}>
      {(all) => (
        <>
          <FindableList<NameRow>
            title={
              <Segmented
                options={KINDS}
                value={kind}
                onChange={(value) => setQuery({ part: 'names', kind: value })}
                aria-label="Names of"
              />
            }
            noun="name"
            rows={all}
            rowKey={(n) => n.id}
            text={(n) => n.name}
            find="find a name"
            empty={`No ${kind} yet. Names come with what is logged or imported.`}
            export={{ file: `${kind}s.csv`, columns: ['name'], row: (n) => [n.name] }}
            columns={columns}
          />
          {merging && (
            <MergeDialog
              kind={kind}
              from={merging}
              others={all.filter((n) => n.id !== merging.id)}
              close={() => setMerging(null)}
            />
          )}
        </>
      )}
    </Loaded>
  );
}

function RenameForm({ kind, named, done }: { kind: NameKind; named: NameRow; done: () => void }) {
  const [name, setName] = useState(named.name);
  const rename = useRename();
  const undoable = useUndoable();
  const failed = useFailed();
  return (
    <form
      className="in-row"
      onSubmit={(e) => {
        e.preventDefault();
        rename.mutate(
          { kind, id: named.id, name },
          {
            onSuccess: ({ change }) => {
              undoable(`${named.name} is ${name.trim()} now.`, change);
              done();
            },
            onError: (refused) => failed(refused.message),
          },
        );
      }}
    >
      <Input
        size="small"
        aria-label="New name"
        autoFocus
        value={name}
        onChange={(e) => setName(e.target.value)}
      />
      <Button
        size="small"
        type="primary"
        htmlType="submit"
        loading={rename.isPending}
        disabled={!name.trim()}
      >
        Rename
      </Button>
      <Button size="small" onClick={done}>
        Cancel
      </Button>
    </form>
  );
}
