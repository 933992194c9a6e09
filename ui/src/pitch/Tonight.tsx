import { App, Button } from 'antd';
import { Link } from 'react-router';
import type { Schemas } from '../data/client';
import { useFollow, useOutcome } from '../data/advice';
import { useMoney } from '../data/useMoney';
import { ChanceBar } from '../draw/ChanceBar';
import { Pennant } from '../draw/Pennant';
import { RangeBar } from '../draw/RangeBar';
import { useWidth } from '../draw/useWidth';
import { count, fixed, short } from '../format/numbers';
import { weekdayClock } from '../format/time';
import { Part } from '../parts/Sheet';
import { useKey } from '../parts/useKey';
import { useNarrow } from '../parts/useNarrow';
import { WhatIsWhere } from './WhatIsWhere';
import { useFailed } from '../parts/useFailed';

type Advice = Schemas['AdviceView'];
type Option = Schemas['OptionView'];

/** How many options stand open where there is little room. */
const SHOWN_NARROW = 2;

/** Where no carrier was heard: what to try, in order. */
export function WhatToTry({ advice }: { advice: Advice }) {
  return advice.whatToTry.length === 0 ? null : (
    <Part title="What to try">
      <ol>
        {advice.whatToTry.map((step) => (
          <li key={step}>{step}</li>
        ))}
      </ol>
    </Part>
  );
}

/** What to put up tonight: each option with its chance, what it may bring, its work, and why. */
export function Tonight({ advice }: { advice: Advice }) {
  const follow = useFollow();
  const narrow = useNarrow();
  const { message } = App.useApp();
  const failed = useFailed();
  const first = advice.options.find((o) => o.kind !== 'move-on');
  const take = (option: Option) =>
    option.setup &&
    option.carrier !== null &&
    follow.mutate(
      { setup: option.setup.name, carrier: option.carrier },
      {
        onSuccess: () => void message.success(`Now using ${option.setup?.name} on ${option.carrier ?? ''}.`),
        onError: (refused) => failed(refused.message),
      },
    );
  useKey('f', () => first && take(first));
  if (advice.options.length === 0) {
    return null;
  }
  const speeds = advice.options.flatMap((o) => [o.up.low, o.up.high, o.down.low, o.down.high]);
  const domain: [number, number] = [Math.max(0.05, Math.min(...speeds) / 1.2), Math.max(1, ...speeds) * 1.2];
  const row = (option: Option) => (
    <OptionRow
      key={`${option.kind}${option.setup?.name ?? ''}${option.carrier ?? ''}`}
      option={option}
      domain={domain}
      first={option === first}
      busy={follow.isPending}
      take={() => take(option)}
    />
  );
  const shown = narrow ? SHOWN_NARROW : advice.options.length;
  return (
    <Part
      title="Tonight"
      small={advice.need ? `for ${advice.need}` : undefined}
      actions={
        <>
          <WhatIsWhere />
          <Link to="/why">
            Why is it slow?{' '}
            <kbd aria-hidden="true" className="wide-only">
              W
            </kbd>
          </Link>
        </>
      }
    >
      {advice.options.slice(0, shown).map(row)}
      {advice.options.length > shown && (
        <details className="numbers">
          <summary>Other options ({advice.options.length - shown})</summary>
          {advice.options.slice(shown).map(row)}
        </details>
      )}
      <p className="small">
        Hatched: predicted. Solid: measured here. 8 of 10 runs are between the two ends.
        {advice.more > 0 && ` ${count(advice.more, 'more option')}, all ranked lower.`}
      </p>
    </Part>
  );
}

