import { AccountPanel } from "../account/AccountPanel";
import { PhoneFrame } from "./PhoneFrame";
import { Title } from "@/ui/Title";

/** A student's own account. */
export default function PhoneAccountPage() {
  return (
    <PhoneFrame>
      <Title>Your account</Title>
      <h1 className="mb-4">Your account</h1>
      <AccountPanel codes={false} />
    </PhoneFrame>
  );
}
