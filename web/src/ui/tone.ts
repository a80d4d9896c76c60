import type { Family } from "../api/types";

let playing: { stop: () => void } | undefined;

/** Strength of the partials of a plain, warm tone, from the fundamental up. */
export const partials = [1, 0.45, 0.28, 0.16, 0.1, 0.06, 0.03];

/** The same for each family, so that a class tells them apart: reedy, bright, bell-like, and rich. */
export const partialsOf: Record<Family, readonly number[]> = {
  WOODWIND: [1, 0.12, 0.42, 0.08, 0.2, 0.04, 0.08],
  BRASS: [1, 0.7, 0.55, 0.4, 0.28, 0.18, 0.1],
  PERCUSSION: [1, 0, 0, 0.35, 0, 0, 0.12],
  STRING: [1, 0.5, 0.35, 0.3, 0.22, 0.18, 0.12],
};

/** Silences the tone that plays, if one does. */
export function stopTone() {
  playing?.stop();
  playing = undefined;
}

/** Plays one steady tone and calls back when it has ended or was stopped. A second tone takes the place of the first. */
export function playTone(hertz: number, seconds: number, ended: () => void) {
  stopTone();
  const audio = new AudioContext();
  const waves = audio.createPeriodicWave(
    new Float32Array(partials.length + 1),
    Float32Array.from([0, ...partials]),
  );
  const source = audio.createOscillator();
  source.setPeriodicWave(waves);
  source.frequency.value = hertz;
  const loudness = audio.createGain();
  const now = audio.currentTime;
  loudness.gain.setValueAtTime(0, now);
  loudness.gain.linearRampToValueAtTime(0.22, now + 0.05);
  loudness.gain.setValueAtTime(0.22, now + seconds - 0.15);
  loudness.gain.linearRampToValueAtTime(0, now + seconds);
  source.connect(loudness).connect(audio.destination);
  source.start(now);
  source.stop(now + seconds);
  source.onended = () => {
    void audio.close();
    ended();
  };
  playing = { stop: () => source.stop() };
}
