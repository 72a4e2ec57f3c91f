import { useQuery } from "@tanstack/react-query";
import { useParams } from "react-router";
import { api } from "@/api/client";
import type { Session, Wire } from "@/api/types";
import { Failed, Loading } from "@/ui/Notice";
import { Mark } from "./CoachFrame";
import { type NewAccount, NewAccountForm } from "./NewAccountForm";
import { useEnter } from "./session";

/** Where an invitation leads: the student makes an account. */
export default function WelcomePage() {
  const { token } = useParams();
  const invitation = useQuery({
    queryKey: ["invitation", token],
    queryFn: () => api.get<Wire["InvitationView"]>(`/api/invitations/${token}`),
  });
  const enter = useEnter(({ email, password }: NewAccount) =>
    api.post<Session>(`/api/invitations/${token}`, { email, password }),
  );
  return (
    <main className="mx-auto grid max-w-md gap-6 p-6">
      <Mark />
      {invitation.isPending && <Loading />}
      {invitation.isError && <Failed error={invitation.error} />}
      {invitation.data && (
        <>
          <h1>Hello {invitation.data.student}</h1>
          <p>
            {invitation.data.coach} has a practice plan for you. Choose how you sign in; after that this phone
            shows what to do each day.
          </p>
          <NewAccountForm
            askName={false}
            action="Make my account"
            busy={enter.isPending}
            error={enter.error}
            onSubmit={(account) => enter.mutate(account)}
          />
        </>
      )}
    </main>
  );
}
