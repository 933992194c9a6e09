import type { RoofPlan } from '../data/fitout';

/** What can be moved on the drawing: a thing by its place in the list, or one of the single ones. */
export type Handle = `thing ${number}` | 'antenna' | 'device' | 'entry' | 'outside' | 'inside';

export interface Point {
  x: number;
  y: number;
}

/** Places snap to a centimetre. */
const STEPS_PER_M = 100;
export const snapped = (metres: number) => Math.round(metres * STEPS_PER_M) / STEPS_PER_M;

const thingOf = (handle: Handle) => (handle.startsWith('thing ') ? Number(handle.slice(6)) : null);

/** All handles that a plan has. */
export function handles(plan: RoofPlan): Handle[] {
  return [
    ...plan.things.map((_, i): Handle => `thing ${i}`),
    ...(plan.cable ? (['device'] as Handle[]) : []),
    ...(plan.cable && plan.cable.entryX !== null ? (['entry'] as Handle[]) : []),
    ...(plan.booster ? (['outside', 'inside'] as Handle[]) : []),
    ...(plan.antenna && plan.antenna.x !== null ? (['antenna'] as Handle[]) : []),
  ];
}

/** Where something is; of a thing its front left corner, else its middle. */
export function spotOf(plan: RoofPlan, handle: Handle): Point | null {
  const thing = thingOf(handle);
  if (thing !== null) {
    return plan.things[thing] ?? null;
  }
  const [x, y] = {
    antenna: [plan.antenna?.x, plan.antenna?.y],
    device: [plan.cable?.deviceX, plan.cable?.deviceY],
    entry: [plan.cable?.entryX, plan.cable?.entryY],
    outside: [plan.booster?.outsideX, plan.booster?.outsideY],
    inside: [plan.booster?.insideX, plan.booster?.insideY],
  }[handle as Exclude<Handle, `thing ${number}`>];
  return x == null || y == null ? null : { x, y };
}

/** The plan with something moved. */
export function movedTo(plan: RoofPlan, handle: Handle, to: Point): RoofPlan {
  const [x, y] = [snapped(to.x), snapped(to.y)];
  const thing = thingOf(handle);
  if (thing !== null) {
    return { ...plan, things: plan.things.map((t, i) => (i === thing ? { ...t, x, y } : t)) };
  }
  switch (handle) {
    case 'antenna':
      return plan.antenna ? { ...plan, antenna: { ...plan.antenna, x, y } } : plan;
    case 'device':
      return plan.cable ? { ...plan, cable: { ...plan.cable, deviceX: x, deviceY: y } } : plan;
    case 'entry':
      return plan.cable ? { ...plan, cable: { ...plan.cable, entryX: x, entryY: y } } : plan;
    case 'outside':
      return plan.booster ? { ...plan, booster: { ...plan.booster, outsideX: x, outsideY: y } } : plan;
    default:
      return plan.booster ? { ...plan, booster: { ...plan.booster, insideX: x, insideY: y } } : plan;
  }
}

const NAMES = {
  device: 'Router',
  entry: 'Way in',
  outside: 'Booster antenna outside',
  inside: 'Booster antenna inside',
};

export function nameOf(plan: RoofPlan, handle: Handle): string {
  const thing = thingOf(handle);
  return thing !== null
    ? (plan.things[thing]?.name ?? '')
    : handle === 'antenna'
      ? (plan.antenna?.name ?? '')
      : NAMES[handle as keyof typeof NAMES];
}
