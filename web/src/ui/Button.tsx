import type { ButtonHTMLAttributes, ReactNode } from "react";
import { Link, type LinkProps } from "react-router";

type Weight = "main" | "plain" | "quiet";

const LOOK: Record<Weight, string> = {
  main: "bg-ink text-on-ink border-ink hover:opacity-90",
  plain: "bg-sheet text-ink border-strong-line hover:bg-tint",
  quiet: "bg-transparent text-ink border-transparent hover:bg-tint",
};
const SHAPE =
  "inline-flex items-center justify-center gap-2 rounded-md border px-4 min-h-11 font-semibold no-underline disabled:opacity-50";

export function Button({
  weight = "plain",
  className = "",
  ...rest
}: ButtonHTMLAttributes<HTMLButtonElement> & { weight?: Weight }) {
  return <button type="button" className={`${SHAPE} ${LOOK[weight]} ${className}`} {...rest} />;
}

export function ButtonLink({
  weight = "plain",
  className = "",
  ...rest
}: LinkProps & { weight?: Weight; children: ReactNode }) {
  return <Link className={`${SHAPE} ${LOOK[weight]} ${className}`} {...rest} />;
}
