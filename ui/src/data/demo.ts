import { useQuery } from '@tanstack/react-query';
import { api, unwrap } from './client';
import { keys } from './keys';
import { useLogChange } from './log';

/** Whether the demo is shown, and whether it can be: in a log with nothing in it. */
export const useDemo = () =>
  useQuery({ queryKey: keys.demo, queryFn: () => unwrap(api.GET('/api/demo')) }).data;

export const useShowDemo = () => useLogChange(() => unwrap(api.POST('/api/demo')));

export const usePutDemoAway = () => useLogChange(() => unwrap(api.DELETE('/api/demo')));
