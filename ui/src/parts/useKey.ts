import { useEffect, useEffectEvent } from 'react';

function typing(target: EventTarget | null) {
  return (
    target instanceof HTMLElement &&
    (target.isContentEditable || ['INPUT', 'TEXTAREA', 'SELECT'].includes(target.tagName))
  );
}

/** Runs an action on a key, never while typing in a field or while a dialog is open. */
export function useKey(keys: string, action: (key: string) => void) {
  const pressed = useEffectEvent((event: KeyboardEvent) => {
    const plain = !event.ctrlKey && !event.metaKey && !event.altKey;
    const key = event.key.length === 1 ? event.key.toLowerCase() : event.key;
    if (plain && key.length === 1 && keys.includes(key) && !typing(event.target) && !dialogOpen()) {
      event.preventDefault();
      action(key);
    }
  });
  useEffect(() => {
    const listen = (event: KeyboardEvent) => pressed(event);
    window.addEventListener('keydown', listen);
    return () => window.removeEventListener('keydown', listen);
  }, []);
}

const dialogOpen = () =>
  [...document.querySelectorAll<HTMLElement>('[role="dialog"]')].some(
    (d) => d.offsetParent !== null || d.clientHeight > 0,
  );
