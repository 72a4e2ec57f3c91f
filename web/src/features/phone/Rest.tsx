import { useEffect, useEffectEvent, useState } from "react";
import { Button } from "@/ui/Button";
import { bellOn, ring, setBell } from "./bell";

const RADIUS = 44;
const AROUND = 2 * Math.PI * RADIUS;

/** A ring that empties while the student rests; can be cut short. */
export function Rest({ seconds, onOver }: { seconds: number; onOver: () => void }) {
  const [left, setLeft] = useState(seconds);
  const [bell, setBellShown] = useState(bellOn);
  const [end] = useState(() => Date.now() + seconds * 1000);
  const over = useEffectEvent(onOver);
  useEffect(() => {
    const timer = setInterval(() => {
      const now = Math.max(0, Math.ceil((end - Date.now()) / 1000));
      setLeft(now);
      if (now === 0) {
        ring();
        over();
      }
    }, 250);
    return () => clearInterval(timer);
  }, [end]);
  return (
    <div className="flex items-center gap-5">
      <svg viewBox="0 0 100 100" className="w-28" role="timer" aria-label={`Rest, ${left} seconds left`}>
        <circle cx="50" cy="50" r={RADIUS} fill="none" stroke="var(--line)" strokeWidth="7" />
        <circle
          cx="50"
          cy="50"
          r={RADIUS}
          fill="none"
          stroke="var(--lead)"
          strokeWidth="7"
          strokeDasharray={AROUND}
          strokeDashoffset={AROUND * (1 - left / seconds)}
          transform="rotate(-90 50 50)"
        />
        <text x="50" y="60" textAnchor="middle" fontSize="30" fill="var(--ink)">
          {left}
        </text>
      </svg>
      <div className="grid gap-2">
        <p>Rest. Step away, breathe, step back in.</p>
        <Button onClick={onOver}>Go on now</Button>
        <label className="flex min-h-11 items-center gap-2">
          <input
            type="checkbox"
            checked={bell}
            onChange={(e) => {
              setBell(e.target.checked);
              setBellShown(e.target.checked);
            }}
          />
          Ring when it is over
        </label>
      </div>
    </div>
  );
}
