/** A typed number, with a decimal comma or point; null where nothing is typed, NaN where it is none. */
export const typedNumber = (text: string) => (text.trim() === '' ? null : Number(text.replace(',', '.')));

/** Whether any of some texts is no number. */
export const anyWrong = (texts: Record<string, string>) =>
  Object.values(texts).some((text) => Number.isNaN(typedNumber(text)));
