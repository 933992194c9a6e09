import { expect, it } from 'vitest';
import { csvLine } from './download';

it('quotes what needs it, leaves numbers as they are, and guards formulas', () => {
  expect(csvLine(['Ferry Slip Four', -97.5, null, 'a "b", c', '=1+1'])).toBe(
    `Ferry Slip Four,-97.5,,"a ""b"", c",'=1+1`,
  );
});
