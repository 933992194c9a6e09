import { Modal, Select } from 'antd';
import { useState } from 'react';
import { type Merge, type NameKind, useMerge, useMergePreview } from '../data/mending';
import { count } from '../format/numbers';
import { useUndoable } from '../parts/useUndo';
import { useFailed } from '../parts/useFailed';

/** Merges one name into another: what it moves is shown before. */
export function MergeDialog(props: {
  kind: NameKind;
  from: { id: number; name: string };
  others: { id: number; name: string }[];
  close: () => void;
}) {
  const { kind, from, others, close } = props;
  const [into, setInto] = useState<number | null>(null);
  const preview = useMergePreview(kind, from.id, into);
  const merge = useMerge();
  const undoable = useUndoable();
  const failed = useFailed();
  const save = () =>
    into !== null &&
    merge.mutate(
      { kind, from: from.id, into },
      {
        onSuccess: (merged) => {
          undoable(`${merged.from} is ${merged.into} now.`, merged.change);
          close();
        },
        onError: (refused) => failed(refused.message),
      },
    );
  return (
    <Modal
      open
      onCancel={close}
      title={`Merge ${from.name} into another ${kind}`}
      okText={preview.data ? `Merge into ${preview.data.into}` : 'Merge'}
      cancelText="Cancel"
      okButtonProps={{ disabled: !preview.data }}
      confirmLoading={merge.isPending}
      onOk={save}
    >
      <label htmlFor="merge-into">
        All of <b>{from.name}</b> becomes part of
      </label>
      <Select
        id="merge-into"
        showSearch
        autoFocus
        style={{ width: '100%', marginTop: 6 }}
        placeholder={`choose a ${kind}`}
        value={into ?? undefined}
        onChange={setInto}
        options={others.map((o) => ({ value: o.id, label: o.name }))}
        optionFilterProp="label"
      />
      {into !== null && preview.isFetching && <p className="quiet">Calculating what that moves…</p>}
      {preview.error && (
        <p className="loss" role="alert">
          {preview.error.message}
        </p>
      )}
      {preview.data && <Preview merge={preview.data} />}
    </Modal>
  );
}

function Preview({ merge }: { merge: Merge }) {
  const trials = Object.entries(merge.renamed);
  return (
    <>
      <table className="plain">
        <tbody>
          <tr>
            <td className="name">Measurements that move</td>
            <td>{merge.measurements}</td>
          </tr>
          {merge.same > 0 && (
            <tr>
              <td className="name">There already, kept once</td>
              <td>{merge.same}</td>
            </tr>
          )}
          {merge.stays > 0 && (
            <tr>
              <td className="name">Stays that you stated</td>
              <td>{merge.stays}</td>
            </tr>
          )}
          {trials.map(([before, now]) => (
            <tr key={before}>
              <td className="name">Trial {before}</td>
              <td>
                becomes {now}, because {merge.into} has one of that name
              </td>
            </tr>
          ))}
        </tbody>
      </table>
      <p className="small">
        From then on, files that say {merge.from} mean {merge.into}. Undo brings{' '}
        {count(merge.measurements + merge.same, 'measurement')} back exactly as they were.
      </p>
    </>
  );
}
