import { fixed } from '../format/numbers';
import { useVehicle } from './rig';

/** Amounts of money, with the currency that is under Gear; alone where none does. */
export function useMoney() {
  const currency = useVehicle().data?.currency ?? null;
  const behind = currency ? `\u00a0${currency}` : '';
  return {
    currency,
    /** An amount to so many decimals; an en dash where it is missing. */
    money: (value: number | null, decimals: number) =>
      value === null ? '–' : `${fixed(value, decimals)}${behind}`,
    /** An amount that is in words already. */
    priced: (words: string) => `${words}${behind}`,
  };
}
