import { Link } from "react-router";
import { Button } from "@/ui/Button";
import { Note } from "@/ui/Notice";
import { useLeftBehind } from "./unsent";

/** On every page of a coach: lessons whose entries wait on this machine to be stored. */
export function LeftBehind() {
  const { waiting, forget } = useLeftBehind();
  if (waiting.length === 0) return null;
  return (
    <div role="status" className="no-print mb-4 grid gap-2">
      {waiting.map(({ key, draft }) => (
        <Note key={key} tone={draft.refusal ? "alert" : "warn"}>
          <Link to={`/lessons/${draft.id}`}>{draft.label}</Link>:{" "}
          {draft.refusal
            ? `what was entered was not taken. ${draft.refusal}`
            : "what was entered is kept on this machine and goes when it can."}
          {draft.refusal && (
            <Button weight="quiet" className="px-2!" onClick={() => forget(key)}>
              Throw it away
            </Button>
          )}
        </Note>
      ))}
    </div>
  );
}
