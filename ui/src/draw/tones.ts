import type { Schemas } from '../data/client';
import type { Interval } from './IntervalLine';

/** What the colour of each verdict says. */
export const TONE: Record<Schemas['CompareResult']['verdict'], Interval['tone']> = {
  better: 'better',
  'slightly-better': 'better',
  worse: 'worse',
  'slightly-worse': 'worse',
  'less-reliable': 'worse',
  'no-difference': 'open',
  'cannot-tell': 'open',
  'too-few': 'open',
  capped: 'open',
};
