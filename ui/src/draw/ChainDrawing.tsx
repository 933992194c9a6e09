/** One part of a chain as it is drawn. */
export interface ChainPart {
  kind: string;
  name: string;
  says: string;
  missing?: boolean;
}

const HIGH = 56;
const GAP = 30;

/** The parts of a chain from the air to the device, joined by the signal's way; what is missing is hollow. */
export function ChainDrawing({ parts, width }: { parts: ChainPart[]; width: number }) {
  const wide = Math.max(104, Math.min(176, (width - GAP * (parts.length - 1)) / Math.max(1, parts.length)));
  const total = parts.length * wide + (parts.length - 1) * GAP;
  const fits = Math.floor((wide - 16) / 6.2);
  const cut = (text: string) => (text.length > fits ? `${text.slice(0, fits - 1)}…` : text);
  return (
    <svg width={total} height={HIGH + 4} role="img" aria-label={parts.map((p) => p.name).join(', then ')}>
      {parts.map((part, i) => {
        const x = i * (wide + GAP);
        return (
          <g key={`${part.kind} ${part.name}`}>
            {i > 0 && (
              <path
                d={`M${x - GAP} ${HIGH / 2}H${x}M${x - 8} ${HIGH / 2 - 4}L${x} ${HIGH / 2}L${x - 8} ${HIGH / 2 + 4}`}
                stroke="var(--ink2)"
                fill="none"
              />
            )}
            <rect
              x={x + 0.5}
              y={1}
              width={wide - 1}
              height={HIGH}
              rx={3}
              fill={part.missing ? 'none' : 'var(--zone)'}
              stroke={part.missing ? 'var(--ink2)' : 'var(--rule)'}
              strokeDasharray={part.missing ? '4 3' : undefined}
            />
            <text x={x + 8} y={17}>
              {part.kind}
            </text>
            <text x={x + 8} y={33} className="strong">
              {cut(part.name)}
            </text>
            <text x={x + 8} y={49}>
              {cut(part.says)}
            </text>
          </g>
        );
      })}
    </svg>
  );
}
