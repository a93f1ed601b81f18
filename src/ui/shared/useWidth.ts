import { useEffect, useState, type RefObject } from 'react';

/** The inner width of an element as it is now, px. @param first what it is taken for before it is known */
export function useWidth(of: RefObject<HTMLElement | null>, first: number): number {
  const [width, setWidth] = useState(first);
  useEffect(() => {
    const element = of.current;
    if (!element) return;
    const observer = new ResizeObserver(() => setWidth(element.clientWidth));
    observer.observe(element);
    return () => observer.disconnect();
  }, [of]);
  return width;
}
