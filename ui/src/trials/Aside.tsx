import { Button } from 'antd';
import type { RunSheet, useEnter } from '../data/design';
import { useStored } from '../data/useStored';
import { clock } from '../format/time';
import { Field } from '../parts/Field';
import { Part } from '../parts/Sheet';

/** What else is done on a sheet: leaving a visit out, a pause, a note. */
export function Aside({ sheet, enter }: { sheet: RunSheet; enter: ReturnType<typeof useEnter> }) {
  const [note, setNote, clear] = useStored(`sheet.note.${sheet.campsite}.${sheet.trial}`, '');
  const say = (kind: string, visit: number | null = null, text: string | null = null) =>
    enter.mutate({ kind, visit, measurement: null, text }, { onSuccess: text === null ? undefined : clear });
  const lastSkipped = sheet.skipped.at(-1);
  return (
    <Part title="Other actions">
      <div className="buttons">
        {sheet.next !== null && <Button onClick={() => say('skip', sheet.next)}>Skip this visit</Button>}
        {lastSkipped !== undefined && (
          <Button onClick={() => say('unskip', lastSkipped)}>Make step {lastSkipped + 1} after all</Button>
        )}
        {sheet.next !== null && sheet.pausedAt === null && (
          <Button onClick={() => say('pause')}>Pause</Button>
        )}
      </div>
      <form
        className="sheet-note"
        onSubmit={(event) => {
          event.preventDefault();
          if (note.trim() !== '') {
            say('note', sheet.next, note.trim());
          }
        }}
      >
        <Field
          name="sheet-note"
          label="Note"
          value={note}
          onChange={setNote}
          placeholder="a lorry parked in front"
        />
        <Button htmlType="submit">Save note</Button>
      </form>
      {sheet.notes.map((n) => (
        <p className="small" key={n.at}>
          <span className="num">{clock(n.at)}</span>
          {n.visit === null ? '' : `, step ${n.visit + 1}`}: {n.text}
        </p>
      ))}
    </Part>
  );
}
