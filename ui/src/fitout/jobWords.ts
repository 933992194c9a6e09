import type { JobTask } from '../data/fitout';

const MIN_PER_H = 60;

/** What it waits for after it, such as the night that a sealant takes; nothing where it does not wait. */
export const waits = (task: JobTask) =>
  task.waitMin === 0
    ? ''
    : task.waitMin < MIN_PER_H
      ? `, then ${task.waitMin} min to wait`
      : `, then ${Math.round(task.waitMin / MIN_PER_H)} h to wait`;

/** Who it takes: hands at work, and whoever stands by. */
export const hands = (task: JobTask) =>
  task.helper
    ? `${task.people === 1 ? 'one person' : `${task.people} people`} and a helper`
    : task.people === 1
      ? 'one person'
      : `${task.people} people`;
