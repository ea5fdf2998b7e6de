"use client";
import { useEffect, useState, type RefObject } from "react";

/** Width of an element in pixels, followed as it changes; `first` until it is known. */
export function useElementWidth(ref: RefObject<HTMLElement | null>, first: number): number {
  const [width, setWidth] = useState(first);
  useEffect(() => {
    const element = ref.current;
    if (!element) return;
    const observer = new ResizeObserver(([entry]) => entry && setWidth(Math.floor(entry.contentRect.width)));
    observer.observe(element);
    return () => observer.disconnect();
  }, [ref]);
  return width;
}
