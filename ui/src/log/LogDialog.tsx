import { App, Button, Checkbox, Modal } from 'antd';
import { useEffect, useState } from 'react';
import type { Schemas } from '../data/client';
import { type Figure, useFigures, useNextStep, useRemove, useStore } from '../data/log';
import { useChangeStanding, useStanding } from '../data/names';
import { useLasting } from '../data/useQueue';
import { useStored } from '../data/useStored';
import { Field } from '../parts/Field';
import { useUndo } from '../parts/useUndo';
import { type Form, NumberField, OtherFields, OutcomeField } from './Figures';
import {
  type Draft,
  draftFor,
  fewOf,
  inTrial,
  type Last,
  laterBy,
  requestOf,
  typedOrder,
  valueOf,
} from './logDraft';
import { Place } from './Place';
import { useDraftCheck } from './useDraftCheck';
import './log.css';
import { useFailed } from '../parts/useFailed';

/** Logs one measurement: a reading, a speed run, or a run that failed. */
export function LogDialog({ close }: { close: () => void }) {
  const { data: line, dataUpdatedAt } = useStanding();
  const { data: figures } = useFigures();
  return line && figures ? (
    <LogForm line={line} lineAt={dataUpdatedAt} figures={figures} close={close} />
  ) : null;
}

function LogForm(props: {
  line: Schemas['StandingLine'];
  /** When the line was given, by this device's clock. */
  lineAt: number;
  figures: Figure[];
  close: () => void;
}) {
  const { line, lineAt, figures, close } = props;
  const [last, setLast] = useStored<Last>('log.last', {});
  const [usual, setUsual] = useStored<Record<string, string[]>>('log.figures', {});
  const [kept, keep, forget] = useStored<Draft | null>('log.draft', null);
  const [fresh] = useState(() => draftFor(line, last));
  const [more, setMore] = useState(false);
  const [measured, setMeasured] = useState(false);
  const [tellLine, setTellLine] = useState(false);
  const step = useNextStep(fresh.campsite, kept ? '' : fresh.trial);
  const draft = kept ?? inTrial(fresh, step.data);
  const numbers = figures.filter((f) => f.unit !== '').map((f) => f.field);
  const [few, setFew] = useState(() => fewOf(usual, draft, numbers));
  const request = requestOf(draft, line.now);
  const check = useDraftCheck(draft, request);
  const store = useStore();
  const remove = useRemove();
  const changeLine = useChangeStanding();
  const { message } = App.useApp();
  const failed = useFailed();
  const undoable = useUndo();
  const lasting = useLasting();

  useEffect(() => {
    const frame = requestAnimationFrame(focusFirst);
    return () => cancelAnimationFrame(frame);
  }, []);

  const set = (part: Partial<Draft>) => {
    check.touched();
    keep({ ...draft, ...part });
    if (part.setup !== undefined && !more) {
      setFew(fewOf(usual, { ...draft, ...part }, numbers));
    }
  };
  const save = () =>
    store.mutate(requestOf(draft, laterBy(line.now, Date.now() - lineAt)), {
      onSuccess: (outcome) => {
        setLast({
          rat: draft.rat,
          server: draft.server,
          trial: draft.trial,
          campsite: draft.campsite,
          at: line.now,
        });
        const typed = typedOrder(draft, numbers);
        if (typed.length > 0) {
          const { [draft.setup]: _before, ...others } = usual;
          setUsual({ ...others, [draft.setup]: typed });
        }
        forget();
        if (tellLine && outcome.is === 'stored') {
          changeLine.mutate({ campsite: draft.campsite, setup: draft.setup, carrier: draft.carrier || null });
        }
        if (outcome.is === 'stored') {
          undoable(`Logged ${draft.setup}.`, () => remove.mutateAsync(outcome.answer.id));
        } else {
          void message.info(
            outcome.failed === undefined
              ? `${draft.setup} waits on this device; it is sent when Syntoma answers.`
              : `${draft.setup} is not saved yet: ${outcome.failed} It waits on this device and is tried again.`,
          );
        }
        close();
      },
      onError: (error) => {
        check.refuse(error);
        setMore(true);
        failed(error.message.length < 140 ? error.message : 'Some fields need another look.');
        requestAnimationFrame(showFirstProblem);
      },
    });
  const form: Form = { draft, set, figures, check };
  const worked = draft.outcome === 'ok';
  const asks = worked || measured || few.some((name) => valueOf(draft, name) !== '');
  const rest = numbers.filter((name) => !few.includes(name));
  const differs = lineDiffers(draft, line);

  return (
    <Modal
      open
      onCancel={close}
      title="Log a reading"
      width={720}
      className="log"
      style={{ top: 16 }}
      okText="Log it"
      onOk={save}
      // where it came up slowly, the dialog took the focus for itself
      afterOpenChange={focusFirst}
      confirmLoading={store.isPending}
      footer={(_, { OkBtn }) => (
        <div className="log-buttons">
          <Button onClick={forget}>Clear</Button>
          <Button onClick={close}>Later</Button>
          <OkBtn />
        </div>
      )}
    >
      <form
        onSubmit={(e) => {
          e.preventDefault();
          save();
        }}
      >
        {!lasting && (
          <p className="attention small">
            This browser cannot save on this device. If Syntoma is unreachable, what you log is lost when you
            close this page.
          </p>
        )}
        <Place form={form} step={kept ? undefined : step.data} />
        <div className="form-grid">
          <OutcomeField form={form} />
          {asks && few.map((name) => <NumberField key={name} form={form} name={name} />)}
          {!worked && (
            <div className="span4">
              <Field
                name="note"
                label="Why, as far as you know?"
                autoFocus
                value={valueOf(draft, 'note')}
                onChange={(note) => set({ note })}
                problem={check.problem('note')}
              />
            </div>
          )}
        </div>
        <div className="buttons">
          {!asks && (
            <Button type="link" onClick={() => setMeasured(true)}>
              Something was measured anyway
            </Button>
          )}
          {!more && (
            <Button type="link" onClick={() => setMore(true)}>
              More: other figures, band, cell, trial, time{worked ? ', note' : ''}
            </Button>
          )}
        </div>
        {more && (
          <div className="form-grid">
            {rest.map((name) => (
              <NumberField key={name} form={form} name={name} />
            ))}
            <OtherFields form={form} note={worked} />
          </div>
        )}
        <Remarks form={form} shown={more} />
        {differs && (
          <Checkbox checked={tellLine} onChange={(e) => setTellLine(e.target.checked)}>
            Also change the standing line: {differs}
          </Checkbox>
        )}
        <input type="submit" hidden />
      </form>
    </Modal>
  );
}

