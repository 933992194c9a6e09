import { Button } from 'antd';
import type { RunSheet, useEnter } from '../data/design';
import { useRemove } from '../data/log';
import { Failed } from '../parts/Loaded';

/** What was logged and does not agree with what was to be measured: it is kept, or taken out again. */
export function Doubts({ sheet, enter }: { sheet: RunSheet; enter: ReturnType<typeof useEnter> }) {
  const remove = useRemove();
  return sheet.doubts.map((doubt) => (
    <div className="doubt" role="alert" key={doubt.measurement}>
      <p>
        <b>
          Round {doubt.round}, {doubt.setup}:
        </b>{' '}
        {doubt.says.join(' ')}
      </p>
      <div className="buttons">
        <Button
          onClick={() =>
            enter.mutate({ kind: 'keep', visit: null, measurement: doubt.measurement, text: null })
          }
        >
          Save anyway
        </Button>
        <Button loading={remove.isPending} onClick={() => remove.mutate(doubt.measurement)}>
          Delete it and measure again
        </Button>
      </div>
      {remove.error && <Failed error={remove.error} />}
    </div>
  ));
}
