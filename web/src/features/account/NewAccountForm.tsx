import type { UseMutationResult } from "@tanstack/react-query";
import { type FormEvent, useState } from "react";
import { Problem } from "@/api/client";
import type { Session } from "@/api/types";
import { Button } from "@/ui/Button";
import { Field } from "@/ui/Field";
import { Failed } from "@/ui/Notice";
import { NewPasswordField } from "./PasswordFields";

export type NewAccount = { name: string; email: string; password: string };

/** Asks for what a new account needs. */
export function NewAccountForm({
  askName,
  action,
  enter: { mutate, isPending, error },
}: {
  askName: boolean;
  action: string;
  enter: Pick<UseMutationResult<Session, Error, NewAccount>, "mutate" | "isPending" | "error">;
}) {
  const [account, setAccount] = useState<NewAccount>({ name: "", email: "", password: "" });
  const set = (part: Partial<NewAccount>) => setAccount({ ...account, ...part });
  const fields = error instanceof Problem ? error.fields : [];
  const wrong = (field: string) => fields.find((f) => f.field === field)?.message;
  const submit = (event: FormEvent) => {
    event.preventDefault();
    mutate(account);
  };
  return (
    <form onSubmit={submit} className="grid gap-4">
      {askName && (
        <Field label="Your name" error={wrong("name")}>
          {(props) => (
            <input
              {...props}
              required
              maxLength={100}
              autoComplete="name"
              value={account.name}
              onChange={(e) => set({ name: e.target.value })}
            />
          )}
        </Field>
      )}
      <Field label="E-mail" error={wrong("email")}>
        {(props) => (
          <input
            {...props}
            type="email"
            required
            maxLength={200}
            autoComplete="username"
            value={account.email}
            onChange={(e) => set({ email: e.target.value })}
          />
        )}
      </Field>
      <NewPasswordField
        label="Password"
        value={account.password}
        error={wrong("password")}
        onChange={(password) => set({ password })}
      />
      {error && fields.length === 0 && <Failed error={error} />}
      <Button type="submit" weight="main" disabled={isPending}>
        {action}
      </Button>
    </form>
  );
}
