import { App, Button } from 'antd';

/** Says what was done, and offers to undo it. */
export function useUndo() {
  const { notification, message } = App.useApp();
  return (title: string, undo: () => Promise<unknown>) => {
    const key = `${title} ${Date.now()}`;
    notification.success({
      key,
      title,
      placement: 'bottomLeft',
      duration: 12,
      actions: (
        <Button
          size="small"
          onClick={() =>
            void undo()
              .then(() => notification.destroy(key))
              .catch((refused: Error) => void message.error(refused.message))
          }
        >
          Undo
        </Button>
      ),
    });
  };
}
