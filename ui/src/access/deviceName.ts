import { useStored } from '../data/useStored';

/** What a device calls itself until somebody says better. */
function usual() {
  if (Math.min(window.screen.width, window.screen.height) < 600) {
    return 'Phone';
  }
  return window.matchMedia('(pointer: coarse)').matches ? 'Tablet' : 'Laptop';
}

/** What this device is called in the list of devices. */
export function useDeviceName() {
  const [name, setName] = useStored('device', '');
  return [name || usual(), setName] as const;
}
