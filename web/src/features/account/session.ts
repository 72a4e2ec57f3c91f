import { useMutation, useQueryClient } from "@tanstack/react-query";
import { useNavigate } from "react-router";
import { api } from "@/api/client";
import { forget } from "@/api/keeping";
import { queries } from "@/api/queries";
import type { Session } from "@/api/types";

/** Signs in one way or another and goes to the start page of that account. */
export function useEnter<T>(enter: (details: T) => Promise<Session>) {
  const client = useQueryClient();
  const navigate = useNavigate();
  return useMutation({
    mutationFn: async (details: T) => {
      // The first request of a page brings the token that a write needs.
      await client.ensureQueryData(queries.session());
      return enter(details);
    },
    onSuccess: (session) => {
      client.setQueryData(queries.session().queryKey, session);
      navigate("/");
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
