import { useParams } from "react-router";
import { api } from "@/api/client";
import type { Session, Wire } from "@/api/types";
import { type NewAccount, NewAccountForm } from "./NewAccountForm";
import { OneTimePage } from "./OneTimePage";
import { useEnter } from "./session";
import { Title } from "@/ui/Title";

/** Where an invitation leads: the student makes an account. */
export default function WelcomePage() {
  const { token } = useParams();
  const path = `/api/invitations/${token}`;
  const enter = useEnter(({ email, password }: NewAccount) => api.post<Session>(path, { email, password }));
  return (
    <OneTimePage<Wire["InvitationView"]> path={path}>
      {(invitation) => (
        <>
          <Title>Welcome</Title>
          <h1>Hello {invitation.student}</h1>
          <p>
            {invitation.coach} has a practice plan for you. Choose how you sign in; after that this phone
            shows what to do each day.
          </p>
          <NewAccountForm askName={false} action="Make my account" enter={enter} />
        </>
      )}
    </OneTimePage>
  );
}
