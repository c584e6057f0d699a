/** How a phone or tablet at the frame behaves, kept on the device. */
export interface TouchSettings {
  /** Larger keys and letters, for gloves. */
  readonly glove: boolean;
  /** A verdict is felt and heard besides seen. */
  readonly signal: boolean;
}

const KEY = 'splay/hand';
const USUAL: TouchSettings = { glove: false, signal: false };

/** What was chosen on this device. */
export function touchSettings(): TouchSettings {
  try {
    const kept = JSON.parse(localStorage.getItem(KEY) ?? '{}') as Partial<TouchSettings>;
    return { glove: kept.glove === true, signal: kept.signal === true };
  } catch {
    return USUAL;
  }
}

/** Sets the page in the size that was chosen. */
export function showTouchSettings({ glove }: TouchSettings = touchSettings()): void {
  if (glove) document.documentElement.dataset.glove = '';
  else delete document.documentElement.dataset.glove;
}

export function setTouchSettings(settings: TouchSettings): void {
  localStorage.setItem(KEY, JSON.stringify(settings));
  showTouchSettings(settings);
}

/** How a good and a bad verdict feel, ms on and off, and sound, Hz and ms. */
const SIGNALS = {
  good: { felt: [60], tones: [[880, 120]] },
  bad: {
    felt: [120, 80, 240],
    tones: [
      [330, 160],
      [262, 320],
    ],
  },
} as const;

/** Lets a verdict be felt and heard, where the device was set so and can. */
export function signalVerdict(verdict: keyof typeof SIGNALS): void {
  if (!touchSettings().signal) return;
  const { felt, tones } = SIGNALS[verdict];
  if ('vibrate' in navigator) navigator.vibrate([...felt]);
  if (typeof AudioContext === 'undefined') return;
  const sound = new AudioContext();
  let at = sound.currentTime;
  for (const [pitch, length] of tones) {
    const tone = sound.createOscillator();
    tone.frequency.value = pitch;
    tone.connect(sound.destination);
    tone.start(at);
    at += length / 1000;
    tone.stop(at);
    tone.onended = () => {
      if (at <= sound.currentTime + 0.05) void sound.close();
    };
  }
}
