import type { MomentName } from "@/api/types";
import { Choice } from "@/ui/Choice";

/** The first balls of a lesson or the last. */
export function WhichBalls({
  value,
  onChange,
}: {
  value: MomentName;
  onChange: (moment: MomentName) => void;
}) {
  return (
    <Choice
      label="Which balls"
      value={value}
      options={[
        { id: "before", label: "Before" },
        { id: "after", label: "After" },
      ]}
      onChange={(moment) => onChange(moment as MomentName)}
    />
  );
}
