let playing: { stop: () => void } | undefined;

/** Strength of the partials of a plain, warm tone, from the fundamental up. */
export const partials = [1, 0.45, 0.28, 0.16, 0.1, 0.06, 0.03];

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
