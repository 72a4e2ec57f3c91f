import type { Wire } from "@/api/types";
import { ASKED, moved, nextPlace, oneBack, pointsOf, type Pose } from "./byHand";
import type { ClipSet, Setting } from "./ClipSettings";
import type { Found } from "./finding";
import type { Shown } from "./shown";

/** What is set at the desk where nothing looked for points: moments, and the places of the body at each. */
export function settingByHand(
  found: Found,
  set: ClipSet,
  onSet: (set: ClipSet) => void,
  tall: number | null,
  onTall: (cm: number | null) => void,
): Setting {
  const mark = (id: string, pose: Pose | undefined) => {
    const others = Object.entries(set.poses).filter(([other]) => other !== id);
    onSet({ ...set, poses: Object.fromEntries(pose ? [...others, [id, pose]] : others) });
  };
  return {
    tall,
    marks: set.marks,
    onTall,
    onMarks: (marks) => onSet({ ...set, marks }),
    onMoment: (id, seconds) => mark(id, seconds === null ? undefined : { seconds, places: {} }),
    onFix: (fix) => {
      const at = fix && Object.entries(set.poses).find(([, p]) => p.seconds === found.times[fix.at]);
      if (at) mark(at[0], moved(set.view, at[1], fix.point, fix.by));
    },
    asking: (id) => {
      const pose = set.poses[id];
      const next = nextPlace(set.view, pose);
      return {
        what: next?.label,
        onPlace: (at) => pose && next && mark(id, { ...pose, places: { ...pose.places, [next.id]: at } }),
        onBack:
          pose && Object.keys(pose.places).length > 0 ? () => mark(id, oneBack(set.view, pose)) : undefined,
        left: ASKED[set.view].filter((m) => !set.poses[m] || nextPlace(set.view, set.poses[m])),
      };
    },
  };
}

/** A film while points are set in it: what is set is seen at once, what is read of it when enough is. */
export function shownByHand(found: Found, set: ClipSet, read: Wire["TrackView"] | undefined): Shown {
  const poses = Object.entries(set.poses);
  return {
    name: found.name,
    view: set.view,
    byHand: true,
    width: found.width,
    height: found.height,
    times: found.times,
    frames: found.times.map((t) => {
      const pose = poses.find(([, p]) => p.seconds === t)?.[1];
      return pose ? pointsOf(set.view, pose) : null;
    }),
    moments: poses.map(([id, pose]) => ({ id, time: pose.seconds, from: "corrected", uncertainty: 0 })),
    warnings: read?.warnings ?? [],
    readings: read?.readings ?? [],
    ruler: read?.scale ?? { from: "none" },
    picture: (i) => found.pictures[i],
  };
}
