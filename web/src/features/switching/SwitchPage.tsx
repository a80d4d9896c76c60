import { useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import clsx from "clsx";
import { Printer, X } from "lucide-react";
import { useState } from "react";
import { Link, useSearchParams } from "react-router";
import { at } from "../../api/at";
import { post, Problem } from "../../api/http";
import type { Student, Switched } from "../../api/types";
import { addDays, longDay } from "../../app/days";
import { instrumentsQuery, meQuery, studentsQuery } from "../../app/queries";
import { scopeSearch, useScope } from "../../app/scope";
import { Field, Tick } from "../../ui/Field";
import { looks } from "../../ui/looks";
import { Button, Empty, Failed, Heading, IconButton, Skeleton } from "../../ui/parts";
import { useToast } from "../../ui/toasts";
import { RosterTabs } from "../roster/RosterTabs";
import { CatchUpTrack } from "./CatchUpTrack";
import { PrintedSwitches } from "./PrintedSwitches";
import { SwitchMeaning } from "./SwitchMeaning";
import { found, requestOf, rowKey, rowOf, type SwitchRow } from "./switchRows";
import { switchesQuery } from "./switches.queries";

/** Students who change instrument, in one act: who, to what, from which day; what it means; and done. */
export function SwitchPage() {
  const students = useQuery(studentsQuery);
  const me = useQuery(meQuery);
  const [search] = useSearchParams();
  if (students.isError) return <Failed error={students.error} again={() => void students.refetch()} />;
  if (!students.data || !me.data) return <Skeleton rows={9} />;
  const asked = search.getAll("student");
  return (
    <SwitchSheet
      students={students.data}
      today={me.data.today}
      first={students.data
        .filter((one) => asked.includes(one.id) && one.seats.length > 0)
        .map((one) => rowOf(one))}
    />
  );
}

interface Props {
  students: Student[];
  today: string;
  /** Who stands on the list at first. */
  first: SwitchRow[];
}

function SwitchSheet({ students, today, first }: Props) {
  const client = useQueryClient();
  const toast = useToast();
  const { search } = useScope();
  const [rows, setRows] = useState(first);
  const [from, setFrom] = useState(today);
  const [until, setUntil] = useState<string>();
  const [catchUp, setCatchUp] = useState(true);
  const [shown, setShown] = useState<string>();
  const request = requestOf(rows, from, until, catchUp);
  const told = useQuery(switchesQuery(request));
  const act = useMutation({
    mutationFn: () => post<Switched>(at("/api/switches"), request),
    onSuccess: async (done) => {
      toast(
        `${done.students === 1 ? "One student changes" : `${done.students} students change`} instrument on ${longDay(from)}` +
          (done.orders > 0 ? `; ${done.orders} orders made to catch up` : ""),
      );
      setRows([]);
      await client.invalidateQueries();
    },
  });
  const change = (row: SwitchRow, part: Partial<SwitchRow>) =>
    setRows((all) => all.map((one) => (rowKey(one) === rowKey(row) ? { ...one, ...part } : one)));
  const views = request.students.length > 0 ? (told.data?.students ?? []) : [];
  const view = views.find((one) => rowKey(one) === shown) ?? views[0];
  const tracks = request.students.length > 0 && !until ? (told.data?.tracks ?? []) : [];
  const problem = act.error instanceof Problem ? act.error : undefined;
  const fieldOf = (name: string) => (problem?.field === name ? problem.message : undefined);
  return (
    <>
      <Heading title="Switch instrument" words="Nothing that was passed is lost.">
        {views.some((one) => !one.refused) && (
          <Button small onClick={() => window.print()}>
            <Printer size={15} aria-hidden /> Print a page each
          </Button>
        )}
        <RosterTabs />
      </Heading>
      <PrintedSwitches views={views} tracks={tracks} from={from} />
      <div className="grid gap-x-8 gap-y-4 lg:grid-cols-[minmax(0,24rem)_minmax(0,1fr)] print:hidden">
        <form
          aria-label="Who switches"
          className="grid content-start gap-3"
          onSubmit={(event) => {
            event.preventDefault();
            act.mutate();
          }}
        >
          <div className="grid grid-cols-2 gap-3">
            <Field
              label="From"
              type="date"
              value={from}
              error={fieldOf("from") ?? fieldOf("startsOn")}
              onChange={(event) => setFrom(event.target.value)}
            />
            {until !== undefined && (
              <Field
                label="Last day"
                type="date"
                value={until}
                error={fieldOf("until")}
                onChange={(event) => setUntil(event.target.value)}
              />
            )}
          </div>
          <Tick
            label="Borrowed: goes back by itself after the last day"
            checked={until !== undefined}
            onChange={(event) => setUntil(event.target.checked && from ? addDays(from, 6) : undefined)}
          />
          <ul className="grid" aria-label="On the list">
            {rows.map((row) => (
              <Row
                key={rowKey(row)}
                row={row}
                student={students.find((one) => one.id === row.studentId)}
                chosen={view !== undefined && rowKey(view) === rowKey(row)}
                refused={views.some((one) => rowKey(one) === rowKey(row) && one.refused)}
                onShow={() => setShown(rowKey(row))}
                onChange={(part) => {
                  change(row, part);
                  setShown(rowKey({ ...row, ...part }));
                }}
                onLeave={() => setRows((all) => all.filter((one) => rowKey(one) !== rowKey(row)))}
              />
            ))}
          </ul>
          <AddStudent
            students={students}
            rows={rows}
            onAdd={(one) => setRows((all) => [...all, rowOf(one)])}
          />
          {until === undefined && tracks.some((track) => track.weeks.length > 0) && (
            <Tick
              label="Order the catch-up track too"
              checked={catchUp}
              onChange={(event) => setCatchUp(event.target.checked)}
            />
          )}
          {act.isError && !["from", "startsOn", "until"].includes(problem?.field ?? "") && (
            <Failed error={act.error} />
          )}
          <div>
            <Button
              look="primary"
              type="submit"
              disabled={request.students.length === 0 || views.some((one) => one.refused) || act.isPending}
            >
              {request.students.length > 1 ? `Switch ${request.students.length} students` : "Switch"}
            </Button>
          </div>
        </form>
        <div aria-live="polite" aria-label="What it means">
          {told.isError && <Failed error={told.error} again={() => void told.refetch()} />}
          {!view && !told.isError && (
            <Empty>
              Add who switches and choose the instrument: here stands what comes along, what opens anew and
              which belts that touches, before anything is done.
            </Empty>
          )}
          {view && (
            <>
              <h2 className="mb-2 text-[1.35rem]">
                <Link
                  className="no-underline hover:underline"
                  to={{ pathname: `/roster/students/${view.studentId}`, search: scopeSearch(search, {}) }}
                >
                  {view.name}
                </Link>{" "}
                <span className="soft font-normal">
                  {view.fromName && `${view.fromName} → `}
                  {view.toName}, {view.className}
                </span>
              </h2>
              <SwitchMeaning view={view} />
            </>
          )}
        </div>
      </div>
      {tracks.length > 0 && (
        <div className="mt-5 grid min-w-0 gap-3 *:min-w-0 print:hidden">
          <h2 className="border-base-content border-t-[1.5px] pt-2 text-[1.35rem]">Catch-up track</h2>
          {tracks.map((track) => (
            <CatchUpTrack key={`${track.classId} ${track.instrument}`} track={track} />
          ))}
        </div>
      )}
    </>
  );
}

interface RowProps {
  row: SwitchRow;
  student: Student | undefined;
  chosen: boolean;
  refused: boolean;
  onShow: () => void;
  onChange: (part: Partial<SwitchRow>) => void;
  onLeave: () => void;
}

function Row({ row, student, chosen, refused, onShow, onChange, onLeave }: RowProps) {
  const instruments = useQuery(instrumentsQuery);
  const seats = student?.seats ?? [];
  return (
    <li
      className={clsx(
        "grid gap-1.5 border-b border-[var(--hairline)] px-2 py-2",
        chosen && "bg-base-200",
        refused && "border-l-error border-l-[3px]",
      )}
    >
      <div className="flex items-center gap-2">
        <button type="button" className="grow text-left font-semibold" aria-pressed={chosen} onClick={onShow}>
          {row.name}
        </button>
        <IconButton label={`${row.name} does not switch`} onPress={onLeave}>
          <X size={16} aria-hidden="true" />
        </IconButton>
      </div>
      <div className="grid grid-cols-2 gap-2">
        <select
          aria-label={`Class of ${row.name}`}
          className={clsx(looks.smallSelect, "w-full")}
          value={row.classId}
          onChange={(event) => onChange({ classId: event.target.value })}
        >
          {seats.map((seat) => (
            <option key={seat.classId} value={seat.classId}>
              {seat.className}
            </option>
          ))}
        </select>
        <select
          aria-label={`New instrument of ${row.name}`}
          className={clsx(looks.smallSelect, "w-full")}
          value={row.instrument}
          onChange={(event) => onChange({ instrument: event.target.value })}
        >
          <option value="">to which?</option>
          {instruments.data?.map((one) => (
            <option key={one.code} value={one.code}>
              {one.name}
            </option>
          ))}
        </select>
      </div>
    </li>
  );
}

interface AddProps {
  students: Student[];
  rows: SwitchRow[];
  onAdd: (student: Student) => void;
}

function AddStudent({ students, rows, onAdd }: AddProps) {
  const [typed, setTyped] = useState("");
  const fitting = found(students, typed, rows);
  const add = (student: Student) => {
    onAdd(student);
    setTyped("");
  };
  return (
    <div>
      <Field
        label="Add somebody"
        value={typed}
        autoFocus={rows.length === 0}
        hint={typed.trim() && fitting.length === 0 ? "Nobody by that name." : "Enter takes the first"}
        onChange={(event) => setTyped(event.target.value)}
        onKeyDown={(event) => {
          if (event.key !== "Enter") return;
          event.preventDefault();
          const [one] = fitting;
          if (one) add(one);
        }}
      />
      {fitting.length > 0 && (
        <ul className="hairline mt-1 rounded-lg border-[1.5px]" aria-label="Found">
          {fitting.map((one) => (
            <li key={one.id}>
              <button
                type="button"
                className="hover:bg-base-200 w-full px-3 py-1 text-left"
                onClick={() => add(one)}
              >
                {one.name}{" "}
                <span className="small soft">{one.seats.map((seat) => seat.className).join(", ")}</span>
              </button>
            </li>
          ))}
        </ul>
      )}
    </div>
  );
}
