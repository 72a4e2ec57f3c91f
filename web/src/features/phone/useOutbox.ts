import { useQuery, useQueryClient } from "@tanstack/react-query";
import { useEffect, useMemo, useState } from "react";
import { queries } from "@/api/queries";
import { Letters } from "./letters";
import { Outbox } from "./outbox";
import { type Mailbag, sendWaiting } from "./sending";

const EVERY = 5_000;

/** What the phone keeps of whoever is signed in. */
export function useMailbag(): Mailbag {
  const account = useQuery(queries.session()).data?.account?.email ?? "";
  return useMemo(() => ({ outbox: new Outbox(account), letters: new Letters(account) }), [account]);
}

export function useOwnOutbox(): Outbox {
  return useMailbag().outbox;
}

/** What waits, as it is shown. */
export type Waits = { id: string; what: string; day: string; refusal?: string };

function waitingIn({ outbox, letters }: Mailbag): Waits[] {
  return [
    ...outbox
      .kept()
      .filter((k) => k.state !== "sent")
      .map((k) => ({
        id: k.id,
        what: "practice",
        day: k.entry.day,
        refusal: k.state === "refused" ? (k.refusal ?? "not taken.") : undefined,
      })),
    ...letters.kept().map(({ id, what, day, refusal }) => ({ id, what, day, refusal })),
  ];
}

/** Sends what waits on the phone: now, when a signal comes or something was read, and from time to time. Gives what is left. */
export function useOutbox() {
  const client = useQueryClient();
  const bag = useMailbag();
  // What a browser says of its signal comes late or never; an answer is a sure sign.
  const answered = useQuery({ ...queries.me(), enabled: false }).dataUpdatedAt;
  const [waiting, setWaiting] = useState(() => waitingIn(bag));
  useEffect(() => {
    let over = false;
    const flush = async () => {
      const sent = await sendWaiting(bag).catch(() => false);
      if (over) return;
      setWaiting(waitingIn(bag));
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
  }, [client, bag, answered]);
  const change = (act: (box: Outbox | Letters) => void) => {
    act(bag.outbox);
    act(bag.letters);
    setWaiting(waitingIn(bag));
  };
  return {
    waiting,
    putAway: (id: string) => change((box) => box.putAway(id)),
    tryAgain: (id: string) => {
      change((box) => box.tryAgain(id));
      void sendWaiting(bag)
        .catch(() => undefined)
        .then(() => setWaiting(waitingIn(bag)));
    },
  };
}
