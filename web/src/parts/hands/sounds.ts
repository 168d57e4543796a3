/** What the Map tells by ear; each sounds unlike a meter's beep: two soft notes, or a falling or rising pair. */
export type Cue = 'joined' | 'none' | 'look-again' | 'contradiction' | 'done' | 'about-to-count-silence';

/** Notes of a cue: hertz and seconds, one after another. */
const NOTES: Record<Cue, readonly (readonly [hertz: number, seconds: number])[]> = {
  joined: [
    [392, 0.07],
    [523, 0.09],
  ],
  none: [[220, 0.08]],
  'look-again': [
    [330, 0.08],
    [330, 0.08],
  ],
  contradiction: [
    [311, 0.12],
    [233, 0.2],
  ],
  'about-to-count-silence': [
    [262, 0.15],
    [294, 0.15],
    [330, 0.15],
    [370, 0.15],
  ],
  done: [
    [392, 0.09],
    [494, 0.09],
    [587, 0.16],
  ],
};

let audio: AudioContext | null = null;

/** Plays a cue softly; does nothing where the browser has no sound or will not give it yet. */
export function play(cue: Cue): void {
  if (typeof AudioContext === 'undefined') return;
  audio ??= new AudioContext();
  void audio.resume().catch(() => undefined);
  let at = audio.currentTime + 0.01;
  for (const [hertz, seconds] of NOTES[cue]) {
    const [tone, level] = [audio.createOscillator(), audio.createGain()];
    tone.type = 'triangle';
    tone.frequency.value = hertz;
    level.gain.setValueAtTime(0, at);
    level.gain.linearRampToValueAtTime(0.16, at + 0.015);
    level.gain.exponentialRampToValueAtTime(0.001, at + seconds);
    tone.connect(level).connect(audio.destination);
    tone.start(at);
    tone.stop(at + seconds);
    at += seconds;
  }
}

/** Says a sentence, in place of what is still being said; does nothing where the browser cannot speak. */
export function say(sentence: string): void {
  if (typeof speechSynthesis === 'undefined') return;
  speechSynthesis.cancel();
  speechSynthesis.speak(new SpeechSynthesisUtterance(sentence));
}

/** Whether this browser can speak at all. */
export const canSpeak = (): boolean => typeof speechSynthesis !== 'undefined';
