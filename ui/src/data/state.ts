import type { UseQueryResult } from '@tanstack/react-query';

/** What is known of an answer of the server; only one that is there has data. */
export type State<T> =
  { is: 'waiting' } | { is: 'failed'; error: Error; again: () => void } | { is: 'there'; data: T };

/** The state of a query; data that were there stay while they are asked for again. */
export function stateOf<T>(query: Pick<UseQueryResult<T>, 'data' | 'error' | 'refetch'>): State<T> {
  if (query.data !== undefined) {
    return { is: 'there', data: query.data };
  }
  return query.error
    ? { is: 'failed', error: query.error, again: () => void query.refetch() }
    : { is: 'waiting' };
}

/** Two states as one: there when both are, failed when one is. */
export function both<A, B>(a: State<A>, b: State<B>): State<[A, B]> {
  if (a.is === 'there' && b.is === 'there') {
    return { is: 'there', data: [a.data, b.data] };
  }
  if (a.is === 'failed') {
    return a;
  }
  return b.is === 'failed' ? b : { is: 'waiting' };
}
