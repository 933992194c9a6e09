import { Button, Checkbox } from 'antd';
import { useState } from 'react';
import { Link, useSearchParams } from 'react-router';
import { Refusal } from '../data/client';
import { type Fitout, type RoofPlanView, useFitout, useAssessment, useRoofPlan } from '../data/fitout';
import { stateOf } from '../data/state';
import { useWidth } from '../draw/useWidth';
import { useUnits } from '../format/units';
import { Loaded } from '../parts/Loaded';
import { Notes, Part, Sheet } from '../parts/Sheet';
import { useLast } from '../parts/useLast';
import { useThrottled } from '../parts/useThrottled';
import { AntennaForm, Places } from './AntennaForm';
import { BoosterForm } from './BoosterForm';
import type { Handle } from './drawn';
import { JobSheet } from './JobSheet';
import { HoleForm, RunForm } from './LeadsForm';
import { BeginPlan, PlanChooser } from './PlanChooser';
import { PATTERNS, RoofDrawing } from './RoofDrawing';
import { PowerForm, RouterForm } from './RouterForm';
import { SideDrawing } from './SideDrawing';
import { SideBySide } from './SideBySide';
import { Things } from './Things';
import { useDrawing } from './useDrawing';
import { Vehicle } from './Vehicle';
import { WindForm } from './WindForm';
import './fitout.css';

/** How often it is calculated again while something is dragged. */
const ASSESS_MS = 60;

/** The build on a drawing: what is on the roof, where the antenna goes, how its leads run, what a booster does there. */
export function FitoutView() {
  const [query, setQuery] = useSearchParams();
  const fitout = useFitout();
  const choose = (id: number | null) => setQuery(id === null ? {} : { plan: String(id) });
  if (!fitout.data) {
    return (
      <Sheet title="Build" headline="Build">
        <Loaded state={stateOf(fitout)}>{() => null}</Loaded>
      </Sheet>
    );
  }
  if (query.has('side') && fitout.data.plans.length > 0) {
    return <SideBySide fitout={fitout.data} />;
  }
  const asked = Number(query.get('plan'));
  const chosen = fitout.data.plans.find((p) => p.id === asked) ?? fitout.data.plans[0];
  if (chosen && query.has('sheet')) {
    return <JobSheet key={chosen.id} plan={chosen.id} />;
  }
  return chosen ? (
    <Opened key={chosen.id} id={chosen.id} fitout={fitout.data} choose={choose} />
  ) : (
    <Sheet title="Build" headline="Draw the roof before you drill it.">
      <p>
        Enter what is on the roof and what is under it. Syntoma then shows where an antenna can go and what
        each place costs, how long its cables must be, how large the hole is, and whether a booster’s two
        antennas are far enough apart.
      </p>
      <BeginPlan copyOf={null} label="Name of the plan" done={choose} />
    </Sheet>
  );
}

function Opened(props: { id: number; fitout: Fitout; choose: (id: number | null) => void }) {
  const view = useRoofPlan(props.id);
  return view.data ? (
    <Drawn view={view.data} fitout={props.fitout} choose={props.choose} />
  ) : (
    <Sheet title="Build" headline="Build">
      <Loaded state={stateOf(view)}>{() => null}</Loaded>
    </Sheet>
  );
}

