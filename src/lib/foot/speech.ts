/** Warnings said aloud, on request, by a voice that is on the device: nothing is sent to a service. */

const kept = 'joram.speaks';

/** A voice of the device itself; undefined where it has none. */
function ownVoice(): SpeechSynthesisVoice | undefined {
  const voices = globalThis.speechSynthesis?.getVoices().filter((v) => v.localService) ?? [];
  return voices.find((v) => v.lang.startsWith('en')) ?? voices[0];
}

export const canSpeak = (): boolean => ownVoice() !== undefined;

export const speaks = (): boolean => {
  try {
    return localStorage.getItem(kept) === 'yes';
  } catch {
    return false;
  }
};
export const speakThem = (yes: boolean): void => {
  try {
    localStorage.setItem(kept, yes ? 'yes' : 'no');
  } catch {
    // Where nothing is kept, nothing is spoken unasked.
  }
};

/** Units as they are said, and fractions as they are read out. */
const said: readonly [RegExp, string][] = [
  [/\u2009/g, ' '],
  [/\bpsi\b/g, 'pounds'],
  [/¼/g, 'a quarter'],
  [/½/g, 'a half'],
  [/¾/g, 'three quarters'],
  [/⅓|1⁄3/g, 'a third'],
  [/⅔|2⁄3/g, 'two thirds'],
  [/⅛|1⁄8/g, 'an eighth'],
  [/⅜|3⁄8/g, 'three eighths'],
  [/⅝|5⁄8/g, 'five eighths'],
  [/⅞|7⁄8/g, 'seven eighths'],
  [/→/g, 'to']
];
export const spoken = (words: string): string => said.reduce((text, [from, to]) => text.replace(from, to), words);

export function aloud(words: string): void {
  const voice = ownVoice();
  if (!voice) return;
  const utterance = new SpeechSynthesisUtterance(spoken(words));
  utterance.voice = voice;
  utterance.lang = voice.lang;
  speechSynthesis.cancel();
  speechSynthesis.speak(utterance);
}
