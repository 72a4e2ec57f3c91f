import { type FormEvent, useState } from "react";
import { useParams } from "react-router";
import { api } from "@/api/client";
import type { Session, Wire } from "@/api/types";
import { Button } from "@/ui/Button";
import { Failed } from "@/ui/Notice";
import { OneTimePage } from "./OneTimePage";
import { NewPasswordField } from "./PasswordFields";
import { useEnter } from "./session";
import { Title } from "@/ui/Title";

/** Where a one-time link leads: a new password. */
export default function PasswordLinkPage() {
  const { token } = useParams();
  const path = `/api/password-links/${token}`;
  const [password, setPassword] = useState("");
  const enter = useEnter((next: string) => api.post<Session>(path, { password: next }));
  const submit = (event: FormEvent) => {
    event.preventDefault();
    enter.mutate(password);
  };
  return (
    <OneTimePage<Wire["LinkView"]> path={path}>
      {(link) => (
        <form onSubmit={submit} className="grid gap-4">
          <Title>A new password</Title>
          <h1>Hello {link.name}</h1>
          <p>Choose a new password for {link.email}. Wherever you are signed in now, you are signed out.</p>
          <NewPasswordField value={password} onChange={setPassword} />
          {enter.isError && <Failed error={enter.error} />}
          <Button type="submit" weight="main" disabled={enter.isPending}>
            Set it and sign in
          </Button>
        </form>
      )}
    </OneTimePage>
  );
}
