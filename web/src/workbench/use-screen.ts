import { useSyncExternalStore } from 'react';

/** How the bench is laid out: on a desk, on a tablet with the board over the panel, or held in a hand at the frame. */
export type Screen = 'desk' | 'tablet' | 'hand';

/** Narrower than this, or as low as a phone held sideways, a screen is held at the frame. */
const HAND = '(max-width: 767px), (max-height: 479px)';
/** Upright, or narrower than this, the board stands over the panel; a tablet in landscape is a desk. */
const TABLET = '(max-width: 899px), (max-width: 1099px) and (orientation: portrait)';

let queries: { readonly hand: MediaQueryList; readonly tablet: MediaQueryList } | undefined;
const media = () => (queries ??= { hand: window.matchMedia(HAND), tablet: window.matchMedia(TABLET) });

const subscribe = (changed: () => void) => {
  const { hand, tablet } = media();
  for (const query of [hand, tablet]) query.addEventListener('change', changed);
  return () => {
    for (const query of [hand, tablet]) query.removeEventListener('change', changed);
  };
};

export const useScreen = (): Screen =>
  useSyncExternalStore(subscribe, () => (media().hand.matches ? 'hand' : media().tablet.matches ? 'tablet' : 'desk'));
