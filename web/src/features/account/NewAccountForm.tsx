import { type FormEvent, useState } from "react";
import { Problem } from "@/api/client";
import { Button } from "@/ui/Button";
import { Field } from "@/ui/Field";

export type NewAccount = { name: string; email: string; password: string };

/** Asks for what a new account needs. */
export function NewAccountForm({
  askName,
  action,
  busy,
  error,
  onSubmit,
}: {
  askName: boolean;
  action: string;
  busy: boolean;
  error: Error | null;
  onSubmit: (account: NewAccount) => void;
}) {
  const [account, setAccount] = useState<NewAccount>({ name: "", email: "", password: "" });
  const set = (part: Partial<NewAccount>) => setAccount({ ...account, ...part });
  const fields = error instanceof Problem ? error.fields : [];
  const wrong = (field: string) => fields.find((f) => f.field === field)?.message;
  const submit = (event: FormEvent) => {
    event.preventDefault();
    onSubmit(account);
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
      <Field label="Password" hint="At least 8 characters." error={wrong("password")}>
        {(props) => (
          <input
            {...props}
            type="password"
            required
            minLength={8}
            maxLength={72}
            autoComplete="new-password"
            value={account.password}
            onChange={(e) => set({ password: e.target.value })}
          />
        )}
      </Field>
      {error && fields.length === 0 && (
        <p role="alert" className="text-alert font-semibold">
          {error.message}
        </p>
      )}
      <Button type="submit" weight="main" disabled={busy}>
        {action}
      </Button>
    </form>
  );
}
