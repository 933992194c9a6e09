// @vitest-environment jsdom
import { render as show } from '@testing-library/react';
import type { ReactElement } from 'react';
import { describe, expect, it } from 'vitest';
import { DayHours } from './DayHours';
import { Polar } from './Polar';
import { ProfileDrawing } from './ProfileDrawing';
import { QrCode } from './QrCode';
import { RoundsOf } from './RoundsOf';
import { type CurvePoint, RunCurve } from './RunCurve';

const drawn = (what: ReactElement) => show(what).container.querySelector('svg') as SVGSVGElement;
const all = (svg: SVGSVGElement, name: string) => [...svg.querySelectorAll(name)];
const number = (element: Element, name: string) => Number(element.getAttribute(name));
const texts = (svg: SVGSVGElement) => all(svg, 'text').map((t) => t.textContent?.trim());

describe('a cell’s day', () => {
  const hour = (h: number, middle: number | null) => ({
    hour: h,
    runs: middle === null ? 0 : 3,
    spread: middle === null ? null : { low: middle / 2, middle, high: middle * 2 },
  });

  it('has a bar for each hour that was measured and a dashed line where there was none', () => {
    const svg = drawn(
      <DayHours hours={[hour(8, 40), hour(9, null), hour(20, 10)]} width={600} unit="Mb/s" label="The day" />,
    );
    expect(all(svg, 'line').filter((l) => l.getAttribute('stroke-dasharray'))).toHaveLength(1);
    const bars = all(svg, 'rect').filter((r) => r.getAttribute('opacity'));
    expect(bars).toHaveLength(2);
    // the slower evening lies lower, as tall as the morning on a scale of ratios
    expect(number(bars[1], 'y')).toBeGreaterThan(number(bars[0], 'y'));
    expect(number(bars[1], 'height')).toBeCloseTo(number(bars[0], 'height'), 9);
  });

  it('names fewer hours where there is less room', () => {
    const hours = Array.from({ length: 24 }, (_, h) => hour(h, 20));
    const named = (width: number) =>
      texts(drawn(<DayHours hours={hours} width={width} unit="Mb/s" label="The day" />)).filter(
        (t) => t?.length === 2 && /^\d\d$/.test(t) && Number(t) % 3 === 0 && Number(t) < 24,
      );
    expect(named(600)).toContain('03');
    expect(named(340)).not.toContain('03');
    expect(named(340)).toContain('06');
  });
});

describe('levels around the vehicle', () => {
  const points = [
    { deg: 0, db: -90, counts: true },
    { deg: 90, db: -100, counts: true },
    { deg: 180, db: -104, counts: false },
  ];

  it('stand north up, the stronger the further out; what does not count is hollow', () => {
    const svg = drawn(<Polar points={points} curve={[]} best={null} masts={[]} size={300} label="A sweep" />);
    const dots = all(svg, 'circle').filter((c) => c.getAttribute('r') === '5');
    expect(number(dots[0], 'cx')).toBeCloseTo(150, 9);
    expect(number(dots[0], 'cy')).toBeLessThan(150);
    expect(number(dots[1], 'cx')).toBeGreaterThan(150);
    expect(number(dots[1], 'cy')).toBeCloseTo(150, 9);
    expect(150 - number(dots[0], 'cy')).toBeGreaterThan(number(dots[1], 'cx') - 150);
    expect(dots.map((d) => d.getAttribute('fill'))).toEqual(['var(--ink)', 'var(--ink)', 'var(--sheet)']);
    expect(texts(svg)).toEqual(expect.arrayContaining(['N', 'E', 'S', 'W']));
  });

  it('have the estimate dashed, the sector hatched, and masts on the rim, dashed where estimated', () => {
    const svg = drawn(
      <Polar
        points={points}
        curve={Array.from({ length: 72 }, () => -95)}
        best={{ deg: 10, within: 40 }}
        masts={[
          { name: 'Gull', deg: 12, estimated: false },
          { name: 'Tern', deg: 200, estimated: true },
        ]}
        size={300}
        label="A sweep"
      />,
    );
    expect(all(svg, 'path')[0].getAttribute('fill')).toBe('url(#hatch-kelp)');
    expect(all(svg, 'path')[1].getAttribute('stroke-dasharray')).toBe('5 4');
    const rim = all(svg, 'line').filter((l) => l.getAttribute('stroke') === 'var(--tide)');
    expect(rim.map((l) => l.getAttribute('stroke-dasharray'))).toEqual([null, '3 3']);
  });

  it('that matter to more than half the circle take the large arc', () => {
    const arc = (within: number) =>
      drawn(
        <Polar points={points} curve={[]} best={{ deg: 0, within }} masts={[]} size={300} label="A sweep" />,
      )
        .querySelector('path')
        ?.getAttribute('d');
    expect(arc(40)).toContain(' 0 0 1 ');
    expect(arc(120)).toContain(' 0 1 1 ');
  });
});

