import type { Schemas } from '../data/client';
import { Part } from '../parts/Sheet';
import { Pennant } from '../draw/Pennant';
import { linear, logarithmic } from '../draw/scale';
import { useWidth } from '../draw/useWidth';
import { count, short } from '../format/numbers';
import { clock } from '../format/time';

type Option = Schemas['Option'];

/** What the setups measured lately, the strongest upload first. */
export function Options({ options, hours }: { options: Option[]; hours: number }) {
  const ups = options.flatMap((o) => (o.up ? [o.up.low, o.up.high] : []));
  const domain: [number, number] = ups.length ? [Math.min(...ups) / 1.4, Math.max(...ups) * 1.4] : [1, 10];
  return (
    <Part
      title="Measured lately"
      small={`upload over the last ${hours} h · bar: lowest to highest, tick: middle run`}
    >
      {options.map((option) => (
        <div className="option" key={option.setup.id}>
          <div>
            <Pennant number={option.setup.pennant} />
          </div>
          <div>
            <div className="name">{option.setup.name}</div>
            <div className="small">{[option.carrier, option.band].filter(Boolean).join(' · ')}</div>
          </div>
          <div className="drawn">
            <SpreadBar option={option} domain={domain} />
          </div>
          <div className="num">
            <div className="name">{option.up ? `${short(option.up.median)} Mb/s up` : 'no upload'}</div>
            <div className="small">
              {option.down ? `${short(option.down.median)} Mb/s down` : 'no download'}
            </div>
          </div>
        </div>
      ))}
    </Part>
  );
}

function SpreadBar({ option, domain }: { option: Option; domain: [number, number] }) {
  const [ref, width] = useWidth<HTMLDivElement>(330);
  const x = (domain[0] > 0 ? logarithmic : linear)(domain, [0, width]);
  const { up } = option;
  const runs = `${count(option.runs, 'run')}, last at ${clock(option.lastAt)}`;
  return (
    <div ref={ref}>
      <svg
        width={width}
        height={26}
        role="img"
        aria-label={
          up ? `upload ${short(up.low)} to ${short(up.high)}, middle ${short(up.median)} Mb/s` : 'no upload'
        }
      >
        <line x1={0} x2={width} y1={13} y2={13} stroke="var(--rule)" />
        {up ? (
          <>
            <rect
              x={x(up.low)}
              y={9}
              width={Math.max(2, x(up.high) - x(up.low))}
              height={8}
              fill="var(--kelp)"
              opacity={0.45}
            />
            <rect x={x(up.median) - 2} y={3} width={4} height={20} fill="var(--kelp)" />
          </>
        ) : (
          <rect
            x={1}
            y={8}
            width={width - 2}
            height={10}
            fill="none"
            stroke="var(--ink2)"
            strokeDasharray="4 3"
          />
        )}
      </svg>
      <div className="small">
        {up && `${short(up.low)} to ${short(up.high)} Mb/s · `}
        {runs}
        {option.failed > 0 && <span className="loss"> · {option.failed} failed</span>}
      </div>
    </div>
  );
}
