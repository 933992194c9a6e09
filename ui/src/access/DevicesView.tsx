import { Link } from 'react-router';
import type { Schemas } from '../data/client';
import { useNetwork } from '../data/access';
import { stateOf } from '../data/state';
import { Loaded } from '../parts/Loaded';
import { Part, Sheet } from '../parts/Sheet';
import { Certificate } from './Certificate';
import { DeviceList } from './DeviceList';
import { Networks } from './Networks';
import { NetworkSwitch } from './NetworkSwitch';
import { Pairing } from './Pairing';
import { PhraseForm } from './PhraseForm';
import { ThisDevice } from './ThisDevice';
import './access.css';

/** Who may in: the vehicle's network, the pass phrase, phones and guests. */
export function DevicesView() {
  const network = useNetwork();
  const { data } = network;
  return (
    <Sheet
      title="Devices"
      over={<Link to="/tonight">Tonight</Link>}
      headline={data ? headline(data) : 'Devices'}
      margin={<ThisDevice served={data?.served ?? false} />}
    >
      <Loaded state={stateOf(network)}>{(view) => <Parts view={view} />}</Loaded>
    </Sheet>
  );
}

function headline(view: Schemas['NetworkView']) {
  if (view.served) {
    return 'Phones and tablets on the vehicle’s network can open Syntoma, once they are paired.';
  }
  return view.phraseSet
    ? 'Only this machine can open Syntoma. Open it to the vehicle’s network to use it from your phone.'
    : 'Only this machine can open Syntoma. Set a pass phrase to use it from the phone.';
}

function Parts({ view }: { view: Schemas['NetworkView'] }) {
  return (
    <>
      {view.here && !view.phraseSet && (
        <Part title="1. Pass phrase">
          <PhraseForm isSet={false} />
        </Part>
      )}
      {view.here && <NetworkSwitch view={view} />}
      {view.here && view.phraseSet && <Networks view={view} />}
      {view.served && (
        <Part title="Pair a phone">
          <Pairing addresses={view.addresses} fingerprint={view.certificate?.fingerprint} />
        </Part>
      )}
      {view.served && <DeviceList />}
      {view.certificate && <Certificate certificate={view.certificate} />}
      {view.here && view.phraseSet && (
        <Part title="Another pass phrase">
          <details className="numbers">
            <summary>Change the pass phrase</summary>
            <PhraseForm isSet />
          </details>
        </Part>
      )}
      {!view.here && (
        <p className="small">The pass phrase and the networks are set on the machine that runs Syntoma.</p>
      )}
    </>
  );
}
