/** What gives sound: the microphone, or what stands in for one, by the clock of whoever listens. */
export type SoundDoor = (listens: AudioContext) => Promise<MediaStream>;

/** Why there is no sound. */
export type NoSound = 'refused' | 'no-microphone' | 'not-here';

/** The microphone as it is: nothing of the sound is taken for an echo or for noise. */
export const microphone: SoundDoor = () =>
  navigator.mediaDevices.getUserMedia({
    audio: { echoCancellation: false, noiseSuppression: false, autoGainControl: false },
  });

/** Whether a browser gives this page a microphone at all: from this computer, or over HTTPS. */
export const mayListen = (): boolean =>
  typeof AudioWorkletNode !== 'undefined' && 'mediaDevices' in navigator;

/** Why a door stayed shut. */
export function noSoundBy(error: unknown): NoSound {
  const name = error instanceof DOMException ? error.name : '';
  return name === 'NotAllowedError' || name === 'SecurityError' ? 'refused' : 'no-microphone';
}
