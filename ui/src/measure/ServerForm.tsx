import { Button } from 'antd';
import { useState } from 'react';
import { type Schemas, Refusal } from '../data/client';
import { useSetSpeedServer } from '../data/measure';
import { short } from '../format/numbers';
import { Field } from '../parts/Field';

/** Where the speed server is; tried on the spot. */
export function ServerForm({ server, used }: { server: Schemas['ServerView']; used?: () => void }) {
  const [address, setAddress] = useState(server.address ?? '');
  const [key, setKey] = useState<string>();
  const set = useSetSpeedServer();
  const problem = (field: string) =>
    set.error instanceof Refusal ? set.error.errors.find((e) => e.field === field)?.message : undefined;
  const asks = problem('publicAllowed');
  const known = problem('address') ?? problem('key') ?? asks;
  const moved = server.hasSecret && address.trim() !== (server.address ?? '');
  const save = (publicAllowed = false) => {
    used?.();
    set.mutate({
      address,
      ...(key === undefined ? {} : { key }),
      ...(publicAllowed ? { publicAllowed } : {}),
    } as Schemas['ServerRequest']);
  };
  return (
    <form
      className="server-form"
      onSubmit={(event) => {
        event.preventDefault();
        save();
      }}
    >
      <Field
        name="address"
        label="Address"
        value={address}
        onChange={setAddress}
        placeholder="http://192.168.1.20:8790"
        problem={problem('address')}
        hint="A machine at home or a rented one that runs ./syntoma server."
      />
      <Field
        name="key"
        label="Key"
        type="password"
        value={key ?? ''}
        onChange={setKey}
        placeholder={server.hasSecret && !moved ? 'saved; type a new one to change it' : 'none'}
        hint={
          moved ? `The saved key belongs to ${server.address}. Another address starts without it.` : undefined
        }
        problem={problem('key')}
      />
      {asks && (
        <p className="attention" role="alert">
          {asks}{' '}
          <Button size="small" onClick={() => save(true)}>
            Save
          </Button>
        </p>
      )}
      <div className="buttons">
        <Button
          htmlType="submit"
          loading={set.isPending}
          aria-label={
            address.trim() === '' && server.address !== null
              ? 'Remove the speed server'
              : 'Save and test the speed server'
          }
        >
          {address.trim() === '' && server.address !== null ? 'Remove' : 'Save and test'}
        </Button>
      </div>
      {set.error && !known && (
        <p className="loss" role="alert">
          {set.error.message}
        </p>
      )}
      {set.data && (
        <p role="status" className={set.data.reached ? 'gain' : 'loss'}>
          {set.data.reached
            ? `Connected; it answers in ${short(set.data.answerMs)} ms.`
            : `Not reached: ${set.data.problem ?? ''}.`}
        </p>
      )}
    </form>
  );
}
