import { Button } from 'antd';
import { useState } from 'react';
import { Link } from 'react-router';
import { Refusal, type Schemas } from '../data/client';
import { useEnterCounter, useLedger, useRemoveCounter, useRestoreCounter } from '../data/logbook';
import { stateOf } from '../data/state';
import { useMoney } from '../data/useMoney';
import { MonthBar } from '../draw/MonthBar';
import { useWidth } from '../draw/useWidth';
import { amount, count } from '../format/numbers';
import { dateClock, dayMonth } from '../format/time';
import { typedNumber } from '../format/typed';
import { Field } from '../parts/Field';
import { Loaded } from '../parts/Loaded';
import { Part } from '../parts/Sheet';
import { useUndo } from '../parts/useUndo';

type Card = Schemas['CardView'];
type Month = Schemas['MonthView'];

const gb = (value: number | null) => (value === null ? '–' : `${amount(value)} GB`);
const day = (date: string) => dayMonth(`${date}T00:00:00Z`);

/** Whether the counter was read so long ago that the rest is calculated on from it. */
/** Prices are written to the hundredth. */
const CENTS = 2;

const isOld = (month: Month, today: string) =>
  month.counterAt !== null && month.counterAt.slice(0, 10) < today;

/** The books of the SIM cards: what was used, what else went over them, how far it lasts, what it cost. */
export function Ledger() {
  const ledger = useLedger();
  return (
    <Loaded state={stateOf(ledger)}>
      {(view) =>
        view.cards.length === 0 ? (
          <p className="hollow">
            No SIM card yet. Enter one under <Link to="/gear?part=gear">Gear</Link>, with its carrier,
            allowance, reset day and price.
          </p>
        ) : (
          <>
            {view.cards
              .filter((c) => c.owned)
              .map((card) => (
                <CardPart key={card.gear} card={card} said={view.says} today={view.day} />
              ))}
            <p className="small">
              {view.live} Runs made here are counted byte by byte; of runs that were logged from elsewhere the
              data is estimated from their rates over ten seconds each way, so it is hatched.
            </p>
          </>
        )
      }
    </Loaded>
  );
}

function CardPart({ card, said, today }: { card: Card; said: string; today: string }) {
  const { money } = useMoney();
  const { month } = card;
  const [ref, width] = useWidth<HTMLDivElement>(560);
  return (
    <Part
      title={card.name}
      small={
        <>
          {card.carrier}
          {card.pricePerMonth !== null && ` · ${money(card.pricePerMonth, CENTS)} a month`} · resets on day{' '}
          {card.resetDay}
          {card.terms && ` · ${card.terms}`}
        </>
      }
    >
      {card.says !== said && <p className={month.emptyOn ? 'note attention' : 'note'}>{card.says}</p>}
      <div ref={ref}>
        <MonthBar
          width={width}
          allowance={card.allowanceGb}
          runs={month.runsGb + month.liveGb}
          logged={month.loggedGb}
          rest={month.elseGb}
          restIsAbout={isOld(month, today)}
          forecast={month.forecastGb}
          passed={1 - month.daysLeft / month.days}
          label={card.says}
        />
      </div>
      <table className="plain rows ledger">
        <tbody>
          <tr>
            <td>Runs made here</td>
            <td className="num">{gb(month.runsGb)}</td>
            <td className="small">counted</td>
          </tr>
          <tr>
            <td>Runs logged from elsewhere</td>
            <td className="num">about {gb(month.loggedGb)}</td>
            <td className="small">{count(month.loggedRuns, 'run')} in the log this month</td>
          </tr>
          {month.liveGb > 0 && (
            <tr>
              <td>Live readings</td>
              <td className="num">{gb(month.liveGb)}</td>
              <td className="small">the router is asked outside the vehicle’s network; counted</td>
            </tr>
          )}
          <tr>
            <td>Everything else</td>
            <td className="num">
              {month.elseGb === null ? (
                <span className="hollow">not known</span>
              ) : (
                `${isOld(month, today) ? 'about ' : ''}${gb(month.elseGb)}`
              )}
            </td>
            <td className="small">
              {month.counterAt === null
                ? 'enter the carrier’s counter to see it'
                : `the counter said ${gb(month.counterGb)} at ${dateClock(month.counterAt)}${isOld(month, today) ? '; since then at the same rate' : ''}`}
            </td>
          </tr>
          <tr>
            <td>Cost of a GB</td>
            <td className="num">
              {month.counterAt === null && month.pricePerGb !== null && 'at most '}
              {money(month.pricePerGb, CENTS)}
            </td>
            <td className="small">so far; {money(month.pricePerDay, CENTS)} a day</td>
          </tr>
        </tbody>
      </table>
      <Counter card={card} />
      {card.capSays && <p className="note">{card.capSays}</p>}
      {card.shared && (
        <p className="small">
          Another SIM is on {card.carrier} too. Their runs cannot be told apart, so both count them.
        </p>
      )}
      {card.offers.length > 1 && <Offers card={card} />}
      {card.earlier.length > 0 && <Earlier months={card.earlier} />}
    </Part>
  );
}

