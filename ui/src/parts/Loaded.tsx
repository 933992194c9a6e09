import { Button } from 'antd';
import type { ReactNode } from 'react';
import type { State } from '../data/state';

/** What of a view needs data: shows that it waits, what failed, or the data. */
export function Loaded<T>(props: { state: State<T>; children: (data: T) => ReactNode }) {
  const { state } = props;
  switch (state.is) {
    case 'waiting':
      return <p className="quiet">Loading…</p>;
    case 'failed':
      return <Failed error={state.error} again={state.again} />;
    case 'there':
      return props.children(state.data);
  }
}

/** A refusal, and where it helps a way to try again. */
export function Failed({ error, again }: { error: Error; again?: () => void }) {
  return (
    <div className="notice" role="alert">
      <p>{error.message}</p>
      {again && <Button onClick={again}>Retry</Button>}
    </div>
  );
}
