import { AutoComplete } from 'antd';
import { useCampsites, useCarriers, useSetups } from '../data/names';
import { FieldFrame } from './Field';

const LABEL = { campsite: 'Campsite', setup: 'Setup', carrier: 'Carrier' };

/** A campsite, setup or carrier: chosen from those known, or a new name. */
export function NameField(props: {
  kind: keyof typeof LABEL;
  value: string;
  onChange: (value: string) => void;
  problem?: string | undefined;
}) {
  const { kind, value, onChange, problem } = props;
  const known = { campsite: useCampsites(), setup: useSetups(), carrier: useCarriers() }[kind].data ?? [];
  const isNew = value.trim() !== '' && !known.some((k) => k.name === value.trim());
  return (
    <FieldFrame id={`field-${kind}`} label={LABEL[kind]} problem={problem} hint={isNew ? 'new' : undefined}>
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
