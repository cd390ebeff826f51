import { useEffect, useState } from 'react';

/** An element and how large it is, px, followed as it changes. */
export function useSize(): [
  HTMLElement | null,
  (node: HTMLElement | null) => void,
  { width: number; height: number },
] {
  const [node, setNode] = useState<HTMLElement | null>(null);
  const [size, setSize] = useState({ width: 0, height: 0 });
  useEffect(() => {
    if (!node) return;
    const watch = new ResizeObserver(() => setSize({ width: node.clientWidth, height: node.clientHeight }));
    watch.observe(node);
    return () => watch.disconnect();
  }, [node]);
  return [node, setNode, size];
}
