import { Button, Select } from 'antd';
import { useState } from 'react';
import { useNavigate } from 'react-router';
import { useStays } from '../data/log';
import { useSetups } from '../data/names';
import { SetupLabel } from '../draw/Pennant';
import { span } from '../format/time';
import { Part } from '../parts/Sheet';

/** Chooses a stay and two of the setups measured there. */
export function TwoAtAStay() {
  const stays = useStays();
  const setups = useSetups();
  const navigate = useNavigate();
  const [stay, setStay] = useState<number>();
  const [baseline, setBaseline] = useState<string>();
  const [candidate, setCandidate] = useState<string>();
  const several = stays.data?.filter((v) => v.setups.length >= 2) ?? [];
  const here = several.find((v) => v.id === stay)?.setups ?? [];
  const options = (setups.data ?? [])
    .filter((s) => here.includes(s.name))
    .map((s) => ({ value: s.name, label: <SetupLabel setup={s} /> }));
  const choose = (id: number) => {
    const names = several.find((v) => v.id === id)?.setups ?? [];
    setStay(id);
    setBaseline(names[0]);
    setCandidate(names[1]);
  };
  const open = () =>
    void navigate(
      `/trials?${new URLSearchParams({ stay: String(stay), baseline: baseline ?? '', candidate: candidate ?? '' })}`,
    );
  return (
    <Part title="Two setups at a stay">
      <div className="chooser">
        <p className="small">
          Runs with the same SIM within an hour count as one round. If the two were in a planned trial there,
          that trial decides.
        </p>
        <Select
          aria-label="Stay"
          placeholder="stay with two setups or more"
          value={stay}
          onChange={choose}
          options={several.map((v) => ({
            value: v.id,
            label: `${v.campsite}, ${span(v.arrivedAt, v.leftAt)}`,
          }))}
        />
        <Select
          aria-label="Baseline"
          placeholder="baseline: what you have"
          value={baseline}
          onChange={setBaseline}
          options={options}
        />
        <Select
          aria-label="Candidate"
          placeholder="candidate: what may be better"
          value={candidate}
          onChange={setCandidate}
          options={options}
        />
        <Button
          type="primary"
          disabled={!stay || !baseline || !candidate || baseline === candidate}
          onClick={open}
        >
          Compare
        </Button>
      </div>
    </Part>
  );
}
