import type { KeyboardEvent } from 'react';

/** Enter, or a phone's “Go”, moves to the next field of a form; after the last one to the button that sends it. */
export function enterMovesOn(event: KeyboardEvent<HTMLFormElement>) {
  const { target } = event;
  if (event.key !== 'Enter' || !(target instanceof HTMLInputElement) || target.type === 'checkbox') {
    return;
  }
  event.preventDefault();
  const fields = [
    ...event.currentTarget.querySelectorAll<HTMLElement>(
      'input:not([type=checkbox]):not([disabled]), button[type=submit]:not([disabled])',
    ),
  ];
  fields[fields.indexOf(target) + 1]?.focus();
}
