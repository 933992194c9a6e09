import dayjs from 'dayjs';
const DAYS = ['Sun', 'Mon', 'Tue', 'Wed', 'Thu', 'Fri', 'Sat'];
const MONTHS = ['Jan', 'Feb', 'Mar', 'Apr', 'May', 'Jun', 'Jul', 'Aug', 'Sep', 'Oct', 'Nov', 'Dec'];

// Times are shown as they were written, in the local time of the campsite, never in that of the browser.
function parts(iso: string) {
  const match = /^(\d{4})-(\d{2})-(\d{2})T(\d{2}:\d{2})/.exec(iso);
  if (!match) {
    throw new Error(`not a time: ${iso}`);
  }
  const [, year, month, day, time] = match as unknown as [string, string, string, string, string];
  const weekday = DAYS[new Date(Date.UTC(+year, +month - 1, +day)).getUTCDay()];
  return { year, month: MONTHS[+month - 1], day: +day, time, weekday, date: `${year}-${month}-${day}` };
}

/** 18:42 */
export const clock = (iso: string) => parts(iso).time;

/** Tue 14:20 */
export const weekdayClock = (iso: string) => `${parts(iso).weekday} ${parts(iso).time}`;

/** Sun 6 Sep */
export const weekdayDay = (iso: string) => `${parts(iso).weekday} ${dayMonth(iso)}`;

/** 14 Aug */
export const dayMonth = (iso: string) => `${parts(iso).day} ${parts(iso).month}`;

/** 14 Aug 2026 */
const dated = (iso: string) => `${dayMonth(iso)} ${parts(iso).year}`;

/** 14 Aug 2026, 18:42 */
export function dateClock(iso: string) {
  const p = parts(iso);
  return `${p.day} ${p.month} ${p.year}, ${p.time}`;
}

/** 14 to 18 Aug 2026, 30 Jul to 2 Aug 2026, or 30 Dec 2025 to 2 Jan 2026: a log is of several years. */
export function span(from: string, to: string | null) {
  if (to === null) {
    return `since ${dated(from)}`;
  }
  const a = parts(from);
  const b = parts(to);
  if (a.date === b.date) {
    return dated(from);
  }
  if (a.year !== b.year) {
    return `${dated(from)} to ${dated(to)}`;
  }
  return `${a.month === b.month ? a.day : dayMonth(from)} to ${dated(to)}`;
}

/** 5 Sep 2026, 18:00 to 20:10; over several days 5 Sep 2026, 18:00 to 6 Sep 2026, 09:10. */
export function fullSpan(from: string, to: string) {
  return parts(from).date === parts(to).date
    ? `${dateClock(from)} to ${clock(to)}`
    : `${dateClock(from)} to ${dateClock(to)}`;
}

/** The offset of a time: +02:00. */
export const offset = (iso: string) => /([+-]\d{2}:\d{2}|Z)$/.exec(iso)?.[1] ?? '';

/** How long ago, in the largest whole unit. */
export function ago(iso: string, now: string) {
  const minutes = Math.max(0, Math.round((Date.parse(now) - Date.parse(iso)) / 60000));
  if (minutes < 1) {
    return 'just now';
  }
  if (minutes < 60) {
    return `${minutes} min ago`;
  }
  const hours = Math.round(minutes / 60);
  return hours < 48 ? `${hours} h ago` : `${Math.round(hours / 24)} days ago`;
}

/** A moment of this device's own time, such as when it logged in; what was measured has the time of its campsite. */
export const here = (iso: string) => dateClock(dayjs(iso).format('YYYY-MM-DDTHH:mm:ssZ'));

/** 14:20, of this device's own time. */
export const localClock = (ms: number) => dayjs(ms).format('HH:mm');

/** How long it is until a moment, as minutes and seconds; 0:00 when it is over. */
export function countdown(until: string, nowMs: number) {
  const left = Math.max(0, Math.ceil((Date.parse(until) - nowMs) / 1000));
  return `${Math.floor(left / 60)}:${String(left % 60).padStart(2, '0')}`;
}
