import { useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { useState } from "react";
import { Link } from "react-router";
import { at } from "../../api/at";
import { post } from "../../api/http";
import type { FirstWeeks } from "../../api/types";
import { shortDay } from "../../app/days";
import { classesQuery } from "../../app/queries";
import { scopeSearch, useScope } from "../../app/scope";
import { Field, SelectField } from "../../ui/Field";
import { Band, Button, Empty, Failed, Heading, Skeleton } from "../../ui/parts";
import { useToast } from "../../ui/toasts";
import { counted } from "../../ui/words";
import { booksQuery } from "../library/books.queries";
import { asLeft, asProposed, draftOf, moved, ordersOf, without, type FirstDraft } from "./firstWeeks";
import { FirstWeekRow } from "./FirstWeekRow";
import { firstWeeksLookQuery, firstWeeksQuery } from "./season.queries";

/** The first weeks of a class in one press: proposed, left as one wants, ordered. */
export function FirstWeeksPage() {
  const { scope, choose } = useScope();
  const classes = useQuery(classesQuery);
  const books = useQuery(booksQuery);
  const [from, setFrom] = useState("");
  const [weeks, setWeeks] = useState(6);
  const [bookId, setBookId] = useState("");
  const [linesAWeek, setLinesAWeek] = useState(3);
  const wish = {
    classId: scope.classId ?? "",
    from: from || undefined,
    weeks,
    bookId: bookId || undefined,
    linesAWeek,
  };
  const proposal = useQuery(firstWeeksQuery(wish));
  return (
    <>
      <Heading
        title="First weeks"
        words="checks in teaching order by your schools, in the minutes there are; nothing is ordered before you say so"
      />
      <div className="mb-4 grid items-start gap-3 sm:grid-cols-3 xl:grid-cols-5">
        <SelectField
          label="Class"
          value={scope.classId ?? ""}
          onChange={(e) => choose({ class: e.target.value, family: "", instrument: "", division: "" })}
        >
          {classes.data?.map((one) => (
            <option key={one.id} value={one.id}>
              {one.name}
            </option>
          ))}
        </SelectField>
        <Field
          label="From"
          type="date"
          value={from}
          hint="blank: next Monday"
          onChange={(e) => setFrom(e.target.value)}
        />
        <SelectField label="Weeks" value={weeks} onChange={(e) => setWeeks(Number(e.target.value))}>
          {[2, 4, 6, 8, 10, 12].map((n) => (
            <option key={n}>{n}</option>
          ))}
        </SelectField>
        <SelectField
          label="Lines of"
          hint="begin when every section has its first notes"
          value={bookId}
          onChange={(e) => setBookId(e.target.value)}
        >
          <option value="">no book yet</option>
          {books.data?.map((book) => (
            <option key={book.id} value={book.id}>
              {[book.title, book.volume].filter(Boolean).join(", ")}
            </option>
          ))}
        </SelectField>
        <SelectField
          label="Lines a week"
          value={linesAWeek}
          onChange={(e) => setLinesAWeek(Number(e.target.value))}
        >
          {[1, 2, 3, 4, 5, 6, 8].map((n) => (
            <option key={n}>{n}</option>
          ))}
        </SelectField>
      </div>
      {classes.data?.length === 0 && (
        <Empty>No class yet: say in Office which there are and when they meet.</Empty>
      )}
      {proposal.isError && <Failed error={proposal.error} />}
      {proposal.isFetching && <Skeleton rows={8} />}
      {proposal.data && !proposal.isFetching && (
        <Weeks key={proposal.dataUpdatedAt} proposal={proposal.data} />
      )}
    </>
  );
}

function Weeks({ proposal }: { proposal: FirstWeeks }) {
  const client = useQueryClient();
  const toast = useToast();
  const { search } = useScope();
  const [proposed] = useState<FirstDraft>(() => draftOf(proposal));
  const [draft, setDraft] = useState(proposed);
  const look = useQuery(firstWeeksLookQuery(asLeft(proposal, draft), draft !== proposed));
  const looks = (draft !== proposed && look.data) || asProposed(proposal);
  const body = ordersOf(proposal, draft);
  const again = () =>
    client.invalidateQueries({
      predicate: (q) => ["progress", "library"].includes(String(q.queryKey[0])),
    });
  const order = useMutation({
    mutationFn: () => post<{ orders: number }>(at("/api/season/first-weeks"), body),
    onSuccess: async ({ orders }) => {
      toast(`${counted(orders, "order")} set for ${proposal.className}`);
      await again();
    },
  });
  const newcomers = useMutation({
    mutationFn: () =>
      post<{ orders: number }>(at("/api/season/first-weeks/newcomers"), {
        classId: proposal.classId,
      }),
    onSuccess: async ({ orders }) => {
      toast(`${counted(orders, "check")} set for who is new, from next Monday`);
      await again();
    },
  });
  return (
    <>
      {proposal.newcomers && (
        <div className="mb-4">
          <Band label="New in the class">
            <p className="grow">
              <b>{proposal.newcomers.names.join(", ")}</b> joined {proposal.className} on{" "}
              {shortDay(proposal.newcomers.since)} or later, after{" "}
              {counted(proposal.newcomers.milestones, "check was", "checks were")} due.
            </p>
            <Button small look="primary" disabled={newcomers.isPending} onClick={() => newcomers.mutate()}>
              Next Monday they begin with the same
            </Button>
          </Band>
        </div>
      )}
      {newcomers.isError && <Failed error={newcomers.error} />}
      {proposal.ordered > 0 && (
        <p className="small soft mb-2">
          {counted(proposal.ordered, "first check is", "first checks are")} set already;{" "}
          <Link to={{ pathname: "/season", search: scopeSearch(search, {}) }}>the season shows them</Link>.
        </p>
      )}
      <ol aria-label="Weeks" className="border-t-[1.5px] border-current">
        {proposal.weeks.map((week, i) => (
          <FirstWeekRow
            key={week.monday}
            week={week}
            things={draft[i] ?? []}
            look={looks[i]!}
            first={i === 0}
            last={i === draft.length - 1}
            onMove={(orderIds, step) => setDraft(moved(draft, orderIds, step))}
            onDrop={(orderIds, name) => {
              const before = draft;
              setDraft(without(draft, orderIds));
              toast(`${name} left out`, () => setDraft(before));
            }}
          />
        ))}
      </ol>
      {proposal.left.length > 0 && (
        <details className="mt-3">
          <summary className="cursor-pointer">
            {counted(proposal.left.length, "check")} for later; these weeks hold no more
          </summary>
          <p className="soft mt-1">{proposal.left.map((check) => check.title).join(" · ")}</p>
        </details>
      )}
      {look.isError && <Failed error={look.error} />}
      {order.isError && <Failed error={order.error} />}
      <div className="bg-base-100 sticky bottom-0 mt-4 flex flex-wrap items-center gap-4 border-t border-[var(--hairline)] py-3">
        <Button
          look="primary"
          disabled={order.isPending || body.orders.length === 0}
          onClick={() => order.mutate()}
        >
          {body.orders.length === 0 ? "Nothing left to order" : `Order these weeks (${body.orders.length})`}
        </Button>
        <span className="small soft">
          Each is due at the last meeting of its week; checks not on your shelf yet are taken onto it.
        </span>
      </div>
    </>
  );
}
