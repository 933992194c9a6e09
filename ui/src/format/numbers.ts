/** A number with a number of decimals and the typographic minus; an en dash where it is missing. */
export function fixed(value: number | null | undefined, decimals: number): string {
  if (value === null || value === undefined) {
    return '–';
  }
  const text = value.toFixed(decimals);
  return Number(text) === 0 ? text.replace('-', '') : text.replace('-', '−');
}

/** A speed, latency or level with as many digits as one reads at a glance. */
export function short(value: number | null | undefined): string {
  if (value === null || value === undefined) {
    return '–';
  }
  const size = Math.abs(value);
  return fixed(value, size >= 100 ? 0 : size >= 10 ? 1 : 2)
    .replace(/(\.\d*?)0+$/, '$1')
    .replace(/\.$/, '');
}

/** An amount of data as a plan is spoken of, in GB without the unit. */
export const amount = (gb: number) => fixed(gb, gb < 10 ? 1 : 0);

/** A number as it stands, with the typographic minus. */
export function plain(value: number | null | undefined): string {
  return value === null || value === undefined ? '–' : String(value).replace('-', '−');
}

/** On what values of a metric are compared: as a factor, in dB, or in percentage points. */
export type Scale = 'ratio' | 'dB' | 'share';

/** A text with a capital at its front. */
export const capital = (text: string) => text.charAt(0).toUpperCase() + text.slice(1);

/** A ratio as a factor (×1.83), a difference in dB or points with its sign. */
export function effect(value: number | null | undefined, scale: Scale): string {
  if (value === null || value === undefined) {
    return '–';
  }
  if (scale === 'ratio') {
    return `×${fixed(value, value < 10 ? 2 : 0)}`;
  }
  const text = fixed(value, 1);
  return `${value > 0 && Number(value.toFixed(1)) !== 0 ? '+' : ''}${text} ${scale === 'dB' ? 'dB' : 'points'}`;
}

export function count(number: number, noun: string): string {
  return `${number} ${noun}${number === 1 ? '' : 's'}`;
}
