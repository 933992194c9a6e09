import type { Schemas } from '../data/client';
import { Part } from '../parts/Sheet';
import { here } from '../format/time';

/** What a browser says about a certificate of one's own, why, and what to do. */
export function Certificate({ certificate }: { certificate: Schemas['CertificateView'] }) {
  return (
    <Part title="The browser's warning" small={`certificate until ${here(certificate.until)}`}>
      <p>
        {certificate.owners
          ? 'Devices are shown your own certificate.'
          : 'Your browser will warn once, because this machine made its own certificate. The connection is encrypted all the same. Continue if the browser shows this fingerprint (SHA-256):'}
      </p>
      <p className="fingerprint">{certificate.fingerprint}</p>
      {certificate.authority && (
        <>
          <p>
            To stop the warning, and to use the page without the server, trust this machine once:{' '}
            <a href="/syntoma-authority.crt" download>
              fetch its authority
            </a>
            , then add it in the phone's settings, under security, as a certificate authority. It can vouch
            for addresses on a vehicle's network and for nothing else. Its fingerprint:
          </p>
          <p className="fingerprint">{certificate.authority}</p>
        </>
      )}
    </Part>
  );
}
