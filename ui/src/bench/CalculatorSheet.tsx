import { Input, Select } from 'antd';
import type { ReactNode } from 'react';
import { Link, useSearchParams } from 'react-router';
import { Refusal, type Schemas } from '../data/client';
import { useCalculation } from '../data/bench';
import { ProfileDrawing } from '../draw/ProfileDrawing';
import { useWidth } from '../draw/useWidth';
import { Field, FieldFrame } from '../parts/Field';
import { Part, Sheet } from '../parts/Sheet';
import { useAddress } from '../parts/useAddress';
import { useNarrow } from '../parts/useNarrow';
import { useSettled } from '../parts/useSettled';
import { useShownUnit } from '../parts/useShownUnit';
import { Keep } from './Keep';

type Calculator = Schemas['CalculatorView'];
type Given = Schemas['InputView'];

/** How long a value rests before it is calculated with. */
const SETTLED_MS = 200;

/** One calculator: its fields, what they come to, the formula, and where it stops being true. */
export function CalculatorSheet({ calculator, others }: { calculator: Calculator; others: ReactNode }) {
  const [query] = useSearchParams();
  const change = useAddress();
  const narrow = useNarrow();
  const [ref, width] = useWidth<HTMLDivElement>(620);
  const values = Object.fromEntries(calculator.inputs.map((i) => [i.name, query.get(i.name) ?? i.usual]));
  const settled = useSettled(JSON.stringify(values), SETTLED_MS);
  const calculated = useCalculation(calculator.key, JSON.parse(settled) as Record<string, string>);
  const problems = calculated.error instanceof Refusal ? calculated.error.errors : [];
  const problem = (name: string) => problems.find((p) => p.field === `values.${name}`)?.message;
  const other =
    calculated.error && problems.every((p) => !p.field.startsWith('values.')) ? calculated.error : null;
  const result = calculated.error ? undefined : calculated.data;
  return (
    <Sheet
      title={calculator.name}
      over={<Link to="/tools">Tools</Link>}
      headline={result?.says ?? calculator.answers}
      {...(narrow ? {} : { findings: others })}
    >
      <div className="calculator-fields">
        {calculator.inputs.map((input) => (
          <One
            key={input.name}
            input={input}
            value={values[input.name] ?? ''}
            problem={problem(input.name)}
            change={(value) => change({ [input.name]: value })}
          />
        ))}
      </div>
      {other && <p className="notice">{other.message}</p>}
      <div ref={ref} />
      {result && (
        <Part title="Result" small={calculator.name}>
          {result.profile && <ProfileDrawing profile={result.profile} width={width} label={result.says} />}
          <table className="plain">
            <tbody>
              {result.lines.map((line) => (
                <tr key={line.label}>
                  <td>{line.label}</td>
                  <td className="num">
                    {line.about && <span className="small">about </span>}
                    {line.value}
                  </td>
                </tr>
              ))}
            </tbody>
          </table>
          <Keep result={result} calculator={calculator} />
        </Part>
      )}
      <Part title="How it is calculated">
        <p className="small formula">{calculator.formula}</p>
        <p className="small">
          <b>Where it stops being true.</b> {calculator.holds}
        </p>
        {calculator.caution !== '' && <p className="caution">{calculator.caution}</p>}
      </Part>
      {narrow && others}
    </Sheet>
  );
}

function One(props: {
  input: Given;
  value: string;
  problem: string | undefined;
  change: (value: string) => void;
}) {
  const { input, value, problem, change } = props;
  const id = `field-${input.name}`;
  if (input.choices.length > 0) {
    return (
      <FieldFrame id={id} label={input.label} problem={problem}>
        <Select
          id={id}
          value={value}
          popupMatchSelectWidth={false}
          options={input.choices.map((choice) => ({ value: choice, label: choice }))}
          onChange={change}
        />
      </FieldFrame>
    );
  }
  if (input.lines) {
    return <Lines {...props} id={id} />;
  }
  return (
    <Field
      name={input.name}
      label={input.label}
      unit={input.unit || undefined}
      numeric={input.low !== null}
      value={value}
      problem={problem}
      onChange={change}
    />
  );
}

/** A text of several lines, each with as many numbers as there are units. */
function Lines(props: {
  id: string;
  input: Given;
  value: string;
  problem: string | undefined;
  change: (value: string) => void;
}) {
  const { id, input, value, problem } = props;
  const shown = useShownUnit({ value, unit: input.unit, onChange: props.change });
  return (
    <FieldFrame id={id} label={`${input.label} (${shown.unit ?? ''})`} problem={problem} className="wide">
      <Input.TextArea
        id={id}
        value={shown.text}
        rows={5}
        status={problem ? 'error' : undefined}
        onChange={(e) => shown.change(e.target.value)}
      />
    </FieldFrame>
  );
}
