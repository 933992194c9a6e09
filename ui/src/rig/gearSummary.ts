import type { Schemas } from '../data/client';
import { length, type System } from '../format/units';

type Item = Schemas['GearItem'];

/** What one looks for on a shelf, in a line. */
export function summary(g: Pick<Item, 'kind' | 'sheet' | 'setups'>, system: System): string {
  const s = g.sheet;
  const rows = (key: string) => (Array.isArray(s[key]) ? (s[key] as Record<string, unknown>[]) : []);
  const text = (key: string) =>
    typeof s[key] === 'string' || typeof s[key] === 'number' ? String(s[key]) : '';
  const parts: string[] = [];
  if (g.kind === 'device') {
    parts.push(text('type'), Array.isArray(s.bands) ? s.bands.join(' ') : 'bands unknown');
    const cellular = rows('ports').filter((p) => p.use === 'cellular');
    parts.push(
      s.takesAntennas === false
        ? 'no antenna port'
        : cellular[0]
          ? `${cellular.length} × ${String(cellular[0].connector)}`
          : 'ports unknown',
    );
  } else if (g.kind === 'antenna') {
    parts.push(text('pattern'));
    parts.push(
      rows('ranges')
        .map((r) => `${String(r.fromMhz)}–${String(r.toMhz)} MHz`)
        .join(', ') || 'ranges unknown',
    );
    parts.push(
      rows('leads')
        .map((l) => String(l.connector))
        .filter((c, i, all) => all.indexOf(c) === i)
        .map((c) => `${rows('leads').filter((l) => l.connector === c).length} × ${c}`)
        .join(', '),
    );
  } else if (g.kind === 'cable') {
    const metres = Number(text('lengthM'));
    parts.push(
      text('lengthM') && length(metres, system),
      text('cableClass'),
      `${text('first')} to ${text('second')}`,
    );
  } else if (g.kind === 'adapter') {
    parts.push(`${text('first')} to ${text('second')}`, text('form'));
  } else if (g.kind === 'booster') {
    parts.push(
      `uplink ${
        rows('uplink')
          .map((r) => `${String(r.fromMhz)}–${String(r.toMhz)}`)
          .join(', ') || 'unknown'
      } MHz`,
      s.gainDb ? `${text('gainDb')} dB` : '',
    );
  } else if (g.kind === 'SIM') {
    parts.push(text('carrier'), text('size'), s.allowanceGb ? `${text('allowanceGb')} GB` : '');
  }
  if (g.setups.length > 0) {
    parts.push(`in ${g.setups.join(', ')}`);
  }
  return parts.filter(Boolean).join(' · ');
}
