import { Button, Checkbox, Input, Radio } from 'antd';
import { useState } from 'react';
import type { Schemas } from '../data/client';
import { useReadSheet } from '../data/rig';
import { useStored } from '../data/useStored';
import { count } from '../format/numbers';

type Found = Schemas['FoundView'];

/** The answer that leaves a field as it is. */
const LEAVE = -1;

/** Reads a pasted data sheet: each field with the words it came from; what is not sure is asked. */
export function SheetPaste(props: { kind: string; take: (fields: Record<string, unknown>) => void }) {
  const [text, keepText, forgetText] = useStored('rig.gear.paste', '');
  const read = useReadSheet();
  const found = read.data?.found;
  return (
    <div className="span4 paste">
      <label className="small" htmlFor="sheet-text">
        Paste the text of a shop page or a leaflet of this {props.kind}. Nothing is kept until you say so.
      </label>
      <Input.TextArea
        id="sheet-text"
        rows={5}
        value={text}
        placeholder={'5G NR: n1/n28/n78\nLTE: B1/B3/B7/B20\nAntenna connectors: 4 x SMA female …'}
        onChange={(e) => {
          keepText(e.target.value);
          read.reset();
        }}
      />
      {!found && (
        <Button
          disabled={!text.trim()}
          loading={read.isPending}
          onClick={() => read.mutate({ kind: props.kind, text })}
        >
          Read
        </Button>
      )}
      {read.error && (
        <p className="loss" role="alert">
          {read.error.message}
        </p>
      )}
      {found && (
        <Answers
          found={found}
          take={(fields) => {
            props.take(fields);
            forgetText();
            read.reset();
          }}
        />
      )}
    </div>
  );
}

function Answers({ found, take }: { found: Found[]; take: (fields: Record<string, unknown>) => void }) {
  const [answers, setAnswers] = useState<number[]>(() => found.map((f) => (f.question === '' ? 0 : LEAVE)));
  const answer = (i: number, value: number) => setAnswers(answers.map((a, j) => (i === j ? value : a)));
  const values = (f: Found) => [f.value, ...f.others.map((o) => o.value)];
  const chosen = found.flatMap((f, i) => {
    const at = answers[i] ?? LEAVE;
    return at === LEAVE ? [] : [[f.field, values(f)[at]] as const];
  });
  if (found.length === 0) {
    return <p className="quiet">Nothing in it could be read as a field of this sheet.</p>;
  }
  const open = found.filter((f, i) => f.question !== '' && answers[i] === LEAVE).length;
  return (
    <>
      {found.map((f, i) => (
        <div className="note" key={f.field}>
          {f.question === '' ? (
            <Checkbox checked={answers[i] === 0} onChange={(e) => answer(i, e.target.checked ? 0 : LEAVE)}>
              <b>{f.label}</b>: {f.says}
            </Checkbox>
          ) : (
            <>
              <div>
                <b>{f.label}</b>. <span className="attention">{f.question}</span>
              </div>
              <Radio.Group
                aria-label={f.label}
                value={answers[i]}
                onChange={(e) => answer(i, e.target.value as number)}
                options={[
                  { value: 0, label: f.says },
                  ...f.others.map((o, at) => ({ value: at + 1, label: o.says })),
                  { value: LEAVE, label: 'leave it out' },
                ]}
              />
            </>
          )}
          <div className="small">
            line {f.line}: “{f.words}”
          </div>
        </div>
      ))}
      <div className="buttons">
        <Button
          type="primary"
          disabled={chosen.length === 0}
          onClick={() => take(Object.fromEntries(chosen))}
        >
          Use {chosen.length === 1 ? 'this value' : `these ${chosen.length} values`}
        </Button>
        {open > 0 && (
          <span className="small">{count(open, 'question')} open; what is left out stays unknown</span>
        )}
      </div>
    </>
  );
}
