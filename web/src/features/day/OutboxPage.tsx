import { useQuery } from "@tanstack/react-query";
import { queries } from "@/api/queries";
import { moment } from "@/calendar/dates";
import { Empty, Failed, Loading } from "@/ui/Notice";
import { Title } from "@/ui/Title";

/** The stand-in for e-mail: what would have been sent on this coach's behalf. */
export default function OutboxPage() {
  const mail = useQuery(queries.mail());
  if (mail.isPending) return <Loading />;
  if (mail.isError) return <Failed error={mail.error} again={mail.refetch} />;
  return (
    <div className="grid max-w-3xl gap-4">
      <Title>Outbox</Title>
      <h1>Outbox</h1>
      <p className="text-soft">
        This installation sends no e-mail. Letters to your students are kept here, so that you can see what
        they would get.
      </p>
      {mail.data.length === 0 ? (
        <Empty>
          <p>No letters yet. Students who want a reminder set its hour on their phone, under The climb.</p>
        </Empty>
      ) : (
        <ul>
          {mail.data.map((letter) => (
            <li key={letter.id} className="border-line border-b py-3">
              <p className="flex flex-wrap gap-x-3">
                <strong>{letter.subject}</strong>
                <span className="text-soft">to {letter.address}</span>
                <time className="text-soft ml-auto" dateTime={letter.writtenAt}>
                  {moment(letter.writtenAt)}
                </time>
              </p>
              <p className="whitespace-pre-line">{letter.body}</p>
            </li>
          ))}
        </ul>
      )}
    </div>
  );
}
