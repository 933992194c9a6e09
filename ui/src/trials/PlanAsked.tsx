import { Segmented } from 'antd';
import { useRunKinds } from '../data/measure';
import { Field, FieldFrame } from '../parts/Field';
import { Part } from '../parts/Sheet';
import type { PlanInput } from './planAddress';

const SAVING = [
  { value: 'time', label: 'time' },
  { value: 'data', label: 'data' },
];

const ORDER = [
  { value: 'turning', label: 'there and back' },
  { value: 'drawn', label: 'drawn each round' },
];

const ORDER_SAYS: Record<string, string> = {
  turning: 'A B, then B A: slow changes affect both the same, and you change half as often.',
  drawn: 'A new order each round: more changes, and no pattern can line up with it.',
};

/** What the trial is to show, and with what. */
export function PlanAsked(props: {
  asked: PlanInput;
  problem: (field: string) => string | undefined;
  change: (part: Partial<PlanInput>) => void;
}) {
  const { asked, problem, change } = props;
  const kinds = useRunKinds().data ?? [];
  return (
    <Part title="Difference that matters">
      <div className="plan-asked">
        <Field
          name="difference"
          label="A difference of"
          unit="times"
          numeric
          value={asked.difference}
          onChange={(difference) => change({ difference })}
          problem={problem('difference')}
          hint="1.5: you care if one is at least 50 % faster. Smaller differences need more rounds."
        />
        <Field
          name="minutes"
          label="Time available"
          unit="min"
          numeric
          value={asked.minutes}
          onChange={(minutes) => change({ minutes })}
          placeholder="as long as it takes"
          problem={problem('minutes')}
        />
        <Field
          name="gb"
          label="Data available"
          unit="GB"
          numeric
          value={asked.gb}
          onChange={(gb) => change({ gb })}
          placeholder="as much as it takes"
          problem={problem('gb')}
        />
        <FieldFrame
          id="field-plan-kind"
          label="Runs"
          className="whole"
          hint={kinds.find((k) => k.kind === asked.kind)?.says}
        >
          <Segmented
            id="field-plan-kind"
            block
            options={kinds.map((k) => ({ value: k.kind, label: k.kind }))}
            value={asked.kind}
            onChange={(kind) => change({ kind })}
          />
        </FieldFrame>
        <Field
          name="spread"
          label="Times of day"
          className="whole"
          value={asked.spread}
          onChange={(spread) => change({ spread })}
          placeholder="all at once"
          problem={[0, 1, 2, 3, 4, 5].map((i) => problem(`spread[${i}]`)).find(Boolean) ?? problem('spread')}
          hint="08:00, 13:00, 20:00 spreads the rounds over the day, so the result is not about one hour only."
        />
        <FieldFrame id="field-saving" label="Save">
          <Segmented
            id="field-saving"
            block
            options={SAVING}
            value={asked.saving}
            onChange={(saving) => change({ saving })}
          />
        </FieldFrame>
        <FieldFrame id="field-order" label="Order" className="wide" hint={ORDER_SAYS[asked.order]}>
          <Segmented
            id="field-order"
            block
            options={ORDER}
            value={asked.order}
            onChange={(order) => change({ order })}
          />
        </FieldFrame>
      </div>
    </Part>
  );
}
