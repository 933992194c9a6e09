import { expect, it } from 'vitest';
import { csvLine } from './download';

it('quotes what needs it, leaves numbers as they are, and guards formulas', () => {
  expect(csvLine(['Ferry Slip Four', -97.5, null, 'a "b", c', '=1+1'])).toBe(
    `Ferry Slip Four,-97.5,,"a ""b"", c",'=1+1`,
  );
});

it('guards a formula wherever a spreadsheet may begin a cell', () => {
  expect(csvLine([` =1`, `a;=cmd|' /C calc'!A0`, 'a - b'])).toBe(`' =1,a;'=cmd|' /C calc'!A0,a - b`);
});
