import { Segmented } from 'antd';
import { useState } from 'react';
import type { Schemas } from '../data/client';
import { Part } from '../parts/Sheet';
import { Staircase } from '../draw/Staircase';
import { useWidth } from '../draw/useWidth';
import { effect, fixed } from '../format/numbers';

/** The staircase of a chosen band, and the predicted ΔRSRP on all. */
export function Staircases({ view }: { view: Schemas['SetupView'] }) {
  const { staircases } = view;
  const [band, setBand] = useState(staircases[0]?.band ?? '');
  const [ref, width] = useWidth<HTMLDivElement>(760);
  const shown = staircases.find((s) => s.band === band) ?? staircases[0];
  if (!shown) {
    return null;
  }
  return (
    <Part
      title={`Staircase at ${fixed(shown.mhz, 0)} MHz`}
      small={`${shown.band}${shown.along ? `, along ${shown.along}` : ''} · from the device’s own antenna inside · hatched: estimated`}
      actions={
        <Segmented
          size="small"
          value={shown.band}
          options={staircases.map((s) => s.band)}
          onChange={setBand}
        />
      }
    >
      <div ref={ref} className="chart-scroll" role="group" aria-label="The staircase" tabIndex={0}>
        <Staircase staircase={shown} width={width} />
      </div>
      <p>
        {shown.deltaDb === null
          ? 'Compared with the device’s own antenna inside: unknown, because a data sheet does not say.'
          : `Compared with the device’s own antenna inside: about ${effect(shown.deltaDb, 'dB')} (${effect(shown.deltaDb - shown.halfWidthDb, 'dB')} to ${effect(shown.deltaDb + shown.halfWidthDb, 'dB')}), predicted.`}
      </p>
      {view.besideGain && <p className="attention">{view.besideGain}</p>}
      <details className="numbers">
        <summary>All bands as a table</summary>
        <table className="plain rows">
          <thead>
            <tr>
              <th>Band</th>
              <th className="num">At, MHz</th>
              <th className="num">Net from the air, dB</th>
              <th className="num">Own antenna inside, dB</th>
              <th className="num">Predicted ΔRSRP, dB</th>
            </tr>
          </thead>
          <tbody>
            {staircases.map((s) => (
              <tr key={s.band}>
                <td className="name">{s.band}</td>
                <td className="num" data-label="At, MHz">
                  {fixed(s.mhz, 0)}
                </td>
                <td className="num" data-label="Net from the air, dB">
                  {s.netDb === null ? 'unknown' : fixed(s.netDb, 1)}
                </td>
                <td className="num" data-label="Own antenna inside, dB">
                  {fixed(s.baselineDb, 0)}
                </td>
                <td className="num" data-label="Predicted ΔRSRP, dB">
                  {s.deltaDb === null ? 'unknown' : `${fixed(s.deltaDb, 1)} ± ${fixed(s.halfWidthDb, 1)}`}
                </td>
              </tr>
            ))}
          </tbody>
        </table>
      </details>
    </Part>
  );
}
