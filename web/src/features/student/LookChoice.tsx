import { useQuery } from "@tanstack/react-query";
import { useId } from "react";
import { queries } from "@/api/queries";
import type { Hand, StudentProfile } from "@/api/types";
import { VIEWS } from "../golfer/camera";
import { GolferPicture } from "../golfer/GolferPicture";
import { LOOKS, lookFor } from "../golfer/looks";

const STANDING = "plain-swing:full";

/** How the golfer looks for a student; until one is chosen, as goes with the name. */
export function LookChoice({
  profile,
  onChange,
}: {
  profile: StudentProfile;
  onChange: (look: string) => void;
}) {
  const name = useId();
  const hand = profile.handedness as Hand;
  const pose = useQuery(queries.poses(hand, [STANDING], profile.height)).data?.[STANDING];
  const chosen = lookFor(profile.name, profile.look);
  return (
    <fieldset className="flex flex-wrap gap-1">
      <legend className="sr-only">Golfer</legend>
      {LOOKS.map((look) => (
        <label
          key={look.id}
          className="has-checked:border-ink hover:bg-tint has-focus-visible:outline-ink has-focus-visible:outline-2 w-14 cursor-pointer rounded-md border-2 border-transparent"
        >
          <input
            type="radio"
            className="sr-only"
            name={name}
            checked={chosen.id === look.id}
            onChange={() => onChange(look.id)}
          />
          <span className="sr-only">{look.label}</span>
          {pose ? (
            <GolferPicture
              fit
              className="h-20 w-full"
              drawn={[{ motion: pose, seconds: 0 }]}
              hand={hand}
              view={VIEWS.face}
              look={look}
            />
          ) : (
            <span className="block h-20" />
          )}
        </label>
      ))}
    </fieldset>
  );
}
