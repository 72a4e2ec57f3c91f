import type { SaveState } from "@/api/useSaver";

/** Whether what is on the screen is stored; `kept` whether it is at least kept on this machine until then. */
export function SaveStatus({
  state,
  error,
  kept = false,
}: {
  state: SaveState;
  error: Error | null;
  kept?: boolean;
}) {
  const unsaved = kept ? "Kept on this machine, not saved yet" : "Not saved";
  return (
    <span role="status" className={state === "unsaved" ? "text-alert font-semibold" : "text-soft text-sm"}>
      {state === "unsaved" ? `${unsaved}: ${error?.message ?? ""}` : state === "saving" ? "Saving" : "Saved"}
    </span>
  );
}
