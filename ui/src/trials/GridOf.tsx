import type { Schemas } from '../data/client';
import { IntervalAxis, IntervalLine, type Interval, intervalDomain } from '../draw/IntervalLine';
import { useWidth } from '../draw/useWidth';
import { effect as asText, type Scale } from '../format/numbers';
import { Part } from '../parts/Sheet';
import { TONE } from '../draw/tones';

type Grid = Schemas['GridView'];
type Figure = Schemas['GridFigure'];
type Level = Schemas['LevelView'];

const line = (e: Level, figure: Figure): Interval => ({
  scale: figure.scale as Scale,
  estimate: e.estimate,
  low: e.low,
  high: e.high,
  margin: figure.margin,
  tone: TONE[e.verdict as keyof typeof TONE],
});

/** What each of two factors does, and whether that depends on the other. */
export function GridOf({ grid }: { grid: Grid }) {
  return (
    <Part
      title={`What ${grid.down} and ${grid.across} do`}
      small="each over all of the other; where it depends, each beside each"
    >
      {grid.figures.map((figure, i) => (
        <OneFigure key={figure.key} grid={grid} figure={figure} open={i === 0} />
      ))}
    </Part>
  );
}

function OneFigure({ grid, figure, open }: { grid: Grid; figure: Figure; open: boolean }) {
  return (
    <details className="numbers grid-figure" open={open}>
      <summary>
        {figure.label}: {figure.depends ? `depends on ${grid.across}` : 'the two do not depend on each other'}
      </summary>
      <p>{figure.sentence}</p>
      <Levels figure={figure} levels={[...figure.main, ...figure.within]} grid={grid} />
    </details>
  );
}

function Levels({ figure, levels, grid }: { figure: Figure; levels: Level[]; grid: Grid }) {
  const [ref, width] = useWidth<HTMLDivElement>(440);
  const scale = figure.scale as Scale;
  const domain = intervalDomain(
    scale,
    levels.map((e) => line(e, figure)),
  );
  return (
    <>
      {levels.map((e, i) => (
        <div className="effect" key={`${e.factor} ${e.level} ${e.where}`}>
          <div>
            <b>{e.level}</b>
            <div className="small">{e.where === null ? `whichever ${noun(grid, e)}` : `with ${e.where}`}</div>
          </div>
          <div ref={i === 0 ? ref : undefined}>
            <IntervalLine interval={line(e, figure)} domain={domain} width={width} label={e.level} />
          </div>
          <div className="small">
            <b>{asText(e.estimate, scale)}</b> of {e.against}, {asText(e.low, scale)} to{' '}
            {asText(e.high, scale)}
          </div>
        </div>
      ))}
      <div className="effect axis-row">
        <div />
        <IntervalAxis scale={scale} domain={domain} width={width} />
        <div className="small">
          {figure.rounds} rounds in which all were measured; {fixedPercent(figure.level)} intervals
        </div>
      </div>
    </>
  );
}

const noun = (grid: Grid, e: Level) =>
  (e.factor === grid.down ? grid.across : grid.down).replace(/^the /, '');

const fixedPercent = (level: number) => `${(100 * level).toFixed(1)} %`;
