/** The seven views in the order of the work; `strip` is the name where there is little room. */
export const VIEWS = [
  { path: '/tonight', name: 'Tonight', strip: 'Tonight' },
  { path: '/gear', name: 'Gear', strip: 'Gear' },
  { path: '/build', name: 'Build', strip: 'Build' },
  { path: '/trials', name: 'Trials', strip: 'Trials' },
  { path: '/logbook', name: 'Logbook', strip: 'Log' },
  { path: '/findings', name: 'Findings', strip: 'Findings' },
  { path: '/tools', name: 'Tools', strip: 'Tools' },
] as const;
