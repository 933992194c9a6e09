import { Checkbox } from 'antd';
import { Link, useSearchParams } from 'react-router';
import {
  type Fitout,
  type Assessment,
  type RoofPlan,
  useJobSheet,
  useAssessment,
  useRoofPlan,
} from '../data/fitout';
import { useWidth } from '../draw/useWidth';
import { count, fixed } from '../format/numbers';
import { drawnLength, length, millimetres, type System, useUnits } from '../format/units';
import { Sheet } from '../parts/Sheet';
import { taken } from './drawn';
import { RoofDrawing } from './RoofDrawing';

const MOST = 3;
const GAP = 24;
const LEAST_WIDTH = 280;
const MIN_PER_H = 60;
const NOTHING = () => undefined;

/** Variants of a build beside each other: their drawings, and what each comes to. Which ones stand in the address. */
export function SideBySide({ fitout }: { fitout: Fitout }) {
  const [query, setQuery] = useSearchParams();
  const { system } = useUnits();
  const [ref, width] = useWidth<HTMLDivElement>(800);
  const asked = (query.get('side') ?? '').split(',').map(Number);
  const named = fitout.plans.filter((p) => asked.includes(p.id));
  const shown = named.length > 0 ? named : fitout.plans.slice(0, MOST);
  const beside = Math.max(1, Math.min(shown.length, Math.floor((width + GAP) / (LEAST_WIDTH + GAP))));
  const each = (width - GAP * (beside - 1)) / beside;
  const toggle = (id: number, on: boolean) => {
    const ids = on ? [...shown.map((p) => p.id), id] : shown.map((p) => p.id).filter((p) => p !== id);
    setQuery({ side: ids.join(',') }, { replace: true });
  };
  return (
    <Sheet
      title="Variants, build"
      over={<Link to={`/build?plan=${shown[0]?.id ?? ''}`}>Roof plan</Link>}
      headline={`${count(shown.length, 'variant')} side by side`}
    >
      <div className="ticks beside">
        {fitout.plans.map((p) => (
          <Checkbox
            key={p.id}
            checked={shown.includes(p)}
            disabled={shown.includes(p) ? shown.length === 1 : shown.length >= MOST}
            onChange={(e) => toggle(p.id, e.target.checked)}
          >
            {p.name}
          </Checkbox>
        ))}
      </div>
      <div ref={ref} className="side-by-side">
        {shown.map((p) => (
          <Roof key={p.id} id={p.id} name={p.name} fitout={fitout} width={each} system={system} />
        ))}
      </div>
      <table className="plain rows">
        <thead>
          <tr>
            <th>Variant</th>
            <th className="num">from front, left</th>
            <th className="num">clearance</th>
            <th className="num">leads</th>
            <th className="num">more</th>
            <th className="num">loss</th>
            <th className="num">hole</th>
            <th className="num">horizon hidden</th>
            <th className="num">booster uses</th>
            <th className="num">work</th>
          </tr>
        </thead>
        <tbody>
          {shown.map((p) => (
            <Row key={p.id} id={p.id} name={p.name} system={system} />
          ))}
        </tbody>
      </table>
      <p className="small">
        All estimated. Loss: of the leads, with the extension they need, on the band that loses most. Booster:
        the gain it can use on the band that has least.
      </p>
    </Sheet>
  );
}

/** A plan with what it comes to; null while that is not known. */
function useVariant(id: number): { plan: RoofPlan; assessment: Assessment } | null {
  const view = useRoofPlan(id).data;
  const assessment = useAssessment(view?.plan ?? null).data;
  return view && assessment ? { plan: view.plan, assessment } : null;
}

function Roof(props: { id: number; name: string; fitout: Fitout; width: number; system: System }) {
  const variant = useVariant(props.id);
  return (
    <figure style={{ width: props.width }}>
      <figcaption>
        <Link to={`/build?plan=${props.id}`}>{props.name}</Link>
      </figcaption>
      {variant && (
        <>
          <RoofDrawing
            plan={variant.plan}
            assessment={variant.assessment}
            width={props.width}
            system={props.system}
            whyNot={false}
            hidden={new Set(props.fitout.kinds.filter((k) => !k.onRoof).map((k) => k.key))}
            chosen={null}
            choose={NOTHING}
            change={NOTHING}
            settle={NOTHING}
            still
          />
          <p>
            {variant.assessment.here === null || variant.assessment.worse === null
              ? variant.assessment.sentence
              : variant.assessment.worse === 'as good'
                ? 'This is the best place.'
                : `Compared with the best place: ${variant.assessment.worse}.`}
          </p>
          {[...variant.assessment.misfits, ...variant.assessment.notes].map((note) => (
            <p className="small" key={note}>
              {note}
            </p>
          ))}
        </>
      )}
    </figure>
  );
}

function Row({ id, name, system }: { id: number; name: string; system: System }) {
  const variant = useVariant(id);
  const sheet = useJobSheet(id, {}).data;
  const place = variant ? (variant.assessment.here ?? variant.assessment.best[0]) : undefined;
  const run = variant?.assessment.run;
  const passage = variant?.assessment.passage;
  const inlet = variant && taken(variant.plan, variant.assessment)?.inlet;
  const booster = variant?.assessment.boosted?.bands.map((b) => b.usableGainDb);
  const at = (m: number) => drawnLength(m, system);
  const cell = (label: string, text: string | null) => (
    <td className="num" data-label={label}>
      {text ?? '–'}
    </td>
  );
  return (
    <tr>
      <td>
        <Link to={`/build?plan=${id}`}>{name}</Link>
      </td>
      {cell('from front, left', place ? `${at(place.x)}, ${at(place.y)}` : null)}
      {cell('clearance', place?.clearanceM == null ? null : at(place.clearanceM))}
      {cell('leads', run ? length(Math.round(run.wantedM * 10) / 10, system) : null)}
      {cell('more', run ? length(Math.round(run.extensionM * 10) / 10, system) : null)}
      {cell('loss', run ? `${fixed(Math.max(...run.bands.map((b) => b.lossDb)), 1)} dB` : null)}
      {cell('hole', inlet ? 'none' : passage ? millimetres(passage.holeMm, system) : null)}
      {cell('horizon hidden', place ? `${fixed(place.shade * 100, 0)} %` : null)}
      {cell('booster uses', booster && booster.length > 0 ? `${fixed(Math.min(...booster), 0)} dB` : null)}
      {cell('work', sheet ? `${fixed(sheet.minutes / MIN_PER_H, 1)} h` : null)}
    </tr>
  );
}