/** What the draft says otherwise than the standing line; empty where nothing. */
function lineDiffers(draft: Draft, line: Schemas['StandingLine']) {
  const now = [
    draft.campsite !== '' && draft.campsite !== line.campsite && `at ${draft.campsite}`,
    draft.setup !== '' && draft.setup !== line.setup?.name && `using ${draft.setup}`,
    draft.carrier !== '' && draft.carrier !== line.carrier && `on ${draft.carrier}`,
  ];
  return draft.date === '' ? now.filter((part) => part !== false).join(', ') : '';
}

/** What does not fit together, and what is wrong with a field that is not shown. */
export function Remarks({ form, shown }: { form: Form; shown: boolean }) {
  const { check } = form;
  const hidden = check.all
    ? check.problems.filter((p) => !shown || !document.getElementById(`field-${p.field}`))
    : [];
  return (
    <>
      {check.check?.remarks.map((remark) => (
        <p className="small attention" key={remark}>
          {remark}
        </p>
      ))}
      {hidden.map((p) => (
        <p className="small loss" role="alert" key={p.field + p.message}>
          {p.message}
        </p>
      ))}
    </>
  );
}

/** Puts the focus in the first field of the form, unless it is in one. */
function focusFirst() {
  if (!document.activeElement?.closest('.log form')) {
    document.querySelector<HTMLElement>('.log .form-grid input:not([type="radio"])')?.focus();
  }
}

/** Brings what is wrong into view. */
export function showFirstProblem() {
  const first = document.querySelector<HTMLElement>('.log [aria-invalid="true"], .log .hint.bad');
  first?.scrollIntoView({ block: 'center' });
  first?.focus();
}
