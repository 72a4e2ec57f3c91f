import { useQuery } from "@tanstack/react-query";
import { queries } from "@/api/queries";
import type { Hand } from "@/api/types";
import { GolferPicture } from "../golfer/GolferPicture";
import type { Motion } from "../golfer/motion";
import { Frame } from "./Frame";
import { Seen } from "./Seen";
import { mirror, nearest, type Shown } from "./shown";
import { laidOver, LEVEL, SQUARE, stanceIn, stanceOf } from "./stance";
import { byMoments, strikesApart } from "./ties";

/** What a film is held against: another film, or the golfer's swing as the school wants it. */
export type Other = { name: string } & ({ film: Shown } | { motion: Motion });

/** Chosen, in a list of what a film may be held against. */
export const WANTED = "wanted";
export const MIRRORED = "mirrored";

/** What was chosen to hold a film against: the wanted swing of a school, itself in a mirror, another film, or nothing. */
export function useOther(
  chosen: string | undefined,
  film: Shown | undefined,
  school: string,
  hand: Hand,
  own: Shown | undefined,
): Other | undefined {
  const asked = chosen === WANTED && school !== "";
  const wanted = useQuery({ ...queries.swingMotion({}, hand, school), enabled: asked });
  if (chosen === WANTED) return wanted.data && { name: "The wanted swing", motion: wanted.data };
  if (chosen === MIRRORED) return own && { name: "Mirrored", film: mirror(own) };
  return film && { name: film.name, film };
}

type Props = {
  other: Other;
  shown: Shown;
  /** Which picture of the film, and the moment it is at. */
  at: number;
  moment?: string;
  hand: Hand;
};

/** The other at the same moment, beside the film. */
export function Beside(props: Props) {
  const { other, shown, at, hand, moment } = props;
  if ("film" in other)
    return <Seen shown={other.film} at={same(other.film, shown, at)} hand={hand} moment={moment} />;
  return (
    <Frame width={shown.width} height={shown.height} className="bg-tint">
      <Over {...props} />
    </Frame>
  );
}

/** The other at the same moment, over the film: feet on feet and as tall. */
export function Over({ other, shown, at, moment, hand }: Props) {
  const here = stanceOf(shown);
  const there = "film" in other ? stanceOf(other.film) : stanceIn(other.motion, shown.view, hand);
  if (!here || !there) return null;
  const { left, top, scale } = laidOver(here, there);
  const [wide, high] = "film" in other ? [other.film.width, other.film.height] : [SQUARE, SQUARE];
  const part = (pixels: number, of: number) => `${(100 * pixels) / of}%`;
  return (
    <div
      className="absolute [--tall:1000rem]"
      style={{
        left: part(left, shown.width),
        top: part(top, shown.height),
        width: part(scale * wide, shown.width),
        height: part(scale * high, shown.height),
      }}
    >
      {"film" in other ? (
        <Seen shown={other.film} at={same(other.film, shown, at)} hand={hand} moment={moment} />
      ) : (
        <GolferPicture
          drawn={[
            {
              motion: other.motion,
              seconds: byMoments(shown.moments, other.motion.moments, shown.times[at] ?? 0),
            },
          ]}
          hand={hand}
          view={LEVEL[shown.view]}
          title={other.name}
          className="size-full"
        />
      )}
    </div>
  );
}

/** The other's picture that goes with one: of the same swing from elsewhere by the clock, of another moment by moment. */
function same(film: Shown, shown: Shown, at: number): number {
  const seconds = shown.times[at] ?? 0;
  const apart = film.view === shown.view ? undefined : strikesApart(shown.moments, film.moments);
  return nearest(
    film.times,
    apart === undefined ? byMoments(shown.moments, film.moments, seconds) : seconds + apart,
  );
}
