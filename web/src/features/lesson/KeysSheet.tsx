import type { Catalogue } from "@/api/types";
import { Sheet } from "@/ui/Sheet";
import { TALLY_KEYS } from "./keys";

const KEYS = [
  ["1 – 8", "choose a checkpoint or the body screen"],
  ["y / n / x", "yes, no, not looked at: answers the marked sign and goes on"],
  ["N", "no to all at this checkpoint that are not answered"],
  ["↑ / ↓", "mark another sign"],
  ["z / Z", "undo, redo"],
  ["/", "find a sign by typing"],
  [", / .", "the view before, the view after"],
  ["p", "to what to work on, and on to the plan"],
  ["?", "this list"],
];

const PLATE_KEYS = [
  ["k", "keeps the swing that is looked at"],
  ["Backspace", "throws it away"],
  ["z", "takes the last of both back"],
];

export function KeysSheet({
  open,
  onOpenChange,
  catalogue,
}: {
  open: boolean;
  onOpenChange: (open: boolean) => void;
  catalogue: Catalogue;
}) {
  const label = (kind: string, result: string) =>
    catalogue.ballResults.find((r) => r.kind === kind && r.id === result)?.label;
  return (
    <Sheet title="Keys" open={open} onOpenChange={onOpenChange}>
      <Keys keys={KEYS} />
      <h3>On the plate</h3>
      <Keys keys={PLATE_KEYS} />
      <h3>One ball</h3>
      <dl className="grid grid-cols-[2rem_1fr_2rem_1fr] gap-y-1">
        {Object.entries(TALLY_KEYS).map(([key, { kind, result }]) => (
          <div key={key} className="contents">
            <dt className="font-semibold">{key}</dt>
            <dd>{label(kind, result)}</dd>
          </div>
        ))}
      </dl>
    </Sheet>
  );
}

function Keys({ keys }: { keys: string[][] }) {
  return (
    <dl className="grid grid-cols-[6rem_1fr] gap-y-1">
      {keys.map(([key, what]) => (
        <div key={key} className="contents">
          <dt className="font-semibold">{key}</dt>
          <dd>{what}</dd>
        </div>
      ))}
    </dl>
  );
}
