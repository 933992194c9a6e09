import type { Schemas } from '../data/client';
import { FieldFrame } from '../parts/Field';

type Probed = Schemas['ProbeResult'];

/** What the router's answer would be read as; a value that is the wrong one is chosen again among all that it gave. */
export function RouterMapping(props: {
  probed: Probed;
  mapping: Record<string, string>;
  keep: (mapping: Record<string, string>) => void;
}) {
  const { probed, keep } = props;
  const used = Object.keys(props.mapping).length > 0 ? props.mapping : probed.proposed;
  const choose = (key: string, pointer: string) => {
    const { [key]: _was, ...others } = used;
    keep(pointer === '' ? others : { ...others, [key]: pointer });
  };
  return (
    <>
      <p role="status" className={probed.reached && probed.problem === null ? 'gain' : 'loss'}>
        {said(probed)}
      </p>
      {probed.said.map((cell, i) => (
        <p className="small" key={`${cell}${String(i)}`}>
          {cell}
        </p>
      ))}
      {probed.values.length > 0 && (
        <details className="numbers">
          <summary>Which value is which</summary>
          {probed.figures.map(({ key, label, among }) => (
            <FieldFrame key={key} id={`field-place-${key}`} label={label}>
              <select
                id={`field-place-${key}`}
                className="pick"
                value={used[key] ?? ''}
                onChange={(event) => choose(key, event.target.value)}
              >
                <option value="">nowhere</option>
                {placesOf(probed, among).map((place) => (
                  <option key={place.pointer} value={place.pointer}>
                    {place.pointer.slice(1) || 'the whole answer'}: {place.text}
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

function placesOf(probed: Probed, among: string) {
  switch (among) {
    case 'elements':
      return probed.elements;
    case 'lists':
      return probed.lists;
    default:
      return probed.values;
  }
}

function said(probed: Probed) {
  if (!probed.reached) {
    return `Not reached: ${probed.problem ?? ''}.`;
  }
  const mode = probed.reading?.mode;
  return probed.problem === null
    ? `Reached: ${mode === 'none' ? 'no service now' : [probed.reading?.carrier, mode].filter(Boolean).join(', ')}.`
    : `Reached, but ${probed.problem}.`;
}
