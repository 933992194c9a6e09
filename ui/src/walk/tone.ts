/** The tones of the weakest and the strongest level, in Hz: three octaves that a small loudspeaker still gives. */
const LOW_HZ = 220;
const HIGH_HZ = 1_760;

/** The tone of a level on its scale: equal steps of level are equal steps of pitch. */
export function pitchHz(value: number, from: number, to: number): number {
  const share = Math.min(1, Math.max(0, (value - from) / (to - from)));
  return LOW_HZ * (HIGH_HZ / LOW_HZ) ** share;
}

const BEEP_S = 0.22;
/** A new strongest level is told by a second, higher tone: a fifth above. */
const FIFTH = 1.5;
const LOUD = 0.25;

/** Sounds one tone, and another where it is the best so far. */
export function beep(audio: AudioContext, hz: number, best: boolean) {
  const tones = best ? [hz, hz * FIFTH] : [hz];
  tones.forEach((tone, i) => {
    const at = audio.currentTime + i * BEEP_S;
    const oscillator = audio.createOscillator();
    const gain = audio.createGain();
    oscillator.frequency.value = tone;
    // eased in and out, so that it does not click
    gain.gain.setValueAtTime(0, at);
    gain.gain.linearRampToValueAtTime(LOUD, at + 0.02);
    gain.gain.setValueAtTime(LOUD, at + BEEP_S - 0.05);
    gain.gain.linearRampToValueAtTime(0, at + BEEP_S);
    oscillator.connect(gain).connect(audio.destination);
    oscillator.start(at);
    oscillator.stop(at + BEEP_S);
  });
}
