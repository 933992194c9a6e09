const NUMBER = /^[+-]?(\d+\.?\d*|\.\d+)$/;

/** A number as it is typed, with a decimal comma or point and any minus; NaN where it is none. */
export function typedNumber(text: string): number {
  const plain = text.trim().replace(',', '.').replace(/^[−–]/, '-');
  return NUMBER.test(plain) ? Number(plain) : Number.NaN;
}

/** The same; null where nothing is typed. */
export const typedOrNone = (text: string) => (text.trim() === '' ? null : typedNumber(text));

/** Whether any of some texts is typed and no number. */
export const anyWrong = (texts: Record<string, string>) =>
  Object.values(texts).some((text) => Number.isNaN(typedOrNone(text)));
