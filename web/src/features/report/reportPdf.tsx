import type { Content, TDocumentDefinitions } from "pdfmake/interfaces";
import { today } from "@/calendar/dates";
import { makePdf, pictureFor } from "@/ui/pdf";
import type { OnPaper } from "../clip/filmsOnPaper";
import { STOPPED } from "../plan/sheetShape";
import { ThreadDrawing } from "../progress/ThreadDrawing";
import type { Report } from "./reportShape";

const WIDTH = 527;
const FILM_HIGH = 120;

/** Saves the report as a file to send: one page. */
export async function saveReport(report: Report, films: OnPaper[]): Promise<void> {
  await makePdf(reportDocument(report, films)).download(
    `report-${report.student.toLowerCase().replace(/\s+/g, "-")}.pdf`,
  );
}

export function reportDocument(report: Report, films: OnPaper[] = []): TDocumentDefinitions {
  const { next } = report;
  return {
    info: { title: `How it goes: ${report.student}` },
    content: [
      {
        columns: [
          { text: report.student, fontSize: 18, bold: true, width: "auto" },
          { text: `How it goes, ${report.day}`, alignment: "right", margin: [0, 7, 0, 0] },
        ],
      },
      ...part(report.whole ? `Since ${report.whole.since}, when this work began` : "", [
        ...(report.whole?.changes ?? []).map((c) => ({
          text: [{ text: `${c.name}. `, bold: true }, c.said],
        })),
        ...(report.whole?.gone ? [report.whole.gone] : []),
      ]),
      ...part(
        "What we work on",
        report.faults.map((f) => ({ text: [{ text: `${f.name}. `, bold: true }, f.what] })),
      ),
      ...part("What was practised", [
        report.practised,
        ...(report.passed.length > 0 ? [`Passed – ${report.passed.join("; ")}.`] : []),
      ]),
      ...part(
        report.changes.length > 0 || report.rest || report.thread ? "What changed since last time" : "",
        [
          ...report.changes.map((c) => ({ text: [{ text: `${c.name}. `, bold: true }, c.said] })),
          ...(report.rest ? [report.rest] : []),
        ],
      ),
      ...(films.length > 0
        ? [
            {
              columns: films.map(({ picture, told }) => ({
                width: "auto",
                stack: [
                  { svg: pictureFor(picture), height: FILM_HIGH },
                  { text: told, fontSize: 8.5, margin: [0, 2, 8, 0] },
                ],
              })),
              columnGap: 8,
              margin: [0, 6, 0, 0],
            } as Content,
          ]
        : []),
      ...(report.thread
        ? ([
            {
              text: `${report.thread.series.label}: filled point, first balls of a lesson; open point, last ones; bars and band: where the true value lies with 95 % certainty; strand: practice`,
              fontSize: 8.5,
              margin: [0, 4, 0, 2],
            },
            {
              svg: pictureFor(
                <ThreadDrawing thread={report.thread.thread} series={report.thread.series} today={today()} />,
              ),
              width: WIDTH,
            },
          ] as Content[])
        : []),
      ...(next
        ? part(`What to do until ${next.until}`, [
            next.days,
            {
              ol: next.steps.map((step) =>
                step.stopped
                  ? { text: [{ text: step.text, decoration: "lineThrough" }, `  ${STOPPED}`] }
                  : step.text,
              ),
            },
            ...(next.before
              ? [
                  {
                    text: [
                      "Before the shot: ",
                      { text: next.before, bold: true },
                      `. After a bad one: ${next.after ?? ""}`,
                    ],
                  },
                ]
              : []),
          ])
        : []),
      ...part(report.cautions.length > 0 ? "Take care" : "", [{ ul: report.cautions, fontSize: 9 }]),
    ],
  };
}

function part(title: string, contents: Content[]): Content[] {
  return title === "" ? [] : [head(title), ...contents];
}

function head(title: string): Content {
  return { text: title, bold: true, fontSize: 13, margin: [0, 9, 0, 2] };
}
