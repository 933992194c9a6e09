const OUTLINES = [
  'M1 2L23 9L1 16Z',
  'M1 2H23L17 9L23 16H1Z',
  'M1 2H21V16H1Z',
  'M1 2H18L23 9L18 16H1Z',
  'M1 2L23 6V12L1 16Z',
  'M1 2H23L19 5.5L23 9L19 12.5L23 16H1Z',
  'M1 2H12L23 9L12 16H1Z',
];
const SPLITS = [
  'M0 9H24V18H0Z',
  'M0 0H11V18H0Z',
  'M0 0L24 18H0Z',
  'M5.5 9a4.2 4.2 0 1 0 8.4 0a4.2 4.2 0 1 0 -8.4 0Z',
  'M0 6.4H24V11.6H0Z',
];
const COLOURS = ['tide', 'kelp', 'ochre', 'rust', 'ink'];

const turn = (list: readonly string[], n: number) => list[n % list.length] ?? '';

/** Shape, split and colour of the pennant with a number; the first 35 differ in shape and split. */
export function pennant(number: number) {
  const n = Math.max(0, Math.trunc(number));
  return {
    outline: turn(OUTLINES, n),
    split: turn(SPLITS, n),
    colour: `var(--pennant-${turn(COLOURS, n + Math.floor(n / 35))})`,
    ground: 'var(--pennant)',
  };
}
