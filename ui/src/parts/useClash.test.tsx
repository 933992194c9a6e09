import { renderToStaticMarkup } from 'react-dom/server';
import { expect, test } from 'vitest';
import { Clash, refusal } from '../data/client';
import { Changes } from './useClash';

test('a refusal with a version is a clash and carries what changed', () => {
  const changes = [{ field: 'price', was: '330', now: '350' }];
  const clash = refusal({ detail: 'changed meanwhile', version: 3, changes }, 409);
  expect(clash).toBeInstanceOf(Clash);
  expect((clash as Clash).version).toBe(3);
  expect((clash as Clash).changes).toEqual(changes);
  expect(refusal({ detail: 'no' }, 409)).not.toBeInstanceOf(Clash);
});

test('what changed is shown field by field', () => {
  const shown = renderToStaticMarkup(<Changes changes={[{ field: 'sheet.gainDb', was: null, now: '8' }]} />);
  expect(shown).toContain('<td>sheet.gainDb</td><td>nothing</td><td>8</td>');
  expect(renderToStaticMarkup(<Changes changes={[]} />)).toContain('as it was');
});
