import { useQuery, useQueryClient } from "@tanstack/react-query";
import { useEffect, useMemo, useState } from "react";
import { queries } from "@/api/queries";
import { Outbox } from "./outbox";
import { sendWaiting } from "./sending";

const EVERY = 5_000;

/** The outbox of whoever is signed in. */
export function useOwnOutbox(): Outbox {
  const account = useQuery(queries.session()).data?.account?.email ?? "";
  return useMemo(() => new Outbox(account), [account]);
}

/** Sends what waits on the phone: now, when a signal comes or something was read, and from time to time. Gives what is left. */
export function useOutbox() {
  const client = useQueryClient();
  const outbox = useOwnOutbox();
  // What a browser says of its signal comes late or never; an answer is a sure sign.
  const answered = useQuery({ ...queries.me(), enabled: false }).dataUpdatedAt;
  const [waiting, setWaiting] = useState(() => outbox.kept().filter((k) => k.state !== "sent"));
  useEffect(() => {
    let over = false;
    const flush = async () => {
      const sent = await sendWaiting(outbox).catch(() => false);
      if (over) return;
      setWaiting(outbox.kept().filter((k) => k.state !== "sent"));
      if (sent) void client.invalidateQueries({ queryKey: queries.me().queryKey });
    };
    void flush();
    const timer = setInterval(() => void flush(), EVERY);
    window.addEventListener("online", flush);
    return () => {
      over = true;
      clearInterval(timer);
      window.removeEventListener("online", flush);
    };
  }, [client, outbox, answered]);
  const putAway = (id: string) => {
    outbox.putAway(id);
    setWaiting((was) => was.filter((k) => k.id !== id));
  };
  return { waiting, putAway };
}
