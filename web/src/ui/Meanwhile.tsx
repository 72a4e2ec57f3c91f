import { Button } from "./Button";
import { Note } from "./Notice";

/** Says what was changed meanwhile, in another window or by somebody else, and put together with what is here. */
export function Meanwhile({ changed, onSeen }: { changed: string[]; onSeen: () => void }) {
  if (changed.length === 0) return null;
  return (
    <Note tone="warn">
      <p role="status" className="flex flex-wrap items-center gap-x-3">
        <span>
          Changed meanwhile in another window or by somebody else, and now together with yours:{" "}
          <strong>{changed.join(", ")}</strong>.
        </span>
        <Button weight="quiet" className="px-2!" onClick={onSeen}>
          Seen
        </Button>
      </p>
    </Note>
  );
}
