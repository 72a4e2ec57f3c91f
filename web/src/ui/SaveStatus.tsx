import type { SaveState } from "@/api/useSaver";

/** Whether what is on the screen is stored. */
export function SaveStatus({ state, error }: { state: SaveState; error: Error | null }) {
  return (
    <span role="status" className={state === "unsaved" ? "text-alert font-semibold" : "text-soft text-sm"}>
      {state === "unsaved" ? `Not saved: ${error?.message ?? ""}` : state === "saving" ? "Saving" : "Saved"}
    </span>
  );
}
