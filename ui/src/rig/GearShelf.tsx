import { useMutation, useQueryClient } from '@tanstack/react-query';
import { App, Button, Input, Segmented, Table } from 'antd';
import { useState } from 'react';
import { api, type Schemas, unwrap } from '../api/client';
import { useGear } from '../app/queries';
import { Part, Sheet, Waiting } from '../app/Sheet';
import { count, fixed } from '../format/numbers';
import { useStored } from '../forms/useStored';
import { GearEditor, type GearDraft } from './GearEditor';
import { GearFiles } from './GearFiles';
import { summary } from './gearSummary';
import { RigParts } from './RigParts';

type Item = Schemas['GearItem'];

const KINDS = ['device', 'antenna', 'cable', 'adapter', 'booster', 'mount', 'SIM'];
const FRESH: GearDraft = {
  id: null,
  kind: 'device',
  name: '',
  state: 'considered',
  price: '',
  sheet: {},
  version: 0,
};

/** What is owned and what is considered, each with its data sheet. */
export function GearShelf() {
  const gear = useGear();
  const [kind, setKind] = useState('all');
  const [text, setText] = useState('');
  const [draft, keep, forget] = useStored<GearDraft | null>('rig.gear', null);
  const { remove, retire } = useShelf();
  const rows = (gear.data ?? []).filter(
    (g) =>
      (kind === 'all' || g.kind === kind) &&
      `${g.name} ${g.kind} ${g.state} ${summary(g)}`.toLowerCase().includes(text.trim().toLowerCase()),
  );
  const owned = gear.data?.filter((g) => g.state === 'owned').length ?? 0;
  const considered = gear.data?.filter((g) => g.state === 'considered').length ?? 0;
  return (
    <Sheet
      over={<RigParts here="shelf" />}
      headline={
        gear.data?.length === 0
          ? 'The shelf is empty. Put your router on it first; a name and its bands are enough.'
          : `${owned} owned, ${considered} considered.`
      }
      margin={
        <>
          <Part title="Put something on the shelf">
            <div className="buttons">
              <Button type="primary" onClick={() => keep(FRESH)}>
                Add gear
              </Button>
            </div>
            <p className="small">
              A short form first, the rest of the data sheet when you have it. What is not entered stays
              unknown and is never guessed.
            </p>
          </Part>
          <GearFiles />
        </>
      }
    >
      {!gear.data && <Waiting error={gear.error} retry={() => void gear.refetch()} />}
      <Part
        title="Gear shelf"
        small={count(rows.length, 'item')}
        actions={
          <Input
            size="small"
            data-find
            allowClear
            placeholder="find by name or band  /"
            value={text}
            onChange={(e) => setText(e.target.value)}
          />
        }
      >
        <div className="chart-scroll">
          <Segmented size="small" value={kind} options={['all', ...KINDS]} onChange={setKind} />
        </div>
        <Table<Item>
          size="small"
          rowKey="id"
          dataSource={rows}
          pagination={rows.length > 30 ? { pageSize: 30, showSizeChanger: false } : false}
          locale={{ emptyText: 'Nothing of this on the shelf.' }}
          columns={[
            {
              title: 'Name',
              sorter: (a, b) => a.name.localeCompare(b.name),
              render: (_, g) => (
                <>
                  <Button type="link" size="small" className="in-line" onClick={() => keep(asDraft(g))}>
                    {g.name}
                  </Button>
                  <div className="small">{summary(g)}</div>
                </>
              ),
            },
            {
              title: 'Kind',
              dataIndex: 'kind',
              sorter: (a, b) => a.kind.localeCompare(b.kind),
              responsive: ['sm'],
            },
            { title: 'State', dataIndex: 'state', sorter: (a, b) => a.state.localeCompare(b.state) },
            {
              title: 'Price',
              align: 'right',
              sorter: (a, b) => (a.price ?? -1) - (b.price ?? -1),
              render: (_, g) =>
                g.price === null ? <span className="quiet">unknown</span> : fixed(g.price, 0),
            },
            {
              title: '',
              align: 'right',
              responsive: ['sm'],
              render: (_, g) =>
                g.setups.length > 0 && g.state !== 'retired' ? (
                  <Button
                    type="link"
                    size="small"
                    onClick={() => retire(g)}
                    title={`in ${g.setups.join(', ')}`}
                  >
                    Retire
                  </Button>
                ) : g.setups.length > 0 ? null : (
                  <Button type="link" size="small" onClick={() => remove(g)}>
                    Delete
                  </Button>
                ),
            },
          ]}
        />
      </Part>
      {draft && <GearEditor draft={draft} change={keep} close={forget} />}
    </Sheet>
  );
}

const asDraft = (g: Item): GearDraft => ({
  id: g.id,
  kind: g.kind,
  name: g.name,
  state: g.state,
  price: g.price === null ? '' : String(g.price),
  sheet: g.sheet,
  version: g.version,
});

const asRequest = ({ kind, name, state, price, sheet }: Item) => ({
  kind,
  name,
  state,
  sheet,
  price: price === null ? null : String(price),
});

/** Delete with undo, and retire with undo. */
function useShelf() {
  const client = useQueryClient();
  const { notification, message } = App.useApp();
  const refresh = () => client.invalidateQueries();
  const say = (title: string, undo: () => Promise<unknown>) => {
    const key = title;
    notification.success({
      key,
      title,
      placement: 'bottomLeft',
      actions: (
        <Button
          size="small"
          onClick={() =>
            void undo()
              .then(refresh)
              .then(() => notification.destroy(key))
          }
        >
          Undo
        </Button>
      ),
    });
  };
  const put = (g: Item, state: string) =>
    unwrap(api.PUT('/api/gear/{id}', { params: { path: { id: g.id } }, body: { ...asRequest(g), state } }));
  const onError = (refused: Error) => void message.error(refused.message);
  const remove = useMutation({
    mutationFn: (g: Item) => unwrap(api.DELETE('/api/gear/{id}', { params: { path: { id: g.id } } })),
    onSuccess: (_, g) => {
      void refresh();
      say(`${g.name} is off the shelf.`, () => unwrap(api.POST('/api/gear', { body: asRequest(g) })));
    },
    onError,
  });
  const retire = useMutation({
    mutationFn: (g: Item) => put(g, 'retired'),
    onSuccess: (_, g) => {
      void refresh();
      say(`${g.name} is retired; ${g.setups.join(', ')} keep it.`, () => put(g, g.state));
    },
    onError,
  });
  return { remove: remove.mutate, retire: retire.mutate };
}
