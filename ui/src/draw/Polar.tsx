import { fixed } from '../format/numbers';
import { hatched } from './hatched';

export interface PolarPoint {
  deg: number;
  db: number;
  counts: boolean;
}

const ROOM = 34;
const RINGS = 3;
const CURVE_DEG = 5;
const WINDS = ['N', 'E', 'S', 'W'];

/**
 * Levels around the vehicle, north up: solid dots are measured, the best heading, the curve and the sector within
 * which little is lost are estimated, and so dashed and hatched. Marks on the rim are towers, dashed where they are estimated.
 */
export function Polar(props: {
  points: PolarPoint[];
  /** The level every 5° by the fit; none where no direction matters. */
  curve: number[];
  best: { deg: number; within: number } | null;
  masts: { name: string; deg: number; estimated: boolean }[];
  size: number;
  label: string;
}) {
  const { points, curve, best, masts, size } = props;
  const centre = size / 2;
  const rim = centre - ROOM;
  const all = [...points.map((p) => p.db), ...curve];
  const high = Math.ceil((all.length ? Math.max(...all) : -80) / 5) * 5;
  const low = Math.min(high - 15, Math.floor((all.length ? Math.min(...all) : -110) / 5) * 5 - 5);
  const at = (deg: number, radius: number): [number, number] => [
    centre + radius * Math.sin((deg * Math.PI) / 180),
    centre - radius * Math.cos((deg * Math.PI) / 180),
  ];
  const radius = (db: number) => (rim * (db - low)) / (high - low);
  const text = (deg: number, r: number) => {
    const [x, y] = at(deg, r);
    return { x, y: y + 4, textAnchor: 'middle' as const };
  };
  const named = apart(masts, (m) => text(m.deg, rim - 22));
  return (
    <svg width={size} height={size} role="img" aria-label={props.label} className="polar">
      {Array.from({ length: RINGS }, (_, i) => low + ((high - low) * (i + 1)) / RINGS).map((db) => (
        <g key={db}>
          <circle cx={centre} cy={centre} r={radius(db)} fill="none" stroke="var(--rule)" />
          <text x={centre + 4} y={centre - radius(db) + 13} className="ring">
            {fixed(db, 0)} dBm
          </text>
        </g>
      ))}
      {best && (
        <path
          d={sector(at, best.deg - best.within, best.deg + best.within, rim, centre)}
          fill={hatched('kelp').fill}
          opacity={0.55}
        />
      )}
      {[0, 90, 180, 270].map((deg, i) => (
        <g key={deg}>
          <line
            x1={at(deg, rim - 5)[0]}
            y1={at(deg, rim - 5)[1]}
            x2={at(deg, rim)[0]}
            y2={at(deg, rim)[1]}
            stroke="var(--ink2)"
          />
          <text {...text(deg, rim + 12)}>{WINDS[i]}</text>
        </g>
      ))}
      {curve.length > 0 && (
        <path
          d={`${curve.map((db, i) => `${i === 0 ? 'M' : 'L'}${at(i * CURVE_DEG, radius(db)).join(' ')}`).join('')}Z`}
          fill="none"
          stroke="var(--kelp)"
          strokeDasharray="5 4"
        />
      )}
      {masts.map((m) => (
        <g key={m.name}>
          <title>{m.name}</title>
          <line
            x1={at(m.deg, rim - 10)[0]}
            y1={at(m.deg, rim - 10)[1]}
            x2={at(m.deg, rim + 6)[0]}
            y2={at(m.deg, rim + 6)[1]}
            stroke="var(--tide)"
            strokeWidth={2}
            strokeDasharray={m.estimated ? '3 3' : undefined}
          />
          {named.has(m) && (
            <text {...text(m.deg, rim - 22)} className="mast">
              {m.name}
            </text>
          )}
        </g>
      ))}
      {points.map((p) => (
        <g key={`${p.deg} ${p.db}`}>
          <line
            x1={centre}
            y1={centre}
            x2={at(p.deg, radius(p.db))[0]}
            y2={at(p.deg, radius(p.db))[1]}
            stroke="var(--ink)"
            strokeWidth={p.counts ? 1.5 : 0.5}
          />
          <circle
            cx={at(p.deg, radius(p.db))[0]}
            cy={at(p.deg, radius(p.db))[1]}
            r={5}
            fill={p.counts ? 'var(--ink)' : 'var(--sheet)'}
            stroke="var(--ink)"
          />
        </g>
      ))}
      {best && (
        <line
          x1={centre}
          y1={centre}
          x2={at(best.deg, rim)[0]}
          y2={at(best.deg, rim)[1]}
          stroke="var(--kelp)"
          strokeWidth={2.5}
          strokeDasharray="9 4"
        />
      )}
    </svg>
  );
}

/** A letter of a name, and a line, in px. */
const LETTER = 6.5;
const LINE = 14;

/** Those whose names have room beside the ones before them. */
function apart<T extends { name: string }>(masts: T[], at: (mast: T) => { x: number; y: number }): Set<T> {
  const kept: T[] = [];
  for (const mast of masts) {
    const here = at(mast);
    const room = kept.every((other) => {
      const there = at(other);
      const wide = ((mast.name.length + other.name.length) * LETTER) / 2;
      return Math.abs(here.y - there.y) > LINE || Math.abs(here.x - there.x) > wide;
    });
    if (room) {
      kept.push(mast);
    }
  }
  return new Set(kept);
}

function sector(
  at: (deg: number, radius: number) => [number, number],
  from: number,
  to: number,
  rim: number,
  centre: number,
) {
  const large = to - from > 180 ? 1 : 0;
  return `M${centre} ${centre}L${at(from, rim).join(' ')}A${rim} ${rim} 0 ${large} 1 ${at(to, rim).join(' ')}Z`;
}
