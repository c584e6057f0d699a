import { type RefObject, useLayoutEffect, useState } from 'react';

/** The size of an element in whole pixels; nothing before it was laid out. */
export function useSize(ref: RefObject<HTMLElement | null>): { readonly width: number; readonly height: number } {
  const [size, setSize] = useState({ width: 0, height: 0 });
  // Before the page is painted: what is drawn to size stands with everything else.
  useLayoutEffect(() => {
    const element = ref.current;
    if (!element) return;
    const take = () => {
      const { clientWidth: width, clientHeight: height } = element;
      setSize((known) => (known.width === width && known.height === height ? known : { width, height }));
    };
    take();
    const observer = new ResizeObserver(take);
    observer.observe(element);
    return () => observer.disconnect();
  }, [ref]);
  return size;
}
