import { Button } from 'react-bootstrap';
import { data, Form, Link, useActionData } from 'react-router';
import { MEMBER_ROLES } from '../../../core/record';
import { permitted } from '../../../server/access/session.server';
import {
  changeColleague,
  type Colleague,
  colleaguesOf,
  inviteColleague,
  linkForColleague,
  NotForColleague,
  openInvitations,
  takeInvitationBack,
} from '../../../server/db/queries/colleagues.server';
import { Field, useCheckedForm } from '../../parts/fields/field';
import { SecretAddress } from '../../parts/marks/secret-address';
import { Failed } from '../../parts/frame/failed';
import { useDates } from '../../parts/frame/use-dates';
import { colleagueSchema, type Invite, inviteSchema } from '../../schemas/account';
import { checkForm, type FieldErrors, readForm } from '../../schemas/read';
import type { Route } from './+types/colleagues';

export async function loader({ request }: Route.LoaderArgs) {
  const { practiceId, practitionerId } = await permitted(request, 'see', 'colleagues');
  const [people, open] = await Promise.all([colleaguesOf(practiceId), openInvitations(practiceId)]);
  return { people, open, own: practitionerId };
}

interface Answer {
  errors: FieldErrors;
  /** A link that was made just now: its secret, and whose it is. */
  made?: { secret: string; name: string };
  typed?: object;
}
export async function action({ request }: Route.ActionArgs) {
  const who = await permitted(request, 'change', 'colleagues');
  const sent = await readForm(request);
  const told = (answer: Answer, status = 200) => data(answer, { status });
  if (sent.get('do') === 'invite') {
    const input = await checkForm(inviteSchema, sent, ['do']);
    if (!input.ok) return told({ errors: input.errors, typed: input.typed }, 422);
    const { name, role } = input.value;
    return told({ errors: {}, made: { secret: await inviteColleague(who, { name, role }), name } });
  }
  const input = await checkForm(colleagueSchema, sent, ['do']);
  const gone = () => told({ errors: { person: 'They are not here any more.' } }, 404);
  if (!input.ok) return gone();
  const { id, what } = input.value;
  try {
    if (what === 'link') {
      const secret = await linkForColleague(who, id);
      const name = (await colleaguesOf(who.practiceId)).find((p) => p.id === id)?.name ?? '';
      return secret ? told({ errors: {}, made: { secret, name } }) : gone();
    }
    const isDone = what === 'take-back' ? await takeInvitationBack(who, id) : await changeColleague(who, id, what);
    return isDone ? told({ errors: {} }) : gone();
  } catch (error) {
    if (!(error instanceof NotForColleague)) throw error;
    return told({ errors: { person: error.message } }, 422);
  }
}

/** Who works here, in which role, and links for those who are to come in. */
export default function Colleagues({ loaderData: { people, open, own } }: Route.ComponentProps) {
  const answered = useActionData<typeof action>();
  const { form, bind } = useCheckedForm<Invite>(inviteSchema, answered, { role: 'practitioner' });
  const { shortDay } = useDates();
  const made = answered?.made;
  return (
    <div className="page">
      <main>
        <div className="page-head">
          <h1>Colleagues</h1>
          <span className="soft">who works here; every one signs in alone</span>
        </div>
        <Failed words={answered?.errors.person ?? ''} />
        {made && (
          <section className="narrow mb-4" role="status">
            <p className="mb-1">
              <strong>The link for {made.name}</strong>, told this once. It opens for seven days, once:
            </p>
            <SecretAddress secret={made.secret} opens="join" />
          </section>
        )}
        <table className="table">
          <thead>
            <tr>
              <th scope="col">Name</th>
              <th scope="col">Address</th>
              <th scope="col">Role</th>
              <th scope="col">
                <span className="visually-hidden">What can be done</span>
              </th>
            </tr>
          </thead>
          <tbody>
            {people.map((p) => (
              <tr key={p.id}>
                <td>{p.name}</td>
                <td className="text-break">{p.email}</td>
                <td>{p.leftAt ? `left ${shortDay(p.leftAt)}` : p.role}</td>
                <td>{p.id === own ? <Link to={p.id}>Your clients …</Link> : <Acts person={p} />}</td>
              </tr>
            ))}
          </tbody>
        </table>
        {open.length > 0 && (
          <>
            <h2>Links not used yet</h2>
            <ul className="outbox">
              {open.map((i) => (
                <li key={i.id} className="d-flex gap-3 align-items-center flex-wrap">
                  <span>
                    {i.name}, {i.practitionerId ? 'to set a password' : `as ${i.role}`}, until {shortDay(i.expiresAt)}
                  </span>
                  <Act id={i.id} what="take-back" words="Take it back" of={i.name} />
                </li>
              ))}
            </ul>
          </>
        )}
        <section className="narrow mt-4">
          <h2>Ask somebody in</h2>
          <Form {...bind} key={made?.secret}>
            <input type="hidden" name="do" value="invite" />
            <Field form={form} name="name" label="Name" autoComplete="off" className="mb-3" />
            <Field
              form={form}
              name="role"
              label="Role"
              hint="Assistants book, and see no notes. Owners also say who works here, take records out, and read the trail."
              className="mb-3"
            >
              <option value="practitioner">practitioner</option>
              <option value="assistant">assistant</option>
              <option value="owner">owner</option>
            </Field>
            <Button type="submit">Make a link</Button>
          </Form>
        </section>
      </main>
    </div>
  );
}

function Acts({ person: { id, name, role, leftAt } }: { person: Colleague }) {
  const clients = (
    <Link to={id} className="align-self-center small">
      Their clients …<span className="visually-hidden"> {name}</span>
    </Link>
  );
  if (leftAt)
    return (
      <div className="d-flex gap-2 flex-wrap">
        <Act id={id} what="return" words="Give access back" of={name} />
        {clients}
      </div>
    );
  return (
    <div className="d-flex gap-2 flex-wrap">
      <Act id={id} what="link" words="Link to set a password" of={name} />
      {MEMBER_ROLES.filter((r) => r !== role).map((r) => (
        <Act key={r} id={id} what={r} words={`Make ${r}`} of={name} />
      ))}
      <Act id={id} what="leave" words="End access" of={name} />
      {clients}
    </div>
  );
}
/** One press for one thing; whom it concerns is told to who cannot see the row. */
const Act = ({ id, what, words, of }: { id: string; what: string; words: string; of: string }) => (
  <Form method="post">
    <input type="hidden" name="do" value="change" />
    <input type="hidden" name="id" value={id} />
    <Button type="submit" name="what" value={what} size="sm" variant="outline-primary" aria-label={`${words}: ${of}`}>
      {words}
    </Button>
  </Form>
);
