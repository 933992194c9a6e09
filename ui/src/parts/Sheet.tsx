import { type ReactNode, useEffect } from 'react';
import { useNarrow } from './useNarrow';
import './list.css';
import './sheet.css';

/**
 * The sheet of a view: a headline sentence, the evidence beneath, and a margin where useful. What is found and what to do
 * next is at the head of the margin; where there is no room for a margin, directly under the headline.
 */
export function Sheet(props: {
  /** What the page is called in the browser's tab and history. */
  title: string;
  over?: ReactNode;
  headline: ReactNode;
  /** What to do, where a sentence says it. */
  action?: ReactNode;
  findings?: ReactNode;
  margin?: ReactNode;
  children?: ReactNode;
}) {
  const narrow = useNarrow();
  useEffect(() => {
    document.title = `${props.title} · Syntoma`;
  }, [props.title]);
  const margin = props.margin ?? (narrow ? undefined : props.findings);
  return (
    <div className={margin ? 'sheet with-margin' : 'sheet'}>
      <main id="sheet">
        {props.over && <div className="over">{props.over}</div>}
        <h1>{props.headline}</h1>
        {props.action && <p className="action">{props.action}</p>}
        {narrow && props.findings}
        {props.children}
      </main>
      {margin && (
        <aside>
          {!narrow && props.findings}
          {props.margin}
        </aside>
      )}
    </div>
  );
}

/** Notes of a margin: the first one or two, the rest behind a word. */
export function Notes(props: { notes: readonly ReactNode[]; shown?: number; more: string; none?: string }) {
  const { notes, shown = 2, more, none } = props;
  const note = (text: ReactNode, i: number) => (
    <div className="note" key={i}>
      {text}
    </div>
  );
  return (
    <>
      {notes.slice(0, shown).map(note)}
      {notes.length === 0 && none && <div className="note">{none}</div>}
      {notes.length > shown && (
        <details className="numbers notes">
          <summary>
            {more} ({notes.length - shown})
          </summary>
          {notes.slice(shown).map(note)}
        </details>
      )}
    </>
  );
}

/** A part of a sheet or a margin under its own heading. */
export function Part(props: {
  title: ReactNode;
  small?: ReactNode;
  actions?: ReactNode;
  /** By which a list of the parts leads to it. */
  id?: string;
  children: ReactNode;
}) {
  return (
    <section className="part" id={props.id}>
      <div className="part-head">
        <h2>
          {props.title} {props.small && <small>{props.small}</small>}
        </h2>
        {props.actions && <div className="part-actions">{props.actions}</div>}
      </div>
      {props.children}
    </section>
  );
}
