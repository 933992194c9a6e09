import { useEffect, useEffectEvent } from 'react';

function typing(target: EventTarget | null) {
  return (
    target instanceof HTMLElement &&
    (target.isContentEditable || ['INPUT', 'TEXTAREA', 'SELECT'].includes(target.tagName))
  );
}

/** What a press on Enter is for already. */
const isPressed = (target: EventTarget | null) =>
  target instanceof HTMLElement && ['BUTTON', 'A', 'SUMMARY'].includes(target.tagName);

/** Under which it is kept whether single keys do anything; the key that opens the list of keys always does. */
export const KEYS_ON = 'keys';
const LIST_OF_KEYS = '?';

const isSwitchedOff = (key: string) =>
  key.length === 1 && key !== LIST_OF_KEYS && localStorage.getItem(`syntoma.${KEYS_ON}`) === 'false';

/**
 * Runs an action on a key, never while typing in a field or while a dialog is open.
 *
 * Keys are single characters in a row, or the one name of another key, such as Enter.
 */
export function useKey(keys: string, action: (key: string) => void) {
  const pressed = useEffectEvent((event: KeyboardEvent) => {
    const plain = !event.ctrlKey && !event.metaKey && !event.altKey;
    const key = event.key.length === 1 ? event.key.toLowerCase() : event.key;
    const meant = key.length === 1 ? keys.includes(key) : keys === key && !isPressed(event.target);
    if (plain && meant && !isSwitchedOff(key) && !typing(event.target) && !dialogOpen()) {
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

/** Runs an action on a text that is pasted, never into a field or a dialog. */
export function usePasted(action: (text: string) => void) {
  const pasted = useEffectEvent((event: ClipboardEvent) => {
    const text = event.clipboardData?.getData('text') ?? '';
    if (text.trim() !== '' && !typing(event.target) && !dialogOpen()) {
      event.preventDefault();
      action(text);
    }
  });
  useEffect(() => {
    const listen = (event: ClipboardEvent) => pasted(event);
    window.addEventListener('paste', listen);
    return () => window.removeEventListener('paste', listen);
  }, []);
}

const dialogOpen = () =>
  [...document.querySelectorAll<HTMLElement>('[role="dialog"]')].some(
    (d) => d.offsetParent !== null || d.clientHeight > 0,
  );
