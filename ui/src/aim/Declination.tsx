import { Button } from 'antd';
import { useState } from 'react';
import { Refusal } from '../data/client';
import { type Aim, useSetDeclination } from '../data/aim';
import { typedNumber } from '../format/typed';
import { Field } from '../parts/Field';
import { Part } from '../parts/Sheet';

/** By how much the compass is off where the vehicle stands. */
export function Declination({ aim }: { aim: Aim }) {
  const [typed, setTyped] = useState(String(aim.declinationDeg));
  const set = useSetDeclination();
  const problem = set.error instanceof Refusal ? set.error.errors[0]?.message : undefined;
  return (
    <Part title="The compass">
      <form
        onSubmit={(event) => {
          event.preventDefault();
          const deg = typedNumber(typed);
          if (Number.isFinite(deg)) {
            set.mutate(deg);
          }
        }}
      >
        <Field
          name="declination"
          label="Declination here"
          unit="° east"
          numeric
          value={typed}
          onChange={setTyped}
          problem={problem}
          hint="How far the needle points east of true north; west is negative. Charts print it."
        />
        <Button htmlType="submit" loading={set.isPending}>
          Save
        </Button>
      </form>
    </Part>
  );
}
