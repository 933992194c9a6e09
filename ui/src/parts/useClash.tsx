import { useQueryClient } from '@tanstack/react-query';
import { App } from 'antd';
import { type Change, Clash } from '../data/client';
import { useFailed } from './useFailed';

/**
 * What to do when a change is refused: where somebody else changed the same meanwhile, says what it was and lets this one
 * be kept all the same; else says the refusal.
 */
export function useClash() {
  const { modal } = App.useApp();
  const failed = useFailed();
  const client = useQueryClient();
  return (refused: Error, keepMine: (version: number) => void) => {
    if (!(refused instanceof Clash)) {
      failed(refused.message);
      return;
    }
    void client.invalidateQueries();
    modal.confirm({
      title: 'Changed meanwhile, from another page or device',
      icon: null,
      width: 520,
      content: <Changes changes={refused.changes} />,
      okText: 'Save mine anyway',
      cancelText: 'Reload',
      onOk: () => keepMine(refused.version),
    });
  };
}

/** Sends a change; where somebody else changed the same meanwhile, this one can be kept all the same. */
export function useKeep<C extends { version?: number }>(mutation: {
  mutate: (change: C, then: { onSuccess: () => void; onError: (refused: Error) => void }) => void;
}) {
  const clash = useClash();
  const keep = (change: C, done: () => void = () => undefined) =>
    mutation.mutate(change, {
      onSuccess: done,
      onError: (refused) => clash(refused, (version) => keep({ ...change, version }, done)),
    });
  return keep;
}

/** What the other one changed, field by field. */
export function Changes({ changes }: { changes: Change[] }) {
  return (
    <>
      <p>Nothing of yours was saved yet, and nothing of it is lost. This is what changed:</p>
      <table className="plain">
        <thead>
          <tr>
            <th>Field</th>
            <th>Was</th>
            <th>Is now</th>
          </tr>
        </thead>
        <tbody>
          {changes.map((c) => (
            <tr key={c.field}>
              <td>{c.field}</td>
              <td>{c.was ?? 'nothing'}</td>
              <td>{c.now ?? 'nothing'}</td>
            </tr>
          ))}
          {changes.length === 0 && (
            <tr>
              <td colSpan={3}>It was saved again as it was.</td>
            </tr>
          )}
        </tbody>
      </table>
    </>
  );
}
