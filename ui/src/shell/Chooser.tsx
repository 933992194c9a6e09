import { AutoComplete, Button } from 'antd';
import { useState } from 'react';
import type { Schemas } from '../data/client';
import { useClose } from '../data/mending';
import { useChangeStanding } from '../data/names';
import { IsNew } from '../parts/NameField';
import { useSettled } from '../parts/useSettled';
import { useFailed } from '../parts/useFailed';

/** A part of the standing line that is a name. */
export type Part = keyof Schemas['StandingRequest'];

/** Chooses a name for a part of the standing line, or takes a new one. */
export function Chooser(props: { part: Part; names: string[]; value: string; done: () => void }) {
  const [text, setText] = useState(props.value);
  const close = useClose(props.part, useSettled(props.names.includes(text.trim()) ? '' : text.trim(), 250));
  const change = useChangeStanding();
  const failed = useFailed();
  const save = () =>
    change.mutate(
      { [props.part]: text },
      { onSuccess: props.done, onError: (refused) => failed(refused.message) },
    );
  return (
    <div className="chooser">
      <AutoComplete
        autoFocus
        defaultOpen={props.names.length > 0}
        value={text}
        onChange={setText}
        options={props.names.map((value) => ({ value }))}
        showSearch={{
          filterOption: (typed, option) =>
            text === props.value || !!option?.value.toLowerCase().includes(typed.toLowerCase()),
        }}
        placeholder="choose, or type a new name"
      />
      <Button type="primary" disabled={!text.trim()} loading={change.isPending} onClick={save}>
        {props.names.includes(text.trim()) ? 'Use' : 'Add and use'}
      </Button>
      {!props.names.includes(text.trim()) && text.trim() !== '' && (
        <p className="quiet">
          <IsNew close={close} take={setText} />
        </p>
      )}
      {props.part === 'campsite' && (
        <p className="quiet">Another campsite ends this stay and begins one now.</p>
      )}
    </div>
  );
}
