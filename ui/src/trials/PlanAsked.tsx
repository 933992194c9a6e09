import { Segmented } from 'antd';
import { useState } from 'react';
import { usePlanChoices } from '../data/design';
import { useRunKinds } from '../data/measure';
import { plain } from '../format/numbers';
import { Field, FieldFrame } from '../parts/Field';
import { Part } from '../parts/Sheet';
import type { PlanInput } from './planAddress';

/** What the trial is to show, and with what. */
export function PlanAsked(props: {
  asked: PlanInput;
  problem: (field: string) => string | undefined;
  change: (part: Partial<PlanInput>) => void;
}) {
  const { asked, problem, change } = props;
  const kinds = useRunKinds().data ?? [];
  const choices = usePlanChoices().data;
  const usual = choices?.usual;
  // an emptied field stays empty while somebody types into it
  const [emptied, setEmptied] = useState(false);
  const kind = asked.kind || usual?.kind;
  const order = asked.order || usual?.order;
  return (
    <Part title="Difference that matters">
      <div className="plan-asked">
        <Field
          name="difference"
          label="A difference of"
          unit="times"
          numeric
          value={asked.difference || (usual && !emptied ? plain(usual.difference) : '')}
          onChange={(difference) => {
            setEmptied(difference === '');
            change({ difference });
          }}
          problem={problem('difference')}
          hint={usual?.differenceSays}
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
          hint={kinds.find((k) => k.kind === kind)?.says}
        >
          <Segmented
            id="field-plan-kind"
            block
            options={kinds.map((k) => ({ value: k.kind, label: k.kind }))}
            value={kind}
            onChange={(chosen) => change({ kind: chosen })}
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
            options={choices?.savings ?? []}
            value={asked.saving || usual?.saving}
            onChange={(saving) => change({ saving })}
          />
        </FieldFrame>
        <FieldFrame
          id="field-order"
          label="Order"
          className="wide"
          hint={choices?.orders.find((o) => o.order === order)?.says}
        >
          <Segmented
            id="field-order"
            block
            options={(choices?.orders ?? []).map((o) => ({ value: o.order, label: o.label }))}
            value={order}
            onChange={(chosen) => change({ order: chosen })}
          />
        </FieldFrame>
      </div>
    </Part>
  );
}
