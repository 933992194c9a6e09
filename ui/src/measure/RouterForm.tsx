import { Button, Segmented } from 'antd';
import { useState } from 'react';
import { type Schemas, Refusal } from '../data/client';
import { useSetRouter } from '../data/live';
import { Field, FieldFrame } from '../parts/Field';
import { RouterMapping } from './RouterMapping';

const KINDS = [
  { value: 'http-json', label: 'JSON over HTTP' },
  { value: 'at-tcp', label: 'AT over TCP' },
];

/** How the router is asked; tried on the spot, with what it would read. */
export function RouterForm({ router }: { router: Schemas['RouterView'] }) {
  const [kind, setKind] = useState(router.kind ?? 'http-json');
  const [address, setAddress] = useState(router.address ?? '');
  const [path, setPath] = useState(router.path ?? '');
  const [user, setUser] = useState(router.user ?? '');
  const [password, setPassword] = useState<string>();
  const [token, setToken] = useState<string>();
  const set = useSetRouter();
  const problem = (field: string) =>
    set.error instanceof Refusal ? set.error.errors.find((e) => e.field === field)?.message : undefined;
  const http = kind === 'http-json';
  const none = address.trim() === '';
  const moved = router.hasSecret && (address.trim() !== (router.address ?? '') || kind !== router.kind);
  const asks = problem('publicAllowed');
  const save = (mapping?: Record<string, string>, publicAllowed = false) =>
    set.mutate({
      kind: none ? '' : kind,
      address,
      path: http ? path : '',
      user: http ? user : '',
      ...(password === undefined ? {} : { password }),
      ...(token === undefined ? {} : { token }),
      ...(mapping === undefined ? {} : { mapping }),
      ...(publicAllowed ? { publicAllowed } : {}),
    } as Schemas['RouterRequest']);
  return (
    <form
      onSubmit={(event) => {
        event.preventDefault();
        save();
      }}
    >
      <FieldFrame id="field-router-kind" label="Answers">
        <Segmented id="field-router-kind" block options={KINDS} value={kind} onChange={setKind} />
      </FieldFrame>
      <Field
        name="router-address"
        label="Router’s address"
        value={address}
        onChange={setAddress}
        placeholder={http ? 'http://192.168.1.1' : '192.168.1.1:5555'}
        problem={problem('address')}
      />
      {moved && (
        <p className="attention small">
          The saved password and the mapping belong to {router.address}. Another address starts without them.
        </p>
      )}
      {http && (
        <>
          <Field
            name="router-path"
            label="Path"
            value={path}
            onChange={setPath}
            placeholder="/api/signal"
            problem={problem('path')}
          />
          <details className="numbers">
            <summary>Password or token{router.hasSecret && !moved ? ' (saved)' : ''}</summary>
            <Field
              name="router-user"
              label="User"
              value={user}
              onChange={setUser}
              problem={problem('user')}
            />
            <Field
              name="router-password"
              label="Password"
              type="password"
              value={password ?? ''}
              onChange={setPassword}
              placeholder={router.hasSecret && !moved ? 'saved' : ''}
              problem={problem('password')}
            />
            <Field
              name="router-token"
              label="Bearer token, in place of both"
              type="password"
              value={token ?? ''}
              onChange={setToken}
              placeholder={router.hasSecret && !moved ? 'saved' : ''}
              problem={problem('token')}
            />
          </details>
        </>
      )}
      {asks && (
        <p className="attention" role="alert">
          {asks}{' '}
          <Button size="small" onClick={() => save(undefined, true)}>
            Save
          </Button>
        </p>
      )}
      <div className="buttons">
        <Button
          htmlType="submit"
          loading={set.isPending}
          aria-label={none && router.kind !== null ? 'Remove the router' : 'Save and test the router'}
        >
          {none && router.kind !== null ? 'Remove' : 'Save and test'}
        </Button>
      </div>
      {set.error && !(set.error instanceof Refusal && set.error.errors.length > 0) && (
        <p className="loss" role="alert">
          {set.error.message}
        </p>
      )}
      {set.data && <RouterMapping probed={set.data} mapping={router.mapping} keep={save} />}
    </form>
  );
}
