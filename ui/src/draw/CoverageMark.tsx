type Share = number | null;

const ENOUGH = 0.9;

/**
 * What a link passes of a band: the upper corner stands for the downlink, the lower for the uplink; filled where it passes,
 * dashed where no sheet says, crossed where nothing passes.
 */
export function CoverageMark({ downlink, uplink }: { downlink: Share; uplink: Share }) {
  const unknown = downlink === null || uplink === null;
  const down = downlink !== null && downlink >= ENOUGH;
  const up = uplink !== null && uplink >= ENOUGH;
  const says = unknown
    ? 'not stated'
    : down && up
      ? 'both ways'
      : down
        ? 'downlink'
        : up
          ? 'uplink'
          : 'nothing';
  const none = !unknown && !down && !up;
  return (
    <svg width="28" height="16" viewBox="0 0 28 16" role="img" aria-label={says} className="inline-mark">
      {down && <path d={up ? 'M1 1H27V15H1Z' : 'M1 1H27L1 15Z'} fill="var(--kelp)" />}
      {up && !down && <path d="M27 1V15H1Z" fill="var(--kelp)" />}
      <rect
        x="1"
        y="1"
        width="26"
        height="14"
        fill="none"
        stroke={none ? 'var(--rust)' : unknown ? 'var(--ink2)' : 'var(--kelp)'}
        strokeDasharray={unknown ? '3 2' : undefined}
      />
      {none && <path d="M8 4L20 12M20 4L8 12" stroke="var(--rust)" />}
    </svg>
  );
}
