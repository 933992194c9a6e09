import { Button } from 'antd';
import { useServe } from '../data/access';
import type { Schemas } from '../data/client';
import { Part } from '../parts/Sheet';
import { useFailed } from '../parts/useFailed';

/** Serves the vehicle's network or not; who switches it goes on with what is open. */
export function NetworkSwitch({ view }: { view: Schemas['NetworkView'] }) {
  const serve = useServe();
  const failed = useFailed();
  return (
    <Part title={view.phraseSet ? 'The vehicle’s network' : '2. The vehicle’s network'}>
      <p>
        {view.served
          ? 'Open to your vehicle’s network until Syntoma stops. To open it at every start:'
          : 'Closed: nobody else on the network can reach Syntoma. To open it at every start:'}{' '}
        <code>./syntoma run --lan</code>
      </p>
      {view.served && view.addresses.length === 0 && (
        <p className="attention">
          This machine is not on an allowed network. Connect it to the router, then allow that network below.
        </p>
      )}
      {!view.served && view.phraseSet && view.networks.every((n) => n.served === null) && (
        <p className="small">
          This first time it also allows the networks listed below. Tap “Do not allow” on one that is not
          yours.
        </p>
      )}
      <div className="buttons">
        <Button
          type={view.served ? 'default' : 'primary'}
          disabled={!view.phraseSet}
          loading={serve.isPending}
          onClick={() => serve.mutate(!view.served, { onError: (refused) => failed(refused.message) })}
        >
          {view.served ? 'Close to other devices' : 'Open to the vehicle’s network'}
        </Button>
      </div>
    </Part>
  );
}
