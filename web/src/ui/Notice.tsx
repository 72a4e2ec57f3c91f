import { AlertTriangle, Info } from "lucide-react";
import type { ReactNode } from "react";
import { Button } from "./Button";

export function Loading({ what = "Loading" }: { what?: string }) {
  return (
    <p role="status" className="waits text-soft p-6">
      {what} …
    </p>
  );
}

export function Failed({ error, again }: { error: unknown; again?: () => void }) {
  return (
    <div role="alert" className="border-alert my-4 grid justify-items-start gap-2 border-l-4 p-4">
      <p>{error instanceof Error ? error.message : "Something went wrong."}</p>
      {again && <Button onClick={again}>Try again</Button>}
    </div>
  );
}

export function Empty({ children }: { children: ReactNode }) {
  return <div className="text-soft border-line grid justify-items-start gap-3 border-y py-8">{children}</div>;
}

/** Something to know before going on. */
export function Note({
  tone = "plain",
  children,
}: {
  tone?: "plain" | "warn" | "alert";
  children: ReactNode;
}) {
  const colour = { plain: "border-strong-line", warn: "border-warn", alert: "border-alert" }[tone];
  const Icon = tone === "plain" ? Info : AlertTriangle;
  return (
    <div className={`flex gap-3 border-l-4 py-1 pl-3 ${colour}`}>
      <Icon aria-hidden className="mt-1 size-4 shrink-0" />
      <div>{children}</div>
    </div>
  );
}
