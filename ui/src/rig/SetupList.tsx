import { Button, Input } from 'antd';
import { useState } from 'react';
import { Link, useNavigate } from 'react-router';
import { useAddSetup, useSetupFits } from '../data/rig';
import { stateOf } from '../data/state';
import { OfferDemo } from '../parts/OfferDemo';
import { Loaded } from '../parts/Loaded';
import { Part, Sheet } from '../parts/Sheet';
import { Pennant } from '../draw/Pennant';
import { count } from '../format/numbers';
import { RigParts } from './RigParts';
import { useFailed } from '../parts/useFailed';

/** All setups, those to be completed first. */
export function SetupList() {
  const setups = useSetupFits();
  const offered = setups.data?.filter((s) => !s.setup.retired);
  const bare = offered?.filter((s) => !s.complete) ?? [];
  const built = offered?.filter((s) => s.complete) ?? [];
  const retired = setups.data?.filter((s) => s.setup.retired) ?? [];
  const blocked = built.filter((s) => s.blockers > 0).length;
  const headline = !setups.data
    ? 'Setups'
    : setups.data.length === 0
      ? 'No setup yet. Enter your need and your gear, then build a setup.'
      : `${count(built.length, 'setup')} ready, ${blocked === 0 ? 'none of them blocked' : `${blocked} blocked`}${bare.length > 0 ? `; ${bare.length} without parts` : ''}.`;
  return (
    <Sheet title="Setups" over={<RigParts here="setups" />} headline={headline} margin={<NewSetup />}>
      <Loaded state={stateOf(setups)}>{() => null}</Loaded>
      {setups.data?.length === 0 && (
        <>
          <p>
            First <Link to="/gear?part=need">what it is for</Link>, then{' '}
            <Link to="/gear?part=shelf">your gear</Link>.
          </p>
          <OfferDemo />
        </>
      )}
      {bare.length > 0 && (
        <Part title="Without parts" small="known by name from an import or the log; add their parts">
          {bare.map((s) => (
            <div className="note" key={s.setup.id}>
              <Pennant number={s.setup.pennant} />{' '}
              <Link to={`/gear?setup=${s.setup.id}`}>{s.setup.name}</Link>{' '}
              <span className="small">{count(s.measured, 'measurement')}</span>
            </div>
          ))}
        </Part>
      )}
      {built.map((s) => (
        <div className="setup-row" key={s.setup.id}>
          <Pennant number={s.setup.pennant} />
          <div>
            <Link className="name" to={`/gear?setup=${s.setup.id}`}>
              {s.setup.name}
            </Link>{' '}
            <span className="small">
              revision {s.revision} · {count(s.measured, 'measurement')}
            </span>
            <div className="small">{s.summary}</div>
            <div className={s.blockers > 0 ? 'loss' : undefined}>{s.headline}</div>
          </div>
        </div>
      ))}
      {retired.length > 0 && (
        <Part title="Retired" small="no longer offered; their measurements stay">
          {retired.map((s) => (
            <div className="note" key={s.setup.id}>
              <Pennant number={s.setup.pennant} />{' '}
              <Link to={`/gear?setup=${s.setup.id}`}>{s.setup.name}</Link>{' '}
              <span className="small">{count(s.measured, 'measurement')}</span>
            </div>
          ))}
        </Part>
      )}
    </Sheet>
  );
}

function NewSetup() {
  const [name, setName] = useState('');
  const navigate = useNavigate();
  const failed = useFailed();
  const add = useAddSetup();
  const make = () =>
    add.mutate(name, {
      onSuccess: (setup) => void navigate(`/gear?setup=${setup.id}`),
      onError: (refused) => failed(refused.message),
    });
  return (
    <Part title="A new setup">
      <form
        className="chooser"
        onSubmit={(e) => {
          e.preventDefault();
          make();
        }}
      >
        <p className="small">
          A setup is a router with its SIM, antennas and cables under one name. Its pennant marks it
          everywhere.
        </p>
        <Input
          aria-label="Name of the new setup"
          placeholder="name, such as Roof dome"
          value={name}
          onChange={(e) => setName(e.target.value)}
        />
        <Button type="primary" htmlType="submit" disabled={!name.trim()} loading={add.isPending}>
          Add setup
        </Button>
      </form>
    </Part>
  );
}
