/** The seven views in the order of the work; `strip` is the name where there is little room. */
export const VIEWS = [
  { path: '/pitch', name: 'Pitch', strip: 'Pitch' },
  { path: '/rig', name: 'Rig', strip: 'Rig' },
  { path: '/fit-out', name: 'Fit-out', strip: 'Fit' },
  { path: '/trials', name: 'Trials', strip: 'Trials' },
  { path: '/logbook', name: 'Logbook', strip: 'Log' },
  { path: '/findings', name: 'Findings', strip: 'Findings' },
  { path: '/bench', name: 'Bench', strip: 'Bench' },
] as const;