function Drawn(props: { view: RoofPlanView; fitout: Fitout; choose: (id: number | null) => void }) {
  const { view, fitout } = props;
  const drawing = useDrawing(view);
  const { plan, change, settle } = drawing;
  const { system } = useUnits();
  const request = useAssessment(useThrottled(plan, ASSESS_MS));
  const assessment = useLast(request.data);
  const [chosen, choose] = useState<Handle | null>(null);
  const [whyNot, setWhyNot] = useState(true);
  const [ref, width] = useWidth<HTMLDivElement>(800);
  const refused = request.error instanceof Refusal ? request.error.message : drawing.problem;
  const hidden = new Set(fitout.kinds.filter((k) => !k.onRoof).map((k) => k.key));
  const said = new Set(assessment?.strips.map((s) => s.why));
  return (
    <Sheet
      title={`${view.name}, build`}
      over={<PlanChooser fitout={fitout} chosen={view.id} choose={props.choose} />}
      headline={refused ? 'This cannot be as it is typed.' : (assessment?.sentence ?? 'Calculating…')}
      findings={
        assessment && (
          <>
            {(assessment.misfits.length > 0 || assessment.notes.length > 0) && (
              <Part title="Watch out">
                <Notes notes={[...assessment.misfits, ...assessment.notes]} shown={4} more="More" />
              </Part>
            )}
            {assessment.boosted && (
              <Part title="The booster" small="as it is drawn">
                <Notes
                  notes={[assessment.boosted.sentence, ...assessment.boosted.held]}
                  shown={2}
                  more="More"
                />
              </Part>
            )}
            <Places plan={plan} assessment={assessment} change={change} />
            {plan.antenna && (
              <Part title="Next">
                <div className="note">
                  <Link to={`/build?plan=${view.id}&sheet`}>The job sheet: what to do in which order</Link>
                </div>
              </Part>
            )}
          </>
        )
      }
    >
      {refused && (
        <p className="loss" role="alert">
          {refused} It is not saved until this is fixed.
        </p>
      )}
      <div className="buttons drawing-tools no-print">
        <Button disabled={drawing.undo === null} onClick={() => drawing.undo?.()}>
          Undo
        </Button>
        <Button disabled={drawing.redo === null} onClick={() => drawing.redo?.()}>
          Redo
        </Button>
        <Checkbox checked={whyNot} onChange={(e) => setWhyNot(e.target.checked)}>
          Show why other places are worse
        </Checkbox>
        <span className="small" role="status">
          {drawing.saved ? 'Saved.' : 'Not saved yet.'}
        </span>
      </div>
      <div ref={ref}>
        {assessment && (
          <>
            <RoofDrawing
              plan={plan}
              assessment={assessment}
              width={width}
              system={system}
              whyNot={whyNot}
              hidden={hidden}
              chosen={chosen}
              choose={choose}
              change={change}
              settle={settle}
            />
            <p className="small">
              Drag a part, or select it and use the arrow keys (with Shift, ten times as far). Dashed: hidden
              under the roof. Hatched: proposed.
              {whyNot &&
                fitout.whys
                  .filter((w) => PATTERNS.includes(w.key) && said.has(w.key))
                  .map((w) => (
                    <span key={w.key} className="why">
                      {' '}
                      <svg width="18" height="12" aria-hidden="true">
                        <rect width="18" height="12" fill={`url(#why-${w.key})`} stroke="var(--rule)" />
                      </svg>{' '}
                      {w.label}
                    </span>
                  ))}
            </p>
            <SideDrawing plan={plan} assessment={assessment} width={width} system={system} hidden={hidden} />
          </>
        )}
      </div>
      <Contents />
      <Vehicle plan={plan} fitout={fitout} assessment={assessment} change={change} />
      <Things
        plan={plan}
        fitout={fitout}
        size={assessment ?? { lengthM: 4, widthM: 1.6 }}
        chosen={chosen}
        choose={choose}
        change={change}
        settle={settle}
      />
      <AntennaForm plan={plan} fitout={fitout} change={change} />
      <RunForm
        plan={plan}
        fitout={fitout}
        assessment={assessment}
        id={view.id}
        saved={drawing.saved}
        change={change}
      />
      <HoleForm plan={plan} assessment={assessment} change={change} />
      <RouterForm plan={plan} fitout={fitout} assessment={assessment} change={change} />
      <PowerForm plan={plan} fitout={fitout} assessment={assessment} change={change} />
      <BoosterForm plan={plan} fitout={fitout} assessment={assessment} change={change} />
      <WindForm plan={plan} fitout={fitout} assessment={assessment} change={change} />
    </Sheet>
  );
}

const PARTS = {
  vehicle: 'Vehicle',
  things: 'On the roof',
  antenna: 'Antenna',
  leads: 'Leads',
  hole: 'Hole',
  router: 'Router',
  supply: 'Supply',
  booster: 'Booster',
  mast: 'Mast',
};

/** The parts of the plan, each one tap away: the whole is long. */
function Contents() {
  return (
    <nav className="contents no-print" aria-label="Parts of the plan">
      {Object.entries(PARTS).map(([id, label]) => (
        <button
          key={id}
          type="button"
          className="link"
          onClick={() => document.getElementById(id)?.scrollIntoView({ block: 'start' })}
        >
          {label}
        </button>
      ))}
    </nav>
  );
}
