// @vitest-environment jsdom
import { screen, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { useState } from 'react';
import { describe, expect, it, vi } from 'vitest';
import type { Fitout, Assessment, RoofPlan } from '../data/fitout';
import { UnitsContext } from '../format/units';
import { show } from '../testing/show';
import { BoosterForm } from './BoosterForm';
import { Num } from './Num';
import { PowerForm, RouterForm } from './RouterForm';
import { FITOUT, PLAN, ASSESSED } from './served';
import { WindForm } from './WindForm';

const assessment = ASSESSED as unknown as Assessment;
const fitout = FITOUT as unknown as Fitout;

/** A form over a plan that takes what is changed, as the page does. */
function held(
  form: (plan: RoofPlan, change: (next: RoofPlan, step: string) => void) => React.ReactNode,
  plan = PLAN,
) {
  const changed = vi.fn();
  function Host() {
    const [now, setNow] = useState(plan);
    return form(now, (next, step) => {
      changed(next, step);
      setNow(next);
    });
  }
  show(<Host />);
  return { last: () => changed.mock.calls.at(-1)?.[0] as RoofPlan, changed };
}

describe('a number of a plan', () => {
  const num = (given: Partial<Parameters<typeof Num>[0]>) => {
    const took = vi.fn();
    show(<Num name="lever" label="Lever" value={1.5} unit="m" onChange={took} {...given} />);
    return took;
  };

  it('takes a comma, a point and any minus, and nothing that is no number', async () => {
    const user = userEvent.setup();
    const took = num({});
    const field = screen.getByLabelText('Lever');
    await user.clear(field);
    expect(took).toHaveBeenLastCalledWith(null);
    await user.type(field, '−2,5');
    expect(took).toHaveBeenLastCalledWith(-2.5);
    took.mockClear();
    await user.clear(field);
    took.mockClear();
    await user.type(field, 'x');
    expect(took).not.toHaveBeenCalled();
    expect(screen.getByRole('alert').textContent).toBe('a number alone');
    expect((field as HTMLInputElement).value).toBe('x');
  });

  it('that must be there is not taken away', async () => {
    const user = userEvent.setup();
    const took = num({ required: true });
    await user.clear(screen.getByLabelText('Lever'));
    expect(took).not.toHaveBeenCalled();
    expect(screen.getByRole('alert')).toBeDefined();
  });

  it('shows what it is where nothing is typed', () => {
    num({ value: null, usual: 0.3 });
    expect((screen.getByLabelText('Lever') as HTMLInputElement).placeholder).toBe('0.3');
  });

  it('is typed and shown in feet where those are wanted', async () => {
    const user = userEvent.setup();
    const took = vi.fn();
    show(
      <UnitsContext value={{ system: 'imperial', toggle: () => undefined }}>
        <Num name="lever" label="Lever" value={0.3048} unit="m" onChange={took} />
      </UnitsContext>,
    );
    const field = screen.getByLabelText('Lever') as HTMLInputElement;
    const inches = Number(field.value);
    // a foot, whichever of its units the drawing is in
    expect([1, 12]).toContain(inches);
    await user.clear(field);
    await user.type(field, String(2 * inches));
    expect(took.mock.calls.at(-1)?.[0]).toBeCloseTo(0.6096, 3);
  });
});

describe('a mast', () => {
  const form = (plan: RoofPlan, change: (next: RoofPlan, step: string) => void) => (
    <WindForm plan={plan} fitout={FITOUT} assessment={assessment} change={change} />
  );

  it('says above which wind it comes down, and where its clamp gives way', async () => {
    const user = userEvent.setup();
    const { last } = held(form);
    expect(screen.getByText('Take it down above 55 km/h, gusts counted.')).toBeDefined();
    const row = screen.getByText('54 of 50 N·m').closest('tr');
    expect(row?.className).toBe('loss');
    await user.clear(screen.getByLabelText('The clamp holds'));
    await user.type(screen.getByLabelText('The clamp holds'), '80');
    expect(last().mast?.clampNm).toBe(80);
    await user.click(screen.getByRole('button', { name: /^Remove/ }));
    expect(last().mast).toBeNull();
    await user.click(screen.getByRole('button', { name: 'Add a mast' }));
    expect(last().mast).toMatchObject({ areaM2: 0.1, leverM: 1.5 });
  });
});

describe('a booster', () => {
  const form = (plan: RoofPlan, change: (next: RoofPlan, step: string) => void) => (
    <BoosterForm plan={plan} fitout={FITOUT} assessment={assessment} change={change} />
  );

  it('says what to do first, and takes what the booster itself reports, band by band', async () => {
    const user = userEvent.setup();
    const { last } = held(form);
    expect(screen.getByText('Turn the antennas back to back.').className).toBe('action');
    const row = screen.getByText('B20').closest('tr') as HTMLElement;
    const told = within(row).getByRole('textbox');
    await user.type(told, '30');
    expect(last().booster?.reported).toEqual([{ band: 'B20', gainDb: 30 }]);
    await user.clear(told);
    expect(last().booster?.reported).toEqual([]);
  });

  it('is told whether its antennas look at each other and its light is on', async () => {
    const user = userEvent.setup();
    const { last } = held(form);
    await user.click(screen.getByLabelText(/The two face each other/));
    expect(last().booster?.facing).toBe(false);
    await user.click(screen.getByLabelText('Its warning light is on'));
    expect(last().booster?.warns).toBe(true);
  });

  it('begins where a roof has room for its antennas', async () => {
    const user = userEvent.setup();
    const { last } = held(form, { ...PLAN, booster: null });
    await user.click(screen.getByRole('button', { name: 'Add a booster' }));
    expect(last().booster).toMatchObject({ outsideX: 0.4, outsideY: 0.8, insideX: 3.5, facing: false });
  });
});

describe('the router’s place', () => {
  const form = (plan: RoofPlan, change: (next: RoofPlan, step: string) => void) => (
    <RouterForm plan={plan} fitout={fitout} assessment={assessment} change={change} />
  );

  it('is judged by its heat and its Wi-Fi, where that is wanted', async () => {
    const user = userEvent.setup();
    const { last } = held(form);
    expect(screen.getByText(/About 45 °C on a summer’s day/)).toBeDefined();
    expect(screen.getByText('about −20 dBm')).toBeDefined();
    await user.click(screen.getByLabelText('Against an outer wall in the sun'));
    expect(last().router?.sunny).toBe(true);
    await user.click(screen.getByRole('button', { name: 'Another place' }));
    expect(last().router?.reach.map((r) => r.name)).toEqual(['Bunk', 'Place 2']);
    await user.click(screen.getAllByRole('button', { name: /^Remove/ })[0] as HTMLElement);
    expect(last().router?.reach.map((r) => r.name)).toEqual(['Place 2']);
    await user.click(screen.getByRole('button', { name: 'Stop checking it' }));
    expect(last().router).toBeNull();
  });

  it('begins with the bunk and the awning, and with a way for the leads', async () => {
    const user = userEvent.setup();
    const { last } = held(form, { ...PLAN, router: null, cable: null });
    await user.click(screen.getByRole('button', { name: 'Check its place' }));
    expect(last().router?.reach.map((r) => [r.name, r.outside])).toEqual([
      ['Bunk', false],
      ['Under the awning', true],
    ]);
    expect(last().cable).not.toBeNull();
  });
});

describe('what feeds it', () => {
  it('says how, over which wire and behind which fuse', () => {
    held((plan, change) => <PowerForm plan={plan} fitout={fitout} assessment={assessment} change={change} />);
    const said = document.body.textContent ?? '';
    expect(said).toContain('From 12 V as it is');
    expect(said).toContain('3 A');
    expect(said).toMatch(/1\.5 mm²/);
  });
});
