import { useUnits } from '../format/units';
import { Button, Segmented } from 'antd';
import { useState } from 'react';
import type { Schemas } from '../data/client';
import { useDeleteGear, useGear, useGearForms, useKeepGear } from '../data/rig';
import { stateOf } from '../data/state';
import { useStored } from '../data/useStored';
import { useMoney } from '../data/useMoney';
import { type Column, FindableList } from '../parts/FindableList';
import { Loaded } from '../parts/Loaded';
import { OfferDemo } from '../parts/OfferDemo';
import { Part, Sheet } from '../parts/Sheet';
import { useUndo } from '../parts/useUndo';
import { GearEditor, type GearDraft } from './GearEditor';
import { GearFiles } from './GearFiles';
import { summary } from './gearSummary';
import { RigParts } from './RigParts';
import { useFailed } from '../parts/useFailed';

type Item = Schemas['GearItem'];

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
  const [draft, keep, forget] = useStored<GearDraft | null>('rig.gear', null);
  return (
    <Sheet
      title="Gear list"
      over={<RigParts here="shelf" />}
      headline={gear.data ? headline(gear.data) : 'Gear list'}
      margin={
        <>
          <Part title="Add gear">
            <div className="buttons">
              <Button type="primary" onClick={() => keep(FRESH)}>
                Add gear
              </Button>
            </div>
            <p className="small">
              A short form first, the rest of the data sheet later. What is not entered stays unknown and is
              never guessed.
            </p>
          </Part>
          <GearFiles />
        </>
      }
    >
      <Loaded state={stateOf(gear)}>
        {(items) => <Shelf items={items} edit={(g) => keep(asDraft(g))} />}
      </Loaded>
      {draft && <GearEditor draft={draft} change={keep} close={forget} />}
    </Sheet>
  );
}

function headline(items: Item[]) {
  const of = (state: string) => items.filter((g) => g.state === state).length;
  return items.length === 0
    ? 'No gear yet. Add your router first; a name and its bands are enough.'
    : `${of('owned')} owned, ${of('considered')} considered.`;
}

function Shelf({ items, edit }: { items: Item[]; edit: (item: Item) => void }) {
  const { system } = useUnits();
  const kinds = useGearForms().data?.forms.map((f) => f.kind) ?? [];
  const [kind, setKind] = useState('all');
  return (
    <FindableList
      title="Gear list"
      noun="item"
      rows={items.filter((g) => kind === 'all' || g.kind === kind)}
      rowKey={(g) => g.id}
      text={(g) => `${g.name} ${g.kind} ${g.state} ${summary(g, system)}`}
      find="find by name or band"
      empty={
        items.length > 0 ? (
          'Nothing of this on the shelf.'
        ) : (
          <>
            <p>No gear yet. Start with the device: enter it, or paste its data sheet.</p>
            <OfferDemo />
          </>
        )
      }
      pageSize={30}
      over={
        <div className="chart-scroll">
          <Segmented size="small" value={kind} options={['all', ...kinds]} onChange={setKind} />
        </div>
      }
      columns={useColumns(edit)}
    />
  );
}

function useColumns(edit: (item: Item) => void): Column<Item>[] {
  const { money } = useMoney();
  const { system } = useUnits();
  const { remove, retire } = useShelf();
  return [
    {
      label: 'Name',
      sorter: (a, b) => a.name.localeCompare(b.name),
      render: (_, g) => (
        <div>
          <Button type="link" size="small" className="in-line" onClick={() => edit(g)}>
            {g.name}
          </Button>
          <div className="small">{summary(g, system)}</div>
        </div>
      ),
    },
    { label: 'Kind', dataIndex: 'kind', sorter: (a, b) => a.kind.localeCompare(b.kind) },
    { label: 'State', dataIndex: 'state', sorter: (a, b) => a.state.localeCompare(b.state) },
    {
      label: 'Price',
      align: 'right',
      sorter: (a, b) => (a.price ?? -1) - (b.price ?? -1),
      render: (_, g) => (g.price === null ? <span className="quiet">unknown</span> : money(g.price, 0)),
    },
    {
      label: '',
      align: 'right',
      render: (_, g) =>
        g.setups.length > 0 && g.state !== 'retired' ? (
          <Button
            type="link"
            size="small"
            aria-label={`Retire ${g.name}`}
            onClick={() => retire(g)}
            title={`in ${g.setups.join(', ')}`}
          >
            Retire
          </Button>
        ) : g.setups.length > 0 ? null : (
          <Button type="link" size="small" aria-label={`Delete ${g.name}`} onClick={() => remove(g)}>
            Delete
          </Button>
        ),
    },
  ];
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

/** Delete and retire, each with undo. */
function useShelf() {
  const failed = useFailed();
  const undoable = useUndo();
  const keep = useKeepGear();
  const away = useDeleteGear();
  const onError = (refused: Error) => failed(refused.message);
  const asState = (g: Item, state: string) => ({ id: g.id, body: { ...asRequest(g), state } });
  return {
    remove: (g: Item) =>
      away.mutate(g.id, {
        onSuccess: () =>
          undoable(`Deleted ${g.name}.`, () => keep.mutateAsync({ id: null, body: asRequest(g) })),
        onError,
      }),
    retire: (g: Item) =>
      keep.mutate(asState(g, 'retired'), {
        onSuccess: () =>
          undoable(`${g.name} is retired; ${g.setups.join(', ')} still use it.`, () =>
            keep.mutateAsync(asState(g, g.state)),
          ),
        onError,
      }),
  };
}
