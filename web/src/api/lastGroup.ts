/** How the names begin under which a coach's last group is kept on this machine, by account. */
export const GROUPS = "hodegon-group:";

/** Ids of the students for whom a plan was drafted at once last. */
export function lastGroup(account: string): string[] {
  try {
    const ids = JSON.parse(localStorage.getItem(GROUPS + account) ?? "[]") as unknown;
    return Array.isArray(ids) ? ids.filter((id) => typeof id === "string") : [];
  } catch {
    return [];
  }
}

export function rememberGroup(account: string, ids: string[]) {
  try {
    localStorage.setItem(GROUPS + account, JSON.stringify(ids));
  } catch {
    // Without room it is chosen anew next time.
  }
}
