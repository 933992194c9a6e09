import { fixed } from '../format/numbers';

/** A level, always to a tenth, so that it does not jump about as it changes. */
export const levelOf = (value: number) => fixed(value, 1);
