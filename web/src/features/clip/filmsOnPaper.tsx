import type { QueryClient } from "@tanstack/react-query";
import { queries } from "@/api/queries";
import type { Catalogue, Hand, Wire } from "@/api/types";
import { MeasuredLines } from "./MeasuredLines";
import { type FilmPair, momentsOfBoth, pairsOf, type Side, toldAt } from "./pairs";
import { base64 } from "./pictures";
import { seenAt } from "./seenAt";
import { nearest, type Shown, TELLING } from "./shown";
import { shownOf } from "./useStored";

/** A film's picture as it is drawn on paper, with what is measured in it. */
export type OnPaper = { picture: React.ReactElement; told: string };

/** The films of two lessons beside each other at the moment that tells most, as on the screen. */
export async function filmsOnPaper(
  client: QueryClient,
  then: Side,
  now: Side,
  hand: Hand,
  catalogue: Catalogue,
): Promise<OnPaper[]> {
  const [first, second] = await Promise.all([
    client.fetchQuery(queries.clips(then.lesson)),
    client.fetchQuery(queries.clips(now.lesson)),
  ]);
  const pairs = pairsOf(first, then, second, now);
  return (await Promise.all(pairs.map((pair) => pairOnPaper(client, pair, hand, catalogue)))).flat();
}

async function pairOnPaper(
  client: QueryClient,
  { view, was, is }: FilmPair,
  hand: Hand,
  catalogue: Catalogue,
): Promise<OnPaper[]> {
  const both = momentsOfBoth(was, is, catalogue);
  const at = both.find((c) => c.id === TELLING[view].at) ?? both[0];
  if (!at) return [];
  const side = async (label: string, clip: Wire["ClipView"]) => {
    const shown = shownOf(clip, await client.fetchQuery(queries.clipPoints(clip.id)));
    const told = toldAt(shown, at.id, catalogue);
    return {
      picture: await drawn(shown, at.id, hand),
      told: `${label}, ${at.label.toLowerCase()}${told ? `: ${told}` : ""}`,
    };
  };
  return Promise.all([side("Then", was), side("Now", is)]);
}

async function drawn(shown: Shown, moment: string, hand: Hand) {
  const index = nearest(shown.times, shown.moments.find((m) => m.id === moment)!.time);
  const { drawn, picture } = seenAt(shown, index, hand, moment);
  const { width, height } = shown;
  return (
    <svg xmlns="http://www.w3.org/2000/svg" viewBox={`0 0 ${width} ${height}`}>
      {picture ? (
        <image href={await dataOf(picture)} width={width} height={height} />
      ) : (
        <rect width={width} height={height} fill="#5a5144" />
      )}
      <MeasuredLines drawing={drawn} line={width / 160} />
    </svg>
  );
}

/** A picture as text that a file may hold. */
async function dataOf(picture: Blob | string): Promise<string> {
  const blob = typeof picture === "string" ? await fetch(picture).then((r) => r.blob()) : picture;
  return `data:image/jpeg;base64,${await base64(blob)}`;
}
