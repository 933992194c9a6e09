import { Button } from 'antd';
import { useEffect, useState } from 'react';
import { usePair } from '../data/access';
import { QrCode } from '../draw/QrCode';
import { countdown } from '../format/time';
import { useFailed } from '../parts/useFailed';

const TICK_MS = 1_000;

/** Makes a code that lets one phone in, and shows it until it is over. */
export function Pairing({
  addresses,
  fingerprint,
}: {
  addresses: string[];
  fingerprint: string | undefined;
}) {
  const pair = usePair();
  const failed = useFailed();
  const [now, setNow] = useState(() => Date.now());
  const code = pair.data;
  useEffect(() => {
    const timer = setInterval(() => setNow(Date.now()), TICK_MS);
    return () => clearInterval(timer);
  }, []);
  const make = () =>
    pair.mutate(undefined, {
      // the code's five minutes begin now, not at the last tick
      onSuccess: () => setNow(Date.now()),
      onError: (refused) => failed(refused.message),
    });
  const over = code !== undefined && now >= Date.parse(code.expiresAt);
  if (!code || over) {
    return (
      <>
        {over && <p>The code is over. A new one is one tap away.</p>}
        <div className="buttons">
          <Button type="primary" loading={pair.isPending} onClick={make}>
            {over ? 'New code' : 'Show a code for the phone'}
          </Button>
        </div>
        <Addresses addresses={addresses} />
      </>
    );
  }
  return (
    <div className="pairing">
      <QrCode rows={code.qr} label={`QR code of ${code.url.replace(/#.*/, '')}`} />
      <div>
        <p>
          Point the phone's camera at it, on the vehicle's network. It pairs one phone, once, for another{' '}
          <b>{countdown(code.expiresAt, now)}</b> min.
        </p>
        <p>
          Or type <b className="code">{code.code}</b> there, at <b>{code.url.replace(/\/pair#.*/, '')}</b>
        </p>
        {fingerprint && (
          <p className="small">
            The phone's browser will warn once. Continue if the certificate has this fingerprint:
            <br />
            <span className="fingerprint">{fingerprint}</span>
          </p>
        )}
        <Button onClick={make}>New code</Button>
      </div>
    </div>
  );
}

function Addresses({ addresses }: { addresses: string[] }) {
  return addresses.length === 0 ? null : (
    <p>
      Or open{' '}
      {addresses.map((address, i) => (
        <span key={address}>
          {i > 0 && ' or '}
          <b>{address}</b>
        </span>
      ))}{' '}
      there, and type the pass phrase.
    </p>
  );
}
