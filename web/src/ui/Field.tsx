import { type ReactNode, useId } from "react";

/** A labelled form field with room for a hint and for what is wrong. */
export function Field({
  label,
  hint,
  error,
  children,
}: {
  label: string;
  hint?: string;
  error?: string;
  children: (props: { id: string; "aria-describedby"?: string; "aria-invalid"?: boolean }) => ReactNode;
}) {
  const id = useId();
  const note = error ?? hint;
  return (
    <div className="grid gap-1">
      <label htmlFor={id} className="font-semibold">
        {label}
      </label>
      {children({
        id,
        "aria-describedby": note ? `${id}-note` : undefined,
        "aria-invalid": error ? true : undefined,
      })}
      {note && (
        <p
          id={`${id}-note`}
          role={error ? "alert" : undefined}
          className={error ? "text-alert font-semibold" : "text-soft text-sm"}
        >
          {error}
          {!error && hint}
        </p>
      )}
    </div>
  );
}