function OptionRow(props: {
  option: Option;
  domain: [number, number];
  first: boolean;
  busy: boolean;
  take: () => void;
}) {
  const { money } = useMoney();
  const { option, domain, first, busy, take } = props;
  const [ref, width] = useWidth<HTMLDivElement>(220);
  const name = option.setup?.name ?? 'Move on';
  return (
    <section className="tonight-option" aria-label={`${name}${option.setup ? ` on ${option.carrier}` : ''}`}>
      <div className="flag">{option.setup && <Pennant number={option.setup.pennant} />}</div>
      <div className="who">
        <div className="name">{name}</div>
        <div className="small">
          {option.setup ? `on ${option.carrier}` : 'to another campsite'} · {effort(option)}
          {option.pricePerGb !== null && ` · ${money(option.pricePerGb, 2)}\u00a0a\u00a0GB`}
        </div>
      </div>
      <div className="chance" ref={ref}>
        {option.chance !== null && (
          <>
            <div className="small">
              <b>{Math.round(option.chance * 100)} %</b> predicted
              {option.here &&
                ` · ${option.here.met} of ${option.here.runs} runs here met it${option.here.when && ` ${option.here.when}`}`}
            </div>
            <ChanceBar chance={option.chance} here={option.here} width={width} />
            {option.times.length > 0 && (
              <div className="small">
                {option.times.map((time) => `${time.what} ${Math.round(time.chance * 100)} %`).join(' · ')}
              </div>
            )}
          </>
        )}
      </div>
      <div className="brings">
        <Rate word="up" rate={option.up} domain={domain} />
        <Rate word="down" rate={option.down} domain={domain} />
      </div>
      <div className="take">
        {option.kind === 'setup' && (
          <Button
            type={first ? 'primary' : 'default'}
            size={first ? 'middle' : 'small'}
            loading={busy}
            onClick={take}
          >
            Use this
            <span className="aloud">
              : {name} on {option.carrier}
            </span>{' '}
            {first && (
              <kbd aria-hidden="true" className="wide-only">
                F
              </kbd>
            )}
          </Button>
        )}
        {option.kind === 'as-it-is' && <span className="small">up now</span>}
      </div>
      <div className="why small">
        {option.whyHere && <b>{option.whyHere} </b>}
        {option.reason}
        {option.moves.length > 0 && <Moves moves={option.moves} cautions={first} />}
      </div>
    </section>
  );
}

/** What to do for it, in order; what to watch out for stands with the option that is taken first. */
function Moves({ moves, cautions }: { moves: Option['moves']; cautions: boolean }) {
  return (
    <ol className={moves.length === 1 ? 'moves alone do' : 'moves do'}>
      {moves.map((move) => (
        <li key={move.says}>
          {move.says}
          {cautions && move.caution && <span className="caution"> {move.caution}</span>}
        </li>
      ))}
    </ol>
  );
}

function Rate(props: { word: string; rate: Schemas['RateView']; domain: [number, number] }) {
  const { word, rate, domain } = props;
  const [ref, width] = useWidth<HTMLDivElement>(140);
  return (
    <div className="rate">
      <div ref={ref}>
        <RangeBar
          low={rate.low}
          middle={rate.middle}
          high={rate.high}
          domain={domain}
          width={width}
          label={`${word}: about ${short(rate.middle)}, ${short(rate.low)} to ${short(rate.high)} Mb/s`}
        />
      </div>
      <div className="small">
        about <b className="num">{short(rate.middle)}</b> Mb/s {word}
      </div>
    </div>
  );
}

function effort(option: Option) {
  if (option.kind === 'move-on') {
    return 'the drive';
  }
  return option.kind === 'as-it-is' || option.minutes === 0
    ? 'nothing to do'
    : `${fixed(option.minutes, 0)} min of work`;
}

/** What a test would settle, what came of advice, and how often it was right. */
export function AdviceNotes({ advice }: { advice: Advice }) {
  const { test, asked, record } = advice;
  if (advice.options.length === 0) {
    return null;
  }
  return (
    <Part title="About this advice">
      {test && (
        <div className="note">
          {test.sentence}{' '}
          <Link to={planAddress(test.between)} className="todo">
            Plan this test
          </Link>
        </div>
      )}
      {asked && <Did key={asked.id} asked={asked} />}
      <div className="note">{record.sentence}</div>
    </Part>
  );
}

function Did({ asked }: { asked: NonNullable<Advice['asked']> }) {
  const outcome = useOutcome();
  const say = (met: boolean) => () => outcome.mutate({ id: asked.id, met });
  return (
    <div className="note">
      {weekdayClock(asked.at)} you chose {asked.setup} on {asked.carrier} and have measured nothing since. Was
      it good enough for {asked.need}?{' '}
      <span className="buttons">
        <Button size="small" loading={outcome.isPending} onClick={say(true)}>
          Yes
        </Button>
        <Button size="small" onClick={say(false)}>
          No
        </Button>
      </span>
    </div>
  );
}

function planAddress(between: Schemas['Contestant'][]) {
  const query = new URLSearchParams({ plan: '' });
  for (const { setup, carrier } of between) {
    query.append('setup', setup);
    query.append('carrier', carrier);
  }
  return `/trials?${query}`;
}
