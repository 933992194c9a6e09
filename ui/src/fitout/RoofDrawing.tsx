import { type KeyboardEvent, type PointerEvent, useRef } from 'react';
import type { Assessment, RoofPlan } from '../data/fitout';
import { hatched } from '../draw/hatched';
import { drawnLength, type System } from '../format/units';
import { type Handle, handles, movedTo, nameOf, type Point, spotOf } from './drawn';
import { Leads, Reach, Wire } from './Lines';
import { Nose } from './Nose';

const ROOM = 14;
const NARROW = 560;
const TALLEST = 620;
const KEY_STEP_M = 0.01;
const BESIDE_M = 0.2;
/** Beyond it a name has no room to the right of what it names. */
const FAR = 0.8;
const KEY_STRIDE_M = 0.1;
const KEYS: Record<string, [number, number]> = {
  ArrowLeft: [-1, 0],
  ArrowRight: [1, 0],
  ArrowUp: [0, -1],
  ArrowDown: [0, 1],
};

/**
 * The roof from above, its front to the left. What is on it is drawn through, what lies hidden under it dashed; the best places are
 * estimated and so hatched; what speaks against the rest of the roof lies under it all in patterns. Everything that is drawn can be
 * moved by pointer, touch or arrow keys.
 */
export function RoofDrawing(props: {
  plan: RoofPlan;
  assessment: Assessment;
  width: number;
  system: System;
  whyNot: boolean;
  /** The kinds that lie under the roof. */
  hidden: ReadonlySet<string>;
  chosen: Handle | null;
  choose: (handle: Handle) => void;
  change: (next: RoofPlan, step: string) => void;
  settle: () => void;
  /** Only looked at: nothing of it can be moved. */
  still?: boolean;
}) {
  const { plan, assessment, width, system } = props;
  // where there is little room across, the front is at the top
  const turned = width < NARROW;
  const nose = turned ? 56 : Math.min(110, width * 0.16);
  const sides = beyond(plan, assessment.widthM);
  const scale = turned
    ? Math.min((width - 2 * ROOM) / (sides.right - sides.left), TALLEST / assessment.lengthM)
    : (width - nose - ROOM) / assessment.lengthM;
  const along = nose + assessment.lengthM * scale + ROOM;
  const across = (sides.right - sides.left) * scale + 2 * ROOM;
  const px = (p: Point) => {
    const [down, over] = [nose + p.x * scale, ROOM + (p.y - sides.left) * scale];
    return turned ? { x: over, y: down } : { x: down, y: over };
  };
  const box = (x: number, y: number, lengthM: number, widthM: number) => ({
    ...px({ x, y }),
    width: Math.max(3, (turned ? widthM : lengthM) * scale),
    height: Math.max(3, (turned ? lengthM : widthM) * scale),
  });
  const drag = useRef<{ handle: Handle; from: Point; start: Point } | null>(null);

  const grip = (handle: Handle) => {
    if (props.still) {
      return {};
    }
    const spot = spotOf(plan, handle) ?? { x: 0, y: 0 };
    const name = nameOf(plan, handle);
    const said = `${name}, ${drawnLength(spot.x, system)} from the front, ${drawnLength(spot.y, system)} from the left`;
    return {
      tabIndex: 0,
      role: 'button',
      'aria-label': said,
      'aria-pressed': props.chosen === handle,
      className: props.chosen === handle ? 'drawn chosen' : 'drawn',
      onFocus: () => props.choose(handle),
      onPointerDown: (e: PointerEvent<SVGGElement>) => {
        e.currentTarget.setPointerCapture(e.pointerId);
        e.currentTarget.focus();
        props.settle();
        drag.current = { handle, from: spot, start: { x: e.clientX, y: e.clientY } };
      },
      onPointerMove: (e: PointerEvent<SVGGElement>) => {
        const d = drag.current;
        if (d) {
          const [right, down] = [(e.clientX - d.start.x) / scale, (e.clientY - d.start.y) / scale];
          const to = { x: d.from.x + (turned ? down : right), y: d.from.y + (turned ? right : down) };
          props.change(movedTo(plan, d.handle, to), `move ${d.handle}`);
        }
      },
      onPointerUp: () => {
        drag.current = null;
        props.settle();
      },
      onKeyDown: (e: KeyboardEvent) => {
        const [right, down] = KEYS[e.key] ?? [0, 0];
        if (right !== 0 || down !== 0) {
          e.preventDefault();
          const step = e.shiftKey ? KEY_STRIDE_M : KEY_STEP_M;
          props.change(
            movedTo(plan, handle, {
              x: spot.x + (turned ? down : right) * step,
              y: spot.y + (turned ? right : down) * step,
            }),
            `move ${handle}`,
          );
        }
      },
    };
  };

  /** A name is beside what it names. */
  const beside = (handle: Handle) =>
    handle === 'antenna' && plan.antenna
      ? Math.max(13, ((turned ? plan.antenna.widthM : plan.antenna.lengthM) * scale) / 2 + 4)
      : 13;
  /** To its right; to its left where there is no room. */
  const label = (at: Point, handle: Handle) =>
    at.x > (turned ? across : along) * FAR
      ? { x: at.x - beside(handle), textAnchor: 'end' as const }
      : { x: at.x + beside(handle) };
  return (
    <svg
      width={turned ? across : along}
      height={turned ? along : across}
      className="roof"
      role="group"
      aria-label="The roof from above"
    >
      <WhyPatterns />
      <clipPath id="on-roof">
        <rect {...box(0, 0, assessment.lengthM, assessment.widthM)} />
      </clipPath>
      <g transform={turned ? 'matrix(0 1 1 0 0 0)' : undefined}>
        <Nose
          shape={plan.shape ?? 'panel-van'}
          right={nose}
          top={ROOM - sides.left * scale}
          height={assessment.widthM * scale}
        />
      </g>
      <text {...px({ x: -nose / scale / 2, y: assessment.widthM / 2 })} textAnchor="middle" className="front">
        front
      </text>
      <rect {...box(0, 0, assessment.lengthM, assessment.widthM)} className="outline" />
      {props.whyNot &&
        assessment.strips
          .filter((s) => PATTERNS.includes(s.why))
          .map((s) => {
            const half = assessment.stepM / 2;
            const [x, y] = [Math.max(0, s.fromX - half), Math.max(0, s.y - half)];
            const end = Math.min(assessment.lengthM, s.toX + half);
            const edge = Math.min(assessment.widthM, s.y + half);
            return (
              <rect key={`${s.y} ${s.fromX}`} {...box(x, y, end - x, edge - y)} fill={`url(#why-${s.why})`} />
            );
          })}
      {plan.things.map((t, i) => {
        const at = px(t);
        return (
          <g key={i} {...grip(`thing ${i}`)}>
            <rect
              {...box(t.x, t.y, t.lengthM, t.widthM)}
              className={props.hidden.has(t.kind) ? 'thing hidden' : 'thing'}
            />
            <text x={at.x + 4} y={at.y + 13}>
              {t.name}
            </text>
          </g>
        );
      })}
      <Wire plan={plan} assessment={assessment} px={px} />
      <Leads plan={plan} assessment={assessment} px={px} />
      {(props.still && assessment.here ? [] : assessment.best).map((p, i) => {
        const at = px(p);
        return (
          <g key={i} className="best">
            <circle cx={at.x} cy={at.y} r={11} {...hatched('kelp')} />
            <text x={at.x} y={at.y + 4} textAnchor="middle">
              {i + 1}
            </text>
          </g>
        );
      })}
      {plan.booster && assessment.boosted && (
        <Reach booster={plan.booster} boosted={assessment.boosted} px={px} scale={scale} />
      )}
      {handles(plan)
        .filter((h) => !h.startsWith('thing '))
        .map((handle) => {
          const at = px(spotOf(plan, handle) ?? { x: 0, y: 0 });
          return (
            <g key={handle} {...grip(handle)}>
              {handle === 'antenna' && plan.antenna ? (
                <rect
                  {...box(
                    (plan.antenna.x ?? 0) - plan.antenna.lengthM / 2,
                    (plan.antenna.y ?? 0) - plan.antenna.widthM / 2,
                    plan.antenna.lengthM,
                    plan.antenna.widthM,
                  )}
                  className="antenna"
                />
              ) : handle === 'device' || handle === 'source' ? (
                <rect x={at.x - 10} y={at.y - 7} width={20} height={14} className={handle} />
              ) : (
                <circle
                  cx={at.x}
                  cy={at.y}
                  r={handle.startsWith('bend ') ? 5 : 7}
                  className={handle.split(' ')[0]}
                />
              )}
              {/* room for a finger */}
              <circle cx={at.x} cy={at.y} r={18} fill="transparent" />
              {!handle.startsWith('bend ') && (
                <text {...label(at, handle)} y={at.y + 18}>
                  {nameOf(plan, handle)}
                </text>
              )}
            </g>
          );
        })}
    </svg>
  );
}

