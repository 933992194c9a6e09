import { Button } from 'antd';
import { useEffect, useState } from 'react';
import { Refusal } from '../data/client';
import { type Sweep, useReadHeading, useTurn } from '../data/aim';
import { useLive } from '../data/live';
import { fixed } from '../format/numbers';
import { typedNumber } from '../format/typed';
import { Field } from '../parts/Field';
import { Failed } from '../parts/Loaded';
import { useKeptAwake } from '../parts/useAwake';
import { useKey } from '../parts/useKey';

/** How long the antenna is held still before it is read: the level is the mean of the last 3 s. */
const SETTLE_S = 5;

/** Reads the level at the heading that comes next, or at one that is typed. */
export function Reading({ sweep }: { sweep: Sweep }) {
  const live = useLive(true);
  const read = useReadHeading(sweep.id);
  const turn = useTurn(sweep.id);
  const [heading, setHeading] = useState('');
  const [typed, setTyped] = useState('');
  const [cell, setCell] = useState('');
  const [leftS, setLeftS] = useState<number | null>(null);
  useKeptAwake(true);
  const level = live?.levels.find((l) => l.metric === 'rsrp');
  const deg = heading.trim() === '' ? sweep.nextDeg : typedNumber(heading);
  const problem = (field: string) =>
    read.error instanceof Refusal ? read.error.errors.find((e) => e.field === field)?.message : undefined;
  const send = (rsrpDbm: number | null) => {
    setLeftS(null);
    read.mutate(
      { headingDeg: deg, magnetic: false, rsrpDbm, band: null, cellId: cell.trim() || null },
      {
        onSuccess: () => {
          setHeading('');
          setTyped('');
        },
      },
    );
  };
  useEffect(() => {
    if (leftS === null) {
      return;
    }
    const timer = setTimeout(() => (leftS <= 1 ? send(null) : setLeftS(leftS - 1)), 1_000);
    return () => clearTimeout(timer);
    // eslint-disable-next-line react-hooks/exhaustive-deps -- one tick for each second that is left
  }, [leftS]);
  const begin = () => {
    if (typed.trim() !== '') {
      send(typedNumber(typed));
    } else if (deg !== null) {
      turn.mutate(deg);
      setLeftS(SETTLE_S);
    }
  };
  const can = deg !== null && Number.isFinite(deg) && leftS === null && !read.isPending;
  useKey('Enter', () => {
    if (can) {
      begin();
    }
  });
  return (
    <div className="sweep-reading">
      <p className="step-number">
        {level ? (
          <>
            <b>{fixed(level.ladder.value, 1)}</b> {level.ladder.unit}
          </>
        ) : (
          <span className="hollow">The router reports no level now. Type the one it shows.</span>
        )}
      </p>
      {deg === null && <p>All headings are read. Another one may be typed.</p>}
      {leftS !== null ? (
        <Button size="large" onClick={() => setLeftS(null)}>
          Hold it still: {leftS} s. Stop
        </Button>
      ) : deg === null ? null : (
        <Button type="primary" size="large" disabled={!can} onClick={begin}>
          {typed.trim() === '' ? 'It points there: take a reading' : 'Use the typed level'}{' '}
          <kbd aria-hidden="true" className="wide-only">
            Enter
          </kbd>
        </Button>
      )}
      <div className="sweep-typed">
        <Field
          name="heading"
          label="Another heading"
          unit="° true"
          numeric
          value={heading}
          onChange={setHeading}
          placeholder={sweep.nextDeg === null ? '' : fixed(sweep.nextDeg, 0)}
          problem={problem('headingDeg')}
        />
        <Field
          name="level"
          label="Level, typed"
          unit="dBm"
          value={typed}
          onChange={setTyped}
          placeholder={level ? 'automatic' : '−95'}
          problem={problem('rsrpDbm')}
        />
        {typed.trim() !== '' && (
          <Field
            name="cell"
            label="Cell, typed"
            value={cell}
            onChange={setCell}
            placeholder="where the router shows it"
            problem={problem('cellId')}
            hint="Bearings of one cell from two places cross at its tower."
          />
        )}
      </div>
      {read.error && !(read.error instanceof Refusal && read.error.errors.length > 0) && (
        <Failed error={read.error} />
      )}
    </div>
  );
}
