import { useMutation } from "@tanstack/react-query";
import { useState } from "react";
import { api } from "@/api/client";
import type { Wire } from "@/api/types";
import { Button } from "@/ui/Button";
import { Failed } from "@/ui/Notice";
import { OneTimeLink } from "@/ui/OneTimeLink";
import { Sheet } from "@/ui/Sheet";

/** Makes a one-time link for the student's account, to be shown, copied or printed. */
export function InviteSheet({ studentId, name }: { studentId: string; name: string }) {
  return (
    <LinkSheet
      button="Invite to the phone"
      title={`Invitation for ${name}`}
      from={`/api/students/${studentId}/invitation`}
      leads="/welcome/"
      says="Point the phone's camera here, or open the address. It works once, for fourteen days."
    />
  );
}

/** The same for a student who lost the password: a new one is set by it, and every phone is signed out. */
export function PasswordSheet({ studentId, name }: { studentId: string; name: string }) {
  return (
    <LinkSheet
      button="Lost the password"
      title={`A new password for ${name}`}
      from={`/api/students/${studentId}/password-link`}
      leads="/password/"
      says="Point the phone's camera here, or open the address. It works once, for two days, and signs out everywhere."
    />
  );
}

function LinkSheet({
  button,
  title,
  from,
  leads,
  says,
}: {
  button: string;
  title: string;
  from: string;
  leads: string;
  says: string;
}) {
  const [open, setOpen] = useState(false);
  const make = useMutation({ mutationFn: () => api.post<Wire["Invitation"]>(from) });
  return (
    <>
      <Button
        onClick={() => {
          setOpen(true);
          make.mutate();
        }}
      >
        {button}
      </Button>
      <Sheet title={title} open={open} onOpenChange={setOpen}>
        {make.isError && <Failed error={make.error} again={() => make.mutate()} />}
        {make.data && <OneTimeLink path={leads + make.data.token} says={says} />}
      </Sheet>
    </>
  );
}
