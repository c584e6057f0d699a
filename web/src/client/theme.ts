/** Layout paper, or the night shop. */
export type Theme = 'day' | 'night';

const KEY = 'splay/theme';

/** What was chosen on this device, else what the device asks for. */
export function theme(): Theme {
  const chosen = localStorage.getItem(KEY);
  if (chosen === 'day' || chosen === 'night') return chosen;
  return window.matchMedia('(prefers-color-scheme: dark)').matches ? 'night' : 'day';
}

export const showTheme = (shown: Theme): void => {
  document.documentElement.dataset.theme = shown;
};

export function setTheme(chosen: Theme): void {
  localStorage.setItem(KEY, chosen);
  showTheme(chosen);
}

/** The theme that is shown. */
export const shownTheme = (): string =>
  typeof document === 'undefined' ? 'day' : (document.documentElement.dataset.theme ?? 'day');

/** Hears of every change of the theme that is shown; gives what ends it. */
export function hearTheme(onChange: () => void): () => void {
  const look = new MutationObserver(onChange);
  look.observe(document.documentElement, { attributeFilter: ['data-theme'] });
  return () => look.disconnect();
}
