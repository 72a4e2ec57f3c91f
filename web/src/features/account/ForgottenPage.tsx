import { type FormEvent, useState } from "react";
import { Link } from "react-router";
import { api } from "@/api/client";
import type { Session } from "@/api/types";
import { Button } from "@/ui/Button";
import { Field } from "@/ui/Field";
import { Failed } from "@/ui/Notice";
import { Mark } from "./CoachFrame";
import { NewPasswordField } from "./PasswordFields";
import { useEnter } from "./session";
import { Title } from "@/ui/Title";

/** For who lost the password: a coach by a printed code, everybody else by a link from somebody who knows them. */
export default function ForgottenPage() {
  const [entry, setEntry] = useState({ email: "", code: "", password: "" });
  const enter = useEnter((details: typeof entry) => api.post<Session>("/api/forgotten-password", details));
  const submit = (event: FormEvent) => {
    event.preventDefault();
    enter.mutate(entry);
  };
  return (
    <main className="mx-auto grid max-w-3xl gap-8 p-6 md:p-10">
      <Mark />
      <Title>The password is lost</Title>
      <h1>The password is lost</h1>
      <div className="grid gap-10 md:grid-cols-2">
        <section aria-labelledby="students" className="grid content-start gap-2">
          <h2 id="students">Students</h2>
          <p>Ask your coach for a new link. What you practised stays.</p>
          <h2 className="mt-4">Coaches without a code</h2>
          <p>
            Who looks after this installation makes a link on its machine:{" "}
            <code className="bg-tint rounded px-1">./hodegon link --email …</code>
          </p>
        </section>
        <form onSubmit={submit} className="grid content-start gap-4" aria-labelledby="by-code">
          <h2 id="by-code">Coaches with a printed code</h2>
          <Field label="E-mail">
            {(props) => (
              <input
                {...props}
                type="email"
                required
                autoComplete="username"
                value={entry.email}
                onChange={(e) => setEntry({ ...entry, email: e.target.value })}
              />
            )}
          </Field>
          <Field label="Code" hint="One of those you printed; each works once.">
            {(props) => (
              <input
                {...props}
                required
                maxLength={40}
                autoComplete="one-time-code"
                placeholder="K7QMP-3XWRT"
                value={entry.code}
                onChange={(e) => setEntry({ ...entry, code: e.target.value })}
              />
            )}
          </Field>
          <NewPasswordField
            value={entry.password}
            onChange={(password) => setEntry({ ...entry, password })}
          />
          {enter.isError && <Failed error={enter.error} />}
          <Button type="submit" weight="main" disabled={enter.isPending}>
            Set it and sign in
          </Button>
        </form>
      </div>
      <p>
        <Link to="/sign-in">Back to signing in</Link>
      </p>
    </main>
  );
}
