import { useSyncExternalStore } from "react";

/**
 * "asked": somebody has to sign in again before anything else; "later": it was put off; "other": somebody else signed in
 * meanwhile, in another tab.
 */
type State = "in" | "asked" | "later" | "other";

let state: State = "in";
let waiting: ((again: boolean) => void)[] = [];
const watchers = new Set<() => void>();

function become(next: State) {
  state = next;
  for (const tell of watchers) tell();
}

function letGo(again: boolean) {
  const those = waiting;
  waiting = [];
  for (const go of those) go(again);
}

/**
 * The server no longer knows who this is. Gives whether somebody signed in again, so that the request can be repeated;
 * what nobody waits for, such as what a phone sends by itself, interrupts nobody.
 */
export function signedOut(byItself: boolean): Promise<boolean> {
  if (byItself) {
    if (state === "in") become("later");
    return Promise.resolve(false);
  }
  become("asked");
  return new Promise((go) => waiting.push(go));
}

/** Somebody else is signed in: what this page holds waits for its own. */
export function otherAccount() {
  if (state !== "asked") become("other");
}

export const signIn = {
  ask: () => become("asked"),
  later: () => {
    become("later");
    letGo(false);
  },
  done: () => {
    become("in");
    letGo(true);
  },
};

export function useSignedOut(): State {
  return useSyncExternalStore(
    (tell) => {
      watchers.add(tell);
      return () => watchers.delete(tell);
    },
    () => state,
  );
}
