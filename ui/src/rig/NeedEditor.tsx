import { Button, Select } from 'antd';
import type { Schemas } from '../data/client';
import { useStored } from '../data/useStored';
import { anyWrong, typedOrNone } from '../format/typed';
import { Field, FieldFrame } from '../parts/Field';

type Need = Schemas['NeedView'];

/** The thresholds of a need, as they are typed. */
export function NeedEditor(props: {
  need: Need;
  partsOfDay: string[];
  put: (need: Need, done: () => void) => void;
  close: () => void;
}) {
  const { need, partsOfDay, put, close } = props;
  const fresh = {
    downMbps: String(need.downMbps ?? ''),
    upMbps: String(need.upMbps ?? ''),
    loadedMs: String(need.loadedMs ?? ''),
    lossPct: String(need.lossPct ?? ''),
    hoursADay: String(need.hoursADay),
    when: need.partOfDay,
    from: need.version,
  };
  const [kept, setText, forget] = useStored<typeof fresh | null>(`rig.need.${need.name}`, null);
  const { when, from, ...text } = kept ?? fresh;
  const leave = () => {
    forget();
    close();
  };
  const field = (key: keyof typeof text, label: string, unit: string) => (
    <Field
      name={key}
      label={label}
      unit={unit}
      value={text[key]}
      onChange={(v) => setText({ ...text, when, from, [key]: v })}
    />
  );
  const bad = anyWrong(text);
  return (
    <tr>
      <td colSpan={7}>
        <div className="form-grid">
          <b className="span4">{need.name}</b>
          {field('downMbps', 'Down', 'Mb/s')}
          {field('upMbps', 'Up', 'Mb/s')}
          {field('loadedMs', 'Latency under load', 'ms')}
          {field('lossPct', 'Loss', '%')}
          <FieldFrame id="need-when" label="When">
            <Select
              id="need-when"
              value={when}
              options={partsOfDay.map((value) => ({ value }))}
              onChange={(v) => setText({ ...text, from, when: v })}
            />
          </FieldFrame>
          {field('hoursADay', 'Hours a day', 'h')}
        </div>
        {bad && (
          <p className="small loss">Enter numbers only; leave a field empty where it does not matter.</p>
        )}
        <div className="buttons">
          <Button
            type="primary"
            disabled={bad}
            onClick={() =>
              put(
                {
                  ...need,
                  downMbps: typedOrNone(text.downMbps),
                  upMbps: typedOrNone(text.upMbps),
                  loadedMs: typedOrNone(text.loadedMs),
                  lossPct: typedOrNone(text.lossPct),
                  hoursADay: typedOrNone(text.hoursADay) ?? 0,
                  partOfDay: when,
                  version: from,
                },
                leave,
              )
            }
          >
            Save
          </Button>
          <Button onClick={leave}>Cancel</Button>
        </div>
      </td>
    </tr>
  );
}
