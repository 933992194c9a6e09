import { Button, Checkbox } from 'antd';
import { Link } from 'react-router';
import type { Schemas } from '../data/client';
import { useDriveOff, useLeave, useStayOn, useTick } from '../data/rigState';
import { stateOf } from '../data/state';
import { Loaded } from '../parts/Loaded';
import { Part, Sheet } from '../parts/Sheet';
import './leave.css';
import { useFailed } from '../parts/useFailed';

/** Leaving a campsite: what to take down, in order, and driving off. */
export function LeaveView() {
  const leave = useLeave();
  const { data } = leave;
  return (
    <Sheet
      title="Leave"
      over={<Link to="/tonight">Tonight</Link>}
      headline={data?.headline ?? 'Leave'}
      margin={data && !data.left && <Afterwards />}
    >
      {data ? <Steps leave={data} /> : <Loaded state={stateOf(leave)}>{() => null}</Loaded>}
    </Sheet>
  );
}

function Steps({ leave }: { leave: Schemas['LeaveView'] }) {
  const tick = useTick();
  const drive = useDriveOff();
  const stay = useStayOn();
  const failed = useFailed();
  const onError = (refused: Error) => failed(refused.message);
  if (leave.left) {
    return (
      <div className="buttons">
        <Link to="/arrive">
          <Button type="primary" size="large">
            I have arrived
          </Button>
        </Link>
        <Button size="large" loading={stay.isPending} onClick={() => stay.mutate(undefined, { onError })}>
          Undo: I have not left{leave.campsite ? ` ${leave.campsite}` : ''}
        </Button>
      </div>
    );
  }
  return (
    <>
      {leave.steps.length > 0 && (
        <ol className="leave-steps">
          {leave.steps.map((step) => (
            <li key={step.key}>
              <Checkbox
                checked={step.done}
                disabled={tick.isPending}
                onChange={(e) => tick.mutate({ step: step.key, done: e.target.checked }, { onError })}
              >
                <span className={step.done ? 'done' : 'todo-step'}>{step.says}</span>
              </Checkbox>
              {step.caution && !step.done && <p className="caution">{step.caution}</p>}
            </li>
          ))}
        </ol>
      )}
      {leave.stillUp && (
        <p className="loss" role="alert">
          {leave.stillUp}
        </p>
      )}
      <div className="buttons">
        <Button
          type="primary"
          size="large"
          disabled={leave.stillUp !== null}
          loading={drive.isPending}
          onClick={() => drive.mutate(undefined, { onError })}
        >
          Drive off
        </Button>
        <span className="small">
          {leave.campsite ? `This ends the stay at ${leave.campsite}.` : 'No stay is open.'} What you do not
          tick counts as still where it is.
        </span>
      </div>
    </>
  );
}

function Afterwards() {
  return (
    <Part title="Why tick it here">
      <p className="small">
        At the next campsite Syntoma starts from what you took down. It says what to set up again and how long
        that takes.
      </p>
    </Part>
  );
}
