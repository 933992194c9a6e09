import { type Ladder, LadderStrip } from '../draw/LadderStrip';
import { useWidth } from '../draw/useWidth';
import { plain } from '../format/numbers';

const WHAT: Record<string, string> = { RSRP: 'strength', RSRQ: 'quality', SINR: 'above noise' };

/** A metric on its ladder, with its name, its number and its grade. */
export function StripRow({ strip }: { strip: Ladder }) {
  const [ref, width] = useWidth<HTMLDivElement>(560);
  return (
    <div className="strip-row">
      <div>
        <div className="name">{strip.label}</div>
        <div className="small">{WHAT[strip.label]}</div>
      </div>
      <div ref={ref}>
        <LadderStrip ladder={strip} width={width} />
      </div>
      <div>
        <div className="name">
          {plain(strip.value)} {strip.unit}
        </div>
        <div className="small">{strip.grade}</div>
      </div>
    </div>
  );
}
