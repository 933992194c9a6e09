// @vitest-environment jsdom
import { render as show } from '@testing-library/react';
import type { ReactElement } from 'react';
import { describe, expect, it } from 'vitest';
import { ChanceBar } from './ChanceBar';
import { DriftLine } from './DriftLine';
import { type Gain, GainBar, gainDomain } from './GainBar';
import { MonthBar } from './MonthBar';
import { RangeBar } from './RangeBar';

const drawn = (what: ReactElement) => show(what).container.querySelector('svg') as SVGSVGElement;
const all = (svg: SVGSVGElement, name: string) => [...svg.querySelectorAll(name)];
const number = (element: Element, name: string) => Number(element.getAttribute(name));
const isHatched = (element: Element) => element.getAttribute('fill')?.startsWith('url(#hatch') ?? false;
const hatchedOf = (svg: SVGSVGElement) => all(svg, 'rect').filter(isHatched);
const solidOf = (svg: SVGSVGElement) =>
  all(svg, 'rect').filter((r) => !isHatched(r) && r.getAttribute('fill') !== 'none');

describe('a chance', () => {
  it('is hatched as far as it goes, and nothing is solid where nothing was measured', () => {
    const svg = drawn(<ChanceBar chance={0.5} here={null} width={205} />);
    expect(svg.getAttribute('aria-label')).toBe('predicted 50 %');
    expect(hatchedOf(svg).map((r) => number(r, 'width'))).toEqual([100]);
    expect(solidOf(svg)).toHaveLength(0);
  });

  it('has what was measured solid beside it, with its interval', () => {
    const here = { runs: 8, met: 6, low: 0.4, high: 0.9 };
    const svg = drawn(<ChanceBar chance={0.2} here={here} width={205} />);
    expect(svg.getAttribute('aria-label')).toBe('predicted 20 %, measured 6 of 8');
    const [interval, tick] = solidOf(svg);
    expect(number(interval, 'x')).toBeCloseTo(81, 9);
    expect(number(interval, 'width')).toBeCloseTo(100, 9);
    expect(number(tick, 'x')).toBeCloseTo(149, 9);
  });
});

describe('a month of a plan', () => {
  const month = {
    width: 1042,
    allowance: 100,
    runs: 10,
    logged: 20,
    rest: 30,
    restIsAbout: false,
    forecast: 90,
    passed: 0.5,
    label: 'Ostrel SIM',
  };

  it('has what was counted solid, what is about hatched, and the allowance hollow', () => {
    const svg = drawn(<MonthBar {...month} />);
    const [allowance, runs, logged, rest] = all(svg, 'rect');
    expect(allowance.getAttribute('fill')).toBe('none');
    expect(allowance.getAttribute('stroke-dasharray')).toBe('3 3');
    expect(runs.getAttribute('fill')).toBe('var(--kelp)');
    expect(isHatched(logged)).toBe(true);
    expect(rest.getAttribute('fill')).toBe('var(--tide)');
    // they stand one behind the other, to scale
    expect(number(logged, 'x')).toBeCloseTo(number(runs, 'x') + number(runs, 'width'), 9);
    expect(number(rest, 'x')).toBeCloseTo(number(logged, 'x') + number(logged, 'width'), 9);
    expect(number(rest, 'width') / number(runs, 'width')).toBeCloseTo(3, 9);
  });

  it('hatches what goes on from an older reading, and says about of a forecast', () => {
    const svg = drawn(<MonthBar {...month} restIsAbout />);
    expect(hatchedOf(svg)).toHaveLength(3);
    expect(svg.textContent).toContain('about 90 GB at this rate');
  });

  it('draws no rest that is not known, and no allowance that no sheet says', () => {
    const svg = drawn(<MonthBar {...month} rest={null} allowance={null} forecast={null} />);
    expect(svg.innerHTML).not.toContain('tide');
    expect(svg.textContent).toBe('');
  });

  it('keeps its words inside at either end of the month', () => {
    const anchors = (passed: number) => drawn(<MonthBar {...month} passed={passed} />).querySelector('text');
    expect(anchors(0.02)?.getAttribute('text-anchor')).toBe('start');
    expect(anchors(0.5)?.getAttribute('text-anchor')).toBe('middle');
    expect(anchors(0.98)?.getAttribute('text-anchor')).toBe('end');
  });
});

