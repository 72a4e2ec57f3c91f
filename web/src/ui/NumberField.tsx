import { type InputHTMLAttributes, useId, useLayoutEffect, useRef, useState } from "react";
import { inDigits, type Limits, readNumber } from "./number";

/**
 * A field for one number. What does not fit is refused in place, keeps its form from being sent, and is never given to
 * `onChange`; an empty field gives null, or is refused where a number is `required`.
 */
export function NumberField({
  value,
  onChange,
  lowest,
  highest,
  decimals,
  unit,
  required = false,
  className = "w-20",
  ...rest
}: Limits & {
  value: number | null;
  onChange: (value: number | null) => void;
  required?: boolean;
} & Omit<InputHTMLAttributes<HTMLInputElement>, "value" | "onChange" | "type" | "inputMode" | "required">) {
  const as = (n: number | null) => (n === null ? "" : inDigits(n, decimals ?? 0));
  const [text, setText] = useState(as(value));
  const [shown, setShown] = useState(value);
  if (value !== shown) {
    // Set from outside: by an undo, or because the form was sent.
    setShown(value);
    setText(as(value));
  }
  const typed = readNumber(text, { lowest, highest, decimals, unit });
  const wrong = typed.wrong ?? (required && typed.number === null ? "A number is needed." : undefined);
  const input = useRef<HTMLInputElement>(null);
  useLayoutEffect(() => input.current?.setCustomValidity(wrong ?? ""), [wrong]);
  const note = useId();
  return (
    <span className="inline-grid">
      <input
        {...rest}
        ref={input}
        inputMode={decimals ? "decimal" : "numeric"}
        autoComplete="off"
        className={className}
        value={text}
        aria-invalid={wrong ? true : undefined}
        aria-describedby={wrong ? note : rest["aria-describedby"]}
        onChange={(e) => {
          setText(e.target.value);
          const next = readNumber(e.target.value, { lowest, highest, decimals, unit });
          if (next.wrong !== undefined || (required && next.number === null)) return;
          setShown(next.number);
          if (next.number !== value) onChange(next.number);
        }}
        onBlur={(e) => {
          if (!wrong) setText(as(value));
          rest.onBlur?.(e);
        }}
      />
      {wrong && (
        <span id={note} role="alert" className="text-alert max-w-48 text-sm font-semibold">
          {wrong}
        </span>
      )}
    </span>
  );
}
