import { useEffect, useState } from "react";

const MINUTE = 60_000;

/** How long a part of a session has lasted, of what it was laid for; counted from when it is first shown, or since then. */
export function PartClock({ minutes, since }: { minutes: number; since?: string | null }) {
  const [shown] = useState(() => Date.now());
  const [now, setNow] = useState(shown);
  const begun = since ? Date.parse(since) : shown;
  useEffect(() => {
    const timer = setInterval(() => setNow(Date.now()), MINUTE / 12);
    return () => clearInterval(timer);
  }, []);
  const gone = Math.max(0, Math.floor((now - begun) / MINUTE));
  const planned = Math.max(1, Math.round(minutes));
  return (
    <span className={`tabular-nums ${gone >= planned ? "text-warn font-semibold" : ""}`}>
      {gone} of {planned} min
    </span>
  );
}
