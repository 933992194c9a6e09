import { Modal, Select } from 'antd';
import { useState } from 'react';
import { Clash, Refusal, type Schemas } from '../data/client';
import { type StayChange, useMove, useSplitStay, useStayDates, useStays } from '../data/log';
import { count } from '../format/numbers';
import { fullSpan, offset, span } from '../format/time';
import { FieldFrame } from '../parts/Field';
import { NameField } from '../parts/NameField';
import { useClash } from '../parts/useClash';
import { useUndoable } from '../parts/useUndo';
import { useFailed } from '../parts/useFailed';

type Visit = Schemas['Visit'];

/** A moment as a field of date and time has it, and back, in the time of the place. */
const local = (iso: string) => iso.slice(0, 16);
const moment = (text: string, of: string) => `${text}:00${offset(of) === 'Z' ? '+00:00' : offset(of)}`;

/** What follows a change of a stay: it can be undone and the dialog closes, or what is wrong stands at its field. */
function useMending(close: () => void) {
  const [problems, setProblems] = useState<Schemas['FieldProblem'][]>([]);
  const undoable = useUndoable();
  const failed = useFailed();
  return {
    problem: (field: string) => problems.find((p) => p.field === field)?.message,
    then: (done: string) => ({
      onSuccess: ({ change }: Schemas['MendOutcome']) => {
        undoable(done, change);
        close();
      },
      onError: (error: Error) => {
        setProblems(error instanceof Refusal ? error.errors : []);
        failed(error.message);
      },
    }),
  };
}

function MomentField(props: {
  id: string;
  label: string;
  value: string;
  change: (value: string) => void;
  problem?: string | undefined;
  hint?: string;
}) {
  const { id, label, value, change, problem, hint } = props;
  return (
    <FieldFrame id={id} label={label} problem={problem} hint={hint}>
      <input
        id={id}
        type="datetime-local"
        className="ant-input ant-input-outlined moment"
        value={value}
        onChange={(e) => change(e.target.value)}
      />
    </FieldFrame>
  );
}

/** When a stay began and ended. */
export function StayDatesDialog({ visit, close }: { visit: Visit; close: () => void }) {
  const [from, setFrom] = useState(local(visit.arrivedAt));
  const [to, setTo] = useState(visit.leftAt ? local(visit.leftAt) : '');
  const dates = useStayDates();
  const mending = useMending(close);
  const clash = useClash();
  const same = from === local(visit.arrivedAt) && to === (visit.leftAt ? local(visit.leftAt) : '');
  const save = (change: StayChange) => {
    const then = mending.then(`Saved the dates of the stay at ${visit.campsite}.`);
    dates.mutate(change, {
      ...then,
      onError: (error) =>
        error instanceof Clash
          ? clash(error, (version) => save({ ...change, version }))
          : then.onError(error),
    });
  };
  return (
    <Modal
      open
      onCancel={close}
      title={`When were you at ${visit.campsite}?`}
      okText="Save"
      cancelText="Cancel"
      okButtonProps={{ disabled: same || from === '' }}
      confirmLoading={dates.isPending}
      onOk={() =>
        save({
          id: visit.id,
          body: {
            arrivedAt: moment(from, visit.arrivedAt),
            leftAt: to === '' ? null : moment(to, visit.leftAt ?? visit.arrivedAt),
          },
          version: visit.version,
        })
      }
    >
      <MomentField
        id="field-arrivedAt"
        label="Arrived"
        value={from}
        change={setFrom}
        problem={mending.problem('arrivedAt')}
        hint={`local time, UTC${offset(visit.arrivedAt)}`}
      />
      <MomentField
        id="field-leftAt"
        label="Left"
        value={to}
        change={setTo}
        problem={mending.problem('leftAt')}
        hint="empty while you are there"
      />
      {!visit.stated && (
        <p className="small">
          So far they follow from the measurements. Once you set them, they stay, whatever you log.
        </p>
      )}
    </Modal>
  );
}

/** Makes two stays of one. */
export function SplitDialog({ visit, close }: { visit: Visit; close: () => void }) {
  const [at, setAt] = useState(local(visit.arrivedAt));
  const [campsite, setCampsite] = useState('');
  const split = useSplitStay();
  const mending = useMending(close);
  const save = () =>
    split.mutate(
      { id: visit.id, body: { at: moment(at, visit.arrivedAt), campsite: campsite.trim() || null } },
      mending.then(`The stay at ${visit.campsite} is now two stays.`),
    );
  return (
    <Modal
      open
      onCancel={close}
      title={`Split the stay at ${visit.campsite}`}
      okText="Split"
      cancelText="Cancel"
      okButtonProps={{ disabled: at === '' || at === local(visit.arrivedAt) }}
      confirmLoading={split.isPending}
      onOk={save}
    >
      <p className="quiet">
        {visit.leftAt ? fullSpan(visit.arrivedAt, visit.leftAt) : span(visit.arrivedAt, null)}. Everything
        measured from that moment on belongs to the later part.
      </p>
      <MomentField
        id="field-at"
        label="The later part began"
        value={at}
        change={setAt}
        problem={mending.problem('at')}
        hint={`local time, UTC${offset(visit.arrivedAt)}`}
      />
      <NameField
        kind="campsite"
        label="and was at (empty: the same campsite)"
        value={campsite}
        onChange={setCampsite}
        problem={mending.problem('campsite')}
      />
    </Modal>
  );
}

/** Moves measurements to the stay they belong to. */
export function MoveDialog(props: { ids: number[]; from: number; close: (moved: boolean) => void }) {
  const { ids, from, close } = props;
  const [stay, setStay] = useState<number | null>(null);
  const stays = useStays().data ?? [];
  const own = stays.find((v) => v.id === from);
  const move = useMove();
  const mending = useMending(() => close(true));
  const save = () =>
    stay !== null &&
    move.mutate({ measurements: ids, stay }, mending.then(`Moved ${count(ids.length, 'measurement')}.`));
  return (
    <Modal
      open
      onCancel={() => close(false)}
      title={`Move ${count(ids.length, 'measurement')} to another stay`}
      okText="Move"
      cancelText="Cancel"
      okButtonProps={{ disabled: stay === null }}
      confirmLoading={move.isPending}
      onOk={save}
    >
      <label htmlFor="move-to">They were measured during</label>
      <Select
        id="move-to"
        showSearch
        autoFocus
        style={{ width: '100%', marginTop: 6 }}
        placeholder="choose a stay"
        value={stay ?? undefined}
        onChange={setStay}
        optionFilterProp="label"
        options={stays
          .filter((v) => v.id !== from && v.campsite !== own?.campsite)
          .map((v) => ({ value: v.id, label: `${v.campsite}, ${span(v.arrivedAt, v.leftAt)}` }))}
      />
      <p className="small">
        They keep their times and figures and move to that campsite. A stay whose dates you set is extended if
        needed.
      </p>
    </Modal>
  );
}
