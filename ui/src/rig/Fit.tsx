import type { Schemas } from '../data/client';
import { useMoney } from '../data/useMoney';
import { capital, count } from '../format/numbers';
import { Part } from '../parts/Sheet';

/** What the fit check found, the heaviest first, and what has to be bought. */
export function Fit({ view }: { view: Schemas['SetupView'] }) {
  const { findings } = view;
  return (
    <>
      {view.toBuy.length > 0 && <ToBuy view={view} />}
      <Part title="Fit" small={count(findings.length, 'finding')}>
        {findings.map((f) => (
          <div className="note" key={f.code + f.where + f.says}>
            <b className={TONE[f.severity]}>{capital(f.severity)}.</b>{' '}
            {!f.says.includes(f.where) && f.where !== 'chain' && <span className="small">{f.where}: </span>}
            {f.says} {f.fix && <span className="fix">{f.fix}</span>}
          </div>
        ))}
        {findings.length === 0 && <div className="note">No problems found.</div>}
      </Part>
    </>
  );
}

function ToBuy({ view }: { view: Schemas['SetupView'] }) {
  const { currency, priced } = useMoney();
  return (
    <Part
      title="To buy"
      small={view.price === null ? '' : `${priced(view.price)} in all${currency ? '' : ', in your money'}`}
    >
      {view.toBuy.map((b) => (
        <Buy key={b.what} buy={b} />
      ))}
    </Part>
  );
}

/** One thing to buy with its price. */
export function Buy({ buy }: { buy: Schemas['BuyView'] }) {
  const { money } = useMoney();
  return (
    <div className="buy">
      <span>
        {buy.pieces > 1 && `${buy.pieces} × `}
        {buy.what}
      </span>
      <span className="small">
        {buy.price === null ? 'price not known' : `${buy.estimated ? 'about ' : ''}${money(buy.price, 0)}`}
      </span>
    </div>
  );
}

const TONE: Record<string, string> = { blocker: 'loss', caution: 'attention' };
