import { Button, Segmented } from 'antd';
import { useNavigate } from 'react-router';
import type { Schemas } from '../data/client';
import { pageOf, useBeginInBrowser } from '../data/browserRun';
import { useCarrierCheck, useRunKinds, useStartRun } from '../data/measure';
import { useStored } from '../data/useStored';
import { typedNumber } from '../format/typed';
import { Field, FieldFrame } from '../parts/Field';
import { Failed } from '../parts/Loaded';
import { Part } from '../parts/Sheet';
import { usePhone } from '../parts/useNarrow';
import { useTheme } from '../theme/useTheme';
import { PlanLeft } from './RunShown';

const MACHINE = 'machine';
const WIFI = 'wifi';
const OWN_SIM = 'own-sim';

/** Whose device is measured. */
const BY = [
  { value: MACHINE, label: 'Syntoma’s machine', says: 'What the router brings to the machine behind it.' },
  {
    value: WIFI,
    label: 'this device, by Wi-Fi',
    says: 'What arrives in your hand over the vehicle’s Wi-Fi. A page of the speed server’s opens and comes back.',
  },
  {
    value: OWN_SIM,
    label: 'this device, own SIM',
    says: 'A phone by itself, beside a booster or not. A page of the speed server’s opens; what it takes is brought back when the Wi-Fi is on again.',
  },
];

/** Begins a run of what the standing line says is up. */
export function StartRun({ line, again }: { line: Schemas['StandingLine']; again: boolean }) {
  const kinds = useRunKinds().data ?? [];
  const [kind, setKind] = useStored('measure.kind', 'light');
  const [budget, setBudget] = useStored('measure.budget', '');
  const [by, setBy] = useStored('measure.by', MACHINE);
  const start = useStartRun();
  const check = useCarrierCheck();
  const hand = useBeginInBrowser();
  const { name } = useTheme();
  const phone = usePhone();
  const navigate = useNavigate();
  const missing = [
    line.campsite === null && 'where you stand',
    line.setup === null && 'which setup is up',
    line.carrier === null && 'on which carrier',
  ].filter(Boolean);
  if (missing.length > 0) {
    return <p>Say {missing.join(', ')} first, in the line above.</p>;
  }
  const asked = {
    setup: line.setup?.name ?? '',
    carrier: line.carrier ?? '',
    kind,
    ...(budget.trim() === '' ? {} : { budgetMb: typedNumber(budget) }),
  } as Schemas['RunRequest'];
  const measure = (carrier: string) => {
    check.reset();
    start.mutate(
      { ...asked, carrier },
      { onSuccess: (run) => void navigate(`/measure?run=${run.id}`, { replace: again }) },
    );
  };
  const begin = () => {
    const replace = { replace: again };
    if (by === MACHINE) {
      check.mutate(asked.carrier ?? '', {
        onSuccess: ({ on }) => on === null && measure(asked.carrier ?? ''),
        // a router that does not answer is no reason not to measure
        onError: () => measure(asked.carrier ?? ''),
      });
      return;
    }
    hand.mutate(
      { run: asked, ownSim: by === OWN_SIM },
      {
        onSuccess: ({ run, plan }) => {
          void navigate(`/measure?run=${run.id}`, replace);
          if (plan) {
            location.assign(pageOf(plan, run.id, name));
          }
        },
      },
    );
  };
  const error = start.error ?? hand.error;
  const other = check.data?.on;
  return (
    <Part
      title={again ? 'Measure again' : 'What kind of run'}
      small={`${line.setup?.name ?? ''} on ${line.carrier ?? ''} at ${line.campsite ?? ''}`}
    >
      <form
        className="start-run"
        onSubmit={(event) => {
          event.preventDefault();
          begin();
        }}
      >
        <FieldFrame id="field-kind" label="Kind" hint={kinds.find((k) => k.kind === kind)?.says}>
          <Segmented
            id="field-kind"
            block
            options={kinds.map((k) => ({ value: k.kind, label: k.kind }))}
            value={kind}
            onChange={setKind}
          />
        </FieldFrame>
        <Field
          name="budgetMb"
          label="At most"
          unit="MB"
          numeric
          value={budget}
          onChange={setBudget}
          placeholder="no limit"
          hint="Both ways together; the run ends before it takes more."
        />
        <FieldFrame
          id="field-by"
          label="Made by"
          className="whole"
          hint={BY.find((b) => b.value === by)?.says}
        >
          <Segmented id="field-by" block vertical={phone} options={BY} value={by} onChange={setBy} />
        </FieldFrame>
        {other ? (
          <div className="heed" role="alert">
            <p>{check.data?.says}</p>
            <div className="buttons">
              <Button type="primary" size="large" onClick={() => measure(other)}>
                Measure as {other}
              </Button>
              <Button size="large" onClick={() => measure(asked.carrier ?? '')}>
                Measure as {asked.carrier} all the same
              </Button>
            </div>
          </div>
        ) : (
          <div className="buttons">
            <Button
              type="primary"
              size="large"
              htmlType="submit"
              loading={check.isPending || start.isPending || hand.isPending}
            >
              {hand.isPending && by === WIFI ? 'Testing the Wi-Fi first' : 'Measure now'}
            </Button>
          </div>
        )}
        {!again && <PlanLeft carrier={asked.carrier ?? ''} />}
        {error && <Failed error={error} />}
      </form>
    </Part>
  );
}
