import { Button } from 'antd';
import { type Device, useDevices, useEndDevice } from '../data/access';
import { stateOf } from '../data/state';
import { here } from '../format/time';
import { type Column, FindableList } from '../parts/FindableList';
import { Loaded } from '../parts/Loaded';
import { useFailed } from '../parts/useFailed';

const what = (device: Device) => (device.page === null ? 'device' : 'guest, one page');

/** The devices that are in and the links that guests have, each to be ended. */
export function DeviceList() {
  const devices = useDevices();
  return <Loaded state={stateOf(devices)}>{(rows) => <List rows={rows} />}</Loaded>;
}

function List({ rows }: { rows: Device[] }) {
  const end = useEndDevice();
  const failed = useFailed();
  const columns: Column<Device>[] = [
    {
      label: 'Device',
      key: 'device',
      render: (_, d) => (
        <>
          {d.device}
          {d.thisOne && <span className="small"> · this one</span>}
          <div className="small">
            {d.source && `${d.source} · `}logged in since {here(d.from)}
          </div>
        </>
      ),
      sorter: (a, b) => a.device.localeCompare(b.device),
    },
    {
      label: 'May',
      key: 'may',
      render: (_, d) => (d.page === null ? 'do everything' : <a href={d.page}>read one page</a>),
      filters: ['device', 'guest, one page'].map((value) => ({ text: value, value })),
      onFilter: (value, d) => what(d) === value,
    },
    {
      label: 'Last used',
      key: 'seen',
      render: (_, d) => here(d.seen),
      sorter: (a, b) => a.seen.localeCompare(b.seen),
    },
    { label: 'Ends', key: 'until', render: (_, d) => here(d.until) },
    {
      label: '',
      key: 'end',
      render: (_, d) => (
        <Button
          size="small"
          loading={end.isPending && end.variables === d.id}
          onClick={() => end.mutate(d.id, { onError: (refused) => failed(refused.message) })}
        >
          {d.page === null ? 'Log out' : 'Revoke the link'}
        </Button>
      ),
    },
  ];
  return (
    <FindableList
      title="Logged in"
      noun="device"
      rows={rows}
      rowKey={(d) => d.id}
      text={(d) => `${d.device} ${d.source} ${what(d)}`}
      find="Find a device"
      columns={columns}
      empty="Nobody yet."
      export={{
        file: 'devices.csv',
        columns: ['device', 'may', 'from', 'since', 'last_used', 'until'],
        row: (d) => [d.device, what(d), d.source, d.from, d.seen, d.until],
      }}
    />
  );
}
