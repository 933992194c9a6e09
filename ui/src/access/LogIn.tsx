import { Button } from 'antd';
import { type ReactNode, useState } from 'react';
import { useLogIn } from '../data/access';
import { Field } from '../parts/Field';
import { useDeviceName } from './deviceName';
import './access.css';

/** What a device sees that is not admitted yet: the pass phrase, or the code of a pairing. */
export function LogIn({ children }: { children?: ReactNode }) {
  const [by, setBy] = useState<'phrase' | 'code'>('phrase');
  const [typed, setTyped] = useState('');
  const [device, setDevice] = useDeviceName();
  const logIn = useLogIn();
  return (
    <div className="door">
      <main>
        <h1>This device is not logged in yet.</h1>
        {children}
        <form
          onSubmit={(e) => {
            e.preventDefault();
            logIn.mutate({ [by]: typed, device });
          }}
        >
          {by === 'phrase' ? (
            <Field
              key="phrase"
              name="phrase"
              label="Pass phrase"
              type="password"
              value={typed}
              onChange={setTyped}
              autoFocus
              problem={logIn.error?.message}
              hint="The one that was set on the machine that runs Syntoma."
            />
          ) : (
            <Field
              key="code"
              name="code"
              label="Pairing code"
              value={typed}
              onChange={setTyped}
              autoFocus
              problem={logIn.error?.message}
              hint="On a device that is logged in: Devices, then “Pair a phone”."
            />
          )}
          <Field name="device" label="Name of this device" value={device} onChange={setDevice} />
          <Button type="primary" htmlType="submit" disabled={typed.trim() === ''} loading={logIn.isPending}>
            Log in
          </Button>{' '}
          <Button
            type="link"
            onClick={() => {
              logIn.reset();
              setTyped('');
              setBy(by === 'phrase' ? 'code' : 'phrase');
            }}
          >
            {by === 'phrase' ? 'I have a pairing code' : 'I know the pass phrase'}
          </Button>
        </form>
        <p className="small">
          What you log meanwhile waits on this device. Forgot the pass phrase? Set a new one on the machine
          that runs Syntoma, under Devices or with <code>./syntoma phrase</code>.
        </p>
      </main>
    </div>
  );
}
