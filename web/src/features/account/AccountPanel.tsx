import { useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { Printer } from "lucide-react";
import { type FormEvent, useState } from "react";
import { api, Problem } from "@/api/client";
import { queries } from "@/api/queries";
import type { Wire } from "@/api/types";
import { moment } from "@/calendar/dates";
import { Button } from "@/ui/Button";
import { Field } from "@/ui/Field";
import { Failed, Loading } from "@/ui/Notice";
import { Sheet } from "@/ui/Sheet";
import { NewPasswordField } from "./PasswordFields";

/** One's own account: the password, where one is signed in, and for coaches the codes for the day it is lost. */
export function AccountPanel({ codes }: { codes: boolean }) {
  const account = useQuery(queries.account());
  if (account.isPending) return <Loading />;
  if (account.isError) return <Failed error={account.error} again={() => account.refetch()} />;
  return (
    <div className="grid gap-x-16 gap-y-8 lg:grid-cols-2">
      <ChangePassword />
      <div className="grid content-start gap-8">
        <SignedIn list={account.data.signedIn} />
        {codes && <Codes left={account.data.codesLeft} />}
      </div>
    </div>
  );
}

function ChangePassword() {
  const [entry, setEntry] = useState({ current: "", next: "" });
  const client = useQueryClient();
  const change = useMutation({
    mutationFn: () => api.put<void>("/api/account/password", entry),
    onSuccess: () => {
      setEntry({ current: "", next: "" });
      return client.invalidateQueries({ queryKey: queries.account().queryKey });
    },
  });
  const submit = (event: FormEvent) => {
    event.preventDefault();
    change.mutate();
  };
  const fields = change.error instanceof Problem ? change.error.fields : [];
  const wrong = (field: string) => fields.find((f) => f.field === field)?.message;
  return (
    <form onSubmit={submit} className="grid max-w-md content-start gap-4" aria-labelledby="password">
      <h2 id="password">Password</h2>
      <CurrentPassword
        value={entry.current}
        error={wrong("current")}
        onChange={(current) => setEntry({ ...entry, current })}
      />
      <NewPasswordField
        value={entry.next}
        error={wrong("next")}
        onChange={(next) => setEntry({ ...entry, next })}
      />
      {change.isError && fields.length === 0 && <Failed error={change.error} />}
      <div className="flex flex-wrap items-center gap-3">
        <Button type="submit" disabled={change.isPending}>
          Change it
        </Button>
        {change.isSuccess && <p role="status">Changed. Every other browser is signed out.</p>}
      </div>
    </form>
  );
}

function CurrentPassword({
  value,
  error,
  onChange,
}: {
  value: string;
  error?: string;
  onChange: (value: string) => void;
}) {
  return (
    <Field label="Present password" error={error}>
      {(props) => (
        <input
          {...props}
          type="password"
          required
          autoComplete="current-password"
          value={value}
          onChange={(e) => onChange(e.target.value)}
        />
      )}
    </Field>
  );
}

function SignedIn({ list }: { list: Wire["SignedInAt"][] }) {
  const client = useQueryClient();
  const end = useMutation({
    mutationFn: (id?: string) => api.delete(`/api/account/sessions${id ? `/${id}` : ""}`),
    onSettled: () => client.invalidateQueries({ queryKey: queries.account().queryKey }),
  });
  return (
    <section aria-labelledby="signed-in" className="grid gap-2">
      <h2 id="signed-in">Signed in</h2>
      <ul className="max-w-2xl">
        {list.map((at) => (
          <li key={at.id} className="border-line flex flex-wrap items-center gap-x-4 border-b py-1.5">
            <span className="flex-1">
              <strong>{at.browser || "A browser"}</strong>
              {at.here && " (this one)"}
              <span className="text-soft block text-sm">
                since {moment(at.since)}, last {moment(at.last)}
                {at.address && `, from ${at.address}`}
              </span>
            </span>
            {!at.here && (
              <Button weight="quiet" disabled={end.isPending} onClick={() => end.mutate(at.id)}>
                Sign out
              </Button>
            )}
          </li>
        ))}
      </ul>
      {list.length > 1 && (
        <Button className="justify-self-start" disabled={end.isPending} onClick={() => end.mutate(undefined)}>
          Sign out everywhere else
        </Button>
      )}
      {end.isError && <Failed error={end.error} />}
    </section>
  );
}

function Codes({ left }: { left: number }) {
  const [open, setOpen] = useState(false);
  const [current, setCurrent] = useState("");
  const client = useQueryClient();
  const make = useMutation({
    mutationFn: () => api.post<Wire["Codes"]>("/api/account/codes", { current }),
    onSuccess: () => {
      setCurrent("");
      return client.invalidateQueries({ queryKey: queries.account().queryKey });
    },
  });
  const close = (next: boolean) => {
    setOpen(next);
    if (!next) make.reset();
  };
  const submit = (event: FormEvent) => {
    event.preventDefault();
    make.mutate();
  };
  const wrong =
    make.error instanceof Problem && make.error.fields.length > 0 ? make.error.message : undefined;
  return (
    <section aria-labelledby="codes" className="grid justify-items-start gap-2">
      <h2 id="codes">If the password is lost</h2>
      <p className="max-w-[60ch]">
        {left > 0
          ? `${left} printed ${left === 1 ? "code is" : "codes are"} left: each sets a new password once.`
          : "You have no printed codes. Without one, only who looks after this installation can let you in again."}
      </p>
      <Button onClick={() => close(true)}>{left > 0 ? "Make new codes" : "Make codes"}</Button>
      <Sheet title="Codes for a lost password" open={open} onOpenChange={close}>
        {make.data ? (
          <>
            <p>
              Print them and keep them where you keep keys. Each works once; earlier ones work no more. They
              are shown only now.
            </p>
            <ol className="grid grid-cols-2 gap-x-8 gap-y-1 justify-self-center font-mono text-lg">
              {make.data.codes.map((code) => (
                <li key={code} className="select-all">
                  {code}
                </li>
              ))}
            </ol>
            <Button className="no-print justify-self-start" onClick={() => window.print()}>
              <Printer aria-hidden className="size-4" /> Print
            </Button>
          </>
        ) : (
          <form onSubmit={submit} className="grid gap-4">
            <CurrentPassword value={current} error={wrong} onChange={setCurrent} />
            {make.isError && !wrong && <Failed error={make.error} />}
            <Button type="submit" weight="main" disabled={make.isPending}>
              Make eight codes
            </Button>
          </form>
        )}
      </Sheet>
    </section>
  );
}
