import { useQuery } from "@tanstack/react-query";
import { Suspense } from "react";
import { Navigate, Outlet } from "react-router";
import { queries } from "@/api/queries";
import { Failed, Loading } from "@/ui/Notice";
import { CoachFrame } from "./CoachFrame";

/** The pages of one role; anybody else is shown the way in. */
export function OnlyFor({ role }: { role: "coach" | "student" }) {
  const session = useQuery(queries.session());
  if (!session.data && session.isError)
    return <Failed error={session.error} again={() => session.refetch()} />;
  if (!session.data) return <Loading />;
  const account = session.data.account;
  if (!account) return <Navigate to="/sign-in" replace />;
  if (account.role !== role) return <Navigate to="/" replace />;
  const page = (
    <Suspense fallback={<Loading />}>
      <Outlet />
    </Suspense>
  );
  return role === "coach" ? <CoachFrame name={account.name}>{page}</CoachFrame> : page;
}

/** Where each account begins. */
export function Home() {
  const session = useQuery(queries.session());
  if (!session.data && session.isError)
    return <Failed error={session.error} again={() => session.refetch()} />;
  if (!session.data) return <Loading />;
  if (session.data.firstRun) return <Navigate to="/start" replace />;
  if (!session.data.account) return <Navigate to="/sign-in" replace />;
  return <Navigate to={session.data.account.role === "coach" ? "/day" : "/today"} replace />;
}
