import { Copy, Printer } from "lucide-react";
import { QRCodeSVG } from "qrcode.react";
import { useState } from "react";
import { Button } from "./Button";

/** An address that works once, as a picture for a camera, to be copied or printed. */
export function OneTimeLink({ path, says }: { path: string; says: string }) {
  const [copied, setCopied] = useState(false);
  const link = window.location.origin + path;
  return (
    <>
      <p>{says}</p>
      <div className="justify-self-center rounded bg-white p-4">
        <QRCodeSVG value={link} size={220} title="The address as a picture for the camera" />
      </div>
      <p className="bg-tint rounded p-3 text-sm break-all select-all">{link}</p>
      <div className="no-print flex gap-3">
        <Button
          onClick={async () => {
            await navigator.clipboard?.writeText(link);
            setCopied(true);
          }}
        >
          <Copy aria-hidden className="size-4" /> {copied ? "Copied" : "Copy"}
        </Button>
        <Button onClick={() => window.print()}>
          <Printer aria-hidden className="size-4" /> Print
        </Button>
      </div>
    </>
  );
}
