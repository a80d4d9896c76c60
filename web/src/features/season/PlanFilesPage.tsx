import { useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { useState } from "react";
import { Link } from "react-router";
import { at } from "../../api/at";
import { post, postForm, remove } from "../../api/http";
import type { LaidPlan } from "../../api/types";
import { momentWords } from "../../app/days";
import { classesQuery } from "../../app/queries";
import { scopeSearch, useScope } from "../../app/scope";
import { Button, Empty, Failed, Heading, Skeleton } from "../../ui/parts";
import { looks } from "../../ui/looks";
import { counted } from "../../ui/words";
import { feedQuery } from "./plan.queries";

/** A plan out and in, last year's laid onto this one, and the calendar other programmes look up. */
export function PlanFilesPage() {
  const { scope, search, allClasses } = useScope();
  const classes = useQuery(classesQuery);
  const name = classes.data?.find((c) => c.id === scope.classId)?.name;
  if (allClasses) return <Empty>Choose a class at the left.</Empty>;
  if (!name || !scope.classId) return <Skeleton rows={6} />;
  return (
    <>
      <Heading title={`Plans in and out, ${name}`} words="by names and teaching weeks; nothing is ordered">
        <Link className="underline" to={{ pathname: "/season", search: scopeSearch(search, {}) }}>
          Back to the season
        </Link>
      </Heading>
      <div className="grid gap-x-10 gap-y-8 lg:grid-cols-2">
        <Plans classId={scope.classId} />
        <Calendar classId={scope.classId} />
      </div>
    </>
  );
}

function Plans({ classId }: { classId: string }) {
  const client = useQueryClient();
  const done = () => client.invalidateQueries({ queryKey: ["progress"] });
  const lay = useMutation({
    mutationFn: (file: File) => {
      const form = new FormData();
      form.append("file", file);
      return postForm<LaidPlan>(at("/api/season/plan/classes/{classId}/file", { classId }), form);
    },
    onSuccess: done,
  });
  const lastYear = useMutation({
    mutationFn: () => post<LaidPlan>(at("/api/season/plan/classes/{classId}/last-year", { classId }), {}),
    onSuccess: done,
  });
  const laid = lay.data ?? lastYear.data;
  const error = lay.error ?? lastYear.error;
  return (
    <div className="grid content-start gap-6">
      <section aria-label="Out">
        <h2 className="mb-2 text-[1.3rem]">Out</h2>
        <p className="soft mb-2">The plan with what was ordered, for a spreadsheet or another school.</p>
        <div className="flex gap-3">
          <a
            className={looks.button}
            href={at("/api/season/plan/classes/{classId}/plan.csv", { classId })}
            download="plan.csv"
          >
            As CSV
          </a>
          <a
            className={looks.button}
            href={at("/api/season/plan/classes/{classId}/plan.json", { classId })}
            download="plan.json"
          >
            As JSON
          </a>
        </div>
      </section>
      <section aria-label="In">
        <h2 className="mb-2 text-[1.3rem]">In</h2>
        <p className="soft mb-2">
          Each thing comes into the same teaching week of this year, counted from its first; what is past or
          does not exist has no week until you propose a plan.
        </p>
        <label className="mb-3 block">
          <span className="mb-1 block font-semibold">Plan file</span>
          <input
            type="file"
            accept=".csv,.json,.txt"
            disabled={lay.isPending}
            onChange={(event) => {
              const file = event.target.files?.[0];
              event.target.value = "";
              if (file) lay.mutate(file);
            }}
          />
        </label>
        <Button disabled={lastYear.isPending} onClick={() => lastYear.mutate()}>
          Lay last year’s onto this one
        </Button>
        {error && <Failed error={error} />}
        {laid && (
          <div role="status" className="mt-3">
            <p className="font-semibold">
              {counted(laid.added, "thing")} laid
              {laid.known > 0 && `, ${laid.known} there already`}
              {laid.refused.length > 0 && `, ${laid.refused.length} not taken`}.
            </p>
            <ul className="small mt-1 max-h-48 overflow-y-auto">
              {laid.refused.map((row) => (
                <li key={`${row.row} ${row.title}`}>
                  {row.row > 0 && `Row ${row.row}, `}
                  {row.title}: {row.why}
                </li>
              ))}
            </ul>
          </div>
        )}
      </section>
    </div>
  );
}

function Calendar({ classId }: { classId: string }) {
  const client = useQueryClient();
  const feed = useQuery(feedQuery(classId));
  const [address, setAddress] = useState<string>();
  const again = () => client.invalidateQueries({ queryKey: feedQuery(classId).queryKey });
  const open = useMutation({
    mutationFn: () => post<{ path: string }>(at("/api/season/feeds/{classId}", { classId }), {}),
    onSuccess: async ({ path }) => {
      setAddress(window.location.origin + path);
      await again();
    },
  });
  const close = useMutation({
    mutationFn: () => remove(at("/api/season/feeds/{classId}", { classId })),
    onSuccess: async () => {
      setAddress(undefined);
      await again();
    },
  });
  const error = feed.error ?? open.error ?? close.error;
  return (
    <section aria-label="Calendar">
      <h2 className="mb-2 text-[1.3rem]">Due days in other calendars</h2>
      <p className="soft mb-3">
        Due days, tests and hearing days of the class, no names of students. A file stays as it is; a secret
        address is looked up again and again by the calendar that has it.
      </p>
      <div className="flex flex-wrap gap-3">
        <a className={looks.button} href={at("/api/season/due.ics", {}, { classId })} download>
          As a file
        </a>
        <Button disabled={open.isPending} onClick={() => open.mutate()}>
          {feed.data?.openedAt ? "New secret address" : "Open a secret address"}
        </Button>
        {feed.data?.openedAt && (
          <Button disabled={close.isPending} onClick={() => close.mutate()}>
            Close it
          </Button>
        )}
      </div>
      {address && (
        <div className="mt-3" role="status">
          <p className="font-semibold">Copy it now; it is shown this once.</p>
          <input
            readOnly
            aria-label="Secret address"
            className={`${looks.input} w-full`}
            value={address}
            onFocus={(event) => event.target.select()}
          />
        </div>
      )}
      {!address && feed.data?.openedAt && (
        <p className="small soft mt-3">
          Open since {momentWords(feed.data.openedAt)}. A new address closes the one before it.
        </p>
      )}
      {error && <Failed error={error} />}
    </section>
  );
}
