import type { ButtonHTMLAttributes, ReactNode } from "react";

/** A button that shows only a picture; its name is spoken and shown on hovering. */
export function IconButton({
  label,
  children,
  ...rest
}: { label: string; children: ReactNode } & ButtonHTMLAttributes<HTMLButtonElement>) {
  return (
    <button
      type="button"
      aria-label={label}
      title={label}
      className="not-aria-pressed:hover:bg-tint aria-pressed:bg-ink aria-pressed:text-on-ink grid size-11 place-items-center rounded-md disabled:opacity-40"
      {...rest}
    >
      {children}
    </button>
  );
}
