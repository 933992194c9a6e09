import { useRef } from 'react';
import type { Schemas } from '../data/client';

/** What is above the first line that says something stays in sight so far. */
const ABOVE_PX = 40;

/** The pasted text line by line: solid marks what is logged, hatched what is asked. */
export function PastedText({ lines }: { lines: Schemas['PastedLine'][] }) {
  const scrolled = useRef(false);
  /** The first line that says something comes into view, once. */
  const first = lines.find((l) => l.taken || l.doubtful)?.number;
  return (
    <div className="pasted-text" tabIndex={0} role="group" aria-label="What was pasted">
      <ol>
        {lines.map((line) => (
          <li
            key={line.number}
            value={line.number}
            className={line.doubtful ? 'doubtful' : line.taken ? 'taken' : undefined}
            ref={(element) => {
              if (element && line.number === first && !scrolled.current) {
                scrolled.current = true;
                const box = element.closest('.pasted-text');
                if (box) {
                  box.scrollTop = element.offsetTop - ABOVE_PX;
                }
              }
            }}
          >
            <span className="n num">{line.number}</span>
            <span>{line.text}</span>
          </li>
        ))}
      </ol>
      <p className="small">Solid edge: logged from this line. Hatched edge: asked, or left out.</p>
    </div>
  );
}
