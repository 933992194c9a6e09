import type { Schemas } from '../data/client';
import { fixed } from '../format/numbers';
import { linear } from './scale';

const signed = (db: number) => `${db > 0 ? '+' : ''}${fixed(db, Math.abs(db) < 1 ? 2 : 1)}`;

/** So wide at least a drawing of columns is; on less it is drawn as rows. */
const COLUMNS_FROM = 560;

/**
 * A chain as steps in dB, from what the device's own antenna hears inside to what the chain brings: gains up, losses down,
 * hatched when estimated, hollow when missing. It ends at the predicted difference.
 */
export function Staircase(props: { staircase: Schemas['StaircaseView']; width: number }) {
  return props.width < COLUMNS_FROM ? <StaircaseRows {...props} /> : <StaircaseColumns {...props} />;
}

const plusMinus = (step: Schemas['StepView']) =>
  step.halfWidthDb >= 0.05 ? ` ± ${fixed(step.halfWidthDb, step.halfWidthDb < 1 ? 1 : 0)}` : '';

const says = (staircase: Schemas['StaircaseView']) => {
  const { band, steps, deltaDb } = staircase;
  const each = steps.map(
    (s) => `${s.part} ${s.db === null ? 'unknown' : `${signed(s.db)} dB${plusMinus(s)}`}`,
  );
  return `Staircase on ${band}: ${each.join(', ')}; together ${deltaDb === null ? 'unknown' : `${signed(deltaDb)} dB`}`;
};

function StaircaseColumns({ staircase, width }: { staircase: Schemas['StaircaseView']; width: number }) {
  const { steps, deltaDb } = staircase;
  const levels = steps.reduce<number[]>((all, s) => [...all, (all.at(-1) ?? 0) + (s.db ?? 0)], [0]);
  const high = Math.max(...levels, 1);
  const low = Math.min(...levels, 0);
  const columns = steps.length + 2;
  const wide = Math.max(62, width / columns);
  const total = wide * columns;
  const y = linear([low, high], [178, 42]);
  const bar = wide * 0.78;
  const left = (i: number) => i * wide + (wide - bar) / 2;
  const delta = deltaDb === null ? 'unknown' : `${signed(deltaDb)} dB`;
  return (
    <svg width={total} height={250} role="img" aria-label={says(staircase)}>
      <line x1={0} x2={total} y1={y(0)} y2={y(0)} stroke="var(--ink2)" />
      <rect x={left(0)} y={y(0) - 2} width={bar} height={4} fill="var(--ink)" />
      <Foot x={left(0)} first="Built-in antenna" second="inside, 0 dB" wide={wide} />
      {steps.map((step, i) => (
        <Step
          key={`${step.part}${i}`}
          step={step}
          x={left(i + 1)}
          bar={bar}
          wide={wide}
          from={y(levels[i] ?? 0)}
          to={y(levels[i + 1] ?? 0)}
        />
      ))}
      {deltaDb === null ? (
        <rect
          x={left(columns - 1)}
          y={y(0) - 12}
          width={bar}
          height={24}
          fill="none"
          stroke="var(--ink2)"
          strokeDasharray="4 3"
        />
      ) : (
        <rect x={left(columns - 1)} y={y(deltaDb) - 2} width={bar} height={4} fill="var(--ink)" />
      )}
      <text x={left(columns - 1)} y={deltaDb === null ? y(0) - 18 : y(deltaDb) - 10} className="strong">
        {delta}
      </text>
      <Foot x={left(columns - 1)} first="This chain" second="in total" wide={wide} />
    </svg>
  );
}

function Step(props: {
  step: Schemas['StepView'];
  x: number;
  bar: number;
  wide: number;
  from: number;
  to: number;
}) {
  const { step, x, bar, wide, from, to } = props;
  const gain = (step.db ?? 0) > 0;
  const tone = gain ? 'kelp' : 'rust';
  const top = Math.min(from, to);
  return (
    <g>
      {step.db === null ? (
        <rect
          x={x}
          y={from - 12}
          width={bar}
          height={24}
          fill="none"
          stroke="var(--ink2)"
          strokeDasharray="4 3"
        />
      ) : (
        <rect
          x={x}
          y={top}
          width={bar}
          height={Math.max(2, Math.abs(to - from))}
          fill={step.estimated ? `url(#hatch-${tone})` : `var(--${tone})`}
          stroke={step.estimated ? `var(--${tone})` : 'none'}
        />
      )}
      <line x1={x - (wide - bar)} x2={x} y1={from} y2={from} stroke="var(--ink2)" strokeWidth={0.8} />
      <text x={x} y={(step.db === null ? from - 12 : top) - 6} className="strong">
        {step.db === null ? 'unknown' : `${signed(step.db)}${plusMinus(step)} dB`}
      </text>
      <Foot x={x} first={step.part} second={step.says} wide={wide} />
    </g>
  );
}