/** How far across is drawn, in m: the roof, and beside it the places where Wi-Fi is wanted. */
function beyond(plan: RoofPlan, widthM: number) {
  const places = (plan.router?.reach ?? []).map((r) => r.y);
  return {
    left: Math.min(0, ...places.map((y) => y - BESIDE_M)),
    right: Math.max(widthM, ...places.map((y) => y + BESIDE_M)),
  };
}

/** What is shown in a pattern: the rules that the drawing itself does not show. */
export const PATTERNS = ['clearance', 'ground-plane', 'hole'];

function WhyPatterns() {
  return (
    <defs>
      <pattern id="why-clearance" width="7" height="7" patternUnits="userSpaceOnUse">
        <circle cx="2" cy="2" r="1" fill="var(--ochre)" opacity="0.7" />
      </pattern>
      <pattern id="why-ground-plane" width="8" height="6" patternUnits="userSpaceOnUse">
        <line x1="0" y1="2" x2="8" y2="2" stroke="var(--tide)" opacity="0.7" />
      </pattern>
      <pattern id="why-hole" width="8" height="8" patternUnits="userSpaceOnUse">
        <path d="M1 1L5 5M5 1L1 5" stroke="var(--rust)" opacity="0.8" />
      </pattern>
    </defs>
  );
}
