import { useQuery } from "@tanstack/react-query";
import { useState } from "react";
import { Link } from "react-router";
import { v7 as newId } from "uuid";
import { Problem } from "../../api/http";
import { shortDay } from "../../app/days";
import { classesQuery, yearQuery } from "../../app/queries";
import { scopeSearch, useScope } from "../../app/scope";
import { Field, SelectField, Tick } from "../../ui/Field";
import { Button, Empty, Failed, Heading, Skeleton } from "../../ui/parts";
import { counted } from "../../ui/words";
import { booksQuery } from "../library/books.queries";
import { ChooseBelts } from "./ChooseBelts";
import { nothing, useChoosing } from "./useChoosing";

/** What a class is to do this year, in a minute: pages of a book, checks, tests, belts, a concert piece, catching up. */
export function ChoosePage() {
  const { scope, search, allClasses } = useScope();
  const classes = useQuery(classesQuery);
  const books = useQuery(booksQuery);
  const year = useQuery(yearQuery);
  const current = classes.data?.find((c) => c.id === scope.classId);
  if (allClasses) return <Empty>Choose a class at the left; a plan is made for one class.</Empty>;
  if (!current || !books.data || !year.data) return <Skeleton rows={8} />;
  const concerts = year.data.entries.filter(
    (e) => ["CONCERT", "FESTIVAL"].includes(e.kind) && e.first >= year.data.today,
  );
  return (
    <>
      <Heading
        title={`What ${current.name} does this year`}
        words="nothing is ordered; each thing gets its week when you propose a plan"
      >
        <Link className="underline" to={{ pathname: "/season", search: scopeSearch(search, {}) }}>
          Back to the season
        </Link>
      </Heading>
      <div className="grid gap-x-10 gap-y-6 lg:grid-cols-2">
        <BookForm classId={current.id} books={books.data} />
        <div className="grid content-start gap-6">
          <ChooseBelts current={current} />
          <PieceForm classId={current.id} concerts={concerts} />
          <CatchUpForm classId={current.id} from={year.data.today} />
        </div>
      </div>
    </>
  );
}

const field = (error: unknown, name: string) =>
  error instanceof Problem && error.field?.endsWith(name) ? error.message : undefined;

function BookForm({
  classId,
  books,
}: {
  classId: string;
  books: readonly { id: string; title: string; volume?: string }[];
}) {
  const [bookId, setBookId] = useState("");
  const [from, setFrom] = useState("");
  const [to, setTo] = useState("");
  const [kinds, setKinds] = useState({ firstChecks: false, tests: true, belts: true });
  const choosing = useChoosing(classId, (added) =>
    added === 0 ? "All of it is in the plan already" : `${counted(added, "thing")} added to the plan`,
  );
  const number = (text: string) => (text === "" ? undefined : Number(text));
  const tick = (name: keyof typeof kinds, label: string) => (
    <Tick
      label={label}
      checked={kinds[name]}
      onChange={(e) => setKinds({ ...kinds, [name]: e.target.checked })}
    />
  );
  return (
    <form
      aria-labelledby="choose-book"
      className="grid content-start gap-4"
      onSubmit={(event) => {
        event.preventDefault();
        choosing.mutate({
          ...kinds,
          pages: bookId ? { bookId, fromPage: number(from), toPage: number(to) } : undefined,
        });
      }}
    >
      <h2 id="choose-book" className="text-[1.3rem]">
        From the library
      </h2>
      <SelectField label="Book" value={bookId} onChange={(e) => setBookId(e.target.value)}>
        <option value="">no book</option>
        {books.map((book) => (
          <option key={book.id} value={book.id}>
            {[book.title, book.volume].filter(Boolean).join(", ")}
          </option>
        ))}
      </SelectField>
      <div className="grid grid-cols-2 gap-4">
        <Field
          label="From page"
          type="number"
          min={1}
          placeholder="the first"
          disabled={!bookId}
          value={from}
          error={field(choosing.error, "fromPage")}
          onChange={(e) => setFrom(e.target.value)}
        />
        <Field
          label="To page"
          type="number"
          min={1}
          placeholder="the last"
          disabled={!bookId}
          value={to}
          error={field(choosing.error, "toPage")}
          onChange={(e) => setTo(e.target.value)}
        />
      </div>
      <p className="small soft -mt-2">
        The last line of each page is heard alone, the others with the section together; change any of them on
        the season.
      </p>
      {tick("firstChecks", "The checks of the first weeks, for the instruments of the class")}
      {tick("tests", "Playing tests of these lines")}
      {tick("belts", "Belts of these instruments")}
      {choosing.isError && !field(choosing.error, "fromPage") && !field(choosing.error, "toPage") && (
        <Failed error={choosing.error} />
      )}
      <div>
        <Button
          look="primary"
          type="submit"
          disabled={choosing.isPending || (!bookId && !Object.values(kinds).some(Boolean))}
        >
          Put into the plan
        </Button>
      </div>
    </form>
  );
}

