import { Segmented } from 'antd';
import { useState } from 'react';
import type { Schemas } from '../data/client';
import { DayHours } from '../draw/DayHours';
import { useWidth } from '../draw/useWidth';
import { count, short } from '../format/numbers';
import { Part } from '../parts/Sheet';

type Day = Schemas['DayView'];
type Hour = Schemas['HourView'];

const FIGURES = [
  { value: 'down', label: 'Download', unit: 'Mb/s' },
  { value: 'up', label: 'Upload', unit: 'Mb/s' },
  { value: 'loaded', label: 'Latency under load', unit: 'ms' },
] as const;

/** A cell over the hours of the day, from all stays. */
export function CellDay({ day }: { day: Day }) {
  const [figure, setFigure] = useState<(typeof FIGURES)[number]['value']>('down');
  const [ref, width] = useWidth<HTMLDivElement>(720);
  const { label, unit } = FIGURES.find((f) => f.value === figure) ?? FIGURES[0];
  const of = (hour: Hour) => hour[figure];
  return (
    <Part
      title="This cell’s day"
      small={`${day.of} · ${count(day.runs, 'run')} from all stays`}
      actions={
        <Segmented
          size="small"
          aria-label="Figure of the day"
          value={figure}
          onChange={setFigure}
          options={FIGURES.map((f) => ({ value: f.value, label: f.label }))}
        />
      }
    >
      <div ref={ref}>
        <DayHours
          hours={day.hours.map((h) => ({ hour: h.hour, runs: h.runs, spread: of(h) }))}
          width={width}
          unit={unit}
          label={`${label} by the hour of the day, ${day.of}`}
        />
      </div>
      <p className="small">
        In {unit}. Bar: lowest to highest, tick: middle run. Dashed: no run in that hour.
      </p>
      <details className="numbers">
        <summary>Numbers as a table</summary>
        <table className="plain rows">
          <thead>
            <tr>
              <th>Hour</th>
              <th>Runs</th>
              <th>Lowest</th>
              <th>Middle</th>
              <th>Highest</th>
            </tr>
          </thead>
          <tbody>
            {day.hours
              .filter((h) => h.runs > 0)
              .map((h) => (
                <tr key={h.hour}>
                  <td data-label="Hour">{clockOf(h.hour)}</td>
                  <td data-label="Runs">{h.runs}</td>
                  <td data-label="Lowest">{said(of(h)?.low, unit)}</td>
                  <td data-label="Middle">{said(of(h)?.middle, unit)}</td>
                  <td data-label="Highest">{said(of(h)?.high, unit)}</td>
                </tr>
              ))}
          </tbody>
        </table>
      </details>
    </Part>
  );
}

const clockOf = (hour: number) => `${String(hour).padStart(2, '0')}:00`;
const said = (value: number | undefined, unit: string) =>
  value === undefined ? '–' : `${short(value)} ${unit}`;
