import { ButtonLink } from "./Button";
import { Title } from "./Title";

export function NotFoundPage() {
  return (
    <main className="mx-auto grid max-w-xl justify-items-start gap-4 p-8">
      <Title>Not found</Title>
      <h1>There is no page here</h1>
      <p>The address may be old or mistyped.</p>
      <ButtonLink to="/">To the start</ButtonLink>
    </main>
  );
}
