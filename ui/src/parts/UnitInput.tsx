import { Input } from 'antd';
import { useShownUnit } from './useShownUnit';

/** A cell of a table that is typed into; its value is metric. */
export function UnitInput(props: {
  label: string;
  placeholder: string;
  unit: string;
  value: string;
  bad: boolean;
  onChange: (metric: string) => void;
}) {
  const shown = useShownUnit(props);
  return (
    <Input
      aria-label={props.label}
      placeholder={props.placeholder}
      suffix={shown.unit}
      value={shown.text}
      status={props.bad ? 'error' : ''}
      onChange={(e) => shown.change(e.target.value)}
    />
  );
}
