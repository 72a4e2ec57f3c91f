import { Field } from "@/ui/Field";

/** A new password, as everywhere one is set. */
export function NewPasswordField({
  label = "New password",
  value,
  error,
  onChange,
}: {
  label?: string;
  value: string;
  error?: string;
  onChange: (value: string) => void;
}) {
  return (
    <Field label={label} hint="At least 8 characters." error={error}>
      {(props) => (
        <input
          {...props}
          type="password"
          required
          minLength={8}
          maxLength={72}
          autoComplete="new-password"
          value={value}
          onChange={(e) => onChange(e.target.value)}
        />
      )}
    </Field>
  );
}
