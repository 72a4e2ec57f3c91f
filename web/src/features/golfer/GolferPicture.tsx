import { useId, useMemo } from "react";
import type { Hand } from "@/api/types";
import { cameraOf, type View } from "./camera";
import { type Look, LOOKS, shaded } from "./looks";
import { type Drawn, pictureOf } from "./scene";
import { boundsOf, patchesOf, type Shape, shapesOf } from "./svgFigure";

/** As much of the ink under a quarter of a sole, % of the weight. */
const FULL = 26;

/** A golfer in ink and colour, drawn from the core's points: for tiles, strips, paper, and where nothing else can draw. */
export function GolferPicture({
  drawn,
  hand,
  view,
  look = LOOKS[0]!,
  title,
  fit = false,
  paper = false,
  className = "",
}: {
  /** Laid over each other, the first at the back. */
  drawn: Drawn[];
  hand: Hand;
  view: View;
  look?: Look;
  /** Left out where the picture says nothing that the text beside it does not. */
  title?: string;
  /** Cut to what the figure takes up, where no other picture is beside it to be compared. */
  fit?: boolean;
  /** For a PDF. */
  paper?: boolean;
  className?: string;
}) {
  const id = useId().replaceAll(":", "");
  const scenes = useMemo(
    () =>
      drawn.map((d) => {
        const picture = pictureOf(d, hand, look.build, view);
        const camera = cameraOf(view, hand);
        return {
          ...picture,
          shapes: shapesOf(picture.parts, camera, fit ? "small" : "fine"),
          patches: patchesOf(picture.glows, camera),
        };
      }),
    [drawn, hand, view, look, fit],
  );
  const last = scenes[scenes.length - 1];
  if (!last) return null;
  const camera = cameraOf(view, hand);
  return (
    <svg
      viewBox={
        fit
          ? boundsOf(last.parts, camera)
              .map((n) => n.toFixed(1))
              .join(" ")
          : "0 0 100 100"
      }
      role={title ? "img" : undefined}
      aria-label={title}
      aria-hidden={title ? undefined : true}
      className={`golfer ${className}`}
    >
      <defs>
        <pattern
          id={`${id}-hatch`}
          width="1.6"
          height="1.6"
          patternUnits="userSpaceOnUse"
          patternTransform="rotate(45)"
        >
          <rect width="0.9" height="1.6" fill="var(--trail)" />
        </pattern>
      </defs>
      {last.patches.map((patch) => (
        <path
          key={patch.id}
          d={patch.d}
          fill={patch.lead ? "var(--lead)" : `url(#${id}-hatch)`}
          opacity={Math.min(1, patch.load / FULL)}
        />
      ))}
      {scenes.map((scene, i) => (
        <g key={i} opacity={scene.ghost ? 0.35 : 1}>
          {scene.shapes.map((shape) => (
            <Inked key={shape.id} shape={shape} look={look} paper={paper} />
          ))}
        </g>
      ))}
    </svg>
  );
}

/** Its line behind, its colour before it, so that stretches of one part show no seams. */
function Inked({ shape, look, paper }: { shape: Shape; look: Look; paper: boolean }) {
  const colour = shaded(look.colours[shape.material], 0.72 + 0.28 * shape.light);
  const line = { stroke: INK, strokeWidth: 0.7, strokeLinejoin: "round" } as const;
  if (!paper) return <path d={shape.d} fill={colour} {...line} paintOrder="stroke" />;
  // What makes the PDF knows no order of painting.
  return (
    <>
      <path d={shape.d} fill={INK} {...line} />
      <path d={shape.d} fill={colour} />
    </>
  );
}

/** Light on dark, so that dark trousers are told from the page. */
const INK = "var(--outline)";
