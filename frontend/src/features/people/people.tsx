import { useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { QRCodeSVG } from "qrcode.react";
import { type FormEvent, useState } from "react";
import { Link } from "react-router";
import { client, Problem, type Schemas, unwrap } from "../../api/client";
import { peopleQuery, sessionQuery, useSession } from "../../api/queries";
import { Button, Choice, Dialog, Field, fieldClass, Loading, Trouble } from "../../ui/controls";
import { PageHead } from "../../ui/page-head";
import { ROLE, ROLES } from "../../words/people";
import { dayWords, momentWords } from "../../words/text";
import { PeopleNav } from "./people-nav";

type Invitation = Schemas["InvitationView"];

/** Who is here, who is expected, who has left, and who did what. */
export default function People() {
  const people = useQuery(peopleQuery);
  const queries = useQueryClient();
  const [link, setLink] = useState<{ invitation: Invitation; lost: boolean } | null>(null);
  const keep = (all: Schemas["PeopleView"]) => queries.setQueryData(peopleQuery.queryKey, all);
  const withdraw = useMutation({
    mutationFn: (id: string) => unwrap(client.DELETE("/api/invitations/{id}", { params: { path: { id } } })),
    onSuccess: keep,
  });
  if (people.isPending) return <Loading what="the people" />;
  if (people.isError)
    return (
      <div className="p-5">
        <Trouble error={people.error} retry={() => void people.refetch()} />
      </div>
    );
  const { members, invitations, deeds } = people.data;
  return (
    <div className="mx-auto max-w-6xl px-4 py-5 wide:px-6">
      <PageHead title="People" lead="Whoever leaves can sign in no more; what they did stays under their name." />
      <PeopleNav />
      <div className="mt-4 grid grid-cols-1 gap-x-10 gap-y-6 wide:grid-cols-[minmax(0,1fr)_24rem]">
        <div className="space-y-6">
          <section>
            <h2 className="border-b border-ink pb-1 text-lg">Here</h2>
            <ul>
              {members.map((m) => (
                <Member key={m.id} member={m} keep={keep} onLink={(invitation) => setLink({ invitation, lost: true })} />
              ))}
            </ul>
          </section>
          <Deeds first={deeds} />
        </div>
        <div className="space-y-6">
          <Invite
            mail={people.data.mail}
            onMade={(invitation) => {
              setLink({ invitation, lost: false });
              void queries.invalidateQueries({ queryKey: peopleQuery.queryKey });
            }}
          />
          <PoisonCentre />
          <section>
            <h2 className="border-b border-ink pb-1 text-lg">Expected</h2>
            {invitations.length === 0 && <p className="py-3 text-faded">Nobody is invited just now.</p>}
            <ul>
              {invitations.map((i) => (
                <li key={i.id} className="rule-b flex items-center justify-between gap-2 py-1.5">
                  <span>
                    <strong>{i.name}</strong>, {ROLE[i.role].name}
                    <span className="block text-sm text-faded">
                      by {i.by}, until {dayWords(i.expires)}
                    </span>
                  </span>
                  <Button disabled={withdraw.isPending} onClick={() => withdraw.mutate(i.id)} aria-label={`Withdraw the invitation of ${i.name}`}>
                    Withdraw
                  </Button>
                </li>
              ))}
            </ul>
            {withdraw.error && <Trouble error={withdraw.error} />}
          </section>
        </div>
      </div>
      {link && <LinkDialog invitation={link.invitation} lost={link.lost} close={() => setLink(null)} />}
    </div>
  );
}

/** Entered once, it stands wherever something harms. */
function PoisonCentre() {
  const session = useSession().data;
  const queries = useQueryClient();
  const [number, setNumber] = useState(session?.school?.poisonCentre ?? "");
  const keep = useMutation({
    mutationFn: () => unwrap(client.PUT("/api/school/poison-centre", { body: { number } })),
    onSuccess: (school) => {
      if (session) queries.setQueryData(sessionQuery.queryKey, { ...session, school });
    },
  });
  const submit = (event: FormEvent) => {
    event.preventDefault();
    keep.mutate();
  };
  return (
    <section>
      <h2 className="border-b border-ink pb-1 text-lg">Poison centre</h2>
      <form onSubmit={submit} className="mt-2 flex items-end gap-2">
        <div className="flex-1">
          <Field label="Number, as it is dialled" error={keep.error instanceof Problem ? keep.error.fields.number : undefined}>
            <input className={fieldClass} type="tel" name="poison-centre" maxLength={60} value={number} onChange={(e) => setNumber(e.target.value)} />
          </Field>
        </div>
        <Button type="submit" disabled={keep.isPending || number === (session?.school?.poisonCentre ?? "")}>
          Keep it
        </Button>
      </form>
      {keep.error && !(keep.error instanceof Problem) && <Trouble error={keep.error} />}
    </section>
  );
}

function Member(p: { member: Schemas["MemberView"]; keep: (all: Schemas["PeopleView"]) => void; onLink: (invitation: Invitation) => void }) {
  const { member: m } = p;
  const queries = useQueryClient();
  const params = { path: { id: m.id } };
  const [ending, setEnding] = useState(false);
  const change = useMutation({
    mutationFn: (body: Partial<Schemas["PersonChange"]>) =>
      unwrap(client.PATCH("/api/people/{id}", { params, body: body as Schemas["PersonChange"] })),
    onSuccess: (all) => {
      p.keep(all);
      setEnding(false);
      if (m.own) void queries.invalidateQueries({ queryKey: ["session"] });
    },
  });
  const lost = useMutation({
    mutationFn: () => unwrap(client.POST("/api/people/{id}/password-link", { params })),
    onSuccess: p.onLink,
  });
  return (
    <li className="rule-b py-2" data-member={m.email}>
      <div className="flex flex-wrap items-end justify-between gap-x-4 gap-y-2">
        <p className="min-w-0">
          <strong className={m.left ? "line-through decoration-1" : ""}>{m.name}</strong>
          {m.own && " (you)"}
          {m.left && <span className="text-faded"> has left</span>}
          <span className="block break-words text-sm text-faded">{m.email}</span>
          {!m.own && !m.left && (
            <Link to={`/learning/${m.id}`} className="inline-flex min-h-11 items-center text-sm underline underline-offset-4">
              What {m.name.split(" ")[0]} confuses
            </Link>
          )}
        </p>
        {m.left ? (
          <Button disabled={change.isPending} onClick={() => change.mutate({ left: false })}>
            Take up again
          </Button>
        ) : (
          <div className="flex flex-wrap items-end gap-2">
            <select
              className={`${fieldClass} w-36!`}
              aria-label={`What ${m.name} may do`}
              value={m.role}
              disabled={change.isPending}
              onChange={(event) => change.mutate({ role: event.target.value as Schemas["Role"] })}
            >
              {ROLES.map((r) => (
                <option key={r.value} value={r.value}>
                  {r.label}
                </option>
              ))}
            </select>
            {!m.own && (
              <Button disabled={lost.isPending} onClick={() => lost.mutate()}>
                Lost password
              </Button>
            )}
            <Button onClick={() => setEnding(true)}>End the account</Button>
          </div>
        )}
      </div>
      {(change.error ?? lost.error) && <Trouble error={(change.error ?? lost.error) as Error} />}
      <Dialog
        open={ending}
        onOpenChange={setEnding}
        title={`End the account of ${m.name}`}
        description="They are signed out everywhere and can sign in no more. Examinations, decisions and harvests stay under the name. The account can be taken up again."
      >
        {change.error && <Trouble error={change.error} />}
        <div className="flex justify-end gap-2">
          <Button onClick={() => setEnding(false)}>Leave it</Button>
          <Button tone="ink" disabled={change.isPending} onClick={() => change.mutate({ left: true })}>
            End it
          </Button>
        </div>
      </Dialog>
    </li>
  );
}

function Invite({ mail, onMade }: { mail: boolean; onMade: (invitation: Invitation) => void }) {
  const [name, setName] = useState("");
  const [role, setRole] = useState<Schemas["Role"]>("learner");
  const [email, setEmail] = useState("");
  const invite = useMutation({
    mutationFn: () => unwrap(client.POST("/api/invitations", { body: { name, role, email } })),
    onSuccess: (invitation) => {
      setName("");
      onMade(invitation);
    },
  });
  const fields = invite.error instanceof Problem ? invite.error.fields : {};
  const submit = (event: FormEvent) => {
    event.preventDefault();
    invite.mutate();
  };
  return (
    <section>
      <h2 className="border-b border-ink pb-1 text-lg">Invite somebody</h2>
      <form onSubmit={submit} className="mt-3 space-y-3">
        <Field label="Name" error={fields.name}>
          <input className={fieldClass} name="invited" required maxLength={120} value={name} onChange={(e) => setName(e.target.value)} />
        </Field>
        {mail && (
          <Field label="E-mail, if the link is to be sent" error={fields.email} hint="It is not kept.">
            <input type="email" className={fieldClass} name="sendto" maxLength={180} value={email} onChange={(e) => setEmail(e.target.value)} />
          </Field>
        )}
        <Choice label="As" value={role} options={ROLES} onChange={setRole} />
        <p className="text-sm text-faded">{ROLE[role].may.replace(/^you /, "They ").replace("look after", "look after")}</p>
        {invite.error && Object.keys(fields).length === 0 && <Trouble error={invite.error} />}
        <Button type="submit" tone="ink" disabled={invite.isPending || name.trim() === ""}>
          Make the link
        </Button>
      </form>
    </section>
  );
}

/** The link, to be shown, read off, copied or printed. It is told once. */
function LinkDialog({ invitation, lost, close }: { invitation: Invitation; lost: boolean; close: () => void }) {
  const [copied, setCopied] = useState(false);
  const address = `${window.location.origin}${invitation.path}`;
  return (
    <Dialog
      open
      onOpenChange={(open) => !open && close()}
      title={lost ? `A new password for ${invitation.name}` : `An invitation for ${invitation.name}`}
      description={`It works once, until ${dayWords(invitation.expires)}, and is told only now. ${invitation.mailed ? "It was sent by mail, too." : "No mail was sent: show it, copy it, or print it."}`}
    >
      <div className="flex flex-wrap items-center gap-5">
        <span className="bg-white p-3">
          <QRCodeSVG value={address} size={176} level="M" title={`The link as a square code: ${address}`} />
        </span>
        <div className="min-w-0 flex-1 space-y-3">
          <p className="font-mono text-sm break-all select-all" data-link>
            {address}
          </p>
          <div className="flex flex-wrap gap-2 print:hidden">
            <Button onClick={() => void navigator.clipboard?.writeText(address).then(() => setCopied(true))}>{copied ? "Copied" : "Copy"}</Button>
            <Button onClick={() => window.print()}>Print</Button>
          </div>
        </div>
      </div>
    </Dialog>
  );
}

/** Who did what, page by page. */
function Deeds({ first }: { first: Schemas["DeedView"][] }) {
  const [older, setOlder] = useState<Schemas["DeedView"][]>([]);
  const [end, setEnd] = useState(false);
  const all = [...first, ...older];
  const more = useMutation({
    mutationFn: () => unwrap(client.GET("/api/deeds/{before}", { params: { path: { before: all.at(-1)?.id ?? "" } } })),
    onSuccess: (next) => {
      setOlder([...older, ...next]);
      setEnd(next.length === 0);
    },
  });
  return (
    <section>
      <h2 className="border-b border-ink pb-1 text-lg">Who did what</h2>
      {all.length === 0 && <p className="py-3 text-faded">Nothing stands here yet.</p>}
      <ul>
        {all.map((d) => (
          <li key={d.id} className="rule-b flex flex-wrap justify-between gap-x-4 py-1.5">
            <span>
              <strong>{d.by}</strong> {d.what} {d.about !== d.by && d.about} {d.note && <span className="text-faded">{d.note}</span>}
            </span>
            <span className="figures text-sm text-faded">{momentWords(d.at)}</span>
          </li>
        ))}
      </ul>
      {more.error && <Trouble error={more.error} />}
      {all.length >= 60 && !end && (
        <Button className="mt-2" disabled={more.isPending} onClick={() => more.mutate()}>
          Earlier
        </Button>
      )}
    </section>
  );
}
