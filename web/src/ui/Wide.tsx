import { type ReactNode, useEffect, useRef, useState } from "react";

/**
 * What may be wider than a small screen: it moves sideways by itself, and the page does not. What is only said in it, which
 * lies outside the flow, goes along.
 */
export function Wide({ label, children }: { label: string; children: ReactNode }) {
  const box = useRef<HTMLDivElement>(null);
  const [over, setOver] = useState(false);
  useEffect(() => {
    const element = box.current;
    if (!element || typeof ResizeObserver === "undefined") return;
    const watch = new ResizeObserver(() => setOver(element.scrollWidth > element.clientWidth));
    watch.observe(element);
    if (element.firstElementChild) watch.observe(element.firstElementChild);
    return () => watch.disconnect();
  }, []);
  // Only what moves is a stop on the way through the page.
  const moves = over ? { tabIndex: 0, role: "region", "aria-label": label } : {};
  return (
    <div ref={box} {...moves} className="relative max-w-full overflow-x-auto">
      {children}
    </div>
  );
}
