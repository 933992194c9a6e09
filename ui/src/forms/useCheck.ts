import { keepPreviousData, useQuery } from '@tanstack/react-query';
import { useEffect, useState } from 'react';
import { api, type Schemas, unwrap } from '../api/client';

/** The value once it has stood still for a moment. */
export function useSettled<T>(value: T, ms: number): T {
  const [settled, setSettled] = useState(value);
  useEffect(() => {
    const timer = setTimeout(() => setSettled(value), ms);
    return () => clearTimeout(timer);
  }, [value, ms]);
  return settled;
}

/** What the server says of a measurement as it is typed. */
export function useCheck(request: Schemas['MeasurementRequest']) {
  const text = useSettled(JSON.stringify(request), 180);
  return useQuery({
    queryKey: ['check', text],
    queryFn: () =>
      unwrap(
        api.POST('/api/measurements/check', { body: JSON.parse(text) as Schemas['MeasurementRequest'] }),
      ),
    placeholderData: keepPreviousData,
    staleTime: Infinity,
  }).data;
}
