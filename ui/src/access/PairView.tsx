import { Button } from 'antd';
import { useEffect, useState } from 'react';
import { Link } from 'react-router';
import { useLogIn, useNetwork } from '../data/access';
import { Certificate } from './Certificate';
import { useDeviceName } from './deviceName';
import { LogIn } from './LogIn';
import { takeSecret } from './secret';
import './access.css';

/** Where a QR code leads: the phone is admitted at once, and told what to do next. */
export function PairView() {
  const [code] = useState(takeSecret);
  const [device] = useDeviceName();
  const { mutate, ...logIn } = useLogIn();
  useEffect(() => {
    document.title = 'Pairing · Syntoma';
    if (code !== '') {
      mutate({ code, device });
    }
    // eslint-disable-next-line react-hooks/exhaustive-deps -- a code is used once
  }, []);
  if (code === '' || logIn.isError) {
    return (
      <LogIn>
        <p className="loss" role="alert">
          {logIn.error?.message ?? 'This address has no code. Scan the QR code again.'}
        </p>
      </LogIn>
    );
  }
  return logIn.isSuccess ? <In /> : <div className="door">Pairing this phone…</div>;
}

function In() {
  const { data: network } = useNetwork();
  return (
    <div className="door">
      <main>
        <h1>This phone is paired.</h1>
        <p>
          <Link to="/tonight" className="onward">
            <Button type="primary">Go to Tonight</Button>
          </Link>
        </p>
        {network?.certificate && !network.certificate.owners && (
          <Certificate certificate={network.certificate} />
        )}
      </main>
    </div>
  );
}