describe('a range', () => {
  it('is hatched with its middle solid, and held within its scale', () => {
    const svg = drawn(
      <RangeBar low={1} middle={10} high={1000} domain={[1, 100]} width={206} label="Upload" />,
    );
    const [range, middle] = all(svg, 'rect');
    expect(isHatched(range)).toBe(true);
    expect(number(range, 'x') + number(range, 'width')).toBe(204);
    expect(number(middle, 'x')).toBeCloseTo(100.5, 9);
    expect(middle.getAttribute('fill')).toBe('var(--ink)');
  });
});

describe('a gain', () => {
  const gain: Gain = {
    predictedDb: 8,
    halfWidthDb: 2,
    estimateDb: 3,
    lowDb: 1,
    highDb: 5,
    fallsShort: true,
  };

  it('is hatched where predicted, solid where measured, and rust where it falls short', () => {
    const svg = drawn(<GainBar gain={gain} domain={[-5, 15]} width={212} label="Mast panel" />);
    expect(svg.getAttribute('aria-label')).toBe('Mast panel: predicted about +8.0 dB, measured +3.0 dB');
    expect(hatchedOf(svg)).toHaveLength(1);
    expect(solidOf(svg).map((r) => r.getAttribute('fill'))).toEqual(['var(--rust)', 'var(--rust)']);
  });

  it('that was measured without an interval is hollow; what is missing is not drawn', () => {
    const bare = { ...gain, predictedDb: null, lowDb: null, highDb: null };
    const svg = drawn(<GainBar gain={bare} domain={[-5, 15]} width={212} label="Mast panel" />);
    expect(hatchedOf(svg)).toHaveLength(0);
    expect(all(svg, 'rect').map((r) => r.getAttribute('fill'))).toEqual(['var(--sheet)']);
    expect(svg.getAttribute('aria-label')).toContain('nothing predicted');
  });

  it('shares an axis that holds all of them, and nought', () => {
    expect(gainDomain([gain])).toEqual([-5, 15]);
    expect(gainDomain([{ ...gain, estimateDb: -12, lowDb: -14 }])).toEqual([-20, 15]);
    expect(gainDomain([])).toEqual([-5, 5]);
  });
});

describe('a level over the trip', () => {
  const points = [
    { at: 0, value: 1, label: 'Amber Spit' },
    { at: 20, value: -5, label: 'Bog Boardwalk' },
  ];

  it('has a solid mark for each stay, and no means where nothing changed', () => {
    const svg = drawn(
      <DriftLine points={points} change={null} days={[0, 20]} most={6} width={366} label="Curlew" />,
    );
    expect(hatchedOf(svg)).toHaveLength(0);
    expect(solidOf(svg)).toHaveLength(2);
    expect(all(svg, 'title').map((t) => t.textContent)).toEqual([
      'Amber Spit: 1.0 dB',
      'Bog Boardwalk: −5.0 dB',
    ]);
    // the better one stands higher
    expect(number(solidOf(svg)[0], 'y')).toBeLessThan(number(solidOf(svg)[1], 'y'));
  });

  it('has the means before and after a change hatched, and says when', () => {
    const change = { at: 14, before: 0.5, after: -4, label: 'on or about 14 Aug' };
    const svg = drawn(
      <DriftLine points={points} change={change} days={[0, 20]} most={6} width={366} label="Curlew" />,
    );
    const [before, after] = hatchedOf(svg);
    expect(before.getAttribute('fill')).toBe('url(#hatch-ink2)');
    expect(after.getAttribute('fill')).toBe('url(#hatch-rust)');
    expect(number(after, 'x')).toBeCloseTo(number(before, 'width'), 9);
    expect(svg.textContent).toContain('on or about 14 Aug');
  });
});
