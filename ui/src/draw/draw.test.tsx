import { renderToStaticMarkup as render } from 'react-dom/server';
import { ChainDrawing } from './ChainDrawing';
import { CoverageMark } from './CoverageMark';
import { Staircase, wrapped } from './Staircase';
import { describe, expect, it } from 'vitest';
import { type Interval, IntervalLine, intervalDomain, intervalTicks } from './IntervalLine';
import { LadderStrip } from './LadderStrip';
import { PairedRounds } from './PairedRounds';
import { pennant } from './pennants';
import { RunSeries, timeTicks } from './RunSeries';
import { linear, linearTicks, logarithmic, logTicks } from './scale';

const interval: Interval = {
  scale: 'ratio',
  estimate: 1.83,
  low: 1.57,
  high: 2.14,
  margin: 1.2,
  tone: 'better',
};

describe('scales', () => {
  it('place ends and the middle', () => {
    expect(linear([-10, 30], [0, 400])(10)).toBe(200);
    expect(logarithmic([0.25, 4], [0, 400])(1)).toBeCloseTo(200, 9);
  });
  it('choose round numbers', () => {
    expect(logTicks(2.5, 12)).toEqual([5, 10]);
    expect(linearTicks(-108, -95, 4)).toEqual([-105, -100, -95]);
  });
});

describe('interval line', () => {
  it('hatches the interval and draws the estimate solid', () => {
    const svg = render(<IntervalLine interval={interval} domain={[0.25, 4]} width={416} label="Upload" />);
    expect(svg).toContain('url(#hatch-kelp)');
    expect(svg).toContain('aria-label="Upload: ×1.83, interval ×1.57 to ×2.14"');
    expect(svg.match(/fill="var\(--kelp\)"/g)).toHaveLength(1);
  });
  it('draws an estimate without an interval hollow', () => {
    const bare = { ...interval, low: null, high: null, tone: 'open' as const };
    const svg = render(<IntervalLine interval={bare} domain={[0.25, 4]} width={416} label="Upload" />);
    expect(svg).not.toContain('url(#hatch');
    expect(svg).toContain('fill="var(--sheet)"');
  });
  it('marks an interval that leaves the axis', () => {
    const wide = { ...interval, low: 0.01 };
    const inside = render(<IntervalLine interval={interval} domain={[0.25, 4]} width={416} label="a" />);
    const outside = render(<IntervalLine interval={wide} domain={[0.25, 4]} width={416} label="a" />);
    expect(outside.match(/<path/g)).toHaveLength(1);
    expect(inside).not.toContain('<path');
  });
  it('shares one axis that holds all intervals', () => {
    expect(intervalDomain('ratio', [interval])).toEqual([0.25, 4]);
    expect(intervalDomain('ratio', [{ ...interval, low: 0.1 }])).toEqual([1 / 16, 16]);
    expect(intervalDomain('dB', [{ ...interval, scale: 'dB', estimate: -7.2, low: -9.1, high: -5 }])).toEqual(
      [-10, 10],
    );
    expect(
      intervalDomain('share', [{ ...interval, scale: 'share', estimate: 3.8, low: 3.2, high: 4.4 }]),
    ).toEqual([-6, 6]);
    expect(intervalTicks('ratio', [0.25, 4])).toEqual([0.25, 0.5, 1, 2, 4]);
  });
});

describe('paired rounds', () => {
  const round = {
    number: 3,
    baselineAt: '2026-08-24T12:00:00+02:00',
    candidateAt: '2026-08-24T11:47:00+02:00',
    baseline: 4.4,
    candidate: 9,
    effect: 2.045,
    wild: true,
  };
  it('stands the first run left, marks the wild one, says the ratio', () => {
    const svg = render(
      <PairedRounds
        rounds={[round]}
        scale="ratio"
        unit="Mb/s"
        pennants={{ baseline: 0, candidate: 1 }}
        width={800}
        label="Upload"
      />,
    );
    const [, x1, x2] =
      /<line x1="([\d.]+)" y1="[\d.]+" x2="([\d.]+)" y2="[\d.]+" stroke="var\(--ink2\)"/.exec(svg) ?? [];
    expect(Number(x1)).toBeGreaterThan(Number(x2));
    expect(svg).toContain('stroke-dasharray');
    expect(svg).toContain('×2.04 · wild');
    expect(svg).toContain('round 3 · 11:47');
  });
});

describe('ladder strip', () => {
  const ladder = {
    label: 'RSRP',
    unit: 'dBm',
    value: -104,
    grade: 'fair',
    spread: { low: -107, median: -104, high: -102 },
    usual: null,
    from: -135,
    to: -60,
    floors: [-80, -95, -105, -118],
  };
  it('names all five zones and has no hollow tick without a usual value', () => {
    const svg = render(<LadderStrip ladder={ladder} width={560} />);
    for (const word of ['none', 'weak', 'fair', 'good', 'strong']) {
      expect(svg).toContain(`>${word}<`);
    }
    expect(svg).toContain('class="latest"');
    expect(svg).not.toContain('class="usual"');
    expect(render(<LadderStrip ladder={{ ...ladder, usual: -101 }} width={560} />)).toContain(
      'class="usual"',
    );
  });
});

