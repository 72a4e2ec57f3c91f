import { type ReactNode, useEffect, useEffectEvent, useRef, useState } from "react";
import { Button } from "./Button";
import { Sheet } from "./Sheet";

/** So long what was confirmed can still be taken back, s. */
const SECONDS = 10;

/**
 * Something that is gone for good: asked for first, then waited with for ten seconds. Whoever leaves the page meanwhile
 * has not taken it back.
 */
export function Removal({
  label,
  asks,
  onRemove,
  children,
}: {
  label: string;
  /** What goes, in a sentence. */
  asks: string;
  onRemove: () => void;
  /** What opens the question; the label as a link if left out. */
  children?: (open: () => void) => ReactNode;
}) {
  const [asking, setAsking] = useState(false);
  const [left, setLeft] = useState<number>();
  const waiting = useRef(false);
  const remove = useEffectEvent(() => {
    if (!waiting.current) return;
    waiting.current = false;
    setLeft(undefined);
    onRemove();
  });
  useEffect(() => {
    const leave = () => remove();
    window.addEventListener("pagehide", leave);
    return () => {
      window.removeEventListener("pagehide", leave);
      leave();
    };
  }, []);
  const counting = left !== undefined;
  useEffect(() => {
    if (!counting) return;
    const end = Date.now() + SECONDS * 1000;
    const timer = setInterval(() => {
      const now = Math.ceil((end - Date.now()) / 1000);
      if (now > 0) setLeft(now);
      else remove();
    }, 250);
    return () => clearInterval(timer);
  }, [counting]);
  if (left !== undefined)
    return (
      <span role="status" className="inline-flex flex-wrap items-center gap-2">
        Gone in {left} s.
        <Button
          onClick={() => {
            waiting.current = false;
            setLeft(undefined);
          }}
        >
          Undo
        </Button>
      </span>
    );
  const open = () => setAsking(true);
  return (
    <>
      {children ? (
        children(open)
      ) : (
        <button type="button" className="min-h-11 underline" onClick={open}>
          {label}
        </button>
      )}
      <Sheet title={label} open={asking} onOpenChange={setAsking}>
        <p>{asks}</p>
        <div className="flex flex-wrap gap-3">
          <Button
            weight="main"
            onClick={() => {
              waiting.current = true;
              setAsking(false);
              setLeft(SECONDS);
            }}
          >
            Remove
          </Button>
          <Button onClick={() => setAsking(false)}>Keep</Button>
        </div>
      </Sheet>
    </>
  );
}
