import dayjs from 'dayjs';
import { Link } from 'react-router';
import type { Schemas } from '../data/client';
import { useStanding } from '../data/names';
import { Pennant } from '../draw/Pennant';
import { count } from '../format/numbers';
import { span } from '../format/time';
import { Part } from '../parts/Sheet';
import { useNarrow } from '../parts/useNarrow';

type Line = Schemas['StayLine'];
type Days = Line & { leftAt: string };

/** The stays day by day, month under month, the latest first. */
export function Calendar(props: { stays: Line[] }) {
  const now = useStanding().data?.now;
  // a stay that is still going on has had its days until today
  const stays = props.stays.map((s) => ({ ...s, leftAt: s.leftAt ?? now ?? s.arrivedAt }));
  const months = new Map<string, Days[]>();
  for (const stay of stays) {
    for (const month of monthsOf(stay)) {
      months.set(month, [...(months.get(month) ?? []), stay]);
    }
  }
  const latest = [...months.keys()].sort().reverse();
  if (latest.length === 0) {
    return <p className="hollow">No stay fits. Take a filter away.</p>;
  }
  return (
    <>
      {latest.slice(0, MOST_MONTHS).map((month) => (
        <Month key={month} month={month} stays={months.get(month) ?? []} />
      ))}
      {latest.length > MOST_MONTHS && <p className="small">Earlier months: choose days in the filter.</p>}
    </>
  );
}

const MOST_MONTHS = 24;
const WEEK = ['Mo', 'Tu', 'We', 'Th', 'Fr', 'Sa', 'Su'];

const dayOf = (iso: string) => iso.slice(0, 10);
const lastDay = (stay: Days) => dayOf(stay.leftAt);

function monthsOf(stay: Days) {
  const months: string[] = [];
  let month = dayjs(dayOf(stay.arrivedAt)).startOf('month');
  const last = dayjs(lastDay(stay));
  while (!month.isAfter(last) && months.length < 120) {
    months.push(month.format('YYYY-MM'));
    month = month.add(1, 'month');
  }
  return months;
}

function Month({ month, stays }: { month: string; stays: Days[] }) {
  // where a day has no room for a name, the names are under the month
  const narrow = useNarrow();
  const first = dayjs(`${month}-01`);
  const before = (first.day() + 6) % 7;
  const days = Array.from({ length: first.daysInMonth() }, (_, i) => first.add(i, 'day'));
  return (
    <Part title={first.format('MMMM YYYY')} small={count(stays.length, 'stay')}>
      <div className="calendar">
        {WEEK.map((day) => (
          <div key={day} className="weekday small">
            {day}
          </div>
        ))}
        {Array.from({ length: before }, (_, i) => (
          <div key={`before ${i}`} aria-hidden="true" />
        ))}
        {days.map((day) => {
          const date = day.format('YYYY-MM-DD');
          const here = stays.filter((s) => dayOf(s.arrivedAt) <= date && date <= lastDay(s));
          return (
            <div key={date} className={here.length > 0 ? 'day stayed' : 'day'}>
              <span className="small">{day.date()}</span>
              {here.slice(0, 2).map((s) => (
                <Link
                  key={s.id}
                  to={`/logbook?stay=${s.id}`}
                  aria-label={`${s.campsite}, ${date}`}
                  title={`${s.campsite}, ${date}`}
                >
                  {s.setups[0] && <Pennant number={s.setups[0].pennant} />}
                  <span className="place">{s.campsite}</span>
                </Link>
              ))}
            </div>
          );
        })}
      </div>
      {narrow && (
        <ul className="month-stays">
          {stays.map((s) => (
            <li key={s.id}>
              <Link to={`/logbook?stay=${s.id}`} aria-label={`${s.campsite}, ${span(s.arrivedAt, s.leftAt)}`}>
                {s.campsite}
              </Link>{' '}
              <span className="small">{span(s.arrivedAt, s.leftAt)}</span>
            </li>
          ))}
        </ul>
      )}
    </Part>
  );
}
