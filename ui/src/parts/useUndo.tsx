import { useQueryClient } from '@tanstack/react-query';
import { App, Button } from 'antd';
import { useUndoChange } from '../data/log';
import { useNarrow } from './useNarrow';
import { useFailed } from './useFailed';

/** How long an undo stays, unless something else is done before. */
const STAYS_S = 30;

/** The undo that is there now; another takes its place. */
let standing: (() => void) | null = null;

/** Says what was done, and offers to undo it until the next thing is done. */
export function useUndo() {
  const { notification } = App.useApp();
  const failed = useFailed();
  const client = useQueryClient();
  const narrow = useNarrow();
  return (title: string, undo: () => Promise<unknown>) => {
    standing?.();
    const key = `${title} ${Date.now()}`;
    const stop = client.getMutationCache().subscribe((event) => {
      if (event.type === 'added') {
        away();
      }
    });
    const away = () => {
      stop();
      standing = null;
      notification.destroy(key);
    };
    standing = away;
    notification.open({
      key,
      title,
      // a drawer's own button is on the right
      placement: narrow ? 'bottom' : 'bottomLeft',
      className: 'undo',
      duration: STAYS_S,
      onClose: stop,
      actions: (
        <Button
          onClick={() => {
            away();
            void undo().catch((refused: Error) => failed(refused.message));
          }}
        >
          Undo
        </Button>
      ),
    });
  };
}

/** The same for a change of the log, which the journal undoes; nothing is said where nothing was changed. */
export function useUndoable() {
  const undoable = useUndo();
  const undo = useUndoChange();
  return (title: string, change: number | null) => {
    if (change !== null) {
      undoable(title, () => undo.mutateAsync(change));
    }
  };
}