describe('the ground between two antennas', () => {
  const profile = { km: [0, 1, 2], groundM: [0, 30, 0], fromM: 10, toM: 20, fresnelM: [0, 14, 0] };

  it('stands below its line of sight, with heights and distances in their units', () => {
    const svg = drawn(<ProfileDrawing profile={profile} width={654} label="A hill between" />);
    const sight = all(svg, 'line').find((l) => l.getAttribute('stroke') === 'var(--kelp)') as Element;
    expect(number(sight, 'x1')).toBe(44);
    expect(number(sight, 'x2')).toBe(644);
    expect(number(sight, 'y2')).toBeLessThan(number(sight, 'y1'));
    expect(texts(svg).some((t) => t?.endsWith(' m'))).toBe(true);
    expect(texts(svg).at(-1)).toMatch(/^2\.0 km$/);
    // the zone closes around the line, the ground down to the foot
    const [zone, ground] = all(svg, 'path').map((p) => p.getAttribute('d') ?? '');
    expect(zone.match(/[ML]/g)).toHaveLength(6);
    expect(ground.endsWith('170Z')).toBe(true);
  });

  it('that is flat everywhere is drawn all the same', () => {
    const flat = { km: [0, 2], groundM: [0, 0], fromM: 0, toM: 0, fresnelM: [0, 0] };
    expect(drawn(<ProfileDrawing profile={flat} width={654} label="Flat" />).innerHTML).not.toContain('NaN');
  });
});

describe('a QR code', () => {
  it('has its modules dark on light, with the room around it that a camera needs', () => {
    const svg = drawn(<QrCode rows={['101', '010', '110']} label="The way in" />);
    expect(svg.getAttribute('viewBox')).toBe('0 0 11 11');
    const path = all(svg, 'path')[0].getAttribute('d') ?? '';
    expect(path.match(/M/g)).toHaveLength(4);
    expect(path).toContain('M4 6h2v1h-2z');
  });
});

describe('rounds of two', () => {
  it('are joined where both were measured; a missing one leaves its place empty', () => {
    const svg = drawn(
      <RoundsOf
        rounds={[
          { round: 1, a: 4, b: 8 },
          { round: 2, a: null, b: 7 },
        ]}
        width={444}
        label="Rounds"
      />,
    );
    expect(all(svg, 'line').filter((l) => l.getAttribute('stroke') === 'var(--ink)')).toHaveLength(1);
    expect(all(svg, 'circle').map((c) => c.getAttribute('fill'))).toEqual([
      'var(--ink)',
      'var(--sheet)',
      'var(--sheet)',
    ]);
    expect(texts(svg).slice(-2)).toEqual(['1', '2']);
  });
});

describe('a run', () => {
  const point = (atMs: number, phase: string, mbps: number | null, latencyMs: number | null): CurvePoint => ({
    atMs,
    phase,
    mbps,
    latencyMs,
  });

  it('is drawn phase by phase with its medians and what answers took', () => {
    const points = [
      point(500, 'idle', null, 40),
      point(2_500, 'down', 20, 80),
      point(9_000, 'down', 30, 90),
      point(10_000, 'up', 4, 300),
      point(18_000, 'up', 5, null),
    ];
    const svg = drawn(<RunCurve points={points} downMbps={25} upMbps={4.5} width={660} />);
    expect(svg.getAttribute('aria-label')).toBe('The run over 18 s: download 25 Mb/s, upload 4.5 Mb/s');
    expect(all(svg, 'polyline')).toHaveLength(2);
    expect(all(svg, 'rect')).toHaveLength(4);
    const medians = all(svg, 'line').filter((l) => l.getAttribute('stroke') === 'var(--ink)');
    expect(medians).toHaveLength(2);
    expect(number(medians[0], 'y1')).toBeLessThan(number(medians[1], 'y1'));
    expect(texts(svg)).toEqual(expect.arrayContaining(['download', 'upload', 'Mb/s', '300 ms']));
  });

  it('that has only begun has no number', () => {
    const svg = drawn(<RunCurve points={[]} downMbps={null} upMbps={null} width={660} />);
    expect(svg.getAttribute('aria-label')).toBe('The run over 0 s: no rate yet');
    expect(all(svg, 'polyline')).toHaveLength(0);
  });
});
