import { useQuery } from "@tanstack/react-query";
import { Navigate } from "react-router";
import { api } from "@/api/client";
import { queries } from "@/api/queries";
import type { Session } from "@/api/types";
import { Mark } from "./CoachFrame";
import { type NewAccount, NewAccountForm } from "./NewAccountForm";
import { useEnter } from "./session";
import { Title } from "@/ui/Title";

/** The first thing a new installation shows. */
export function FirstCoachPage() {
  const session = useQuery(queries.session());
  const enter = useEnter((account: NewAccount) => api.post<Session>("/api/first-coach", account));
  if (session.data && !session.data.firstRun) return <Navigate to="/" replace />;
  return (
    <main className="mx-auto grid max-w-md gap-6 p-8">
      <Mark />
      <Title>Welcome</Title>
      <h1>Welcome. Make the coach's account</h1>
      <p className="text-soft">
        It stays on this machine. Your students get theirs by an invitation from you.
      </p>
      <NewAccountForm askName action="Begin" enter={enter} />
    </main>
  );
}
