import { App, Button, Input, Modal, Segmented } from 'antd';
import { useState } from 'react';
import { useInvite, useSession } from '../data/access';
import { here } from '../format/time';
import { Field, FieldFrame } from './Field';
import { useFailed } from './useFailed';

const DAYS = [
  { value: 1, label: '1 day' },
  { value: 7, label: '7 days' },
  { value: 30, label: '30 days' },
  { value: 90, label: '90 days' },
];

/** Makes a link by which a guest reads the page that is shown, and nothing else; offered where the network is served. */
export function GuestLink() {
  const { data: session } = useSession();
  const [open, setOpen] = useState(false);
  if (!session?.needed || session.page !== null) {
    return null;
  }
  return (
    <>
      <Button className="no-print" onClick={() => setOpen(true)}>
        Share
      </Button>
      {open && <Dialog close={() => setOpen(false)} />}
    </>
  );
}

function Dialog({ close }: { close: () => void }) {
  const [name, setName] = useState('');
  const [days, setDays] = useState(7);
  const invite = useInvite();
  const { message } = App.useApp();
  const failed = useFailed();
  const make = () =>
    invite.mutate(
      { page: window.location.pathname + window.location.search, days, name },
      { onError: (refused) => failed(refused.message) },
    );
  const link = invite.data;
  return (
    <Modal
      open
      onCancel={close}
      title="Share this page"
      okText={link ? 'Done' : 'Create link'}
      onOk={link ? close : make}
      confirmLoading={invite.isPending}
      footer={(_, { OkBtn, CancelBtn }) => (
        <>
          {!link && <CancelBtn />}
          <OkBtn />
        </>
      )}
    >
      {link ? (
        <>
          <p>
            Anyone with this link can read this page and nothing else, on the vehicle’s network, until{' '}
            {here(link.until)}. It is not shown again. You can revoke it under Devices.
          </p>
          <div className="guest-link">
            <Input readOnly aria-label="The link" value={link.url} onFocus={(e) => e.target.select()} />
          </div>
          <div className="buttons">
            <Button
              onClick={() =>
                void navigator.clipboard.writeText(link.url).then(
                  () => message.success('Copied.'),
                  () => failed('The browser blocked copying. Select the link and copy it by hand.'),
                )
              }
            >
              Copy
            </Button>
          </div>
        </>
      ) : (
        <>
          <Field name="guest" label="For whom?" value={name} onChange={setName} placeholder="a guest" />
          <FieldFrame id="field-days" label="For how long?">
            <Segmented id="field-days" block options={DAYS} value={days} onChange={setDays} />
          </FieldFrame>
        </>
      )}
    </Modal>
  );
}
