import { useEffect, useRef, useState } from 'react';
import type { Schemas } from '../data/client';
import { beep, pitchHz } from './tone';

type Level = Schemas['Level'];

/**
 * A tone once a second whose pitch follows the level, so that nobody has to look. Silent where there is no level.
 *
 * @param told changes with each reading
 */
export function useTone(level: Level | undefined, told: unknown) {
  const audio = useRef<AudioContext | null>(null);
  const [on, setOn] = useState(false);
  useEffect(() => {
    if (on && level && audio.current) {
      const { value, from, to } = level.ladder;
      beep(audio.current, pitchHz(value, from, to), value >= level.strongest);
    }
    // once per reading, whatever else is drawn
    // eslint-disable-next-line react-hooks/exhaustive-deps -- the level belongs to what was told
  }, [told, on]);
  useEffect(() => () => void audio.current?.close(), []);
  return {
    on,
    toggle: () => {
      // a browser lets a page sound only from a press of a button on
      audio.current ??= new AudioContext();
      void audio.current.resume();
      setOn(!on);
    },
  };
}