const ROW = 40;
/** A letter of a drawing is about so wide. */
const LETTER = 6.3;

const cut = (text: string, fits: number) =>
  text.length > fits ? `${text.slice(0, Math.floor(fits) - 1)}…` : text;

/** The same for a narrow sheet: one row a step, the level running from row to row. */
function StaircaseRows({ staircase, width }: { staircase: Schemas['StaircaseView']; width: number }) {
  const { steps, deltaDb } = staircase;
  const levels = steps.reduce<number[]>((all, s) => [...all, (all.at(-1) ?? 0) + (s.db ?? 0)], [0]);
  const x = linear([Math.min(...levels, 0), Math.max(...levels, 1)], [2, width - 4]);
  const height = (steps.length + 1) * ROW + 4;
  return (
    <svg width={width} height={height} role="img" aria-label={says(staircase)}>
      <line x1={x(0)} x2={x(0)} y1={0} y2={height} stroke="var(--ink2)" strokeWidth={0.8} />
      {steps.map((step, i) => {
        const from = x(levels[i] ?? 0);
        const to = x(levels[i + 1] ?? 0);
        const tone = (step.db ?? 0) > 0 ? 'kelp' : 'rust';
        return (
          <g key={`${step.part}${i}`}>
            <text x={9} y={i * ROW + 14}>
              {cut(`${step.part} · ${step.says}`, (width - 104) / LETTER)}
            </text>
            <text x={width - 4} y={i * ROW + 14} textAnchor="end" className="strong">
              {step.db === null ? 'unknown' : `${signed(step.db)}${plusMinus(step)} dB`}
            </text>
            {step.db === null ? (
              <rect
                x={from - 12}
                y={i * ROW + 20}
                width={24}
                height={12}
                fill="none"
                stroke="var(--ink2)"
                strokeDasharray="4 3"
              />
            ) : (
              <rect
                x={Math.min(from, to)}
                y={i * ROW + 20}
                width={Math.max(2, Math.abs(to - from))}
                height={12}
                fill={step.estimated ? `url(#hatch-${tone})` : `var(--${tone})`}
                stroke={step.estimated ? `var(--${tone})` : 'none'}
              />
            )}
          </g>
        );
      })}
      <text x={9} y={steps.length * ROW + 14} className="strong">
        Compared with the own antenna inside
      </text>
      <text x={width - 4} y={steps.length * ROW + 14} textAnchor="end" className="strong">
        {deltaDb === null ? 'unknown' : `${signed(deltaDb)} dB`}
      </text>
      {deltaDb !== null && (
        <rect x={x(deltaDb) - 2} y={steps.length * ROW + 20} width={4} height={16} fill="var(--ink)" />
      )}
    </svg>
  );
}

function Foot({ x, first, second, wide }: { x: number; first: string; second: string; wide: number }) {
  const fits = Math.floor(wide / LETTER);
  const lines = wrapped(second, fits);
  return (
    <>
      <text x={x} y={202} className="strong">
        {cut(first, fits)}
      </text>
      {lines.map((line, i) => (
        <text key={line} x={x} y={218 + 14 * i}>
          {line}
        </text>
      ))}
    </>
  );
}

/** Breaks a text into at most two lines of so many letters. */
export function wrapped(text: string, fits: number): string[] {
  const words = text.split(' ');
  const lines = [''];
  for (const word of words) {
    const last = lines.at(-1) ?? '';
    if (last && last.length + word.length + 1 > fits) {
      lines.push(word);
    } else {
      lines[lines.length - 1] = last ? `${last} ${word}` : word;
    }
  }
  return lines.length > 2 ? [lines[0] ?? '', `${(lines[1] ?? '').slice(0, fits - 1)}…`] : lines;
}
