import type { TCreatedPdf, TDocumentDefinitions } from "pdfmake/interfaces";
import pdfMake from "pdfmake/build/pdfmake";
import type { ReactElement } from "react";
import { renderToStaticMarkup } from "react-dom/server";
import regular from "source-sans/TTF/SourceSans3-Regular.ttf?url";
import bold from "source-sans/TTF/SourceSans3-Semibold.ttf?url";

const address = (file: string) => new URL(file, window.location.href).href;

/** A picture drawn for the screen, as markup for paper: the light theme's tones, whatever theme is on. */
export function pictureFor(paper: ReactElement): string {
  const probe = document.body.appendChild(document.createElement("span"));
  probe.dataset.theme = "light";
  const tones = getComputedStyle(probe);
  const markup = renderToStaticMarkup(paper).replace(/var\((--[\w-]+)\)/g, (_, name: string) =>
    tones.getPropertyValue(name).trim(),
  );
  probe.remove();
  return markup;
}

/** Makes a PDF in the browser, with the product's own type. */
export function makePdf(content: TDocumentDefinitions): TCreatedPdf {
  pdfMake.addFonts({ Sans: { normal: address(regular), bold: address(bold) } });
  return pdfMake.createPdf({
    pageSize: "A4",
    pageMargins: [34, 34, 34, 34],
    ...content,
    defaultStyle: { font: "Sans", fontSize: 10.5, lineHeight: 1.1, ...content.defaultStyle },
  });
}
