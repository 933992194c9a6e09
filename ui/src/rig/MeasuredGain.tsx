import { Select } from 'antd';
import { useState } from 'react';
import type { Schemas } from '../data/client';
import { useGains } from '../data/rig';
import { GainAxis, GainBar, gainDomain } from '../draw/GainBar';
import { useWidth } from '../draw/useWidth';
import { effect, fixed } from '../format/numbers';
import { Part } from '../parts/Sheet';

type Band = Schemas['BandGainView'];

/** What the setup brings by measurement beside what is predicted, band by band. */
export function MeasuredGain({ setup }: { setup: string }) {
  const [against, setAgainst] = useState<string>();
  const gains = useGains(setup, against);
  const [ref, width] = useWidth<HTMLDivElement>(300);
  const data = gains.data;
  if (!data?.against || data.bands.length === 0) {
    return null;
  }
  const measured = data.bands.some((b) => b.blocks > 0);
  const domain = gainDomain(data.bands);
  return (
    <Part
      title="RSRP: predicted and measured"
      small="hatched: predicted · solid: measured side by side, 95 % interval"
      actions={
        <Select
          size="small"
          aria-label="Compared with"
          popupMatchSelectWidth={false}
          value={data.against.name}
          options={data.others.map((s) => ({ value: s.name, label: `compared with ${s.name}` }))}
          onChange={setAgainst}
        />
      }
    >
      {!measured && (
        <p className="quiet">
          Nothing was measured side by side yet. Measure {setup} and {data.against.name} at one stay, with one
          SIM, within an hour of each other.
        </p>
      )}
      {measured && (
        <>
          {data.bands.map((b) => (
            <div className="gain-row" key={b.band}>
              <b>{b.band}</b>
              <div ref={ref}>
                <GainBar gain={b} domain={domain} width={width} label={b.band} />
              </div>
              <div className={b.fallsShort ? 'loss' : undefined}>
                <div>{figures(b)}</div>
                <div className="small">{b.sentence}</div>
              </div>
            </div>
          ))}
          <div className="gain-row axis-row">
            <span />
            <GainAxis domain={domain} width={width} />
          </div>
          {data.causes && <p className="notice">{data.causes}</p>}
        </>
      )}
      {!data.ownAntenna && (
        <p className="small">
          Compared with {data.against.name}, because the device’s own antenna inside was not measured as a
          setup.
        </p>
      )}
    </Part>
  );
}

function figures(b: Band) {
  const predicted =
    b.predictedDb === null
      ? 'predicted unknown'
      : `predicted about ${effect(b.predictedDb, 'dB')} ± ${fixed(b.halfWidthDb, 0)}`;
  const interval =
    b.lowDb === null || b.highDb === null ? '' : ` (${effect(b.lowDb, 'dB')} to ${effect(b.highDb, 'dB')})`;
  return b.estimateDb === null
    ? predicted
    : `${predicted}; measured ${effect(b.estimateDb, 'dB')}${interval}`;
}
