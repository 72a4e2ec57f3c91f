import { useQueryClient } from "@tanstack/react-query";
import { useEffect, useState } from "react";
import { api, Problem } from "@/api/client";
import { kept, type Kept, markRefused, markSent } from "./outbox";

const EVERY = 15_000;

/** Sends what waits on the phone, in order, one after the other: now, when a signal comes, and from time to time. */
export function useOutbox(): Kept[] {
  const client = useQueryClient();
  const [waiting, setWaiting] = useState(() => kept().filter((k) => k.state !== "sent"));
  useEffect(() => {
    let over = false;
    let busy = false;
    const flush = async () => {
      if (busy) return;
      busy = true;
      let sent = false;
      for (const one of kept().filter((k) => k.state === "unsent")) {
        try {
          await api.put(`/api/me/practice/${one.id}`, one.entry);
          markSent(one);
          sent = true;
        } catch (failure) {
          const status = failure instanceof Problem ? failure.status : 0;
          // Without a signal, a server or a sign-in all of it waits; what is wrong with one does not hold up the others.
          if (status < 400 || status === 401 || status === 403 || status >= 500) break;
          markRefused(one, (failure as Error).message);
        }
      }
      busy = false;
      if (over) return;
      setWaiting(kept().filter((k) => k.state !== "sent"));
      if (sent) void client.invalidateQueries({ queryKey: ["today"] });
    };
    void flush();
    const timer = setInterval(() => void flush(), EVERY);
    window.addEventListener("online", flush);
    return () => {
      over = true;
      clearInterval(timer);
      window.removeEventListener("online", flush);
    };
  }, [client]);
  return waiting;
}
