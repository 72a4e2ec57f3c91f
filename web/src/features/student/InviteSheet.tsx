import { useMutation } from "@tanstack/react-query";
import { Copy, Printer } from "lucide-react";
import { QRCodeSVG } from "qrcode.react";
import { useState } from "react";
import { api } from "@/api/client";
import type { Wire } from "@/api/types";
import { Button } from "@/ui/Button";
import { Failed } from "@/ui/Notice";
import { Sheet } from "@/ui/Sheet";

/** Makes a one-time link for the student's account, to be shown, copied or printed. */
export function InviteSheet({ studentId, name }: { studentId: string; name: string }) {
  const [open, setOpen] = useState(false);
  const [copied, setCopied] = useState(false);
  const invite = useMutation({
    mutationFn: () => api.post<Wire["Invitation"]>(`/api/students/${studentId}/invitation`),
  });
  const link = invite.data && `${window.location.origin}/welcome/${invite.data.token}`;
  const show = () => {
    setCopied(false);
    setOpen(true);
    invite.mutate();
  };
  return (
    <>
      <Button onClick={show}>Invite to the phone</Button>
      <Sheet title={`Invitation for ${name}`} open={open} onOpenChange={setOpen}>
        {invite.isError && <Failed error={invite.error} again={() => invite.mutate()} />}
        {link && (
          <>
            <p>Point the phone's camera here, or open the address. It works once, for fourteen days.</p>
            <div className="justify-self-center rounded bg-white p-4">
              <QRCodeSVG value={link} size={220} title="Invitation as a picture for the camera" />
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
        )}
      </Sheet>
    </>
  );
}
