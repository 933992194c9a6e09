import { App, Button, Input, Modal, Radio } from 'antd';
import { useState } from 'react';
import type { Schemas } from '../data/client';
import { useFigures, useNextStep, usePaste, useRemove, useStore } from '../data/log';
import { useStanding } from '../data/names';
import { useStored } from '../data/useStored';
import { useSettled } from '../parts/useSettled';
import { useUndo } from '../parts/useUndo';
import { Remarks } from './LogDialog';
import { type Draft, draftFor, inTrial, type Last, laterBy, requestOf } from './logDraft';
import { PastedText } from './PastedText';
import { Place } from './Place';
import { useDraftCheck } from './useDraftCheck';
import './log.css';
import './paste.css';

type View = Schemas['PasteView'];
type Doubtful = Schemas['Doubtful'];

/** How long typing rests before the text is read. */
const SETTLED_MS = 250;

/** The answer that leaves a doubtful figure out. */
const LEFT_OUT = '';

/** Reads what is pasted, shows what it took from which line, asks what is doubtful, and logs on Enter. */
export function PasteDialog(props: { pasted: string; close: () => void; edit: () => void }) {
  const [kept, keep, forget] = useStored('log.paste', '');
  const [text, setText] = useState(props.pasted || kept);
  const [writing, setWriting] = useState(text === '');
  const settled = useSettled(text, SETTLED_MS);
  const read = usePaste(writing ? settled : text);
  const set = (next: string) => {
    setText(next);
    keep(next);
  };
  const done = () => {
    forget();
    props.close();
  };
  const shown = !writing && text !== '' ? read.data : undefined;
  return (
    <Modal
      open
      onCancel={props.close}
      title="Paste from the router"
      width={960}
      style={{ top: 16 }}
      className="log paste-dialog"
      footer={null}
    >
      {shown ? (
        <Read
          view={shown}
          change={() => setWriting(true)}
          done={done}
          edit={() => {
            forget();
            props.edit();
          }}
        />
      ) : (
        <>
          <label className="small" htmlFor="pasted">
            Paste a page from your router, a terminal’s answer, a speed test, or all at once. Nothing is saved
            until you log it.
          </label>
          <Input.TextArea
            id="pasted"
            autoFocus
            rows={10}
            value={text}
            onChange={(e) => set(e.target.value)}
            onPaste={(e) => {
              const brought = e.clipboardData.getData('text');
              if (text === '' && brought.trim() !== '') {
                e.preventDefault();
                set(brought);
                setWriting(false);
              }
            }}
            onKeyDown={(e) => {
              if (e.key === 'Enter' && (e.ctrlKey || e.metaKey)) {
                setWriting(false);
              }
            }}
          />
          {read.error && (
            <p className="loss" role="alert">
              {read.error.message}
            </p>
          )}
          <div className="buttons">
            <Button
              type="primary"
              disabled={text.trim() === ''}
              loading={!writing && read.isFetching}
              onClick={() => setWriting(false)}
            >
              Read{' '}
              <kbd aria-hidden="true" className="wide-only">
                Ctrl Enter
              </kbd>
            </Button>
            {text !== '' && <Button onClick={() => set('')}>Clear</Button>}
          </div>
        </>
      )}
    </Modal>
  );
}

function Read(props: { view: View; change: () => void; done: () => void; edit: () => void }) {
  const { view } = props;
  const { data: line, dataUpdatedAt } = useStanding();
  const { data: figures } = useFigures();
  return line && figures ? (
    <ToLog {...props} view={view} line={line} lineAt={dataUpdatedAt} figures={figures} />
  ) : null;
}

