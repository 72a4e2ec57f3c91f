import type { Content, TDocumentDefinitions } from "pdfmake/interfaces";
import type { Hand } from "@/api/types";
import { longDay } from "@/calendar/dates";
import { makePdf, pictureFor } from "@/ui/pdf";
import { DrillDiagram } from "../drill/DrillDiagram";
import { VIEWS } from "../golfer/camera";
import { GolferPicture } from "../golfer/GolferPicture";
import { type Motion, posesOf } from "../golfer/motion";
import { type CueCard, type Sheet, type SheetDay, type SheetLine, type Shown, STOPPED } from "./sheetShape";

const TICKS = "clear ☐   lost ☐   pain ☐";
const SOFT = "#5a5144";

/** A drill with its movement. */
export type Moving = Shown & { motion: Motion };

/** Saves the sheet as a file to send: a page a week, how the drills go and the card on the last. */
export async function saveSheet(sheet: Sheet, moving: Moving[], hand: Hand): Promise<void> {
  await makePdf(sheetDocument(sheet, moving, hand)).download(fileName(sheet.student));
}

function fileName(student: string): string {
  return `practice-${student.toLowerCase().replace(/\s+/g, "-")}.pdf`;
}

function sheetDocument(sheet: Sheet, moving: Moving[], hand: Hand): TDocumentDefinitions {
  return {
    info: { title: `Practice for ${sheet.student}` },
    content: sheet.weeks.flatMap((days, week): Content[] => [
      {
        columns: [
          { text: sheet.student, fontSize: 18, bold: true, width: "auto" },
          { text: `Next lesson: ${longDay(sheet.nextLesson)}`, alignment: "right", margin: [0, 7, 0, 0] },
        ],
        pageBreak: week > 0 ? "before" : undefined,
      },
      { text: `${sheet.focus} · week ${week + 1} of ${sheet.weeks.length}`, margin: [0, 0, 0, 4] },
      {
        table: { widths: [84, "*"], dontBreakRows: true, body: days.map((day) => dayRow(day, hand)) },
        layout: {
          hLineWidth: (i) => (i === 0 ? 1.2 : 0.4),
          vLineWidth: () => 0,
          paddingTop: () => 5,
          paddingBottom: () => 5,
        },
      },
      ...(week === 0 && sheet.cautions.length > 0
        ? [{ ul: sheet.cautions, fontSize: 9, margin: [0, 8, 0, 0] } as Content]
        : []),
      ...(week === sheet.weeks.length - 1 ? moving.map((one) => strip(one, hand, sheet)) : []),
      ...(week === sheet.weeks.length - 1 && sheet.card ? [card(sheet.card)] : []),
    ]),
  };
}

const POSES = 6;

/** A drill's movement as poses side by side. */
function strip({ drill, motion }: Moving, hand: Hand, { look, words }: Sheet): Content {
  return {
    stack: [
      {
        text: [{ text: `${drill.name}. `, bold: true }, `${drill.action} ${words[drill.id] ?? ""}`],
        margin: [0, 10, 0, 2],
      },
      {
        columns: posesOf(motion, POSES).map((m) => ({
          stack: [
            {
              svg: pictureFor(
                <GolferPicture
                  paper
                  drawn={[{ motion, seconds: m.time }]}
                  hand={hand}
                  view={VIEWS.face}
                  look={look}
                />,
              ),
              width: 80,
            },
            { text: m.brief, fontSize: 8, color: SOFT, alignment: "center" },
          ],
        })),
      },
    ],
    unbreakable: true,
  };
}

function dayRow(day: SheetDay, hand: Hand): Content[] {
  const { drill } = day;
  return [
    drill
      ? {
          svg: pictureFor(<DrillDiagram diagram={drill.diagram} hand={hand} title={drill.name} />),
          width: 82,
        }
      : "",
    [
      {
        columns: [
          { text: [{ text: day.when, bold: true }, `, ${day.where}`] },
          { text: TICKS, alignment: "right" },
        ],
      },
      ...day.lines.map((line): Content => ({
        text: [
          line.stopped ? { text: line.text, decoration: "lineThrough" } : `${line.text}  `,
          line.stopped
            ? { text: `  ${STOPPED}`, bold: true }
            : { text: boxes(line), preserveTrailingSpaces: true },
          ...(line.hint ? [{ text: `\n${line.hint}`, color: SOFT, fontSize: 9 }] : []),
        ],
        margin: [0, 2, 0, 0],
      })),
    ],
  ];
}

/** Boxes in fives. */
function boxes({ boxes: count, scored }: SheetLine): string {
  const row = Array.from({ length: count }, (_, i) => (i > 0 && i % 5 === 0 ? "  ☐" : "☐")).join("");
  return scored ? `${row}  good: ____` : row;
}

function card({ before, after }: CueCard): Content {
  return {
    table: {
      widths: [300],
      body: [
        [
          [
            { text: "For the pocket", fontSize: 13, bold: true },
            { text: ["Before the shot: ", { text: before, bold: true }], margin: [0, 4, 0, 0] },
            { text: `After a bad one: ${after}`, margin: [0, 4, 0, 0] },
          ],
        ],
      ],
    },
    layout: { paddingLeft: () => 10, paddingRight: () => 10, paddingTop: () => 8, paddingBottom: () => 8 },
    margin: [0, 14, 0, 0],
    unbreakable: true,
  };
}
