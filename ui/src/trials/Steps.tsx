import type { RunSheet } from '../data/design';
import { Pennant } from '../draw/Pennant';

/** The visits as a strip: solid what is made, outlined what is next, hollow what is to come. */
export function Steps({ sheet }: { sheet: RunSheet }) {
  const made = sheet.made.filter((m) => m >= sheet.runs).length;
  return (
    <div className="steps" role="img" aria-label={`${made} of ${sheet.visits.length} visits made`}>
      {sheet.visits.map((_, i) => (
        <i key={i} className={i === sheet.next ? 'next' : (sheet.made[i] ?? 0) >= sheet.runs ? 'made' : ''} />
      ))}
    </div>
  );
}

/** Which step it is, and from which setup to which. */
export function FromTo({ sheet, place }: { sheet: RunSheet; place: number }) {
  const visit = sheet.visits[place];
  const to = visit && sheet.contenders[visit.contender];
  const before = sheet.visits[place - 1];
  const from =
    before && before.contender !== visit?.contender ? sheet.contenders[before.contender] : undefined;
  return !visit || !to ? null : (
    <p className="from-to">
      Step {place + 1} of {sheet.visits.length}, round {visit.round}:{' '}
      {from && (
        <>
          from <Pennant number={from.setup.pennant} /> {from.setup.name} to{' '}
        </>
      )}
      <Pennant number={to.setup.pennant} /> {to.setup.name}
      {to.carrier && ` on ${to.carrier}`}
    </p>
  );
}