function PieceForm({
  classId,
  concerts,
}: {
  classId: string;
  concerts: readonly { name: string; first: string }[];
}) {
  const [title, setTitle] = useState("");
  const [minutes, setMinutes] = useState(20);
  const [weeks, setWeeks] = useState(4);
  const [dueBy, setDueBy] = useState(concerts.at(0)?.first ?? "");
  const [id, setId] = useState(() => newId());
  const choosing = useChoosing(
    classId,
    (added) => `${counted(added, "stretch", "stretches")} of the piece added`,
  );
  return (
    <form
      aria-labelledby="choose-piece"
      className="grid gap-3"
      onSubmit={(event) => {
        event.preventDefault();
        choosing.mutate(
          { ...nothing, piece: { id, title, minutes, weeks, dueBy } },
          {
            onSuccess: () => {
              setTitle("");
              setId(newId());
            },
          },
        );
      }}
    >
      <h2 id="choose-piece" className="text-[1.3rem]">
        A concert piece
      </h2>
      <Field label="Piece" required maxLength={78} value={title} onChange={(e) => setTitle(e.target.value)} />
      <div className="grid grid-cols-3 items-start gap-3">
        <Field
          label="Minutes a week"
          type="number"
          min={1}
          max={300}
          value={minutes}
          onChange={(e) => setMinutes(Number(e.target.value))}
        />
        <Field
          label="Weeks"
          type="number"
          min={1}
          max={20}
          value={weeks}
          error={field(choosing.error, "parts") ?? field(choosing.error, "weeks")}
          onChange={(e) => setWeeks(Number(e.target.value))}
        />
        <Field
          label="Ready by"
          type="date"
          required
          value={dueBy}
          error={field(choosing.error, "dueBy")}
          hint={concerts.map((c) => `${c.name} ${shortDay(c.first)}`).join(", ")}
          onChange={(e) => setDueBy(e.target.value)}
        />
      </div>
      <div>
        <Button type="submit" disabled={choosing.isPending || !title.trim() || !dueBy}>
          Add the piece
        </Button>
      </div>
    </form>
  );
}

function CatchUpForm({ classId, from }: { classId: string; from: string }) {
  const [monday, setMonday] = useState(from);
  const [minutes, setMinutes] = useState(20);
  const [id, setId] = useState(() => newId());
  const choosing = useChoosing(classId, () => "Minutes to catch up are kept in that week");
  return (
    <form
      aria-labelledby="choose-catch-up"
      className="grid gap-3"
      onSubmit={(event) => {
        event.preventDefault();
        choosing.mutate(
          { ...nothing, catchUp: { id, monday, minutes } },
          { onSuccess: () => setId(newId()) },
        );
      }}
    >
      <h2 id="choose-catch-up" className="text-[1.3rem]">
        A week to catch up
      </h2>
      <div className="grid grid-cols-2 gap-3">
        <Field
          label="In the week of"
          type="date"
          required
          value={monday}
          error={field(choosing.error, "monday")}
          onChange={(e) => setMonday(e.target.value)}
        />
        <Field
          label="Minutes"
          type="number"
          min={1}
          max={300}
          value={minutes}
          onChange={(e) => setMinutes(Number(e.target.value))}
        />
      </div>
      <div>
        <Button type="submit" disabled={choosing.isPending || !monday}>
          Keep these minutes
        </Button>
      </div>
    </form>
  );
}
