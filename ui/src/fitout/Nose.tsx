/** What lies in front of the flat of a roof, from above: enough to see where the front is. */
export function Nose(props: { shape: string; right: number; top: number; height: number }) {
  const { shape, right, top, height } = props;
  const bottom = top + height;
  if (shape === 'trailer') {
    const middle = top + height / 2;
    return (
      <g className="nose" aria-hidden="true">
        <path
          d={`M${right} ${top + height * 0.25}L${right * 0.35} ${middle}L${right} ${bottom - height * 0.25}`}
        />
        <circle cx={right * 0.3} cy={middle} r={4} />
      </g>
    );
  }
  const bonnet = right * 0.12;
  const screen = right * 0.72;
  return (
    <g className="nose" aria-hidden="true">
      <path
        d={`M${right} ${top}H${bonnet + 16}Q${bonnet} ${top} ${bonnet} ${top + height * 0.25}V${bottom - height * 0.25}Q${bonnet} ${bottom} ${bonnet + 16} ${bottom}H${right}`}
      />
      <path
        d={`M${screen} ${top + height * 0.08}Q${screen - 12} ${top + height / 2} ${screen} ${bottom - height * 0.08}`}
      />
    </g>
  );
}