/** A reading of the carrier's own counter: typed now and then. */
function Counter({ card }: { card: Card }) {
  const [text, setText] = useState('');
  const enter = useEnterCounter(card.gear);
  const remove = useRemoveCounter(card.gear);
  const restore = useRestoreCounter(card.gear);
  const undoable = useUndo();
  const [problem, setProblem] = useState<string>();
  const keep = () => {
    const value = typedNumber(text);
    if (!Number.isFinite(value)) {
      setProblem(`the counter is “${text}”; allowed are the GB that it shows`);
      return;
    }
    enter.mutate(value, {
      onSuccess: () => {
        setText('');
        setProblem(undefined);
      },
      onError: (e) => setProblem(e instanceof Refusal ? (e.errors[0]?.message ?? e.message) : e.message),
    });
  };
  return (
    <div className="counter">
      <Field
        name={`counter-${card.gear}`}
        label={`The counter of ${card.carrier} shows now`}
        unit="GB"
        numeric
        value={text}
        onChange={setText}
        problem={problem}
        hint={`used since ${day(card.month.first)}`}
      />
      <Button
        aria-label={`Save the counter of ${card.name}`}
        onClick={keep}
        loading={enter.isPending}
        disabled={text.trim() === ''}
      >
        Save
      </Button>
      {card.month.readings.length > 0 && (
        <details className="numbers">
          <summary>{count(card.month.readings.length, 'reading')} this month</summary>
          <ul className="small">
            {card.month.readings.map((r) => (
              <li key={r.id}>
                {dateClock(r.readAt)}: {gb(r.usedGb)}{' '}
                <button
                  type="button"
                  className="link"
                  onClick={() =>
                    remove.mutate(r.id, {
                      onSuccess: () => undoable('Reading deleted.', () => restore.mutateAsync(r.id)),
                    })
                  }
                >
                  Delete
                </button>
              </li>
            ))}
          </ul>
        </details>
      )}
    </div>
  );
}

function Offers({ card }: { card: Card }) {
  const { money } = useMoney();
  const used = card.month.forecastGb ?? card.month.usedGb;
  const [cheapest] = card.offers;
  const about =
    card.month.counterAt === null
      ? `For the ${gb(used)} that measuring takes,`
      : `For about ${gb(used)} a month,`;
  return (
    <details className="numbers">
      <summary>
        {cheapest?.own
          ? `${about} it is the cheapest plan that you know`
          : `${about} ${cheapest?.card} would be cheaper`}
      </summary>
      <table className="plain">
        <tbody>
          {card.offers.map((o) => (
            <tr key={o.card}>
              <td>
                {o.card} <span className="small">{o.carrier}</span>
              </td>
              <td className="num">{money(o.price, CENTS)}</td>
              <td className="small">{o.cards > 1 ? `takes ${o.cards} of them` : o.own ? 'this one' : ''}</td>
            </tr>
          ))}
        </tbody>
      </table>
      <p className="small">
        Plans that are held to less than your needs ask for are left out. Whether the other carrier is as good
        where you go is under <Link to="/findings?of=carriers">Findings</Link>.
      </p>
    </details>
  );
}

function Earlier({ months }: { months: Month[] }) {
  const { money } = useMoney();
  return (
    <details className="numbers">
      <summary>Earlier months ({months.length})</summary>
      <table className="plain rows">
        <thead>
          <tr>
            <th>Month</th>
            <th className="num">Used</th>
            <th className="num">Measuring</th>
            <th className="num">Else</th>
            <th className="num">Cost of a GB</th>
          </tr>
        </thead>
        <tbody>
          {months.map((m) => (
            <tr key={m.first}>
              <td>
                {day(m.first)} to {day(m.next)}
              </td>
              <td className="num" data-label="Used">
                {m.counterGb === null && 'about '}
                {gb(m.usedGb)}
              </td>
              <td className="num" data-label="Measuring">
                {gb(m.runsGb + m.loggedGb + m.liveGb)}
              </td>
              <td className="num" data-label="Else">
                {m.elseGb === null ? '–' : gb(m.elseGb)}
              </td>
              <td className="num" data-label="Cost of a GB">
                {money(m.pricePerGb, CENTS)}
              </td>
            </tr>
          ))}
        </tbody>
      </table>
    </details>
  );
}
