import { useLayoutEffect, useRef, useState } from 'react';

/** The room inside an element's padding, in pixels. */
function room(element: HTMLElement) {
  const style = getComputedStyle(element);
  return element.clientWidth - (parseFloat(style.paddingLeft) || 0) - (parseFloat(style.paddingRight) || 0);
}

/**
 * The width of an element in pixels, kept current, and known before the first picture is painted:
 * a drawing never stands in a width that is not its own.
 */
export function useWidth<T extends HTMLElement>(initial: number) {
  const ref = useRef<T>(null);
  const [width, setWidth] = useState(initial);
  useLayoutEffect(() => {
    const element = ref.current;
    if (!element) {
      return undefined;
    }
    const now = Math.floor(room(element));
    if (now > 0) {
      setWidth(now);
    }
    const observer = new ResizeObserver(([entry]) => {
      if (entry && entry.contentRect.width > 0) {
        setWidth(Math.floor(entry.contentRect.width));
      }
    });
    observer.observe(element);
    return () => observer.disconnect();
  }, []);
  return [ref, width] as const;
}
