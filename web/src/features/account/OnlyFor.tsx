import { useQuery } from "@tanstack/react-query";
import { type ReactNode, Suspense, useEffect, useState } from "react";
import { Navigate, Outlet, useLocation } from "react-router";
import { isPageOf, ownerOfPage } from "@/api/client";
import { queries } from "@/api/queries";
import { otherAccount, signIn } from "@/api/signedOut";
import { Failed, Loading } from "@/ui/Notice";
import { CoachFrame } from "./CoachFrame";
import { signInFor } from "./session";
import { SignInAgain } from "./SignInAgain";

/**
 * The pages of one role; anybody else is shown the way in, and comes back here through it. Whoever was signed in when
 * the page opened stays on it and signs in on the spot. `above` stands over every page.
 */
export function OnlyFor({ role, above }: { role: "coach" | "student"; above?: ReactNode }) {
  const session = useQuery(queries.session());
  const here = useLocation();
  const now = session.data?.account ?? null;
  const [known, setKnown] = useState(now);
  // Somebody else, though nobody signed in on this page: it stays whose it was.
  const other = now && known && now.id !== known.id && ownerOfPage() === known.id;
  if (now && now !== known && !other) setKnown(now);
  useEffect(() => {
    if (known) isPageOf(known.id);
  }, [known]);
  useEffect(() => {
    if (other) otherAccount();
  }, [other]);
  const ended = !now && known !== null;
  useEffect(() => {
    if (ended) signIn.ask();
  }, [ended]);
  if (!session.data && session.isError)
    return <Failed error={session.error} again={() => session.refetch()} />;
  if (!session.data) return <Loading />;
  const account = other ? known : (now ?? known);
  if (!account) return <Navigate to={signInFor(here)} replace />;
  if (account.role !== role) return <Navigate to="/" replace />;
  const page = (
    <Suspense fallback={<Loading />}>
      {!other && above}
      {!other && <Outlet />}
    </Suspense>
  );
  return (
    <>
      <SignInAgain account={account} />
      {role === "coach" ? <CoachFrame name={account.name}>{page}</CoachFrame> : page}
    </>
  );
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
