/** Sound and vibration. "Act now" goes on until it is acted on; other warnings are heard once. */

let audio: AudioContext | undefined;

function beep(hertz: number, seconds: number, after = 0) {
  // A browser lets no page sound that nobody has touched, and making ready for it would hold the first touch up.
  if (navigator.userActivation?.hasBeenActive === false) return;
  try {
    audio ??= new AudioContext();
    const [tone, level] = [audio.createOscillator(), audio.createGain()];
    tone.frequency.value = hertz;
    level.gain.value = 0.25;
    tone.connect(level).connect(audio.destination);
    tone.start(audio.currentTime + after);
    tone.stop(audio.currentTime + after + seconds);
  } catch {
    // A browser without sound still shows the warning.
  }
}

export const once = () => beep(660, 0.25);
export function actNow(): () => void {
  const ring = () => {
    beep(880, 0.3);
    beep(660, 0.3, 0.35);
    navigator.vibrate?.([400, 150, 400]);
  };
  ring();
  const timer = setInterval(ring, 2500);
  return () => clearInterval(timer);
}

/** Keeps the screen awake while the page is visible. Gives back what lets it sleep again. */
export function stayAwake(): () => void {
  let lock: WakeLockSentinel | undefined;
  let ended = false;
  const take = async () => {
    if (document.visibilityState !== 'visible' || ended) return;
    lock = await navigator.wakeLock?.request('screen').catch(() => undefined);
  };
  void take();
  document.addEventListener('visibilitychange', take);
  return () => {
    ended = true;
    document.removeEventListener('visibilitychange', take);
    void lock?.release();
  };
}
