import { useMutation, useQueryClient } from "@tanstack/react-query";
import { useLocation, useNavigate } from "react-router";
import { api, isPageOf } from "@/api/client";
import { forget } from "@/api/keeping";
import { queries } from "@/api/queries";
import type { Session } from "@/api/types";

/** The way in that leads back to an address. */
export function signInFor({ pathname, search }: { pathname: string; search: string }): string {
  return `/sign-in?to=${encodeURIComponent(pathname + search)}`;
}

/** Where the way in leads: only to pages of ours. */
function leadsTo(search: string): string {
  const to = new URLSearchParams(search).get("to") ?? "/";
  const url = new URL(to, window.location.origin);
  return url.origin === window.location.origin && to.startsWith("/") ? url.pathname + url.search : "/";
}

/** Signs in one way or another and goes to where one wanted to go, else to the start page of that account. */
export function useEnter<T>(enter: (details: T) => Promise<Session>) {
  const client = useQueryClient();
  const navigate = useNavigate();
  const { search } = useLocation();
  return useMutation({
    mutationFn: async (details: T) => {
      // The first request of a page brings the token that a write needs.
      await client.ensureQueryData(queries.session());
      return enter(details);
    },
    onSuccess: (session) => {
      if (session.account) isPageOf(session.account.id);
      client.setQueryData(queries.session().queryKey, session);
      navigate(leadsTo(search), { replace: true });
    },
  });
}

export function useSignOut() {
  return useMutation({
    mutationFn: () => api.delete<void>("/api/session"),
    onSuccess: () => {
      forget();
      window.location.assign("/sign-in");
    },
  });
}
