import { Button, Select } from 'antd';
import type { Fitout, RoofPlan } from '../data/fitout';
import { capital } from '../format/numbers';
import { Field, FieldFrame } from '../parts/Field';
import { Part } from '../parts/Sheet';
import type { Handle } from './drawn';
import { Num } from './Num';

type Thing = RoofPlan['things'][number];

/** So large something is drawn at first, in the middle of the roof. */
const FIRST = { lengthM: 0.4, widthM: 0.4, heightM: 0.1, clearM: null, freeMm: null };

/** What leads pass through is small. */
const FIRST_INLET = { ...FIRST, lengthM: 0.1, widthM: 0.1, heightM: 0.03 };

/** What is on the roof and under it, each by its numbers; what is chosen on the drawing is open. */
export function Things(props: {
  plan: RoofPlan;
  fitout: Fitout;
  size: { lengthM: number; widthM: number };
  chosen: Handle | null;
  choose: (handle: Handle | null) => void;
  change: (next: RoofPlan, step: string) => void;
  settle: () => void;
}) {
  const { plan, fitout, chosen, change } = props;
  const put = (i: number, part: Partial<Thing>, step: string) =>
    change(
      { ...plan, things: plan.things.map((t, k) => (k === i ? { ...t, ...part } : t)) },
      `${step} of ${i}`,
    );
  const labelOf = (kind: string) => fitout.kinds.find((k) => k.key === kind)?.label ?? kind;
  const add = (kind: string) => {
    props.settle();
    const label = labelOf(kind);
    const others = plan.things.filter((t) => t.kind === kind).length;
    const name = `${capital(label)}${others > 0 ? ` ${others + 1}` : ''}`;
    change(
      {
        ...plan,
        things: [
          ...plan.things,
          {
            ...(kind === 'inlet' ? FIRST_INLET : FIRST),
            kind,
            name,
            x: props.size.lengthM / 2 - 0.2,
            y: props.size.widthM / 2 - 0.2,
          },
        ],
      },
      'add',
    );
    props.choose(`thing ${plan.things.length}`);
  };
  return (
    <Part id="things" title="On the roof and under it" small="from its front left corner">
      {plan.things.map((t, i) => {
        const handle: Handle = `thing ${i}`;
        return (
          <details
            key={i}
            className="thing-of"
            open={chosen === handle}
            onToggle={(e) => {
              if (e.currentTarget.open && chosen !== handle) {
                props.choose(handle);
              }
            }}
          >
            <summary
              onClick={(e) => {
                e.preventDefault();
                props.choose(chosen === handle ? null : handle);
              }}
            >
              <b>{t.name}</b> <span className="small">{labelOf(t.kind)}</span>
            </summary>
            <div className="form-grid">
              <Field
                name={`thing-${i}`}
                label="Name"
                value={t.name}
                onChange={(name) => put(i, { name }, 'name')}
              />
              <Num
                name={`thing-${i}-x`}
                label="From the front"
                unit="m"
                required
                value={t.x}
                onChange={(x) => put(i, { x: x ?? 0 }, 'x')}
              />
              <Num
                name={`thing-${i}-y`}
                label="From the left"
                unit="m"
                required
                value={t.y}
                onChange={(y) => put(i, { y: y ?? 0 }, 'y')}
              />
              <Num
                name={`thing-${i}-height`}
                label="Height"
                unit="m"
                value={t.heightM}
                usual={fitout.usual.thingHeightM}
                onChange={(heightM) => put(i, { heightM }, 'height')}
              />
              <Num
                name={`thing-${i}-length`}
                label="Length"
                unit="m"
                required
                value={t.lengthM}
                onChange={(lengthM) => put(i, { lengthM: lengthM ?? 0 }, 'length')}
              />
              <Num
                name={`thing-${i}-width`}
                label="Width"
                unit="m"
                required
                value={t.widthM}
                onChange={(widthM) => put(i, { widthM: widthM ?? 0 }, 'width')}
              />
              <Num
                name={`thing-${i}-clear`}
                label="Free around it"
                unit="m"
                value={t.clearM}
                usual={0}
                onChange={(clearM) => put(i, { clearM }, 'clear')}
              />
              {t.kind === 'inlet' && (
                <Num
                  name={`thing-${i}-free`}
                  label="Passes, across"
                  unit="mm"
                  value={t.freeMm}
                  onChange={(freeMm) => put(i, { freeMm }, 'free')}
                />
              )}
              <div className="beside-field">
                <Button
                  aria-label={`Remove ${t.name}`}
                  onClick={() => {
                    props.settle();
                    change({ ...plan, things: plan.things.filter((_, k) => k !== i) }, 'remove');
                    props.choose(null);
                  }}
                >
                  Remove
                </Button>
              </div>
            </div>
          </details>
        );
      })}
      <FieldFrame id="add-thing" label="Add something on or under the roof" className="add-thing">
        <Select
          id="add-thing"
          value={null}
          placeholder="vent, solar panel, way in, wiring …"
          onChange={(kind: string | null) => kind && add(kind)}
          options={fitout.kinds.map((k) => ({
            value: k.key,
            label: k.onRoof ? k.label : `${k.label}, hidden`,
          }))}
        />
      </FieldFrame>
    </Part>
  );
}
