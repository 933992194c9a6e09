/** The keys that work everywhere, as the help lists them. */
export const KEYS = [
  ['1 to 7', 'the views'],
  ['A', 'arrived at a campsite'],
  ['R', 'log a reading'],
  ['V', 'paste from the router; or paste at once'],
  ['M', 'measure now'],
  ['T', 'plan a trial'],
  ['W', 'why is it slow?'],
  ['F', 'follow the advice'],
  ['K', 'log what is live'],
  ['/', 'find in everything'],
  ['?', 'all keys'],
  ['Esc', 'close'],
] as const;
