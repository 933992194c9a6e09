import type { Assessment, RoofPlan } from '../data/fitout';

/** What can be moved on the drawing: one of a list by its place in it, or one of the single ones. */
export type Handle =
  | `thing ${number}`
  | `bend ${number}`
  | `reach ${number}`
  | 'antenna'
  | 'device'
  | 'entry'
  | 'source'
  | 'outside'
  | 'inside';

export interface Point {
  x: number;
  y: number;
}

/** Places snap to a centimetre. */
const STEPS_PER_M = 100;
export const snapped = (metres: number) => Math.round(metres * STEPS_PER_M) / STEPS_PER_M;

/** The place in its list, of a handle of a kind. */
function placeOf(handle: Handle, kind: 'thing' | 'bend' | 'reach'): number | null {
  const [of, at] = handle.split(' ');
  return of === kind ? Number(at) : null;
}

/** All handles that a plan has. */
export function handles(plan: RoofPlan): Handle[] {
  const { cable } = plan;
  return [
    ...plan.things.map((_, i): Handle => `thing ${i}`),
    ...(cable ? (['device'] as Handle[]) : []),
    ...(cable && cable.entryX !== null ? (['entry'] as Handle[]) : []),
    ...(cable?.bends ?? []).map((_, i): Handle => `bend ${i}`),
    ...(plan.power ? (['source'] as Handle[]) : []),
    ...(plan.router?.reach ?? []).map((_, i): Handle => `reach ${i}`),
    ...(plan.booster ? (['outside', 'inside'] as Handle[]) : []),
    ...(plan.antenna && plan.antenna.x !== null ? (['antenna'] as Handle[]) : []),
  ];
}

/** Where something is; of a thing its front left corner, else its middle. */
export function spotOf(plan: RoofPlan, handle: Handle): Point | null {
  const thing = placeOf(handle, 'thing');
  const bend = placeOf(handle, 'bend');
  const reach = placeOf(handle, 'reach');
  if (thing !== null) {
    return plan.things[thing] ?? null;
  }
  if (bend !== null) {
    return plan.cable?.bends[bend] ?? null;
  }
  if (reach !== null) {
    return plan.router?.reach[reach] ?? null;
  }
  const [x, y] = {
    antenna: [plan.antenna?.x, plan.antenna?.y],
    device: [plan.cable?.deviceX, plan.cable?.deviceY],
    entry: [plan.cable?.entryX, plan.cable?.entryY],
    source: [plan.power?.sourceX, plan.power?.sourceY],
    outside: [plan.booster?.outsideX, plan.booster?.outsideY],
    inside: [plan.booster?.insideX, plan.booster?.insideY],
  }[handle as keyof typeof NAMES | 'antenna'];
  return x == null || y == null ? null : { x, y };
}

const put = <T extends Point>(all: T[], at: number, to: Point) =>
  all.map((one, i) => (i === at ? { ...one, ...to } : one));

/** The plan with something moved. */
export function movedTo(plan: RoofPlan, handle: Handle, spot: Point): RoofPlan {
  const to = { x: snapped(spot.x), y: snapped(spot.y) };
  const { antenna, booster, cable, power, router } = plan;
  const thing = placeOf(handle, 'thing');
  const bend = placeOf(handle, 'bend');
  const reach = placeOf(handle, 'reach');
  if (thing !== null) {
    return { ...plan, things: put(plan.things, thing, to) };
  }
  if (bend !== null && cable) {
    return { ...plan, cable: { ...cable, bends: put(cable.bends, bend, to) } };
  }
  if (reach !== null && router) {
    return { ...plan, router: { ...router, reach: put(router.reach, reach, to) } };
  }
  switch (handle) {
    case 'antenna':
      return antenna ? { ...plan, antenna: { ...antenna, ...to } } : plan;
    case 'device':
      return cable ? { ...plan, cable: { ...cable, deviceX: to.x, deviceY: to.y } } : plan;
    case 'entry':
      return cable ? { ...plan, cable: { ...cable, entryX: to.x, entryY: to.y } } : plan;
    case 'source':
      return power ? { ...plan, power: { ...power, sourceX: to.x, sourceY: to.y } } : plan;
    case 'outside':
      return booster ? { ...plan, booster: { ...booster, outsideX: to.x, outsideY: to.y } } : plan;
    default:
      return booster ? { ...plan, booster: { ...booster, insideX: to.x, insideY: to.y } } : plan;
  }
}

const NAMES = {
  device: 'Router',
  entry: 'Way in',
  source: 'Battery',
  outside: 'Booster antenna outside',
  inside: 'Booster antenna inside',
};

export function nameOf(plan: RoofPlan, handle: Handle): string {
  const thing = placeOf(handle, 'thing');
  const bend = placeOf(handle, 'bend');
  const reach = placeOf(handle, 'reach');
  return thing !== null
    ? (plan.things[thing]?.name ?? '')
    : bend !== null
      ? `Bend ${bend + 1}`
      : reach !== null
        ? (plan.router?.reach[reach]?.name ?? '')
        : handle === 'antenna'
          ? (plan.antenna?.name ?? '')
          : NAMES[handle as keyof typeof NAMES];
}

/** From a point to another as cables are laid: along the vehicle, then across it. */
const along = (a: Point, b: Point): Point[] => [{ x: b.x, y: a.y }, b];

/** The corners of a way as cables are laid, over all its points. */
export const laid = (points: Point[]): Point[] =>
  points.flatMap((p, i) => (i === 0 ? [p] : along(points[i - 1] as Point, p)));

const NOTHING_M = 1e-4;

/** The way in that the leads take, of those that there are; none where they go in somewhere else. */
export const taken = (plan: RoofPlan, assessment: Assessment): Assessment['ways'][number] | undefined =>
  assessment.ways.find((way) => {
    const { entryX = null, entryY = null } = plan.cable ?? {};
    return entryX === null || entryY === null
      ? way.inlet === null
      : way.inlet !== null && Math.hypot(entryX - way.x, entryY - way.y) < NOTHING_M;
  });

/** A router under the middle of the roof, until it is said where it stands. */
export const firstCable = (assessment: Assessment | undefined): NonNullable<RoofPlan['cable']> => ({
  cableClass: null,
  leadM: null,
  slackM: null,
  dripLoopM: null,
  dropM: null,
  entryX: null,
  entryY: null,
  bends: [],
  deviceX: snapped((assessment?.lengthM ?? 4) / 2),
  deviceY: snapped((assessment?.widthM ?? 1.6) / 2),
});
