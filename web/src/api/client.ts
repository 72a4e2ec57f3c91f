import { otherAccount, signedOut } from "./signedOut";

/** What the server refused and why, in words that can be shown. */
export class Problem extends Error {
  constructor(
    readonly status: number,
    message: string,
    readonly fields: { field: string; message: string }[] = [],
    /** How what was to be changed is now, where it was changed meanwhile. */
    readonly current?: unknown,
  ) {
    super(message);
  }

  get isStale() {
    return this.status === 412;
  }

  /** Whether asking again in a moment may help: no signal, or a server that is busy. */
  get mayPass() {
    return this.status === 0 || this.status === 503;
  }
}

/** Whose page this is, once it is known: every request says so, and is refused under anybody else's session. */
let whose: string | undefined;

export function isPageOf(account: string) {
  whose = account;
}

export function ownerOfPage(): string | undefined {
  return whose;
}

function csrfToken(): string {
  return decodeURIComponent(/(?:^|; )XSRF-TOKEN=([^;]*)/.exec(document.cookie)?.[1] ?? "");
}

/**
 * How something is sent.
 *
 * @property seen the version that the change is based on, where what is changed has one
 * @property save the save's own name, by which it is found again if its answer is lost
 * @property byItself nobody is asked to sign in for it
 */
type How = { seen?: number; save?: string; byItself?: boolean };

async function send<T>(method: string, path: string, body?: unknown, how: How = {}): Promise<T> {
  let answer = await ask(method, path, body, how);
  for (let again = MOST_AGAIN; again > 0 && (await isMended(answer, method, path, how)); again--)
    answer = await ask(method, path, body, how);
  const { ok, status, text } = answer;
  const json = text ? safeParse(text) : undefined;
  if (!ok) {
    const problem = (json ?? {}) as {
      detail?: string;
      fields?: { field: string; message: string }[];
      current?: unknown;
      otherAccount?: boolean;
    };
    if (problem.otherAccount) otherAccount();
    throw new Problem(
      status,
      problem.detail ?? `The server answered ${status}.`,
      problem.fields,
      problem.current,
    );
  }
  return json as T;
}

/** Out of date and signed out at once: a token, a sign-in, and the token after it. */
const MOST_AGAIN = 3;

/** Whether what was refused may go through now: with a fresh token, or after signing in on the spot. */
async function isMended({ status, token }: Answer, method: string, path: string, how: How): Promise<boolean> {
  if (status === 403 && method !== "GET") {
    // The refusal may have brought the new one already; else a look at the session does.
    if (csrfToken() === token) await ask("GET", "/api/session", undefined, {});
    return csrfToken() !== token;
  }
  // Whoever was signed out in the middle signs in on the spot, and what was asked goes through.
  return status === 401 && !OPEN_TO_ALL.test(path) && signedOut(how.byItself ?? false);
}

/** What answers 401 to a wrong password, not to a session that has ended. */
const OPEN_TO_ALL = /^\/api\/(session|forgotten-password)$/;

/** A browser keeps up to 64 kB alive of all that is under way. */
const LITTLE = 1000;

type Answer = { ok: boolean; status: number; text: string; token: string };

async function ask(method: string, path: string, body: unknown, { seen, save }: How): Promise<Answer> {
  const token = csrfToken();
  const text = body === undefined ? undefined : JSON.stringify(body);
  try {
    const response = await fetch(path, {
      method,
      headers: {
        Accept: "application/json",
        "Time-Zone": Intl.DateTimeFormat().resolvedOptions().timeZone,
        ...(body === undefined ? {} : { "Content-Type": "application/json" }),
        ...(method === "GET" ? {} : { "X-XSRF-TOKEN": token }),
        ...(seen === undefined ? {} : { "If-Match": `"${seen}"` }),
        ...(save === undefined ? {} : { "Save-Id": save }),
        ...(whose === undefined ? {} : { "For-Account": whose }),
      },
      body: text,
      // What was confirmed goes out even if the page is left: browsers do so for little.
      keepalive: method !== "GET" && (text?.length ?? 0) < LITTLE,
    });
    return { ok: response.ok, status: response.status, text: await response.text(), token };
  } catch {
    throw new Problem(0, "No connection. Try again when there is a signal.");
  }
}

function safeParse(text: string): unknown {
  try {
    return JSON.parse(text);
  } catch {
    return undefined;
  }
}

export const api = {
  get: <T>(path: string) => send<T>("GET", path),
  post: <T>(path: string, body?: unknown) => send<T>("POST", path, body),
  put: <T>(path: string, body: unknown, how?: How) => send<T>("PUT", path, body, how),
  delete: <T>(path: string) => send<T>("DELETE", path),
};
