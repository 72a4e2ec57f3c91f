import { useEffect, useState } from "react";

const MINUTE = 60_000;

/** How long a part of a session with balls has lasted, of what it was laid for. */
export function PartClock({ minutes }: { minutes: number }) {
  const [begun] = useState(() => Date.now());
  const [now, setNow] = useState(begun);
  useEffect(() => {
    const timer = setInterval(() => setNow(Date.now()), MINUTE / 12);
    return () => clearInterval(timer);
  }, []);
  const gone = Math.floor((now - begun) / MINUTE);
  const planned = Math.max(1, Math.round(minutes));
  return (
    <span className={`tabular-nums ${gone >= planned ? "text-warn font-semibold" : ""}`}>
      {gone} of {planned} min
    </span>
  );
}
