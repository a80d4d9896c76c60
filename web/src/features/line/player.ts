import type { Family } from "../../api/types";
import { partials, partialsOf } from "../../ui/tone";
import { placeAt, type Plan } from "./playback";

export interface Playing {
  stop: () => void;
}

const hertz = (midi: number) => 440 * 2 ** ((midi - 69) / 12);

/** Sounds a plan with the plain tone of a family and clicks; tells which measure of the played order sounds, and when it has ended. */
export function play(
  plan: Plan,
  from: number,
  at: (place: number) => void,
  ended: () => void,
  family?: Family,
): Playing {
  const strengths = family ? partialsOf[family] : partials;
  const audio = new AudioContext();
  const waves = audio.createPeriodicWave(
    new Float32Array(strengths.length + 1),
    Float32Array.from([0, ...strengths]),
  );
  const begin = audio.currentTime + 0.12;
  for (const event of plan.events) {
    const source = audio.createOscillator();
    const loudness = audio.createGain();
    const start = begin + event.at;
    if (event.midi === undefined) {
      source.frequency.value = event.click === "strong" ? 1660 : 1180;
      loudness.gain.setValueAtTime(0.14, start);
      loudness.gain.exponentialRampToValueAtTime(0.001, start + 0.05);
    } else {
      source.setPeriodicWave(waves);
      source.frequency.value = hertz(event.midi);
      loudness.gain.setValueAtTime(0, start);
      const level = event.beside ? 0.09 : 0.2;
      loudness.gain.linearRampToValueAtTime(level, start + 0.02);
      loudness.gain.setValueAtTime(level, Math.max(start + 0.02, start + event.lasts - 0.06));
      loudness.gain.linearRampToValueAtTime(0, start + event.lasts - 0.01);
    }
    source.connect(loudness).connect(audio.destination);
    source.start(start);
    source.stop(start + event.lasts);
  }
  let frame = 0;
  let last = -2;
  let over = false;
  const finish = () => {
    if (over) return;
    over = true;
    cancelAnimationFrame(frame);
    void audio.close();
    ended();
  };
  const look = () => {
    const now = audio.currentTime - begin;
    const place = placeAt(plan, from, now);
    if (place !== last) at((last = place));
    if (now >= plan.ends) return finish();
    frame = requestAnimationFrame(look);
  };
  frame = requestAnimationFrame(look);
  return { stop: finish };
}
