import { Checkbox, Select } from 'antd';
import { Link } from 'react-router';
import type { Fitout, Assessment, RoofPlan } from '../data/fitout';
import { height, useUnits } from '../format/units';
import { FieldFrame } from '../parts/Field';
import { Part } from '../parts/Sheet';
import { Num } from './Num';

/** The flat of the roof by its measures; body and height are those of Gear. */
export function Vehicle(props: {
  plan: RoofPlan;
  fitout: Fitout;
  assessment: Assessment | undefined;
  change: (next: RoofPlan, step: string) => void;
}) {
  const { plan, fitout, assessment, change } = props;
  const { system } = useUnits();
  const shape = fitout.shapes.find((s) => s.key === plan.shape) ?? fitout.shapes[0];
  const num = (
    key: 'lengthM' | 'widthM' | 'thicknessMm' | 'wallMm',
    label: string,
    unit: string,
    hint?: string,
  ) => (
    <Num
      name={key}
      label={label}
      unit={unit}
      value={plan[key]}
      usual={shape?.[key]}
      hint={hint}
      onChange={(value) => change({ ...plan, [key]: value }, key)}
    />
  );
  return (
    <Part
      id="vehicle"
      title="The vehicle"
      small={
        assessment && (
          <>
            {assessment.body}, {height(assessment.heightM, system)} high, at most{' '}
            {height(assessment.limitM, system)} while driving: <Link to="/gear">in Gear</Link>
          </>
        )
      }
    >
      <div className="form-grid">
        <FieldFrame id="shape" label="Shape">
          <Select
            id="shape"
            value={plan.shape ?? fitout.shapes[0]?.key}
            options={fitout.shapes.map((s) => ({ value: s.key, label: s.label }))}
            onChange={(key: string) => change({ ...plan, shape: key }, 'shape')}
          />
        </FieldFrame>
        {num('lengthM', 'Flat of the roof, length', 'm')}
        {num('widthM', 'Its width', 'm')}
        {num('thicknessMm', 'Skin to ceiling', 'mm')}
        {num('wallMm', 'Walls', 'mm', 'front and left')}
      </div>
      <Checkbox
        checked={plan.doubleSkin === true}
        onChange={(e) => change({ ...plan, doubleSkin: e.target.checked }, 'double skin')}
      >
        Double skin, hollow between
      </Checkbox>
      <Checkbox
        checked={plan.mains === true}
        onChange={(e) => change({ ...plan, mains: e.target.checked }, 'mains')}
      >
        Some of it runs on the inverter
      </Checkbox>
    </Part>
  );
}
