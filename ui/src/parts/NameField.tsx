import { AutoComplete } from 'antd';
import { type NameKind, useClose } from '../data/mending';
import { useCampsites, useCarriers, useSetups } from '../data/names';
import { FieldFrame } from './Field';
import { useSettled } from './useSettled';

const LABEL = { campsite: 'Campsite', setup: 'Setup', carrier: 'Carrier' };

/** How long a name rests before it is compared with those that are known. */
const SETTLED_MS = 250;

/** A campsite, setup or carrier: chosen from those known, or a new name; one that is close to a known one is asked about. */
export function NameField(props: {
  kind: NameKind;
  value: string;
  onChange: (value: string) => void;
  problem?: string | undefined;
  label?: string;
}) {
  const { kind, value, onChange, problem } = props;
  const known = { campsite: useCampsites(), setup: useSetups(), carrier: useCarriers() }[kind].data ?? [];
  const isNew = value.trim() !== '' && !known.some((k) => k.name === value.trim());
  const close = useClose(kind, useSettled(isNew ? value.trim() : '', SETTLED_MS));
  return (
    <FieldFrame
      id={`field-${kind}`}
      label={props.label ?? LABEL[kind]}
      problem={problem}
      hint={isNew ? <IsNew close={close} take={onChange} /> : undefined}
    >
      <AutoComplete
        id={`field-${kind}`}
        value={value}
        onChange={onChange}
        status={problem ? 'error' : undefined}
        options={known.filter((k) => !('retired' in k && k.retired)).map((k) => ({ value: k.name }))}
        showSearch={{
          filterOption: (typed, option) =>
            !isNew || !!option?.value.toLowerCase().includes(typed.toLowerCase()),
        }}
      />
    </FieldFrame>
  );
}

/** Says that a name is new, and asks where it is close to a known one. */
export function IsNew({ close, take }: { close: string | null; take: (name: string) => void }) {
  if (close === null) {
    return 'new';
  }
  return (
    <span className="attention">
      New, or is it{' '}
      <button type="button" className="bold-part" onClick={() => take(close)}>
        {close}
      </button>
      ?
    </span>
  );
}