function ToLog(props: {
  view: View;
  line: Schemas['StandingLine'];
  lineAt: number;
  figures: Schemas['FigureView'][];
  change: () => void;
  done: () => void;
  edit: () => void;
}) {
  const { view, line, figures } = props;
  const [last, setLast] = useStored<Last>('log.last', {});
  const [, keepDraft] = useStored<Draft | null>('log.draft', null);
  const [fresh] = useState(() => draftFor(line, last));
  const [placed, place] = useState<Partial<Draft>>({});
  const [answers, setAnswers] = useState<Record<string, string>>(() => usualAnswers(view.asked, line));
  const step = useNextStep(fresh.campsite, fresh.trial);
  const settled = Object.fromEntries(Object.entries(answers).filter(([, value]) => value !== LEFT_OUT));
  const draft: Draft = { ...inTrial(fresh, step.data), rat: '', ...view.typed, ...settled, ...placed };
  const check = useDraftCheck(draft, requestOf(draft, line.now));
  const store = useStore();
  const remove = useRemove();
  const undoable = useUndo();
  const { message } = App.useApp();
  const figuresTaken = view.figures.length + Object.keys(settled).length;
  const save = () =>
    store.mutate(requestOf(draft, laterBy(line.now, Date.now() - props.lineAt)), {
      onSuccess: (outcome) => {
        setLast({
          ...last,
          rat: draft.rat || last.rat,
          trial: draft.trial,
          campsite: draft.campsite,
          at: line.now,
        });
        if (outcome.is === 'stored') {
          undoable(`Logged ${draft.setup} from what was pasted.`, () =>
            remove.mutateAsync(outcome.answer.id),
          );
        } else {
          void message.info(`${draft.setup} waits on this device; it is sent when Syntoma answers.`);
        }
        props.done();
      },
      onError: (error) => check.refuse(error),
    });
  const form = {
    draft,
    set: (part: Partial<Draft>) => {
      check.touched();
      place({ ...placed, ...part });
    },
    figures,
    check,
  };
  return (
    <form
      className="pasted"
      onSubmit={(e) => {
        e.preventDefault();
        save();
      }}
    >
      <PastedText lines={view.lines} />
      <div>
        <Place form={form} step={step.data} />
        <Figures view={view} />
        {view.asked.map((asked) => (
          <Question
            key={asked.field}
            asked={asked}
            answer={answers[asked.field] ?? LEFT_OUT}
            give={(value) => {
              check.touched();
              setAnswers({ ...answers, [asked.field]: value });
            }}
          />
        ))}
        {view.remarks.map((remark) => (
          <p className="small attention" key={remark.message + String(remark.line)}>
            {remark.line !== null && `Line ${remark.line}: `}
            {remark.message}.
          </p>
        ))}
        <Others others={view.others} />
        <Remarks form={form} shown={false} />
        <div className="log-buttons">
          <Button onClick={props.change}>Change the text</Button>
          <Button
            disabled={figuresTaken === 0}
            onClick={() => {
              keepDraft(draft);
              props.edit();
            }}
          >
            Change figures
          </Button>
          <Button
            type="primary"
            htmlType="submit"
            autoFocus
            disabled={figuresTaken === 0 && draft.outcome === 'ok'}
            loading={store.isPending}
          >
            Log it{' '}
            <kbd aria-hidden="true" className="wide-only">
              Enter
            </kbd>
          </Button>
        </div>
      </div>
    </form>
  );
}

/** Of two networks the one in use is meant; all else is left out until it is said. */
const usualAnswers = (asked: Doubtful[], line: Schemas['StandingLine']) =>
  Object.fromEntries(
    asked.map((a) => [
      a.field,
      a.field === 'carrier' && line.carrier && a.choices.includes(line.carrier) ? line.carrier : LEFT_OUT,
    ]),
  );

function Figures({ view }: { view: View }) {
  if (view.figures.length === 0) {
    return null;
  }
  return (
    <table className="plain taken-figures">
      <caption className="small">Taken, to be logged</caption>
      <tbody>
        {view.figures.map((f) => (
          <tr key={f.field}>
            <th scope="row">{f.label}</th>
            <td className="num">
              {f.value.replace(/^-/, '−')} {f.unit}
            </td>
            <td className="small">{f.line !== null && `line ${f.line}`}</td>
          </tr>
        ))}
      </tbody>
    </table>
  );
}

function Question(props: { asked: Doubtful; answer: string; give: (value: string) => void }) {
  const { asked, answer, give } = props;
  return (
    <div className="note">
      <div className="attention">
        {asked.line !== null && `Line ${asked.line}: `}
        {asked.message}.
      </div>
      <Radio.Group
        aria-label={asked.label}
        value={answer}
        onChange={(e) => give(e.target.value as string)}
        options={[
          ...asked.choices.map((value) => ({
            value,
            label: `${asked.label} ${value.replace(/^-/, '−').replace('_', ' ')} ${asked.unit}`.trim(),
          })),
          { value: LEFT_OUT, label: 'leave it out' },
        ]}
      />
    </div>
  );
}

function Others({ others }: { others: string[] }) {
  if (others.length === 0) {
    return null;
  }
  return (
    <details className="small">
      <summary>
        Read, not logged: {others.length === 1 ? '1 other cell' : `${others.length} other cells`}
      </summary>
      <ul>
        {others.map((said) => (
          <li key={said}>{said}</li>
        ))}
      </ul>
    </details>
  );
}