describe('run series', () => {
  it('draws a failed run as a cross at the foot', () => {
    const runs = [
      { id: 1, takenAt: '2026-09-05T18:32:00+02:00', pennant: 0, value: 3.4 },
      { id: 2, takenAt: '2026-09-05T18:45:00+02:00', pennant: 1, value: null },
    ];
    const svg = render(
      <RunSeries runs={runs} now="2026-09-05T21:12:00+02:00" log width={700} label="Upload" />,
    );
    expect(svg.match(/stroke="var\(--rust\)"/g)).toHaveLength(1);
  });
  it('ticks round hours of the place', () => {
    const start = Date.parse('2026-09-05T18:32:00+02:00');
    const ticks = timeTicks(start, start + 2.7 * 3_600_000, '2026-09-05T21:12:00+02:00', 6);
    expect(ticks.map((t) => t.text)).toEqual(['19:00', '19:30', '20:00', '20:30', '21:00']);
  });
});

describe('pennants', () => {
  it('differ in shape or split for the first 35 setups', () => {
    const looks = new Set(Array.from({ length: 35 }, (_, n) => pennant(n).outline + pennant(n).split));
    expect(looks.size).toBe(35);
  });
});

describe('Staircase', () => {
  const step = (part: string, db: number | null, estimated = false) => ({
    part,
    says: 'stated',
    db,
    halfWidthDb: estimated ? 4 : 0,
    estimated,
  });
  const stairs = (steps: ReturnType<typeof step>[], deltaDb: number | null) => ({
    band: 'B20',
    mhz: 806,
    along: 'Rowan 1',
    steps,
    netDb: null,
    baselineDb: -12,
    deltaDb,
    halfWidthDb: 4,
  });
  it('draws gains up, losses down, and hatches what is estimated', () => {
    const svg = render(
      <Staircase
        staircase={stairs(
          [step('Out of the shell', 12, true), step('Rowan', 8.5), step('2 connectors', -0.3, true)],
          20.2,
        )}
        width={700}
      />,
    );
    expect(svg).toContain('+8.5 dB');
    expect(svg).toContain('−0.30 ± 4 dB');
    expect(svg).toContain('fill="var(--kelp)"');
    expect(svg).toContain('fill="url(#hatch-rust)"');
    expect(svg).toContain('together +20.2 dB');
    expect(svg).toContain('>+20.2 dB</text>');
  });
  it('is drawn in rows where there is no room for columns', () => {
    const svg = render(
      <Staircase staircase={stairs([step('Rowan', 8.5), step('Aspen', null)], null)} width={358} />,
    );
    expect(svg).toContain('width="358"');
    expect(svg).toContain('Compared with the own antenna inside');
    expect(svg).toContain('stroke-dasharray');
  });
  it('leaves what no sheet says hollow, and the net with it', () => {
    const svg = render(<Staircase staircase={stairs([step('Aspen', null)], null)} width={700} />);
    expect(svg.match(/stroke-dasharray/g)).toHaveLength(2);
    expect(svg).toContain('Aspen unknown');
  });
  it('breaks long words of a foot into two lines', () => {
    expect(wrapped('stable gain, 3 m apart', 16)).toEqual(['stable gain, 3 m', 'apart']);
    expect(wrapped('a b', 16)).toEqual(['a b']);
  });
});

describe('CoverageMark', () => {
  const mark = (downlink: number | null, uplink: number | null) =>
    render(<CoverageMark downlink={downlink} uplink={uplink} />);
  it('tells both ways, one way, nothing and not stated apart without colour', () => {
    expect(mark(1, 1)).toContain('both ways');
    expect(mark(1, 0.87)).toContain('downlink');
    expect(mark(0.2, 1)).toContain('uplink');
    expect(mark(0, 0)).toContain('M8 4L20 12');
    expect(mark(null, 1)).toContain('stroke-dasharray');
  });
});

describe('ChainDrawing', () => {
  it('joins the parts from the air to the device and leaves a missing one hollow', () => {
    const svg = render(
      <ChainDrawing
        width={700}
        parts={[
          { kind: 'antenna', name: 'Alder', says: 'on the roof' },
          { kind: 'device', name: 'not chosen', says: '', missing: true },
        ]}
      />,
    );
    expect(svg).toContain('aria-label="Alder, then not chosen"');
    expect(svg.match(/stroke-dasharray/g)).toHaveLength(1);
  });
});
