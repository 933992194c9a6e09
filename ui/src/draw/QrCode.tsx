/** Empty modules that a camera needs around the code (ISO/IEC 18004). */
const QUIET = 4;

/** A QR code from its rows of modules, dark on light in both themes, as cameras expect it. */
export function QrCode({ rows, label }: { rows: readonly string[]; label: string }) {
  const size = rows.length + 2 * QUIET;
  const path = rows
    .flatMap((row, y) =>
      [...row.matchAll(/1+/g)].map(
        (run) => `M${run.index + QUIET} ${y + QUIET}h${run[0].length}v1h-${run[0].length}z`,
      ),
    )
    .join('');
  return (
    <svg
      className="qr"
      viewBox={`0 0 ${size} ${size}`}
      role="img"
      aria-label={label}
      shapeRendering="crispEdges"
    >
      <rect width={size} height={size} fill="var(--qr-light)" />
      <path d={path} fill="var(--qr-dark)" />
    </svg>
  );
}
