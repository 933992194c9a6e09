import type { Schemas } from '../data/client';
import { FieldFrame } from '../parts/Field';

/** Each figure that is read of a cell: what it is called, and its unit. */
const FIGURES = [
  { field: 'band', label: 'Band', unit: '' },
  { field: 'arfcn', label: 'Channel', unit: '' },
  { field: 'rsrpDbm', label: 'RSRP', unit: 'dBm' },
  { field: 'rsrqDb', label: 'RSRQ', unit: 'dB' },
  { field: 'sinrDb', label: 'SINR', unit: 'dB' },
] as const;

const PLACES = [
  { key: 'carrier', label: 'Carrier' },
  { key: 'mode', label: 'Mode' },
  ...FIGURES.map((f) => ({ key: `primary.${f.field}`, label: f.label as string })),
];

/** What the router's answer would be read as; a value that is the wrong one is chosen anew among all that it gave. */
export function RouterMapping(props: {
  probed: Schemas['Probed'];
  mapping: Record<string, string>;
  keep: (mapping: Record<string, string>) => void;
}) {
  const { probed, keep } = props;
  const used = Object.keys(props.mapping).length > 0 ? props.mapping : probed.proposed;
  const listed = 'cells' in used;
  return (
    <>
      <p role="status" className={probed.reached && probed.problem === null ? 'gain' : 'loss'}>
        {said(probed)}
      </p>
      {probed.reading?.cells.map((cell, i) => (
        <p className="small" key={`${cell.role}${String(i)}`}>
          {cell.role}: {cellSaid(cell)}
        </p>
      ))}
      {probed.values.length > 0 && !listed && (
        <details className="numbers">
          <summary>Which value is which</summary>
          {PLACES.map(({ key, label }) => (
            <FieldFrame key={key} id={`field-place-${key}`} label={label}>
              <select
                id={`field-place-${key}`}
                className="pick"
                value={used[key] ?? ''}
                onChange={(event) => {
                  const { [key]: _was, ...others } = used;
                  keep(event.target.value === '' ? others : { ...others, [key]: event.target.value });
                }}
              >
                <option value="">nowhere</option>
                {probed.values.map((value) => (
                  <option key={value.pointer} value={value.pointer}>
                    {value.pointer.slice(1)}: {value.text}
                  </option>
                ))}
              </select>
            </FieldFrame>
          ))}
        </details>
      )}
    </>
  );
}

const cellSaid = (cell: Schemas['CellView']) =>
  FIGURES.flatMap(({ field, label, unit }) =>
    cell[field] === null ? [] : [`${label} ${String(cell[field]).replace(/^-/, '−')} ${unit}`.trim()],
  ).join(', ');

function said(probed: Schemas['Probed']) {
  if (!probed.reached) {
    return `Not reached: ${probed.problem ?? ''}.`;
  }
  return probed.problem === null
    ? `Reached: ${[probed.reading?.carrier, probed.reading?.mode].filter(Boolean).join(', ')}.`
    : `Reached, but ${probed.problem}.`;
}
