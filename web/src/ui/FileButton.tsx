import { type ReactNode, useRef } from "react";
import { Problem } from "@/api/client";
import { Button } from "./Button";

const SHOWN = 10;

/** A button that asks for a file and hands it on. */
export function FileButton({
  label,
  accept,
  disabled,
  weight = "plain",
  camera = false,
  onFile,
  children,
}: {
  /** What the file is, for the screen reader. */
  label: string;
  accept: string;
  disabled?: boolean;
  weight?: "plain" | "quiet";
  /** The device's own camera takes the file: only to be seen where there is one to be held. */
  camera?: boolean;
  onFile: (file: File, at: number) => void;
  children: ReactNode;
}) {
  const input = useRef<HTMLInputElement>(null);
  return (
    <>
      <span className={camera ? "hidden pointer-coarse:contents" : "contents"}>
        <Button weight={weight} disabled={disabled} onClick={() => input.current?.click()}>
          {children}
        </Button>
      </span>
      <input
        ref={input}
        type="file"
        accept={accept}
        capture={camera ? "environment" : undefined}
        aria-label={label}
        className={camera ? "hidden" : "sr-only"}
        tabIndex={-1}
        onChange={(event) => {
          const file = event.target.files?.[0];
          event.target.value = "";
          if (file) onFile(file, event.timeStamp);
        }}
      />
    </>
  );
}

/** A file's JSON, or a word that it is none. */
export async function jsonOf(file: File): Promise<unknown> {
  try {
    return JSON.parse(await file.text());
  } catch {
    throw new Problem(0, `${file.name} is no JSON file.`);
  }
}

/** Why nothing of a file was taken in, place by place. */
export function FileRefused({ error }: { error: Error }) {
  const problems = error instanceof Problem ? error.fields : [];
  return (
    <div role="alert" className="border-alert basis-full border-l-4 pl-3">
      <p>Nothing was taken in. {problems.length === 0 && error.message}</p>
      <ul>
        {problems.slice(0, SHOWN).map((p) => (
          <li key={p.field + p.message}>
            <strong>{p.field}</strong> {p.message}
          </li>
        ))}
      </ul>
      {problems.length > SHOWN && <p>And {problems.length - SHOWN} more.</p>}
    </div>
  );
}
