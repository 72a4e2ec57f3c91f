import { useMutation, useQueryClient } from "@tanstack/react-query";
import { type FormEvent, useState } from "react";
import { api, isPageOf } from "@/api/client";
import { queries } from "@/api/queries";
import { signIn, useSignedOut } from "@/api/signedOut";
import type { Session } from "@/api/types";
import { Button } from "@/ui/Button";
import { Field } from "@/ui/Field";
import { Note } from "@/ui/Notice";
import { Sheet } from "@/ui/Sheet";

type Account = NonNullable<Session["account"]>;

/** Signs in on the spot when the session has ended: the page stays as it is, and what waits for it goes through. */
export function SignInAgain({ account }: { account: Account }) {
  const state = useSignedOut();
  const client = useQueryClient();
  const [password, setPassword] = useState("");
  const enter = useMutation({
    mutationFn: () => api.post<Session>("/api/session", { email: account.email, password }),
    onSuccess: (session) => {
      if (session.account) isPageOf(session.account.id);
      client.setQueryData(queries.session().queryKey, session);
      setPassword("");
      signIn.done();
      void client.invalidateQueries({ predicate: (query) => query.state.status === "error" });
    },
  });
  const submit = (event: FormEvent) => {
    event.preventDefault();
    enter.mutate();
  };
  return (
    <>
      {state === "later" && (
        <div className="no-print px-4 pt-3">
          <Note tone="warn">
            You are signed out: nothing is sent until you sign in.{" "}
            <Button className="ml-2" onClick={signIn.ask}>
              Sign in
            </Button>
          </Note>
        </div>
      )}
      {state === "other" && (
        <div className="no-print px-4 pt-3">
          <Note tone="alert">
            <p>
              Somebody else signed in here, in another tab. Nothing from this page is sent in their name; what
              waits here waits for you.
            </p>
            <p className="mt-2 flex flex-wrap items-center gap-4">
              <Button onClick={signIn.ask}>Sign in as {account.name}</Button>
              <a href="/">To their page</a>
            </p>
          </Note>
        </div>
      )}
      <Sheet
        title="Sign in to go on"
        open={state === "asked"}
        onOpenChange={(open) => !open && signIn.later()}
      >
        <p>You were signed out. What you entered is still here and is sent when you are back.</p>
        <form onSubmit={submit} className="grid gap-4" aria-label="Sign in again">
          <Field label="E-mail">
            {(props) => (
              <input {...props} type="email" autoComplete="username" readOnly value={account.email} />
            )}
          </Field>
          <Field label="Password" error={enter.error?.message}>
            {(props) => (
              <input
                {...props}
                type="password"
                autoComplete="current-password"
                autoFocus
                required
                value={password}
                onChange={(e) => setPassword(e.target.value)}
              />
            )}
          </Field>
          <div className="flex flex-wrap items-center gap-3">
            <Button type="submit" weight="main" disabled={enter.isPending}>
              Sign in
            </Button>
            <Button weight="quiet" onClick={signIn.later}>
              Later
            </Button>
            <a href="/sign-in" className="text-soft ml-auto">
              Somebody else
            </a>
          </div>
        </form>
      </Sheet>
    </>
  );
}
