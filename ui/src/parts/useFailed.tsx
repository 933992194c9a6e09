import { App, Button } from 'antd';

/** Says why something failed; it stays until it was read, and the same is not said twice. */
export function useFailed() {
  const { message } = App.useApp();
  return (why: string) => {
    void message.error({
      key: why,
      duration: 0,
      content: (
        <>
          {why}{' '}
          <Button size="small" type="link" aria-label={`Close: ${why}`} onClick={() => message.destroy(why)}>
            Close
          </Button>
        </>
      ),
    });
  };
}
