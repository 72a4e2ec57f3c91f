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

function csrfToken(): string {
  return decodeURIComponent(/(?:^|; )XSRF-TOKEN=([^;]*)/.exec(document.cookie)?.[1] ?? "");
}

async function send<T>(method: string, path: string, body?: unknown, seen?: number): Promise<T> {
  let response: Response;
  try {
    response = await fetch(path, {
      method,
      headers: {
        Accept: "application/json",
        ...(body === undefined ? {} : { "Content-Type": "application/json" }),
        ...(method === "GET" ? {} : { "X-XSRF-TOKEN": csrfToken() }),
        ...(seen === undefined ? {} : { "If-Match": `"${seen}"` }),
      },
      body: body === undefined ? undefined : JSON.stringify(body),
    });
  } catch {
    throw new Problem(0, "No connection. Try again when there is a signal.");
  }
  const text = await response.text();
  const json = text ? safeParse(text) : undefined;
  if (!response.ok) {
    const problem = (json ?? {}) as {
      detail?: string;
      fields?: { field: string; message: string }[];
      current?: unknown;
    };
    throw new Problem(
      response.status,
      problem.detail ?? `The server answered ${response.status}.`,
      problem.fields,
      problem.current,
    );
  }
  return json as T;
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
  /** `seen` is the version that the change is based on, where what is changed has one. */
  put: <T>(path: string, body: unknown, seen?: number) => send<T>("PUT", path, body, seen),
  delete: <T>(path: string) => send<T>("DELETE", path),
};
