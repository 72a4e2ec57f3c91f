import { useQuery } from "@tanstack/react-query";
import { type FormEvent, useState } from "react";
import { Link, Navigate } from "react-router";
import { api } from "@/api/client";
import { queries } from "@/api/queries";
import type { Session } from "@/api/types";
import { Button } from "@/ui/Button";
import { Field } from "@/ui/Field";
import { Soles } from "../feet/Soles";
import { Mark } from "./CoachFrame";
import { useEnter } from "./session";
import { Title } from "@/ui/Title";

type Credentials = { email: string; password: string };

export function SignInPage() {
  const session = useQuery(queries.session());
  const [credentials, setCredentials] = useState<Credentials>({ email: "", password: "" });
  const enter = useEnter((details: Credentials) => api.post<Session>("/api/session", details));
  if (session.data?.firstRun) return <Navigate to="/start" replace />;

  const submit = (event: FormEvent) => {
    event.preventDefault();
    enter.mutate(credentials);
  };
  return (
    <main className="mx-auto grid min-h-dvh max-w-5xl items-center gap-10 p-6 md:grid-cols-2">
      <div className="grid gap-6">
        <Mark />
        <Title>Sign in</Title>
        <h1>From the feet up</h1>
        <p className="text-soft max-w-[34ch] text-lg">
          What was seen, what causes it, what to practise, and whether it worked.
        </p>
        <div className="hidden max-w-72 md:block" aria-hidden>
          <Soles hand="right" trailShare={70} />
        </div>
      </div>
      <div className="grid gap-6">
        <form onSubmit={submit} className="grid gap-4" aria-label="Sign in">
          <Field label="E-mail">
            {(props) => (
              <input
                {...props}
                type="email"
                autoComplete="username"
                required
                value={credentials.email}
                onChange={(e) => setCredentials({ ...credentials, email: e.target.value })}
              />
            )}
          </Field>
          <Field label="Password" error={enter.error?.message}>
            {(props) => (
              <input
                {...props}
                type="password"
                autoComplete="current-password"
                required
                value={credentials.password}
                onChange={(e) => setCredentials({ ...credentials, password: e.target.value })}
              />
            )}
          </Field>
          <Button type="submit" weight="main" disabled={enter.isPending}>
            Sign in
          </Button>
          <Link to="/forgotten" className="text-soft justify-self-start">
            The password is lost
          </Link>
        </form>
        {session.data && session.data.demo.length > 0 && (
          <section aria-labelledby="demo" className="border-line grid gap-2 border-t pt-4">
            <h2 id="demo">Look around as</h2>
            <ul className="grid gap-1">
              {session.data.demo.map((account) => (
                <li key={account.email}>
                  <Button
                    weight="quiet"
                    className="w-full justify-start! px-2! text-left"
                    onClick={() => enter.mutate({ email: account.email, password: account.password })}
                  >
                    <span className="grid">
                      {account.who}
                      <span className="text-soft text-sm font-normal">
                        {account.email} · {account.password}
                      </span>
                    </span>
                  </Button>
                </li>
              ))}
            </ul>
          </section>
        )}
      </div>
    </main>
  );
}
