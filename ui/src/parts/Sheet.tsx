import type { ReactNode } from 'react';
import './list.css';
import './sheet.css';

/** The sheet of a view: a headline sentence, the evidence beneath, and a margin where useful. */
export function Sheet(props: {
  over?: ReactNode;
  headline: ReactNode;
  margin?: ReactNode;
  children?: ReactNode;
}) {
  return (
    <div className={props.margin ? 'sheet with-margin' : 'sheet'}>
      <main id="sheet">
        {props.over && <div className="over">{props.over}</div>}
        <h1>{props.headline}</h1>
        {props.children}
      </main>
      {props.margin && <aside>{props.margin}</aside>}
    </div>
  );
}

/** A part of a sheet or a margin under its own heading. */
export function Part(props: {
  title: ReactNode;
  small?: ReactNode;
  actions?: ReactNode;
  children: ReactNode;
}) {
  return (
    <section className="part">
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
