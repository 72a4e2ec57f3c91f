import { createSyncStoragePersister } from "@tanstack/query-sync-storage-persister";
import type { Query } from "@tanstack/react-query";
import type { PersistQueryClientOptions } from "@tanstack/react-query-persist-client";
import { moveToday } from "@/calendar/dates";
import { Problem } from "./client";
import { FreshClient } from "./FreshClient";
import { GROUPS } from "./lastGroup";
import { queries } from "./queries";
import type { Session } from "./types";

declare const API_SHAPE: string;

const KEY = "hodegon-phone";
/** How the names begin under which practice waits, by account (features/phone/outbox). */
export const OUTBOXES = "hodegon-outbox:";
const DAYS_KEPT = 60;
/** Movements of drills that are long done must not take the room that reps need. */
const DAYS_OF_MOTIONS = 14;

/** What a student's phone needs without a signal. */
const KEPT = ["session", "me", "catalogue", "own-notes", "motions"];

export const client = new FreshClient({
  defaultOptions: {
    queries: {
      staleTime: 10_000,
      // The phone's word on whether there is a signal is worth little: ask and see.
      networkMode: "always",
      // Asking again helps against a lost signal or a busy server, not against a refusal.
      retry: (count, error) => count < 2 && error instanceof Problem && error.mayPass,
    },
    mutations: { networkMode: "always" },
  },
});

// What is kept must not be forgotten for not being looked at.
for (const key of KEPT) client.setQueryDefaults([key], { gcTime: Infinity });

/** Keeps what a student's pages read on the phone; of a coach's students nothing is kept but what could not be stored yet. */
export const keeping: Omit<PersistQueryClientOptions, "queryClient"> = {
  persister: createSyncStoragePersister({ storage: window.localStorage, key: KEY }),
  maxAge: DAYS_KEPT * 86_400_000,
  buster: API_SHAPE,
  dehydrateOptions: {
    shouldDehydrateQuery: (query: Query) =>
      client.getQueryData<Session>(queries.session().queryKey)?.account?.role === "student" &&
      KEPT.includes(String(query.queryKey[0])) &&
      (query.queryKey[0] !== "motions" ||
        Date.now() - query.state.dataUpdatedAt < DAYS_OF_MOTIONS * 86_400_000) &&
      query.state.data !== undefined,
  },
};

/** What was kept is shown at once, and asked for anew. */
export function restored() {
  const session = client.getQueryData<Session>(queries.session().queryKey);
  if (!session) return;
  moveToday(session.daysAhead);
  void client.invalidateQueries();
}

/** Nothing of this account stays on the machine but practice that was not sent yet. */
export function forget() {
  client.clear();
  window.localStorage.removeItem(KEY);
  for (const key of Object.keys(window.localStorage)) {
    if (key.startsWith(OUTBOXES)) withoutSent(key);
    if (key.startsWith(GROUPS)) window.localStorage.removeItem(key);
  }
}

/** What the server has need not lie here too. */
function withoutSent(key: string) {
  let all: unknown;
  try {
    all = JSON.parse(window.localStorage.getItem(key) ?? "[]");
  } catch {
    all = [];
  }
  const unsent = Array.isArray(all) ? all.filter((one: { state?: string }) => one?.state !== "sent") : [];
  if (unsent.length > 0) window.localStorage.setItem(key, JSON.stringify(unsent));
  else window.localStorage.removeItem(key);
}
